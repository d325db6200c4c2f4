import { object, type InferType } from 'yup'
import { decimalText, oneOf, texts, wholeFrom } from '../fields'
import { array } from 'yup'

/** What the worth of a machine today is read from. */
export const worthBases = ['parts', 'machines', 'own'] as const
export type WorthBasis = (typeof worthBases)[number]

/** How a machine is valued as a whole. */
export interface Selling {
  readonly basis: WorthBasis
  /** The builder's own figure, minor units of the build's currency. */
  readonly own: number | null
  /** Words that a machine like it must have in its title; null: those of its card and CPU. */
  readonly must: readonly string[] | null
  readonly mustNot: readonly string[]
  /** Sold records that the builder left out. */
  readonly leftOut: readonly number[]
}

export const partsAlone: Selling = { basis: 'parts', own: null, must: null, mustNot: [], leftOut: [] }

/** The same as a form states it. */
export const sellingSchema = object({
  basis: oneOf(worthBases).required('choose what the value is based on'),
  own: decimalText()
    .nullable()
    .default(null)
    .when('basis', { is: 'own', then: (field) => field.required('enter your own figure') }),
  must: texts().max(12).nullable().default(null),
  mustNot: texts().max(40).default([]),
  leftOut: array().of(wholeFrom(1).required()).max(500).default([]),
})
/** A change of it: what is not said stays as it is, whatever another tab has done meanwhile. */
export const sellingChangeSchema = object({
  basis: oneOf(worthBases).optional(),
  own: decimalText().nullable().optional(),
  must: texts().max(12).nullable().optional().default(undefined),
  mustNot: texts().max(40).optional().default(undefined),
  leftOut: array().of(wholeFrom(1).required()).max(500).optional().default(undefined),
})
export type SellingChange = InferType<typeof sellingChangeSchema>
export type SellingInput = InferType<typeof sellingSchema>
