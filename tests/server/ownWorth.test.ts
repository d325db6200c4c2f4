import { afterEach, beforeEach, expect, test } from 'vitest'
import { addChoice } from '#server/places/machine/choices'
import { buildView } from '#server/places/builds/buildView'
import { choiceSchema } from '#shared/machine/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** A part that no record and no shop knows, on the scales. */
let market: MarketWithBuild
beforeEach(async () => {
  market = await marketWithBuild()
})
afterEach(async () => market.close())

test('what is paid for it stands in for a replacement; what it fetches is not known, and said so', async () => {
  const { db, build } = market
  await addChoice(
    db,
    build,
    choiceSchema.validateSync({ kind: 'hunt', partId: 'better', condition: 'used', limit: '200.00' }),
    today,
  )
  const view = await buildView(db, build, today)
  const arrival = view.receipt.totals.expected! - view.receipt.totals.payNow!
  const step = (name: string) => view.weighing.own.cost.steps.find(({ id }) => id === name)?.amount ?? 0
  // a card fails with 3 % a year: 200.00 · 0.03 · 3 = 18.00, and what is dead on arrival once
  expect(step('faults')).toBe(1800 + arrival)
  expect(step('value-left')).toBe(0)
  expect(view.weighing.terms.worthUnknown).toEqual(['Murrowdun Tarn 660 10 GB'])
})
