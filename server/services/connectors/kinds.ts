import type { OpenDatabase } from '../../db/client'
import type { connectors, sources } from '../../db/schema'
import type { Outside } from '../../outside/guardedFetch'
import type { PollProblem } from '#shared/types'
import { pollLeadFeed } from './pollLeadFeed'
import { pollShopPrices } from './pollShopPrices'
import { pollSoldRecords } from './pollSoldRecords'

export type ConnectorRow = typeof connectors.$inferSelect

/** What a poll has to work with. */
export interface PollContext {
  readonly database: OpenDatabase
  readonly connector: ConnectorRow
  readonly source: typeof sources.$inferSelect
  readonly outside: Outside
  readonly today: string
}

/** What a poll brought. */
export interface PollReport {
  readonly added: number
  /** Leads whose ask changed. */
  readonly changed: number
  readonly alreadyThere: number
  readonly vanished: number
  readonly rejected: number
  readonly problems: readonly PollProblem[]
}

/**
 * The kinds of connectors: each asks the outside first and writes afterwards in one transaction, so that a poll cut
 * short leaves nothing half done, and polling twice brings nothing twice.
 */
export const connectorKinds: Readonly<Record<ConnectorRow['kind'], (context: PollContext) => Promise<PollReport>>> = {
  'sold-csv': pollSoldRecords,
  'lead-feed': pollLeadFeed,
  'shop-csv': pollShopPrices,
}
