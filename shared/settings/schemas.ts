import { object, type InferType } from 'yup'
import { moneyGroup, type MoneyKey } from '#core/assumptions/money'
import { currencyCode, decimalText, finite, oneOf, text } from '../fields'

const moneyKeys = Object.keys(moneyGroup) as MoneyKey[]

/** A figure in place of an assumption; null takes it back to the default. */
export const assumptionSchema = object({
  key: text().required().max(120),
  value: finite().nullable().defined(),
})

/** The same for an assumption in money: amount and currency, or null. */
export const moneySchema = object({
  key: oneOf(moneyKeys).required(),
  value: object({
    amount: decimalText().required('enter an amount'),
    currency: currencyCode().required('choose a currency'),
  })
    .nullable()
    .defined()
    .default(undefined),
})
export type MoneyInput = InferType<typeof moneySchema>

export const homeSchema = object({ currency: currencyCode().required('choose a currency') })

export const passphraseSchema = object({ passphrase: text().required('enter a passphrase').max(200) })

/** `everywhere=1`: the sessions of all browsers end. */
export const sessionQuery = object({ everywhere: oneOf(['', '1']).default('') })
