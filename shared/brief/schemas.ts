import { intents } from './houseRules'
import { array, object, type InferType } from 'yup'
import { powerDefaults } from '#core/assumptions/groups/power'
import { budgetScopes } from '#core/ledger/account'
import { needs, roles } from '#core/parts/part'
import { conditions } from '#core/reading/sales/soldRecord'
import { faultSigns, protections } from '#core/supply/risk/faultRisk'
import { defaultAnswerDays } from '#core/supply/risk/silence'
import {
  calendarDate,
  currencyCode,
  decimalText,
  finite,
  idText,
  line,
  name,
  oneOf,
  rate,
  share,
  text,
  wholeFrom,
  yesOrNo,
} from '../fields'

export const targetSchema = object({
  workloadId: idText(),
  width: wholeFrom(320).max(16_384).required(),
  height: wholeFrom(200).max(16_384).required(),
  preset: text().required('choose a preset'),
  upscaling: text().max(60).nullable().default(null),
  frameGeneration: yesOrNo().default(false),
  averageFps: rate().required('enter an average'),
  lowFps: rate().nullable().default(null),
})

const overridesOf = <K extends string>(keys: readonly K[], field: () => ReturnType<typeof finite>) =>
  object(
    Object.fromEntries(keys.map((key) => [key, field().optional()])) as Record<K, ReturnType<typeof finite>>,
  )
    .default(undefined)
    .optional()

/** The builder's own figures in the table of faults; what is left out keeps its default. */
const faultsSchema = object({
  used: overridesOf(roles, share),
  byCondition: overridesOf(conditions, () => finite().min(0).max(50)),
  bySign: overridesOf(faultSigns, () => finite().min(0).max(50)),
  recovered: overridesOf(protections, share),
  hassle: decimalText().optional(),
})
  .default(undefined)
  .optional()

const supplyRuleSchema = object({
  kind: oneOf(['factor', 'twice', 'minimum', 'maker']).default('factor'),
  factor: finite().min(1).max(5).default(powerDefaults.supplyFactor),
  watts: wholeFrom(0).max(5000).default(500),
})

export const machineRulesSchema = object({
  supplyRule: supplyRuleSchema,
  roomC: finite().min(5).max(50).nullable().default(null),
  oldestCpuYear: wholeFrom(1990).max(2200).nullable().default(null),
  smallestDriveGb: wholeFrom(0).nullable().default(null),
  leastSupplyW: wholeFrom(0).nullable().default(null),
  avoidedMakes: array().of(text().defined().max(80)).max(50).default([]),
  screenPlugs: array().of(text().defined().max(40)).max(10).default([]),
  colour: text().max(40).nullable().default(null),
  cablesHidden: yesOrNo().default(false),
  needsSecurityModule: yesOrNo().default(false),
  stepThreshold: finite().min(0).max(100).default(1),
  tariff: decimalText().nullable().default(null),
  fullHours: finite().min(0).max(24).default(2),
  idleHours: finite().min(0).max(24).default(2),
})

export const houseRulesSchema = object({
  machine: machineRulesSchema,
  intent: oneOf(intents).default('keep'),
  neverUsed: array().of(oneOf(roles).defined()).default([]),
  patience: oneOf(['patient', 'typical', 'hurried']).default('typical'),
  faults: faultsSchema,
  mostFault: share().nullable().default(null),
  answerDays: wholeFrom(1).max(60).default(defaultAnswerDays),
  perKm: decimalText().default('0'),
  perHour: decimalText().default('0'),
  pickupKm: finite().moreThan(0).nullable().default(null),
  lowMethod: oneOf(['percentile', 'worst-share']).default('percentile'),
})

export const briefSchema = object({
  name: name(),
  purpose: line(200),
  currency: currencyCode().required(),
  region: line(80),
  budget: decimalText().required('enter a budget'),
  /** What the budget is to pay for. */
  budgetScope: oneOf(budgetScopes).default('everything'),
  stretch: decimalText()
    .required('enter a stretch')
    .test(
      'stretch',
      'the stretch cannot be below the budget',
      (value, { parent }) => value === undefined || Number(value) >= Number(parent.budget),
    ),
  wantedBy: calendarDate().nullable().default(null),
  houseRules: houseRulesSchema,
  privateNote: line(4000),
  saleText: line(4000),
  needs: array()
    .of(object({ need: oneOf(needs).required(), price: decimalText().required('enter a price') }))
    .default([]),
  targets: array().of(targetSchema).max(20).default([]),
})

export type BriefInput = InferType<typeof briefSchema>
