import { splitLot } from '#core/supply/lots/splitLot'
import { parseDecimal } from '#core/money/decimal'
import type { LotRequest } from '#shared/calc/schemas'

/** `POST /api/calc/lot`: decimal strings in, minor units out. */
export function calcLot({ currency, landed, things }: LotRequest) {
  const amount = (text: string | undefined, path: string) =>
    text === undefined ? 0 : parseDecimal(text, currency, path)
  return splitLot(
    currency,
    amount(landed, 'landed'),
    things.map(({ id, plan, sellsProbability, feePercent, ...thing }, index) => ({
      id,
      plan,
      streetPrice: amount(thing.streetPrice, `things[${index}].streetPrice`),
      shipping: amount(thing.shipping, `things[${index}].shipping`),
      fixedFee: amount(thing.fixedFee, `things[${index}].fixedFee`),
      ...(sellsProbability === undefined ? {} : { sellsProbability }),
      ...(feePercent === undefined ? {} : { feePercent }),
    })),
  )
}
