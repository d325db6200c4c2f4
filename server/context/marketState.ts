import type { PricedPart } from '#core/machine/upgrades/baseMachines'
import type { Part } from '#core/parts/part'
import type { RecordIndex } from '#core/pricing/sieve/recordIndex'
import type { Override, StreetPrice } from '#core/pricing/street/streetPrice'
import type { ShopAsk } from '#core/supply/anyone/anyoneCanPay'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { OfferView } from '#shared/prices/views'
import type { shopPrices } from '../db/schema/prices'
import type { sources } from '../db/schema/sources'
import type { AssumptionsInForce } from './settings'

/**
 * Everything street prices are read from, kept in memory until something of it changes. Readings are cached by part,
 * date and currency, and outlive a change that does not touch them; a write calls `marketChanged`.
 */
export interface Market extends AssumptionsInForce {
  readonly index: RecordIndex
  /** Highest id of a sold record in the index. */
  readonly lastRecord: number
  readonly library: readonly Part[]
  /** Parts of which nobody knows which one they are, by id. */
  readonly open: ReadonlyMap<string, Part>
  readonly queries: ReadonlyMap<string, PartQuery>
  readonly overrides: ReadonlyMap<string, Readonly<Record<string, Override>>>
  /** Every shop price of a part, by source, oldest first. */
  readonly shopHistory: ReadonlyMap<string, ReadonlyMap<string, readonly ShopPriceRow[]>>
  /** Read again after each write, as the open offers are. */
  sources: ReadonlyMap<string, typeof sources.$inferSelect>
  readonly readings: Map<string, StreetPrice>
  /** Reads a street price from the records, by the key of its reading. */
  judge(key: string): StreetPrice
  /** The library at what its parts cost, by house rules; see `pricedLibrary`. */
  readonly priced: Map<string, readonly PricedPart[]>
  /** What shops ask in the leads that are open; read again after each write. */
  openOffers: OpenOffers
  /** What shops ask, by part, day and currency; see `newOffers`. */
  readonly offers: Map<string, readonly OfferView[]>
}

export type ShopPriceRow = typeof shopPrices.$inferSelect

/** An open offer of a shop for one new thing, in the shop's own currency. */
export interface OpenOffer extends ShopAsk {
  readonly leadId: string
  readonly currency: string
  readonly date: string
}

/** What shops ask for each part in their open offers. */
export type OpenOffers = ReadonlyMap<string, readonly OpenOffer[]>
