import { defaultsOf, plain, share, type ValuesOf } from '../assumption'

const more = 'higher: more resale value at the end'

/** The like-for-like cost where the sold records say nothing. */
export const comparisonGroup = {
  years: plain('years compared', 3, [1, 10], 'higher: energy and faults count for more'),
  'keeps.cpu': share('value a CPU keeps per year', 0.8, more),
  'keeps.motherboard': share('value a motherboard keeps per year', 0.78, more),
  'keeps.memory': share('value memory keeps per year', 0.82, more),
  'keeps.graphics': share('value a graphics card keeps per year', 0.78, more),
  'keeps.storage': share('value an SSD keeps per year', 0.75, more),
  'keeps.hdd': share('value an HDD keeps per year', 0.85, more),
  'keeps.supply': share('value a power supply keeps per year', 0.8, more),
  'keeps.case': share('value a case keeps per year', 0.85, more),
  'keeps.cooler': share('value a cooler keeps per year', 0.8, more),
  'keeps.console': share('value a console keeps per year', 0.85, more),
  'keeps.whole': share('value a PC of unknown parts keeps per year', 0.78, more),
  keepsSpread: share('uncertainty of these values (1 σ)', 0.1, 'higher: more verdicts too close to call'),
  unstatedUpTo: plain(
    'value of a part not stated, as a multiple of the cheapest plausible one',
    2,
    [1, 5],
    'higher: more verdicts too close to call',
  ),
  newFalls: share('used price of a part bought new, if there are no sold records', 0.75, more),
  keepsLeast: share(
    'lowest value a part may keep per year, from its records',
    0.55,
    'higher: more resale value at the end',
  ),
  keepsMost: share(
    'highest value a part may keep per year, from its records',
    0.97,
    'higher: more resale value at the end',
  ),
} as const

export type ComparisonAssumptions = ValuesOf<typeof comparisonGroup>
export const comparisonDefaults = defaultsOf(comparisonGroup)
