import { inArray } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { parts } from '#server/db/schema/parts'
import type { rivals } from '#server/db/schema/rivals'
import { rivalRates } from '#server/db/schema/rivals'
import type { LibraryFile } from '#shared/parts/libraryFile'
import { rivalSchema, type RivalInput } from '#shared/rivals/schemas'

/** Refuses a rival that names a part which is not in the library. */
export async function rivalNamesParts(tx: Queryable, path: string, rival: RivalInput): Promise<void> {
  const wanted = [rival.cpuId, rival.graphicsId].filter((id): id is string => id !== null)
  if (wanted.length === 0) return
  const found = await tx.select({ id: parts.id }).from(parts).where(inArray(parts.id, wanted))
  const missing = wanted.find((id) => !found.some((part) => part.id === id))
  if (missing !== undefined)
    throw new CoreError('rival-of-unknown-part', { name: rival.name, id: missing }, path)
}

export function rivalRow(
  id: string,
  {
    price,
    shipping,
    subscriptionPerYear,
    gameSurcharge,
    resaleToday,
    extras,
    rates: _rates,
    ...rival
  }: RivalInput,
) {
  const amount = (text: string, path: string) => parseDecimal(text, rival.currency, path)
  return {
    ...rival,
    id,
    price: amount(price, 'price'),
    shipping: amount(shipping, 'shipping'),
    subscriptionPerYear: amount(subscriptionPerYear, 'subscriptionPerYear'),
    gameSurcharge: amount(gameSurcharge, 'gameSurcharge'),
    resaleToday: resaleToday === null ? null : amount(resaleToday, 'resaleToday'),
    extras: extras.map(({ label, worth }, index) => ({
      label,
      worth: amount(worth, `extras[${index}].worth`),
    })),
    brings: rival.brings as never,
    notStated: (rival.notStated ?? []) as string[],
    equivalents: [...rival.equivalents],
  }
}

/** A rival as its form and its files state it. */
export function rivalInput(
  {
    deletedAt: _deletedAt,
    price,
    shipping,
    subscriptionPerYear,
    gameSurcharge,
    resaleToday,
    extras,
    parts: said,
    ...rival
  }: typeof rivals.$inferSelect,
  rates: readonly (typeof rivalRates.$inferSelect)[],
): LibraryFile['rivals'][number] {
  const decimal = (amount: number) => toDecimal(amount, rival.currency)
  return {
    ...rival,
    price: decimal(price),
    shipping: decimal(shipping),
    subscriptionPerYear: decimal(subscriptionPerYear),
    gameSurcharge: decimal(gameSurcharge),
    resaleToday: resaleToday === null ? null : decimal(resaleToday),
    extras: extras.map(({ label, worth }) => ({ label, worth: decimal(worth) })),
    parts: { ...rivalSchema.getDefault().parts, ...said },
    rates: rates
      .filter((rate) => rate.rivalId === rival.id)
      .map(({ workloadId, width, height, preset, averageFps, lowFps, note }) => ({
        workloadId,
        width,
        height,
        preset,
        averageFps,
        lowFps,
        note,
      })),
  }
}

export async function insertRivalRates(tx: Queryable, rivalId: string, rival: RivalInput): Promise<void> {
  for (const rate of rival.rates) await tx.insert(rivalRates).values({ ...rate, id: newId('rate'), rivalId })
}
