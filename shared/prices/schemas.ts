import { array, object } from 'yup'
import { roles } from '#core/parts/part'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import { opinionVerdicts } from '#core/supply/ways/opinions'
import {
  calendarDate,
  currencyCode,
  decimalText,
  finite,
  idText,
  line,
  name,
  oneOf,
  share,
  text,
  texts,
  trimmed,
  wholeFrom,
  yesOrNo,
} from '../fields'

export const querySchema = object({
  must: array().of(trimmed().required().max(60)).required().min(1, 'enter at least one word').max(20),
  mustNot: array().of(trimmed().required().max(60)).default([]),
  variant: object({
    capacityGb: finite().moreThan(0),
    kitCount: wholeFrom(1),
    memoryGeneration: text(),
    module: oneOf(['desktop', 'laptop']),
    interface: oneOf(['sata', 'nvme']),
    formFactor: text().max(20),
    speedMts: wholeFrom(1),
    cores: wholeFrom(1),
    socket: text().max(40),
    siblings: texts(),
  })
    .default(undefined)
    .optional(),
  conditions: array().of(oneOf(conditions).defined()).required().min(1, 'accept at least one condition'),
  manners: array().of(oneOf(manners).defined()).required().min(1, 'accept at least one sale type'),
  windowDays: wholeFrom(1).max(3650).required(),
  halfLifeDays: wholeFrom(1).max(3650).required(),
  role: oneOf(roles),
  makes: texts(),
  forgiveSlips: yesOrNo(),
  catchShare: share(),
  coveredDays: finite().moreThan(0),
})

export const lookoutSchema = object({ partId: idText(), limit: decimalText().required('enter a limit') })

export const ownFigureSchema = object({
  amount: decimalText().required('enter a figure'),
  note: line(200),
})

export const readSchema = object({ readOn: calendarDate().optional(), note: line(200) })

export const opinionSchema = object({
  partId: idText(),
  guide: name().max(80),
  saidOn: calendarDate().required('enter a date'),
  verdict: oneOf(opinionVerdicts).required(),
  note: line(300),
})

export const waitNoteSchema = object({
  role: oneOf(roles).required(),
  partId: text().nullable().default(null),
  what: name(),
  expectedOn: calendarDate().required('enter a date'),
  dropPercent: finite().min(-100).max(100).required('enter the price drop in percent'),
  chance: share().required('enter a chance'),
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

/** The builder's word on records. */
export const overridesSchema = object({
  recordIds: array().of(wholeFrom(1).required()).required().min(1).max(20_000),
  decision: oneOf(['keep', 'drop']).nullable().defined(),
})

/** The words of a query that is tried out. */
export const poolSchema = object({ must: array().of(trimmed().required().max(60)).required().max(20) })

export const applyRecipeSchema = object({ recipeId: text().required('choose a saved query') })

/** The lead whose hit of a watch has been seen. */
export const seenSchema = object({ leadId: text().required('choose a lead') })
