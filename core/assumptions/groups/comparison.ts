import { defaultsOf, plain, share, type ValuesOf } from '../assumption'

const more = 'higher: more left at the end'

/** The like-for-like cost where the sold records say nothing. */
export const comparisonGroup = {
  years: plain('years compared', 3, [1, 10], 'higher: energy and faults weigh more'),
  'keeps.cpu': share('value a CPU keeps a year', 0.8, more),
  'keeps.motherboard': share('value a motherboard keeps a year', 0.78, more),
  'keeps.memory': share('value memory keeps a year', 0.82, more),
  'keeps.graphics': share('value a graphics card keeps a year', 0.78, more),
  'keeps.storage': share('value an SSD keeps a year', 0.75, more),
  'keeps.hdd': share('value a hard drive keeps a year', 0.85, more),
  'keeps.supply': share('value a power supply keeps a year', 0.8, more),
  'keeps.case': share('value a case keeps a year', 0.85, more),
  'keeps.cooler': share('value a cooler keeps a year', 0.8, more),
  'keeps.console': share('value a console keeps a year', 0.85, more),
  'keeps.whole': share('value a machine of unknown parts keeps a year', 0.78, more),
  keepsSpread: share('how far off these are, one spread', 0.1, 'higher: more verdicts too close to call'),
  newFalls: share('used price of a thing bought new, where no record knows it', 0.75, more),
  keepsLeast: share('least a role may keep a year, by its records', 0.55, 'higher: more left at the end'),
  keepsMost: share('most a role may keep a year, by its records', 0.97, 'higher: more left at the end'),
} as const

export type ComparisonAssumptions = ValuesOf<typeof comparisonGroup>
export const comparisonDefaults = defaultsOf(comparisonGroup)
