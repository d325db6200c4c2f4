import { CoreError } from '../errors/coreError'

/** ISO 4217 code, upper case. */
export type Currency = string

/**
 * An amount in integer minor units (cents, öre, yen) beside its currency. `C` may be narrowed to a literal
 * (`Money<'CAD'>`), so that adding CAD to SEK does not compile; at run time it is refused as well.
 */
export interface Money<C extends Currency = Currency> {
  readonly amount: number
  readonly currency: C
}

/** Makes money; throws `amount-not-integer` for fractions of a minor unit, NaN and amounts past 2^53. */
export function money<const C extends Currency>(amount: number, currency: C): Money<C> {
  if (!Number.isSafeInteger(amount)) {
    throw new CoreError('amount-not-integer', { amount })
  }
  return { amount: amount === 0 ? 0 : amount, currency }
}

/** Adds two amounts of one currency; throws `currency-mismatch` otherwise. */
export function addMoney<C extends Currency>(a: Money<C>, b: Money<NoInfer<C>>): Money<C> {
  assertSameCurrency(a, b)
  return money(a.amount + b.amount, a.currency)
}

/** a − b in one currency; throws `currency-mismatch` otherwise. */
export function subtractMoney<C extends Currency>(a: Money<C>, b: Money<NoInfer<C>>): Money<C> {
  assertSameCurrency(a, b)
  return money(a.amount - b.amount, a.currency)
}

/** Sums a list; an empty list is zero of `currency`. Throws `currency-mismatch` on a stray currency. */
export function sumMoney<C extends Currency>(list: readonly Money<C>[], currency: C): Money<C> {
  return list.reduce((sum, each) => addMoney(sum, each), money(0, currency) as Money<C>)
}

function assertSameCurrency(a: Money, b: Money): void {
  if (a.currency !== b.currency) {
    throw new CoreError('currency-mismatch', { currency: a.currency, currency2: b.currency })
  }
}
