import { array, object, type InferType } from 'yup'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import {
  calendarDate,
  currencyCode,
  decimalText,
  finite,
  idText,
  name,
  oneOf,
  text,
  trimmed,
  wholeFrom,
} from '../fields'
import { leadSchema } from '../leads/schemas'
import { partSchema } from '../parts/schemas'
import { meaningsSchema, sourceKindNames, type Meanings } from '../sources/schemas'

/** Ids of what a paste has made, by table. */
export interface PasteMade {
  readonly sources: readonly string[]
  readonly parts: readonly string[]
  readonly choices: readonly string[]
  readonly leads: readonly string[]
  /** How many past sales were added; they bear the number of the paste. Left out by pastes of before. */
  readonly sales?: number
  /** Indexes as they were before; null: not known. Left out by pastes of before. */
  readonly indexes?: readonly {
    /** What the paste wrote: one changed by hand since stays. */
    readonly after: number
    readonly partId: string
    readonly fact: IndexFact
    readonly before: number | null
  }[]
  readonly shopPrices?: readonly ShopPriceMade[]
  /** What the words of a source meant before. */
  readonly meanings?: { readonly sourceId: string; readonly before: Meanings | null } | undefined
}

/** A shop price that a paste wrote, and what stood there before; amounts in minor units. */
export interface ShopPriceMade {
  readonly sourceId: string
  readonly partId: string
  readonly date: string
  readonly after: PriceOfDay
  readonly before: PriceOfDay | null
}

interface PriceOfDay {
  readonly price: number
  readonly currency: string
}

export const indexFacts = ['cpuIndex', 'graphicsIndex'] as const
export type IndexFact = (typeof indexFacts)[number]

const pastedSale = object({
  title: trimmed().required('enter a title').max(500),
  price: decimalText().required('enter a price'),
  /** Null: not said; counts as nothing, and is told. */
  shipping: decimalText().nullable().default(null),
  currency: currencyCode().required(),
  soldOn: calendarDate().required('enter the sale date'),
  manner: oneOf(manners).default('fixed'),
  condition: oneOf(conditions).default('used'),
  quantity: wholeFrom(1).nullable().default(null),
})

/** A part to be taken into a build at once, as a hunt. */
const pastedHunt = object({
  buildId: text().required(),
  partId: idText(),
  limit: decimalText().nullable().default(null),
  condition: oneOf(['used', 'new']).nullable().default(null),
})

/** The index that a table of scores gives a part. */
const pastedIndex = object({
  partId: idText(),
  fact: oneOf(indexFacts).required(),
  value: finite().moreThan(0, 'an index must be more than 0').max(100_000).required(),
})

/** What the source of the paste asks for a part today. */
const pastedShopPrice = object({
  partId: idText(),
  price: decimalText().required('enter a price'),
  currency: currencyCode().required(),
})

/** What a paste is to leave behind: all of it or nothing. */
export const pasteSchema = object({
  /** A source that is made where no one of the name is there. */
  source: object({
    name: name(),
    kind: oneOf(Object.keys(sourceKindNames) as (keyof typeof sourceKindNames)[]).default('auction'),
    currency: currencyCode().required(),
  })
    .nullable()
    .default(null),
  sales: array().of(pastedSale.required()).max(20_000).default([]),
  parts: array().of(partSchema.required()).max(200).default([]),
  indexes: array().of(pastedIndex.required()).max(2000).default([]),
  hunts: array().of(pastedHunt.required()).max(200).default([]),
  leads: array().of(leadSchema.required()).max(200).default([]),
  shopPrices: array().of(pastedShopPrice.required()).max(500).default([]),
  /** What words of the paste mean; remembered by its source. */
  meanings: meaningsSchema.nullable().default(null),
})
export type PasteInput = InferType<typeof pasteSchema>

/** Sales of a paste of which it is asked whether they are kept already. */
export const doublesSchema = object({
  source: name(),
  sales: array()
    .of(
      object({
        title: trimmed().required('enter a title').max(500),
        price: decimalText().required('enter a price'),
        currency: currencyCode().required(),
        soldOn: calendarDate().required('enter the sale date'),
      }).required(),
    )
    .max(20_000)
    .default([]),
})
export type DoublesInput = InferType<typeof doublesSchema>

export const pasteUndoSchema = object({ paste: wholeFrom(1).required() })
