import { days, defaultsOf, share, type ValuesOf } from '../assumption'

/** What a street price is read from, and when waiting pays. */
export const pricingGroup = {
  windowDays: {
    ...days('age of sold records that count', 90, 'higher: more records, older prices'),
    min: 1,
  },
  halfLifeDays: {
    ...days('half-life of a record', 30, 'higher: older records count for more'),
    min: 1,
  },
  catchShare: share('share of matching sales you can get', 0.2, 'higher: shorter waits, lower prices'),
  tooCheapQuantile: share(
    'warn if an asking price is below this share of comps',
    0.05,
    'higher: more warnings',
  ),
  saleDepth: share('drop below the usual price that counts as a sale', 0.03, 'higher: fewer sales counted'),
  worthWaitingFor: share('price difference worth waiting for', 0.03, 'higher: buy now more often'),
  shopPriceDays: {
    ...days('age up to which a shop price is used', 30, 'higher: older shop prices count'),
    min: 1,
  },
  openEndDays: days('days to look ahead without a date', 30, 'higher: trends weigh more'),
} as const

export type PricingAssumptions = ValuesOf<typeof pricingGroup>
export const pricingDefaults = defaultsOf(pricingGroup)
