import { array, mixed, object, type InferType } from 'yup'
import { scopes } from '#core/ledger/scopes'
import { houseRulesSchema, targetSchema } from '../brief/schemas'
import { calendarDate, decimalText, finite, idText, line, oneOf, text, yesOrNo } from '../fields'

/** A hunt as it stands in a change; the limit in the build's currency. */
const huntSchema = object({
  part: idText().required(),
  condition: oneOf(['used', 'new']).nullable(),
  limit: decimalText().nullable(),
})

const rivalPriceSchema = object({ id: idText().required(), price: decimalText().required() })

/** What a change of that kind must say. */
const needed = {
  remove: ['choice'],
  'leave-out': ['line', 'part'],
  'bring-in': ['line', 'part'],
  sell: ['item'],
  limit: ['choice'],
  group: ['choice'],
  settle: ['finding'],
  price: ['lead', 'amount'],
  answer: ['lead', 'fact'],
  trip: ['lead'],
  'trade-in': ['lead'],
  brief: [],
  fact: ['of', 'name'],
  weigh: [],
} as const

/** A change of what is chosen; see `core/whatif/change.ts`. Of a choice exactly one of lead, hunt and item. */
const changeSchema = object({
  kind: oneOf(['choose', ...(Object.keys(needed) as (keyof typeof needed)[])]).required(),
  lead: text().max(120),
  hunt: huntSchema.default(undefined).optional(),
  item: text().max(120).nullable(),
  scope: oneOf(scopes),
  reason: line(300),
  keepBoth: yesOrNo(),
  choice: text().max(120),
  line: text().max(120),
  part: text().max(120),
  limit: decimalText().nullable(),
  order: text().max(120).nullable(),
  finding: text().max(400),
  amount: decimalText(),
  credit: decimalText().nullable(),
  fact: text().max(120),
  value: mixed<string | number | boolean | object>().nullable(),
  trip: text().max(120).nullable(),
  of: text().max(120),
  name: text().max(60),
  // of a brief, and of what it is weighed by, what is left out stays as it is
  budget: decimalText(),
  stretch: decimalText(),
  wantedBy: calendarDate().nullable(),
  targets: array().of(targetSchema.required()).max(20).optional(),
  houseRules: houseRulesSchema.default(undefined).optional(),
  years: finite().min(0.5).max(20),
  fullHours: finite().min(0).max(24),
  idleHours: finite().min(0).max(24),
  tariff: finite().min(0).max(1_000_000),
  perHour: decimalText(),
  rival: rivalPriceSchema.default(undefined).optional(),
})
  .test(
    'one-of-three',
    'choose a lead, a hunt or an item',
    ({ kind, lead, hunt, item }) =>
      kind !== 'choose' || [lead, hunt, item].filter((each) => each !== undefined).length === 1,
  )
  .test('complete', '', function complete(change) {
    const { kind } = change
    // what kind it is not is said of the kind itself
    if (kind === 'choose' || !(kind in needed)) return true
    const missing = (needed[kind] as readonly (keyof typeof change)[]).find(
      (member) => change[member] === undefined,
    )
    return missing === undefined
      ? true
      : this.createError({
          path: `${this.path}.${missing}`,
          message: `a change "${kind}" needs "${missing}"`,
        })
  })

export const whatIfSchema = object({ changes: array().of(changeSchema.required()).max(60).required() })
export type ChangeInput = InferType<typeof changeSchema>
