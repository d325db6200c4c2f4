import { defaultsOf, plain, share, type ValuesOf } from '../assumption'

/** The like-for-like cost where the sold records say nothing. */
export const comparisonGroup = {
  years: plain('years compared', 3, [1, 10], 'higher: energy and faults weigh more'),
  keepsWhole: share('value a machine keeps a year', 0.8, 'higher: more left at the end'),
  keepsLeast: share('least a role may keep a year, by its records', 0.55, 'higher: more left at the end'),
  keepsMost: share('most a role may keep a year, by its records', 0.97, 'higher: more left at the end'),
} as const

export type ComparisonAssumptions = ValuesOf<typeof comparisonGroup>
export const comparisonDefaults = defaultsOf(comparisonGroup)
