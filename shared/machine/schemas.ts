import { array, number, object, type InferType } from 'yup'
import { scopes } from '#core/ledger/scopes'
import { roles } from '#core/parts/part'
import { decimalText, idText, line, oneOf, text, wholeFrom, yesOrNo } from '../fields'

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
  /** A hunt for a used or a new part; null: as the house and the market have it. */
  condition: oneOf(['used', 'new']).nullable().default(null),
  scope: oneOf(scopes).default('core'),
  reason: line(300),
  /** Beside what fills the role already; else it takes its place where there is room for one. */
  keepBoth: yesOrNo().default(false),
})

/** A choice as it is asked for; a hunt that says nothing of its condition is for a used or a new part. */
export type ChoiceInput = Omit<InferType<typeof choiceSchema>, 'condition' | 'keepBoth'> & {
  readonly condition?: 'used' | 'new' | null
  readonly keepBoth?: boolean
}

export const choicePatchSchema = object({
  scope: oneOf(scopes),
  reason: text().max(300),
  limit: decimalText().nullable(),
  condition: oneOf(['used', 'new']).nullable(),
  leftOut: array().of(text().defined().max(120)).max(40).optional(),
})

/** `?partId=…&cpuId=…&months=…`: a card that moves to a next machine. */
export const carryQuery = object({
  partId: idText(),
  cpuId: idText(),
  months: number().moreThan(0, 'enter the number of months').max(60).required(),
})

export const fixSchema = object({ key: text().required().max(400), way: wholeFrom(0).required() })

export const settledSchema = object({ key: text().required().max(400) })

/** A line of the assembly sheet, as it reads, ticked or not. */
export const assembledSchema = object({
  line: text().required().max(400),
  isDone: yesOrNo().required(),
})

/** A way taken in place of a part of the machine, or of none. */
export const swapSchema = object({
  way: text().required().max(240),
  out: text().nullable().default(null),
})

/** A sheet of advice as it came back. */
export const adviceSchema = object({ text: text().required('paste the filled-in sheet').max(200_000) })

/** What becomes of a remark: open again, taken, or declined. */
export const adviceStateSchema = object({
  state: oneOf(['open', 'taken', 'declined']).required(),
})

/** `?in=ID`: the build that is shown, where a variant shows what it shares. */
export const choiceOfQuery = object({ in: text().default('') })

/** `?role=…`: upgrades of one role alone. */
export const stepsQuery = object({ role: oneOf(roles) })
