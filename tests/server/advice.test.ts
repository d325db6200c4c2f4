import { afterEach, beforeEach, expect, test } from 'vitest'
import { adviceSheet } from '#core/files/advice/adviceSheet'
import { addChoice } from '#server/places/machine/choices'
import { adviceViews, openAdvice, settleAdvice } from '#server/places/machine/advice'
import { buildView } from '#server/places/builds/buildView'
import { editionOf, freezeEdition } from '#server/places/builds/editions'
import { choiceSchema } from '#shared/machine/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** Advice goes out on a sheet and comes back beside the lines, on a real database. */
let market: MarketWithBuild
beforeEach(async () => {
  market = await marketWithBuild()
})
afterEach(async () => market.close())

test('goes out, comes back, is taken and declined; a swap without a price cannot be taken', async () => {
  const { db, build } = market
  const hunt = (partId: string, limit: string) =>
    addChoice(db, build, choiceSchema.validateSync({ kind: 'hunt', partId, limit }), today)
  await hunt('better', '190.00')
  await hunt('board', '61.00')
  const sheet = adviceSheet(await editionOf(db, await freezeEdition(db, build, 'asked', today)))
  const [, first = '', second = ''] = sheet.split(/\n(?=\d\. |All of it)/)
  const filled = sheet
    .replace('From:', 'From: Ottilie')
    .replace(first, first.replace('instead:', 'instead: Tarn 640 8 GB will do'))
    .replace(second, second.replace('remark:', 'remark: fine').replace('instead:', 'instead: Nonsuch 9'))
  const opened = await openAdvice(db, build, filled, today)
  expect(opened.map(({ line, by, swap }) => [line, by, swap?.partId ?? null, swap?.out ?? null])).toEqual([
    ['Murrowdun Tarn 660 10 GB', 'Ottilie', 'card', 'better'],
    ['Northpine Fell B2', 'Ottilie', null, null],
  ])
  // the hunt of 190.00 against the street price of the other
  const { more, way } = opened[0]!.swap!
  const street = (await buildView(db, build, today)).choices.find(({ label }) =>
    label.includes('660'),
  )!.payNow!
  expect(street + more!).toBeGreaterThan(12_000)
  expect(more).toBeLessThan(-4000)
  expect(way).not.toBeNull()
  await settleAdvice(db, build, opened[0]!.id, 'taken', today)
  await settleAdvice(db, build, opened[1]!.id, 'declined', today)
  expect((await buildView(db, build, today)).parts.map(({ id }) => id).sort()).toEqual(['board', 'card'])
  expect((await adviceViews(db, build, today)).map(({ state }) => state)).toEqual(['taken', 'declined'])
  // one that nobody sells is said to be so
  await openAdvice(db, build, `1. Murrowdun Tarn 640 8 GB\n instead: Tarn 660 10 GB`, today)
  const [open] = await adviceViews(db, build, today)
  expect(open!.swap).toMatchObject({ partId: 'better', way: null, more: null })
  await expect(settleAdvice(db, build, open!.id, 'taken', today)).rejects.toThrow('has no price today')
  await expect(settleAdvice(db, build, 'nobody', 'declined', today)).rejects.toThrow('there is no remark')
})
