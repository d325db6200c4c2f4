import type { ConnectorRow, Poll } from './pollContext'
import { pollLeadFeed } from './pollLeadFeed'
import { pollShopPrices } from './pollShopPrices'
import { pollSoldRecords } from './pollSoldRecords'

/**
 * The kinds of connectors: each asks the outside first and writes afterwards in one transaction, so that a poll cut
 * short leaves nothing half done, and polling twice brings nothing twice.
 */
export const connectorKinds: Readonly<Record<ConnectorRow['kind'], Poll>> = {
  'sold-csv': pollSoldRecords,
  'lead-feed': pollLeadFeed,
  'shop-csv': pollShopPrices,
}
