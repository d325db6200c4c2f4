import { afterEach, beforeEach, expect, test } from 'vitest'
import { soldRecords } from '#server/db/schema/prices'
import { exportBuild, importBuild } from '#server/places/builds/buildFile'
import { buildView } from '#server/places/builds/buildView'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { ledgerView } from '#server/places/ledger/ledgerView'
import { setSelling } from '#server/places/ledger/selling'
import { addChoice } from '#server/places/machine/choices'
import { setRate } from '#server/places/settings/rates'
import { buildFileSchema } from '#shared/builds/buildFile'
import { sellingChangeSchema } from '#shared/ledger/selling'
import { choiceSchema } from '#shared/machine/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { undoLast } from './purchases'

/** A machine to be sold: what such machines went for, its own figure, and what follows from either. */
let place: MarketWithBuild
beforeEach(async () => {
  place = await marketWithBuild()
  for (const [index, [title, price]] of [
    ['Gaming PC Tarn 640 8GB, 16GB, 500GB', 300_00],
    ['Tower PC with Tarn 640, 16GB RAM', 320_00],
    ['gaming computer Tarn 640 16GB 1TB', 340_00],
    ['Gaming laptop Tarn 640 16GB', 500_00],
    ['Gaming PC Tarn 640, not booting', 120_00],
  ].entries())
    await place.db.insert(soldRecords).values({
      source: 'Barnstall',
      externalId: `machine-${index}`,
      title: title as string,
      price: price as number,
      shipping: 0,
      currency: 'CAD',
      soldOn: today,
      manner: 'local',
      condition: 'used',
    })
  await hunt('card', '130.00')
})
afterEach(() => place.close())

const hunt = (partId: string, limit: string) =>
  addChoice(
    place.db,
    place.build,
    choiceSchema.validateSync({ kind: 'hunt', partId, limit, condition: 'used' }),
    today,
  )
const set = (change: object) =>
  setSelling(place.db, place.build, sellingChangeSchema.validateSync(change), today)
const shown = async () => {
  const [view, ledger] = [
    await buildView(place.db, place.build, today),
    await ledgerView(place.db, place.build, today),
  ]
  const { worthToday, profit } = view.receipt.account
  return { ...ledger, worth: worthToday?.amount ?? null, profit: profit?.amount ?? null }
}

test('machines like it: three of five titles, typical 320.00; whole against parts; what to ask week by week', async () => {
  const { selling, resale } = await shown()
  expect(selling.machines!.comps.map(({ price }) => price).sort()).toEqual([300_00, 320_00, 340_00])
  expect(resale.machines).toMatchObject({ gross: 320_00, net: 320_00, profit: 190_00 })
  expect(resale.better).toBe('machines')
  expect(selling.ladder).toHaveLength(6)
  expect(selling.ladder.at(-1)!.least).toBe(resale.parting.net)
  expect(selling.ladder[0]!.ask).toBe(Math.round(selling.ladder[0]!.price / 0.9))
})

test('worth today by its parts, by machines once it is whole, by the builder’s own figure; profit follows; undo', async () => {
  const byParts = await shown()
  expect(byParts.profit).toBe(byParts.worth! - 130_00)
  await set({ basis: 'machines' })
  // no CPU, no memory: nothing like it was sold
  expect(await shown()).toMatchObject({ worth: null, profit: null })
  await set({ basis: 'own', own: '350.00' })
  expect(await shown()).toMatchObject({ worth: 350_00, profit: 220_00 })
  await setRate(place.db, { date: today, from: 'CAD', to: 'SEK', rate: '8', bothWays: true }, today)
  await saveBrief(
    place.db,
    place.build,
    { ...(await briefOf(place.db, place.build)), currency: 'SEK' },
    today,
  )
  expect((await shown()).worth).toBe(2800_00)
  await saveBrief(
    place.db,
    place.build,
    { ...(await briefOf(place.db, place.build)), currency: 'CAD' },
    today,
  )
  await undoLast(place.db)
  expect((await shown()).worth).toBeNull()
  await undoLast(place.db)
  expect((await shown()).worth).toBe(byParts.worth)
})

test('two tabs: each changes what it says, and undoes nothing of the other; an own figure is said before it counts', async () => {
  const [comp] = (await shown()).selling.machines!.comps
  await Promise.all([set({ leftOut: [comp!.id] }), set({ mustNot: ['rgb'] })])
  await set({ basis: 'machines' })
  expect((await shown()).selling).toMatchObject({ basis: 'machines', leftOut: [comp!.id], mustNot: ['rgb'] })
  await expect(set({ basis: 'own' })).rejects.toMatchObject({ code: 'no-figure', path: 'own' })
})

test('the own figure travels in a build file', async () => {
  await set({ basis: 'own', own: '350.00', must: ['tower'] })
  const file = buildFileSchema.validateSync(await exportBuild(place.db, place.build))
  const id = await importBuild(place.db, file, today)
  expect((await ledgerView(place.db, id, today)).selling).toMatchObject({
    basis: 'own',
    own: 350_00,
    must: ['tower'],
  })
})

test('the builder’s word on records and words holds', async () => {
  const [first] = (await shown()).selling.machines!.comps.filter(({ price }) => price === 340_00)
  await set({ leftOut: [first!.id] })
  expect((await shown()).resale.machines!.gross).toBe(310_00)
  expect((await shown()).selling.machines!.comps.find(({ id }) => id === first!.id)!.isLeftOut).toBe(true)
  await set({ must: ['tower'] })
  expect((await shown()).selling.machines).toMatchObject({ like: 'named tower', typical: 320_00 })
  await set({ must: ['submarine'] })
  expect((await shown()).resale.machines).toBeNull()
  expect((await shown()).selling.ladder).toEqual([])
})
