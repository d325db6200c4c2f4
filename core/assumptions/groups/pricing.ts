import { days, defaultsOf, share, type ValuesOf } from '../assumption'

/** What a street price is read from, and when waiting pays. */
export const pricingGroup = {
  windowDays: {
    ...days('sold records count for', 90, 'higher: more records, older prices'),
    min: 1,
  },
  halfLifeDays: {
    ...days('a record weighs half after', 30, 'higher: older records count for more'),
    min: 1,
  },
  catchShare: share('suitable sales you would get to', 0.2, 'higher: shorter waits, lower pay-up-to prices'),
  tooCheapQuantile: share('an ask below this share of comps is a warning', 0.05, 'higher: more warnings'),
  saleDepth: share('below the usual price counts as a sale', 0.03, 'higher: fewer sales counted'),
  worthWaitingFor: share('a difference worth waiting for', 0.03, 'higher: buy now more often'),
  shopPriceDays: {
    ...days('a shop price is believed for', 30, 'higher: older shop prices count as offers'),
    min: 1,
  },
  openEndDays: days('days ahead looked at without a date', 30, 'higher: trends weigh more'),
} as const

export type PricingAssumptions = ValuesOf<typeof pricingGroup>
export const pricingDefaults = defaultsOf(pricingGroup)
