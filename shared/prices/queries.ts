import type { PriceQuery } from '#core/reading/titles/priceQuery'

/** The part of a price query that belongs to a part; date and currency come from the reading. */
export type QuerySettings = Omit<PriceQuery, 'asOf' | 'currency' | 'seed'>

/** What of a query can be used on other parts: all but its words and facts. */
export type RecipeSettings = Pick<
  QuerySettings,
  | 'mustNot'
  | 'conditions'
  | 'manners'
  | 'windowDays'
  | 'halfLifeDays'
  | 'makes'
  | 'forgiveSlips'
  | 'catchShare'
>
