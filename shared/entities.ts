import { array, mixed, object, type InferType } from 'yup'
import { entryKinds, type EntryKind } from '../core/ledger/ledger'
import { arrivalVerdicts } from '../core/ledger/arrival'
import { opinionVerdicts } from '../core/supply/ways/opinions'
import { conditions, manners } from '../core/reading/sales/soldRecord'
import { factKeys, factKinds } from '../core/parts/facts'
import { needs, roles, type PartFacts } from '../core/parts/part'
import { scopes } from '../core/ledger/receipt'
import { playStyles, type PlayStyle } from '../core/comparison/verdict/playStyles'
import { faultSigns, protections } from '../core/supply/risk/faultRisk'
import { defaultAnswerDays } from '../core/supply/risk/silence'
import type { Answer } from '../core/reading/listings/completeness'
import type { FaultSign } from '../core/supply/risk/faultRisk'
import { rebateStates } from '../core/supply/landed/rebates'
import { noises } from '../core/performance/runs/livingWithIt'
import { lowsCauses, noReadings, plainConditions, runKinds, type RunKind } from '../core/performance/runs/run'
import { feelings } from '../core/performance/model/throughput'
import {
  calendarDate,
  currencyCode,
  decimalText,
  finite,
  oneOf,
  percent,
  share,
  text,
  texts,
  wholeFrom,
  yesOrNo,
} from './fields'

/** The things of the product as forms, routes and files state them: one schema each. Amounts are decimal strings. */

const playStyleNames = Object.keys(playStyles) as PlayStyle[]
const name = () => text().trim().required('${path} is needed').max(120)
const line = (max = 300) => text().max(max).default('')
const idText = () => text().required().max(120)
const rate = () => finite().moreThan(0, '${path} must be more than 0').max(2000)

export const targetSchema = object({
  workloadId: idText(),
  width: wholeFrom(320).max(16_384).required(),
  height: wholeFrom(200).max(16_384).required(),
  preset: text().required('a preset is needed'),
  averageFps: rate().required('an average is needed'),
  lowFps: rate().nullable().default(null),
})
export type TargetInput = InferType<typeof targetSchema>

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
  factor: finite().min(1).max(5).default(1.5),
  watts: wholeFrom(0).max(5000).default(500),
})
export const machineRulesSchema = object({
  supplyRule: supplyRuleSchema,
  roomC: finite().min(5).max(50).default(28),
  oldestCpuYear: wholeFrom(1990).max(2200).nullable().default(null),
  smallestDriveGb: wholeFrom(0).nullable().default(null),
  leastSupplyW: wholeFrom(0).nullable().default(null),
  avoidedMakes: array().of(text().defined().max(80)).max(50).default([]),
  screenPlugs: array().of(text().defined().max(40)).max(10).default([]),
  colour: text().max(40).nullable().default(null),
  cablesHidden: yesOrNo().default(false),
  needsSecurityModule: yesOrNo().default(false),
  stepThreshold: finite().min(0).max(100).default(1),
  tariff: decimalText().default('0.14'),
  fullHours: finite().min(0).max(24).default(2),
  idleHours: finite().min(0).max(24).default(2),
})

export const houseRulesSchema = object({
  machine: machineRulesSchema,
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
  budget: decimalText().required('a budget is needed'),
  stretch: decimalText()
    .required('a stretch is needed')
    .test(
      'stretch',
      'the stretch must not be below the budget',
      (value, { parent }) => value === undefined || Number(value) >= Number(parent.budget),
    ),
  wantedBy: calendarDate().nullable().default(null),
  houseRules: houseRulesSchema,
  privateNote: line(4000),
  saleText: line(4000),
  needs: array()
    .of(object({ need: oneOf(needs).required(), price: decimalText().required('a price is needed') }))
    .default([]),
  targets: array().of(targetSchema).max(20).default([]),
})
export type BriefInput = InferType<typeof briefSchema>

export const sourceSchema = object({
  id: idText(),
  name: name(),
  kind: oneOf(['classifieds', 'auction', 'refurbisher', 'shop', 'counter']).required(),
  currency: currencyCode().required(),
  taxPercent: percent().required(),
  taxOnShipping: yesOrNo().required(),
  shipping: object({
    kind: oneOf(['none', 'per-item', 'per-order']).required(),
    amount: decimalText().default('0'),
    freeFrom: decimalText().nullable().default(null),
  }).required(),
  paymentFeePercent: percent().default(0),
  sellerFeePercent: percent().default(0),
  protection: oneOf(protections).required(),
  note: line(),
  importDutyPercent: percent().default(0),
  importTaxPercent: percent().default(0),
  importFreeUnder: decimalText().default('0'),
  exchangeFeePercent: percent().default(0),
})
export type SourceInput = InferType<typeof sourceSchema>

/** The facts of a part, from the one table of `core/parts/facts.ts`. */
export const partFactsSchema = object(
  Object.fromEntries(factKeys.map((key) => [key, factField(key)])) as Record<
    keyof PartFacts,
    ReturnType<typeof mixed>
  >,
).noUnknown('${path} has facts that are not known: ${unknown}')

function factField(key: keyof PartFacts) {
  const { kind, choices } = factKinds[key]
  if (kind === 'number') return finite().min(0)
  if (kind === 'whole') return wholeFrom(0)
  if (kind === 'yes-no') return yesOrNo()
  if (kind === 'texts') return texts()
  if (kind === 'choice') return oneOf(choices ?? [])
  return text().max(120)
}

export const partSchema = object({
  id: idText(),
  role: oneOf(roles).required(),
  make: line(80),
  name: name(),
  facts: partFactsSchema.default({}),
})
export type PartInput = InferType<typeof partSchema>

const presetSchema = object({
  graphics: rate().required(),
  cpu: rate().required(),
  videoMemoryGb: finite().min(0).required(),
})

export const workloadSchema = object({
  id: idText(),
  name: name(),
  kind: line(40),
  graphicsMs: rate().required(),
  cpuMs: rate().required(),
  pixelExponent: finite().min(0.1).max(3).required(),
  threadsWanted: wholeFrom(1).required(),
  lowShare: object({ graphics: share().required(), cpu: share().required() }).required(),
  presets: object()
    .required()
    .test(
      'presets',
      '${path} must hold a cost for each preset',
      (value) =>
        Object.values(value).length > 0 &&
        Object.values(value).every((each) => presetSchema.isValidSync(each)),
    ),
  upscaling: object().default({}),
  frameGenerationFactor: rate().default(1.6),
  priorSpread: share().default(0.12),
})

export const codeSchema = object({
  word: text().required('the code is needed').max(60),
  kind: oneOf(['percent', 'fixed']).required(),
  value: decimalText().required('a value is needed'),
  minSpend: decimalText().nullable().default(null),
  validUntil: calendarDate().nullable().default(null),
  cap: decimalText().nullable().default(null),
  stackable: yesOrNo().default(true),
  role: oneOf(roles).nullable().default(null),
})

export const rebateSchema = object({
  kind: oneOf(['mail-in', 'online', 'trade-in']).required(),
  amount: decimalText().required('an amount is needed'),
  claimBy: calendarDate().required('a claim-by date is needed'),
  state: oneOf(rebateStates).default('to-claim'),
  chance: share().default(0.85),
  proof: line(200),
  expectedBy: calendarDate().nullable().default(null),
  campaign: line(80),
  perHousehold: wholeFrom(1).nullable().default(null),
  tradedPartId: text().nullable().default(null),
})

export const leadSchema = object({
  sourceId: idText(),
  externalId: line(200),
  title: name().max(300),
  url: line(1000).test(
    'url',
    '${path} must begin with http:// or https://',
    (value) => value === undefined || value === '' || /^https?:\/\//.test(value),
  ),
  price: decimalText().required('a price is needed'),
  currency: currencyCode().required(),
  condition: oneOf(conditions).required(),
  manner: oneOf(manners).required(),
  listedOn: calendarDate().required(),
  endsOn: calendarDate().nullable().default(null),
  shipping: decimalText().nullable().default(null),
  place: line(120),
  note: line(1000),
  things: array()
    .of(
      object({
        partId: idText(),
        quantity: wholeFrom(1).max(100).default(1),
        plan: oneOf(['keep', 'resell', 'discard']).default('keep'),
      }),
    )
    .required()
    .min(1, 'tie the lead to at least one part')
    .max(30),
  code: codeSchema.nullable().default(null),
  rebate: rebateSchema.nullable().default(null),
  text: line(8000),
  answers: mixed<Record<string, Answer>>(
    (value): value is Record<string, Answer> =>
      typeof value === 'object' &&
      value !== null &&
      Object.values(value).every((each) => each === 'yes' || each === 'no'),
  ).default({}),
  signs: mixed<Partial<Record<FaultSign, boolean>>>(
    (value): value is Partial<Record<FaultSign, boolean>> =>
      typeof value === 'object' &&
      value !== null &&
      Object.entries(value).every(
        ([key, each]) => faultSigns.includes(key as FaultSign) && typeof each === 'boolean',
      ),
  ).default({}),
  extras: array()
    .of(
      object({
        label: text().trim().required('say what it is').max(80),
        amount: decimalText().required('an amount is needed'),
      }),
    )
    .max(20)
    .default([]),
})
export type LeadInput = InferType<typeof leadSchema>

export const choiceSchema = object({
  kind: oneOf(['lead', 'hunt', 'owned']).required(),
  leadId: text()
    .nullable()
    .default(null)
    .when('kind', { is: 'lead', then: (field) => field.required('choose a lead') }),
  partId: text()
    .nullable()
    .default(null)
    .when('kind', { is: 'hunt', then: (field) => field.required('choose a part') }),
  shelfId: text()
    .nullable()
    .default(null)
    .when('kind', { is: 'owned', then: (field) => field.required('choose a part from the shelf') }),
  limit: decimalText().nullable().default(null),
  scope: oneOf(scopes).default('core'),
  reason: line(300),
})
export type ChoiceInput = InferType<typeof choiceSchema>

export const choicePatchSchema = object({
  scope: oneOf(scopes),
  reason: text().max(300),
  limit: decimalText().nullable(),
  paidOn: calendarDate().nullable(),
  leftOut: array().of(text().defined().max(120)).max(40).optional(),
})

export const shelfSchema = object({
  partId: idText(),
  condition: oneOf(conditions).required(),
  cost: decimalText().default('0'),
  currency: currencyCode().required(),
  note: line(),
})

export const weighingSchema = object({
  years: finite().min(0.5).max(15).default(3),
  style: oneOf(playStyleNames).default('couch'),
  basis: oneOf(['anyone', 'paid']).default('anyone'),
  gamesPerYear: finite().min(0).max(200).default(4),
  usualShipping: decimalText().default('35.00'),
  off: array().of(text().defined().max(40)).max(40).default([]),
  builds: array()
    .of(text().defined().max(120))
    .max(3, 'at most three others are weighed at a time')
    .default([]),
  edits: mixed<Record<string, Record<string, string>>>(
    (value): value is Record<string, Record<string, string>> =>
      typeof value === 'object' &&
      value !== null &&
      Object.values(value).every(
        (each) =>
          typeof each === 'object' &&
          each !== null &&
          Object.values(each).every(
            (amount) => typeof amount === 'string' && decimalText({ min: 'any' }).isValidSync(amount),
          ),
      ),
  )
    .typeError('${path} must hold amounts such as 129.50, by machine and step')
    .default({}),
})
export type WeighingInput = InferType<typeof weighingSchema>
export const editionSchema = object({ name: name().max(80) })

export const rivalSchema = object({
  kind: oneOf(['prebuilt', 'console', 'configured', 'own']).required(),
  name: name(),
  price: decimalText().required('a price is needed'),
  currency: currencyCode().required(),
  taxPercent: percent().default(0),
  shipping: decimalText().default('0'),
  brings: array().of(oneOf(needs).defined()).default([]),
  cpuId: text().nullable().default(null),
  graphicsId: text().nullable().default(null),
  notStated: texts().default([]),
  shippingStated: yesOrNo().default(true),
  parts: object({
    memoryGb: finite().moreThan(0).nullable().default(null),
    memoryModules: wholeFrom(1).max(16).nullable().default(null),
    memoryMts: finite().moreThan(0).nullable().default(null),
    storageGb: finite().moreThan(0).nullable().default(null),
    storageKind: oneOf(['nvme', 'sata', 'hdd']).nullable().default(null),
    supplyW: finite().moreThan(0).nullable().default(null),
    supplyMake: text().max(80).nullable().default(null),
  }).default(() => ({
    memoryGb: null,
    memoryModules: null,
    memoryMts: null,
    storageGb: null,
    storageKind: null,
    supplyW: null,
    supplyMake: null,
  })),
  warrantyMonths: wholeFrom(0).max(240).nullable().default(null),
  fullW: finite().min(0).max(3000).nullable().default(null),
  idleW: finite().min(0).max(3000).nullable().default(null),
  subscriptionPerYear: decimalText().default('0'),
  gameSurcharge: decimalText({ min: 'any' }).default('0'),
  resaleToday: decimalText().nullable().default(null),
  equivalents: array()
    .of(
      object({
        by: text().trim().required('who says so?').max(80),
        saidOn: calendarDate().required('a date is needed'),
        cpuIndex: rate().required('a CPU index is needed'),
        threads: wholeFrom(1).max(256).required(),
        graphicsIndex: rate().required('a graphics index is needed'),
        videoMemoryGb: finite().moreThan(0).required(),
      }),
    )
    .max(20)
    .default([]),
  extras: array()
    .of(
      object({
        label: text().trim().required('say what it is').max(80),
        worth: decimalText().required('what is it worth?'),
      }),
    )
    .max(20)
    .default([]),
  url: line(1000),
  note: line(1000),
  rates: array()
    .of(
      object({
        workloadId: idText(),
        width: wholeFrom(1).required(),
        height: wholeFrom(1).required(),
        preset: text().nullable().default(null),
        averageFps: rate().required(),
        lowFps: rate().nullable().default(null),
        note: line(),
      }),
    )
    .default([]),
})
export type RivalInput = InferType<typeof rivalSchema>

const runKindNames = Object.keys(runKinds) as RunKind[]
const celsius = () => finite().min(-50).max(150).nullable().default(null)
const usePercent = () => percent().nullable().default(null)
/** A measured result. A console's stated mode names no parts; its name stands in `origin`. */
export const runSchema = object({
  workloadId: idText(),
  cpuId: text()
    .nullable()
    .default(null)
    .when('kind', { is: 'console-mode', otherwise: (field) => field.required('which CPU was in it?') }),
  graphicsId: text()
    .nullable()
    .default(null)
    .when('kind', { is: 'console-mode', otherwise: (field) => field.required('which card was in it?') }),
  memoryChannels: wholeFrom(1).max(8).default(2),
  width: wholeFrom(320).max(16_384).required(),
  height: wholeFrom(200).max(16_384).required(),
  preset: text().required('a preset is needed'),
  upscaling: text().nullable().default(null),
  frameGeneration: yesOrNo().default(false),
  scene: line(80),
  averageFps: rate().required('an average is needed'),
  lowFps: rate()
    .nullable()
    .default(null)
    .test(
      'below',
      'a low cannot be above the average',
      (value, { parent }) => value === null || value === undefined || value <= parent.averageFps,
    ),
  minFps: finite().min(0).nullable().default(null),
  maxFps: rate().nullable().default(null),
  kind: oneOf(runKindNames).required(),
  origin: line(200),
  ranOn: calendarDate().required('a date is needed'),
  note: line(),
  repeats: array()
    .of(
      object({
        averageFps: rate().required(),
        lowFps: rate().nullable().default(null),
        discarded: line(200),
      }),
    )
    .max(20)
    .default([]),
  conditions: object({
    background: line(120),
    ambientC: celsius(),
    sidePanel: oneOf(['on', 'off']).nullable().default(null),
    gameVersion: line(40),
    driverVersion: line(40),
  }).default(() => ({ ...plainConditions })),
  readings: object({
    cpuUse: usePercent(),
    cardUse: usePercent(),
    videoMemoryGb: finite().min(0).max(256).nullable().default(null),
    cpuC: celsius(),
    cardC: celsius(),
    wallW: finite().min(0).max(3000).nullable().default(null),
  }).default(() => ({ ...noReadings })),
  lowsCause: oneOf(lowsCauses).nullable().default(null),
  noise: oneOf(noises).nullable().default(null),
  feeling: oneOf(feelings).nullable().default(null),
  overruled: yesOrNo().default(false),
  buildId: text().nullable().default(null),
})
export type RunInput = InferType<typeof runSchema>
export const runPatchSchema = object({ overruled: yesOrNo(), deleted: yesOrNo() })

export const workTaskSchema = object({
  id: idText(),
  name: name(),
  unit: text().trim().required('what is counted?').max(30),
  lessIsBetter: yesOrNo().required(),
  threadsExponent: finite().min(0).max(1).required(),
  mostThreads: wholeFrom(1).max(1024).default(64),
})
export const workResultSchema = object({
  taskId: idText(),
  cpuId: idText(),
  value: finite().moreThan(0, '${path} must be more than 0').required('a figure is needed'),
  feeling: oneOf(feelings).nullable().default(null),
  kind: oneOf(['own-reading', 'published']).default('own-reading'),
  buildId: text().nullable().default(null),
  ranOn: calendarDate().required('a date is needed'),
  note: line(),
})

export const querySchema = object({
  must: array()
    .of(text().trim().required().max(60))
    .required()
    .min(1, 'at least one word must appear')
    .max(20),
  mustNot: array().of(text().trim().required().max(60)).default([]),
  variant: object({
    capacityGb: finite().moreThan(0),
    kitCount: wholeFrom(1),
    memoryGeneration: text(),
    module: oneOf(['desktop', 'laptop']),
    siblings: texts(),
  })
    .default(undefined)
    .optional(),
  conditions: array().of(oneOf(conditions).defined()).required().min(1, 'accept at least one condition'),
  manners: array().of(oneOf(manners).defined()).required().min(1, 'accept at least one manner of sale'),
  windowDays: wholeFrom(1).max(3650).required(),
  halfLifeDays: wholeFrom(1).max(3650).required(),
  role: oneOf(roles),
  makes: texts(),
  forgiveSlips: yesOrNo(),
  catchShare: share(),
  coveredDays: finite().moreThan(0),
})

const webAddress = () =>
  text()
    .required('an address is needed')
    .max(1000)
    .test(
      'url',
      '${path} must begin with http:// or https://',
      (value) => value === undefined || (/^https?:\/\//.test(value) && URL.canParse(value)),
    )
const everyMinutes = () => wholeFrom(5).max(10_080, '${path} must be a week at most')
export const connectorKindNames = {
  'sold-csv': 'sold records (CSV)',
  'lead-feed': 'leads (Atom, RSS or JSON feed)',
  'shop-csv': 'shop prices (CSV)',
} as const
export const connectorSchema = object({
  sourceId: idText(),
  kind: oneOf(['sold-csv', 'lead-feed', 'shop-csv']).required(),
  url: webAddress(),
  everyMinutes: everyMinutes().default(360),
  allowPrivate: yesOrNo().default(false),
})
export type ConnectorInput = InferType<typeof connectorSchema>
export const connectorPatchSchema = object({
  url: webAddress().optional(),
  everyMinutes: everyMinutes(),
  allowPrivate: yesOrNo(),
  paused: yesOrNo(),
})
export type ConnectorPatch = InferType<typeof connectorPatchSchema>

const changesOf = <T>(isValid: (value: unknown) => boolean, what: string) =>
  mixed<Record<string, T | null>>()
    .optional()
    .test(
      'changes',
      `\${path} must be an object of ${what}`,
      (value) =>
        value === undefined ||
        (typeof value === 'object' &&
          value !== null &&
          Object.values(value).every((each) => each === null || isValid(each))),
    )
export const leadPatchSchema = object({
  state: oneOf(['open', 'passed']),
  deleted: yesOrNo(),
  passReason: text().max(200),
  askedOn: calendarDate().nullable(),
  tripId: text().nullable(),
  answers: changesOf<Answer>((value) => value === 'yes' || value === 'no', 'yes, no or null'),
  signs: changesOf<boolean>((value) => typeof value === 'boolean', 'true, false or null'),
})
export const variantSchema = object({ name: name().max(80) })
export const carrySchema = object({
  partId: idText(),
  cpuId: idText(),
  months: finite().moreThan(0, 'how many months?').max(60).required(),
})
export const mendSchema = object({ key: text().required().max(400), way: wholeFrom(0).required() })
export const settledSchema = object({ key: text().required().max(400) })
export const swapSchema = object({
  partId: idText(),
  leadId: text().nullable().default(null),
  out: text().nullable().default(null),
})
export const tripSchema = object({
  name: name().max(60),
  km: finite().min(0).max(5000).required('how far, in km?'),
  fare: decimalText().default('0'),
  hours: finite().min(0).max(100).default(0),
})
export const saleSchema = object({
  day: calendarDate().required('a date is needed'),
  amount: decimalText().required('an amount is needed'),
  fee: decimalText().default('0'),
  buildId: idText(),
})
export const offerSchema = object({
  by: oneOf(['me', 'seller']).required(),
  amount: decimalText().nullable().default(null),
  day: calendarDate().required('a date is needed'),
  note: line(300),
})
export const paymentSchema = object({
  day: calendarDate().required('a date is needed'),
  amount: decimalText().required('an amount is needed'),
})
export const arrivalSchema = object({
  day: calendarDate().required('a date is needed'),
  verdict: oneOf(arrivalVerdicts).required(),
  foundPartId: text().nullable().default(null),
  checks: texts().default([]),
  note: line(500),
  returnBy: calendarDate().nullable().default(null),
})
export const returnSchema = object({
  state: oneOf(['to-send', 'sent', 'refunded']).required(),
  day: calendarDate().required('a date is needed'),
  amount: decimalText().nullable().default(null),
})
export const rebateStepSchema = object({
  state: oneOf(rebateStates).required(),
  day: calendarDate().required('a date is needed'),
})
export const entrySchema = object({
  day: calendarDate().required('a date is needed'),
  kind: oneOf(['fee', 'travel', 'sold', 'refunded', 'hours', 'correction']).required(),
  amount: decimalText({ min: 'any' }).default('0'),
  hours: finite().min(0).max(1000).default(0),
  text: text().trim().required('say what it was').max(200),
  correctsId: text().nullable().default(null),
})

export const lookoutSchema = object({ partId: idText(), limit: decimalText().required('a limit is needed') })
export const ownFigureSchema = object({
  amount: decimalText().required('a figure is needed'),
  note: line(200),
})
export const readSchema = object({ readOn: calendarDate().optional(), note: line(200) })
export const opinionSchema = object({
  partId: idText(),
  guide: name().max(80),
  saidOn: calendarDate().required('a date is needed'),
  verdict: oneOf(opinionVerdicts).required(),
  note: line(300),
})
export const waitNoteSchema = object({
  role: oneOf(roles).required(),
  partId: text().nullable().default(null),
  what: name(),
  expectedOn: calendarDate().required('a date is needed'),
  dropPercent: finite().min(-100).max(100).required('a drop in percent is needed'),
  chance: share().required('a chance is needed'),
})
export const recipeSchema = object({ name: name().max(80), partId: idText() })

export const exchangeRateSchema = object({
  date: calendarDate().required(),
  from: currencyCode().required(),
  to: currencyCode().required(),
  rate: text()
    .matches(/^\d{1,6}(\.\d{1,8})?$/, '${path} must be digits with a point')
    .required(),
})

export const librarySchema = object({
  format: oneOf(['tarvin-library']).required(),
  version: oneOf(['1']).required('${path} must be "1"'),
  sources: array().of(sourceSchema).default([]),
  parts: array().of(partSchema).default([]),
  workloads: array().of(workloadSchema).default([]),
  rivals: array()
    .of(rivalSchema.shape({ id: idText() }))
    .default([]),
  rates: array().of(exchangeRateSchema).default([]),
  shelf: array()
    .of(shelfSchema.shape({ id: idText() }))
    .default([]),
  runs: array()
    .of(runSchema.shape({ id: idText() }))
    .default([]),
  tasks: array().of(workTaskSchema).default([]),
  taskResults: array()
    .of(workResultSchema.shape({ id: idText() }))
    .default([]),
  leads: array()
    .of(leadSchema.shape({ id: idText() }))
    .default([]),
})
export type LibraryFile = InferType<typeof librarySchema>

const entryKindNames = Object.keys(entryKinds) as EntryKind[]
export const buildFileSchema = object({
  format: oneOf(['tarvin-build']).required('this is not a build file: "format" must be "tarvin-build"'),
  version: oneOf(['1']).required(),
  brief: briefSchema.required(),
  choices: array()
    .of(choiceSchema.shape({ paidOn: calendarDate().nullable().default(null) }))
    .default([]),
  rivals: array().of(text().required()).default([]),
  /** `choice` and `corrects` count from 0 in this file's own lists. */
  ledger: array()
    .of(
      object({
        day: calendarDate().required(),
        kind: oneOf(entryKindNames).required(),
        cash: decimalText({ min: 'any' }).required(),
        hours: finite().default(0),
        text: line(),
        choice: wholeFrom(0).nullable().default(null),
        corrects: wholeFrom(0).nullable().default(null),
      }),
    )
    .default([]),
  offers: array()
    .of(
      object({
        leadId: idText(),
        by: oneOf(['me', 'seller']).required(),
        amount: decimalText().nullable().default(null),
        day: calendarDate().required(),
        note: line(),
      }),
    )
    .default([]),
  arrivals: array()
    .of(
      arrivalSchema.shape({
        choice: wholeFrom(0).required(),
        returnState: oneOf(['to-send', 'sent', 'refunded']).nullable().default(null),
      }),
    )
    .default([]),
  library: librarySchema.required(),
})
export type BuildFile = InferType<typeof buildFileSchema>
