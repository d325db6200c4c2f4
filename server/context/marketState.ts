import type { RecordIndex } from '#core/pricing/sieve/recordIndex'
import type { Override } from '#core/pricing/street/streetPrice'
import type { ShopAsk, ShopBundle } from '#core/supply/anyone/anyoneCanPay'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { Part } from '#core/parts/part'
import type { shopPrices } from '../db/schema/prices'
import type { sources } from '../db/schema/sources'
import type { World } from '../readings/world'
import type { AssumptionsInForce } from './settings'

type Found<Value> = Pick<ReadonlyMap<string, Value>, 'get'>

/** Everything street prices are read from: a view of the world, each member a reading of its own. */
export interface Market extends AssumptionsInForce {
  readonly world: World
  readonly index: RecordIndex
  readonly library: readonly Part[]
  /** Parts of which nobody knows which one they are, by id. */
  readonly open: ReadonlyMap<string, Part>
  readonly queries: ReadonlyMap<string, PartQuery>
  readonly overrides: Found<Readonly<Record<string, Override>>>
  /** Every shop price of a part, by source, oldest first. */
  readonly shopHistory: Found<ReadonlyMap<string, readonly ShopPriceRow[]>>
  readonly sources: ReadonlyMap<string, typeof sources.$inferSelect>
  /** What shops ask in the leads that are open, by part. */
  readonly openOffers: Found<readonly OpenOffer[]>
  /** The same of several things at once, in the shop's own currency. */
  readonly openBundles: readonly ShopBundle[]
}

export type ShopPriceRow = typeof shopPrices.$inferSelect

/** An open offer of a shop for one new thing, in the shop's own currency. */
export interface OpenOffer extends ShopAsk {
  readonly leadId: string
  readonly currency: string
  readonly date: string
}
