import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { briefSchema } from '#shared/brief/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { catalogue } from '../../demo/catalogue'
import type { OpenDatabase } from '#server/db/client'
import { addChoice } from '#server/places/machine/choices'
import { createBuild } from '#server/places/builds/builds'
import { exportBuild } from '#server/places/builds/buildFile'
import { buildView } from '#server/places/builds/buildView'
import { importLibrary } from '#server/places/parts/importLibrary'
import { exportParts } from '#server/places/parts/parts'
import { carryView } from '#server/places/machine/readCarry'
import { setAssembled } from '#server/places/machine/assembled'
import { machineView } from '#server/places/machine/readMachine'
import { swap, takeWay, unsettle } from '#server/places/machine/fix'
import { itemsOf, itemStep, pay } from './purchases'
import { stepsView } from '#server/places/machine/readSteps'
import {
  changeInherited,
  createVariant,
  isInherited,
  setDropped,
  variantsView,
} from '#server/places/builds/variants'
import { importRecordsText } from './importText'
import { openTestDatabase, temporaryFolder } from './testDatabase'

/** The machine of a build over the demo's library, against a real database file. */
const today = '2026-10-31'
let folder: string
let database: OpenDatabase
let build: string
const workload = {
  id: 'run',
  name: 'Harbour Run',
  kind: 'racing',
  graphicsMs: 4.6,
  cpuMs: 7.6,
  pixelExponent: 0.85,
  threadsWanted: 8,
  lowShare: { graphics: 0.8, cpu: 0.7 },
  presets: { high: { graphics: 1, cpu: 1, videoMemoryGb: 6 } },
}
const records = [
  'id,source,title,price,date',
  ...[
    'Murrowdun Tarn 620 8 GB',
    'Murrowdun Tarn 640 8 GB',
    'Murrowdun Tarn 660 10 GB',
    'Barrowcase Barrow Plain',
    'Barrowcase Barrow Six',
    'Northpine N2 micro',
    'Kaldric Sallowfen 4360',
  ].flatMap((title, at) =>
    Array.from(
      { length: 8 },
      (_, i) =>
        `${at}-${i},Gavelry,${title} number ${i},${[112, 131, 189, 19, 34, 38, 38][at]! + i}.00,2026-10-${10 + i}`,
    ),
  ),
].join('\n')
const hunt = (partId: string) =>
  addChoice(database.db, build, choiceSchema.validateSync({ kind: 'hunt', partId, limit: '10.00' }), today)
const view = (id = build) => buildView(database.db, id, today)
const finding = async (ruleId: string, id = build) =>
  (await view(id)).fit.findings.find((each) => each.ruleId === ruleId)

beforeEach(async () => {
  folder = temporaryFolder()
  database = await openTestDatabase(join(folder, 'machine.db'))
  await importLibrary(
    database.db,
    librarySchema.validateSync({
      format: 'tarvin-library',
      version: '1',
      parts: catalogue.map(({ id, role, make, name, facts }) => ({ id, role, make, name, facts })),
      workloads: [workload],
    }),
  )
  await importRecordsText(database, records)
  build = await createBuild(
    database.db,
    briefSchema.validateSync({
      name: 'Small',
      currency: 'CAD',
      budget: '400.00',
      stretch: '450.00',
      targets: [{ workloadId: 'run', width: 1920, height: 1080, preset: 'high', averageFps: 60 }],
    }),
    today,
  )
})
afterEach(() => {
  database.client.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('fixing', () => {
  test('a donor is taken apart; a way puts its part on the receipt and the finding is gone', async () => {
    for (const id of ['meridon-desk-20-tower', 'murrowdun-tarn-560-8-gb', 'barrowcase-barrow-four-white'])
      await hunt(id)
    expect((await view()).parts.map((part) => part.role).sort()).toEqual([
      'case',
      'cooler',
      'cpu',
      'graphics',
      'memory',
      'motherboard',
      'storage',
      'supply',
    ])
    const long = (await finding('card-length'))!
    const { ways } = await machineView(database.db, build, today)
    const way = ways[long.key]!.find(
      (each) => each.kind === 'replace' && each.parts[0]!.id.startsWith('barrowcase'),
    )!
    expect(way.parts.map((part) => part.id)).toContain('barrowcase-barrow-plain')
    expect(way.replaces.map((part) => part.id)).toContain('barrowcase-barrow-four-white')
    await takeWay(database.db, build, { key: long.key, way: way.way }, today)
    expect(await finding('card-length')).toBeUndefined()
    expect((await view()).receipt.groups.toBuy.map((line) => line.label)).toContain('Barrowcase Barrow Plain')
    expect(
      (await view()).choices.some((choice) => choice.parts[0]!.id === 'barrowcase-barrow-four-white'),
    ).toBe(false)
    await expect(takeWay(database.db, build, { key: long.key, way: way.way }, today)).rejects.toMatchObject({
      code: 'no-finding',
    })
  })
  test('by hand: noted, and taken back', async () => {
    for (const id of ['kaldric-sallowfen-6600', 'northpine-n4-full']) await hunt(id)
    const old = (await finding('board-firmware'))!
    const way = (await machineView(database.db, build, today)).ways[old.key]!.find(
      (each) => each.kind === 'by-hand',
    )!
    await takeWay(database.db, build, { key: old.key, way: way.way }, today)
    expect([await finding('board-firmware'), (await view()).fit.settled.map((each) => each.ruleId)]).toEqual([
      undefined,
      ['board-firmware'],
    ])
    await unsettle(database.db, build, old.key)
    expect(await finding('board-firmware')).toBeDefined()
  })
  test('what is paid stays with the builder and is left out of the machine', async () => {
    await hunt('murrowdun-tarn-560-8-gb')
    const paid = await hunt('barrowcase-barrow-four-white')
    await pay(database.db, [paid], '30.00')
    const [item] = await itemsOf(database.db, build)
    await itemStep(database.db, item!.id, 'arrive', { state: 'works' })
    await swap(
      database.db,
      build,
      { way: 'hunt:barrowcase-barrow-six:typical', out: 'barrowcase-barrow-four-white' },
      today,
    )
    const after = await view()
    expect(after.parts.filter((part) => part.role === 'case').map((part) => part.id)).toEqual([
      'barrowcase-barrow-six',
    ])
    expect(await itemsOf(database.db, build)).toMatchObject([
      { partId: 'barrowcase-barrow-four-white', place: 'shelf', cost: 3000 },
    ])
    expect(after.receipt.account.cashOut.amount).toBe(3000)
    await expect(
      swap(database.db, build, { way: 'hunt:nothing:typical', out: null }, today),
    ).rejects.toMatchObject({ code: 'way-gone' })
  })
})

test('steps up stay within what is left', async () => {
  for (const id of ['kaldric-sallowfen-4360', 'murrowdun-tarn-620-8-gb']) await hunt(id)
  const { roles, left } = await stepsView(database.db, build, today)
  const cards = roles.find((role) => role.role === 'graphics')!
  expect(cards.steps.map((step) => step.partId)).toEqual(
    expect.arrayContaining(['murrowdun-tarn-640-8-gb', 'murrowdun-tarn-660-10-gb']),
  )
  for (const step of cards.steps) expect(step.more).toBeLessThanOrEqual(left!)
})

test('a variant shares what it does not change; the build stays as it is; its file is whole', async () => {
  const cpu = await hunt('kaldric-sallowfen-4360')
  const card = await hunt('murrowdun-tarn-620-8-gb')
  const variant = await createVariant(database.db, build, 'With the larger card', today)
  expect((await view(variant)).choices.map((choice) => [choice.id, choice.isInherited])).toEqual([
    [cpu, true],
    [card, true],
  ])
  await swap(
    database.db,
    variant,
    { way: 'hunt:murrowdun-tarn-660-10-gb:typical', out: 'murrowdun-tarn-620-8-gb' },
    today,
  )
  await changeInherited(database.db, variant, cpu, { limit: '30.00' })
  expect((await view()).choices.map((choice) => [choice.id, choice.payNow])).toEqual([
    [cpu, 1000],
    [card, 1000],
  ])
  const { shared, machines } = await variantsView(database.db, build, today)
  expect([shared, machines.map((machine) => machine.lines.map((line) => line.label))]).toEqual([
    [],
    [
      ['Kaldric Sallowfen 4360', 'Murrowdun Tarn 620 8 GB'],
      ['Murrowdun Tarn 660 10 GB', 'Kaldric Sallowfen 4360'],
    ],
  ])
  await setDropped(database.db, variant, card, false)
  expect([
    await isInherited(database.db, card, variant),
    (await view(variant)).choices.some((choice) => choice.id === card),
  ]).toEqual([true, true])
  // what the build adds later, the variant has too
  await hunt('barrowcase-barrow-six')
  expect((await view(variant)).choices.some((choice) => choice.label.includes('Barrow Six'))).toBe(true)
  expect((await exportBuild(database.db, variant)).choices).toHaveLength((await view(variant)).choices.length)
})

test('parts go out as a library file of one role, a donor’s own parts with it, and come in again', async () => {
  const file = await exportParts(database.db, 'donor')
  expect(file.parts.map((part) => part.id)).toContain('meridon-desk-20-board')
  expect(librarySchema.validateSync(JSON.parse(JSON.stringify(file))).parts).toHaveLength(file.parts.length)
  expect(await importLibrary(database.db, file)).toEqual({ added: 0, alreadyThere: file.parts.length })
})

test('ticks of the assembly sheet stay, and go with the line that they stand at', async () => {
  await hunt('kaldric-sallowfen-4360')
  const [first, second] = (await machineView(database.db, build, today)).assembly[0]!.lines
  for (const line of [first!, second!, first!]) await setAssembled(database.db, build, { line, isDone: true })
  await setAssembled(database.db, build, { line: second!, isDone: false })
  expect((await machineView(database.db, build, today)).assembled).toEqual([first])
})

test('a card that moves on is calculated in both machines', async () => {
  const move = { partId: 'murrowdun-tarn-660-10-gb', cpuId: 'kaldric-sallowfen-6900', months: 6 }
  await hunt('murrowdun-tarn-620-8-gb')
  // without a CPU in the machine its frames are not known: that is no gain of nothing
  await expect(carryView(database.db, build, move, today)).rejects.toMatchObject({ code: 'unknown-frames' })
  await hunt('kaldric-sallowfen-4360')
  const carry = await carryView(database.db, build, move, today)
  expect(carry).toMatchObject({ replaces: 'Murrowdun Tarn 620 8 GB', next: 'Kaldric Sallowfen 6900' })
  // a stronger CPU lets more of the card be seen
  expect(carry.framesAfter).toBeGreaterThan(carry.framesNow)
  expect(carry.costOfNow).toBe(carry.price - carry.priceThen)
  // the staircase begins at the card of today, and each rung costs more than the one before
  expect(carry.stairs.map(({ name, isChosen }) => [name, isChosen])).toEqual([
    ['Murrowdun Tarn 620 8 GB', true],
    ['Murrowdun Tarn 640 8 GB', false],
    ['Murrowdun Tarn 660 10 GB', false],
  ])
  expect(carry.stairs[0]).toMatchObject({ framesNow: 0, framesAfter: 0 })
  expect(carry.stairs[2]).toMatchObject({ framesNow: carry.framesNow, framesAfter: carry.framesAfter })
  await expect(
    carryView(
      database.db,
      build,
      { partId: 'kaldric-sallowfen-6900', cpuId: 'kaldric-sallowfen-6900', months: 6 },
      today,
    ),
  ).rejects.toMatchObject({ code: 'unknown-card', path: 'partId' })
})
