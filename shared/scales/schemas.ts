import { array, mixed, object, type InferType } from 'yup'
import { playStyles, type PlayStyle } from '#core/comparison/verdict/playStyles'
import { decimalText, finite, oneOf, text, yesOrNo } from '../fields'

/** The things of the product as forms, routes and files state them: one schema each. Amounts are decimal strings. */

const playStyleNames = Object.keys(playStyles) as PlayStyle[]

export const weighingSchema = object({
  years: finite().min(0.5).max(15).default(3),
  style: oneOf(playStyleNames).default('couch'),
  basis: oneOf(['anyone', 'paid']).default('anyone'),
  assumeWorth: yesOrNo().default(false),
  gamesPerYear: finite().min(0).max(200).default(4),
  usualShipping: decimalText().nullable().default(null),
  off: array().of(text().defined().max(40)).max(40).default([]),
  builds: array().of(text().defined().max(120)).max(3, 'compare at most three others at a time').default([]),
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

/** Beside which machine. */
export const levelSchema = object({ rivalId: text().required() })

/** What is planned: a machine that matches the rival, or the fastest that takes no more to own. */
export const rivalQuestionSchema = object({
  goal: oneOf(['match', 'spend']).required(),
  rivalId: text().required(),
})

/** The machines a build is compared with, in their order. */
export const rivalsOfBuildSchema = object({ rivals: array().of(text().required()).required().max(20) })
