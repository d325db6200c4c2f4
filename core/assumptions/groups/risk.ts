import { days, defaultsOf, factor, share, type ValuesOf } from '../assumption'

const faults = 'higher: used parts have a higher expected cost'
const moving = 'not measured; moving parts and heavily loaded electronics fail more often'
const comesBack = 'higher: a fault costs less'
const yearly = 'higher: PCs out of warranty cost more over the years'
const sign = 'above 1: a higher fault risk'

/** Arrival faults, what comes back, rebates and silent sellers. */
export const riskGroup = {
  'used.cpu': share('fault risk of a used CPU', 0.02, faults, moving),
  'used.motherboard': share('fault risk of a used motherboard', 0.07, faults, moving),
  'used.memory': share('fault risk of used memory', 0.03, faults, moving),
  'used.graphics': share('fault risk of a used graphics card', 0.08, faults, moving),
  'used.storage': share('fault risk of a used drive', 0.06, faults, moving),
  'used.supply': share('fault risk of a used power supply', 0.09, faults, moving),
  'used.case': share('fault risk of a used case', 0.02, faults, moving),
  'used.cooler': share('fault risk of a used cooler', 0.03, faults, moving),
  'used.donor': share('fault risk of a used PC', 0.08, faults, moving),
  'used.extra': share('fault risk of other used parts', 0.02, faults, moving),
  'byCondition.new': factor('fault risk factor: new', 0.2, sign),
  'byCondition.opened': factor('fault risk factor: opened', 0.4, sign),
  'byCondition.refurbished': factor('fault risk factor: refurbished', 0.6, sign),
  'byCondition.used': factor('fault risk factor: used', 1, sign),
  'byCondition.damaged': factor('fault risk factor: damaged', 6, sign),
  'bySign.untested': factor('fault risk factor: untested', 2.5, sign),
  'bySign.as-is': factor('fault risk factor: sold “as is”', 2, sign),
  'bySign.shown-working': factor('fault risk factor: shown working', 0.6, sign),
  'bySign.stress-tested': factor('fault risk factor: stress-tested', 0.4, sign),
  'bySign.sealed': factor('fault risk factor: sealed', 0.5, sign),
  'bySign.worn': factor('fault risk factor: worn (hours, cycles)', 1.8, sign),
  'bySign.good-seller': factor('fault risk factor: well-rated seller', 0.8, sign),
  'bySign.unknown-seller': factor('fault risk factor: seller without ratings', 1.3, sign),
  'recovered.none': share('share recovered without protection', 0, comesBack),
  'recovered.market': share('share recovered with marketplace protection', 0.75, comesBack),
  'recovered.returns': share('share recovered where returns are accepted', 0.9, comesBack),
  'recovered.warranty': share('share recovered under warranty', 0.95, comesBack),
  'yearly.cpu': share('CPU faults per year', 0.005, yearly),
  'yearly.motherboard': share('motherboard faults per year', 0.025, yearly),
  'yearly.memory': share('memory faults per year', 0.007, yearly),
  'yearly.graphics': share('graphics card faults per year', 0.03, yearly),
  'yearly.storage': share('SSD faults per year', 0.015, yearly),
  'yearly.hdd': share('HDD faults per year', 0.04, yearly),
  'yearly.supply': share('power supply faults per year', 0.03, yearly),
  'yearly.case': share('case faults per year', 0.002, yearly),
  'yearly.cooler': share('cooler faults per year', 0.01, yearly),
  'yearly.extra': share('faults per year of other parts', 0.01, yearly),
  'yearly.whole': share('faults per year of a PC of unknown parts', 0.022, yearly),
  yearlyOld: factor('faults per year from ten years of age', 2, yearly),
  mostLikely: share('cap on the fault risk after all factors', 0.95, faults),
  rebateChance: share('chance that a rebate is paid', 0.85, 'higher: rebates lower the expected total more'),
  answerDays: days('a seller counts as silent after', 4, 'higher: later reminders'),
} as const

export type RiskAssumptions = ValuesOf<typeof riskGroup>
export const riskDefaults = defaultsOf(riskGroup)
