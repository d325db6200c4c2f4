import { days, defaultsOf, factor, share, type ValuesOf } from '../assumption'

const faults = 'higher: used things cost more, expected'
const moving = 'not measured; moving parts and hard-worked electronics fail more often'
const comesBack = 'higher: a fault costs less'
const yearly = 'higher: machines out of warranty cost more over the years'
const sign = 'above 1: a higher fault risk'

/** Arrival faults, what comes back, rebates and silent sellers. */
export const riskGroup = {
  'used.cpu': share('fault of a used CPU', 0.02, faults, moving),
  'used.motherboard': share('fault of a used motherboard', 0.07, faults, moving),
  'used.memory': share('fault of used memory', 0.03, faults, moving),
  'used.graphics': share('fault of a used graphics card', 0.08, faults, moving),
  'used.storage': share('fault of a used drive', 0.06, faults, moving),
  'used.supply': share('fault of a used power supply', 0.09, faults, moving),
  'used.case': share('fault of a used case', 0.02, faults, moving),
  'used.cooler': share('fault of a used cooler', 0.03, faults, moving),
  'used.donor': share('fault of a used machine', 0.08, faults, moving),
  'used.extra': share('fault of a used extra', 0.02, faults, moving),
  'byCondition.new': factor('fault risk of a new thing', 0.2, sign),
  'byCondition.opened': factor('fault risk of an opened thing', 0.4, sign),
  'byCondition.refurbished': factor('fault risk of a refurbished thing', 0.6, sign),
  'byCondition.used': factor('fault risk of a used thing', 1, sign),
  'byCondition.damaged': factor('fault risk of a damaged thing', 6, sign),
  'bySign.untested': factor('fault risk when untested', 2.5, sign),
  'bySign.as-is': factor('fault risk when sold “as is”', 2, sign),
  'bySign.shown-working': factor('fault risk when shown working', 0.6, sign),
  'bySign.stress-tested': factor('fault risk when stress-tested', 0.4, sign),
  'bySign.sealed': factor('fault risk when sealed', 0.5, sign),
  'bySign.worn': factor('fault risk when worn (hours, cycles)', 1.8, sign),
  'bySign.good-seller': factor('fault risk from a seller of good standing', 0.8, sign),
  'bySign.unknown-seller': factor('fault risk from a seller without a record', 1.3, sign),
  'recovered.none': share('comes back without any protection', 0, comesBack),
  'recovered.market': share('comes back with the market’s protection', 0.75, comesBack),
  'recovered.returns': share('comes back where returns are accepted', 0.9, comesBack),
  'recovered.warranty': share('comes back under warranty', 0.95, comesBack),
  'yearly.cpu': share('fault of a CPU a year', 0.005, yearly),
  'yearly.motherboard': share('fault of a motherboard a year', 0.025, yearly),
  'yearly.memory': share('fault of memory a year', 0.007, yearly),
  'yearly.graphics': share('fault of a graphics card a year', 0.03, yearly),
  'yearly.storage': share('fault of an SSD a year', 0.015, yearly),
  'yearly.hdd': share('fault of a hard drive a year', 0.04, yearly),
  'yearly.supply': share('fault of a power supply a year', 0.03, yearly),
  'yearly.case': share('fault of a case a year', 0.002, yearly),
  'yearly.cooler': share('fault of a cooler a year', 0.01, yearly),
  'yearly.extra': share('fault of an extra a year', 0.01, yearly),
  'yearly.whole': share('fault of a machine of unknown parts a year', 0.022, yearly),
  yearlyOld: factor('yearly faults from ten years of age', 2, yearly),
  mostLikely: share('highest fault risk the factors may reach', 0.95, faults),
  rebateChance: share('chance that a rebate is paid', 0.85, 'higher: rebates lower the expected cost more'),
  answerDays: days('a seller counts as silent after', 4, 'higher: later reminders'),
} as const

export type RiskAssumptions = ValuesOf<typeof riskGroup>
export const riskDefaults = defaultsOf(riskGroup)
