import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { briefSchema } from '#shared/brief/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { runSchema } from '#shared/bench/schemas'
import { workResultSchema, workTaskSchema } from '#shared/work/schemas'
import { catalogue } from '../../demo/catalogue'
import type { OpenDatabase } from '#server/db/client'
import { migrate } from '#server/db/migrate'
import { openDatabase } from '#server/db/client'
import { benchView } from '#server/places/bench/readBench'
import { addChoice } from '#server/places/machine/choices'
import { createBuild } from '#server/places/builds/builds'
import { buildView } from '#server/places/builds/buildView'
import { importLibrary } from '#server/places/parts/importLibrary'
import { pay } from './purchases'
import { addRun, frameLogBytes, importRuns, keepFrameLog, patchRun } from '#server/places/bench/runs'
import { addTask, addWorkResult, setWorkResultDeleted } from '#server/places/work/work'
import { migrations, openTestDatabase, temporaryFolder } from './testDatabase'

/** Runs, logs, forecasts and other work of a build, against a real database file. */
const today = '2026-10-31'
let folder: string
let database: OpenDatabase
let build: string
const [cpuId, graphicsId] = ['kaldric-sallowfen-6600', 'murrowdun-tarn-640-8-gb']
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
  upscaling: { quality: 0.7 },
}
const target = { workloadId: 'run', width: 2560, height: 1440, preset: 'high', averageFps: 60, lowFps: 40 }
const run = (change: object = {}) =>
  runSchema.validateSync({
    workloadId: 'run',
    cpuId,
    graphicsId,
    width: 2560,
    height: 1440,
    preset: 'high',
    averageFps: 66,
    lowFps: 50,
    kind: 'own-log',
    ranOn: '2026-10-20',
    ...change,
  })
const view = () => buildView(database.db, build, today)
const bench = () => benchView(database.db, build, today)

beforeEach(async () => {
  folder = temporaryFolder()
  database = await openTestDatabase(join(folder, 'bench.db'))
  await importLibrary(
    database.db,
    librarySchema.validateSync({
      format: 'tarvin-library',
      version: '1',
      parts: catalogue.map(({ id, role, make, name, facts }) => ({ id, role, make, name, facts })),
      workloads: [workload],
    }),
  )
  build = await createBuild(
    database.db,
    briefSchema.validateSync({
      name: 'Bench',
      currency: 'CAD',
      budget: '500.00',
      stretch: '550.00',
      targets: [target],
    }),
    today,
  )
  for (const partId of [cpuId, graphicsId])
    await addChoice(
      database.db,
      build,
      choiceSchema.validateSync({ kind: 'hunt', partId, limit: '90.00' }),
      today,
    )
})
afterEach(() => {
  database.client.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('runs', () => {
  test('an own run stands in for the estimate, moves the fit, and names its machine as it was', async () => {
    const before = (await view()).targets[0]!
    expect(before).toMatchObject({ measured: [], estimate: { rough: true, runs: 0 } })
    await addRun(database.db, run({ averageFps: before.estimate!.averageFps * 0.8, lowFps: 30 }), today)
    const after = (await view()).targets[0]!
    expect(after.measured[0]).toMatchObject({ stands: true, excluded: null, kind: 'own-log' })
    expect(after.estimate!.averageFps).toBeLessThan(before.estimate!.averageFps)
    expect(after.verdict).toBe('missed') // the low was measured at 30, 40 are wanted
    expect((await bench()).runs[0]).toMatchObject({
      machine: 'Kaldric Sallowfen 6600 + Murrowdun Tarn 640 8 GB',
      isThisMachine: true,
    })
  })
  test('a published run is fitted to, and does not stand in; an excluded one does neither until overruled', async () => {
    await addRun(database.db, run({ kind: 'published', averageFps: 50, origin: 'The Quay Gazette' }), today)
    expect((await view()).targets[0]!.measured[0]).toMatchObject({ stands: false })
    const { id } = await addRun(database.db, run({ averageFps: 30, lowFps: null, lowsCause: 'heat' }), today)
    const fitted = (await view()).targets[0]!.estimate!
    expect(fitted.runs).toBe(1)
    await patchRun(database.db, id, { overruled: true }, today)
    expect((await view()).targets[0]!.estimate!).toMatchObject({ runs: 2 })
    await patchRun(database.db, id, { deleted: true }, today)
    expect((await view()).targets[0]!.estimate!.averageFps).toBeCloseTo(fitted.averageFps, 9)
  })
  test('of repeats the median stands, discarded ones keep their reason', async () => {
    await addRun(
      database.db,
      run({
        repeats: [
          { averageFps: 60, lowFps: 40 },
          { averageFps: 64, lowFps: 44 },
          { averageFps: 12, lowFps: 3, discarded: 'a message came in' },
        ],
      }),
      today,
    )
    expect((await bench()).runs[0]).toMatchObject({
      averageFps: 62,
      lowFps: 42,
      spread: 64 / 60 - 1,
      repeats: [{}, {}, { discarded: 'a message came in' }],
    })
    await expect(
      addRun(database.db, run({ repeats: [{ averageFps: 60, discarded: 'x' }] }), today),
    ).rejects.toMatchObject({ code: 'all-discarded' })
  })
  test.each([
    [{ workloadId: 'nope' }, 'unknown-workload'],
    [{ preset: 'nope' }, 'unknown-preset'],
    [{ upscaling: 'nope' }, 'unknown-upscaling'],
    [{ cpuId: 'nope' }, 'unknown-part'],
    [{ ranOn: '2027-01-01' }, 'future-date'],
  ])('%o is refused by name', async (change, code) => {
    await expect(addRun(database.db, run(change), today)).rejects.toMatchObject({ code })
    expect((await bench()).runs).toEqual([])
  })
  test('a low above the average and a run without a card are refused by the schema', () => {
    expect(() => run({ lowFps: 90 })).toThrow('above the average')
    expect(() => run({ graphicsId: null })).toThrow('choose the card')
    expect(run({ kind: 'console-mode', cpuId: null, graphicsId: null }).cpuId).toBeNull()
  })
  test('a CSV by names: what is known goes in once, the rest is reported by line', async () => {
    const csv = [
      'workload,cpu,card,width,height,preset,average,low,kind,date',
      'Harbour Run,Kaldric Sallowfen 6600,Murrowdun Tarn 640 8 GB,1920,1080,high,88,60,own reading,2026-10-01',
      'Harbour Run,Kaldric Sallowfen 6600,A card of none,1920,1080,high,88,60,own reading,2026-10-01',
      'Harbour Run,Kaldric Sallowfen 6600,Murrowdun Tarn 640 8 GB,1920,1080,nope,88,60,own reading,2026-10-01',
    ].join('\n')
    expect(await importRuns(database.db, csv, today)).toMatchObject({
      added: 1,
      alreadyThere: 0,
      rejected: 2,
      problems: [
        { line: 3, reason: 'no card "A card of none"' },
        { line: 4, reason: 'Harbour Run has no preset "nope"' },
      ],
    })
    expect(await importRuns(database.db, csv, today)).toMatchObject({
      added: 0,
      alreadyThere: 1,
      rejected: 2,
    })
  })
})

describe('frame logs', () => {
  test('kept beside their run, the same to the bit; nonsense is refused', async () => {
    const { id } = await addRun(database.db, run(), today)
    const times = Float32Array.from([16, 17, 40])
    const log = await keepFrameLog(database.db, id, 'evening.csv', new Uint8Array(times.buffer), today)
    expect([...new Float32Array(new Uint8Array(await frameLogBytes(database.db, log.id)).buffer)]).toEqual([
      16, 17, 40,
    ])
    expect((await bench()).runs[0]!.logs).toMatchObject([{ name: 'evening.csv', frames: 3 }])
    await expect(keepFrameLog(database.db, id, 'x', new Uint8Array([1, 2, 3]), today)).rejects.toMatchObject({
      code: 'bad-log',
    })
    await expect(
      keepFrameLog(database.db, id, 'x', new Uint8Array(Float32Array.from([16, -1]).buffer), today),
    ).rejects.toMatchObject({ code: 'bad-frame-time' })
    await expect(keepFrameLog(database.db, 'nope', 'x', new Uint8Array(times.buffer), today)).rejects.toThrow(
      'no run',
    )
    await expect(frameLogBytes(database.db, 'nope')).rejects.toThrow('no log')
  })
})

describe('forecasts', () => {
  test('frozen when the card is paid, unmoved by later runs, and held against the first of them', async () => {
    const [, card] = (await view()).choices
    const said = (await view()).targets[0]!.estimate!.averageFps
    await pay(database.db, [card!.id], '90.00', '2026-10-22')
    await addRun(database.db, run({ averageFps: said * 0.9, lowFps: 30 }), today)
    const { forecasts, record } = await bench()
    expect(forecasts).toHaveLength(1)
    expect(forecasts[0]!.averageFps).toBeCloseTo(said, 9)
    expect(forecasts[0]!.kept!.error).toBeCloseTo(-0.1, 9)
    expect(record[0]).toMatchObject({ workload: 'Harbour Run', count: 1 })
  })
})

describe('what the bench says', () => {
  test('needs of a target agree with the estimate; the next parts have names', async () => {
    const { targets, machine } = await bench()
    expect(machine).toMatchObject({ cpuIndex: 116, graphicsIndex: 100 })
    expect(targets[0]!.graphicsNeeded!).toBeLessThan(100)
    expect(targets[0]!.nextCard!.name).toBe('Murrowdun Tarn 640 S 8 GB')
    expect(targets[0]!.nextCpu).not.toBeNull()
  })
  test('two runs with one setting changed move what limits, and the working says so', async () => {
    const repeats = (...averages: number[]) => averages.map((averageFps) => ({ averageFps }))
    await addRun(database.db, run({ repeats: repeats(70, 72, 71) }), today)
    await addRun(database.db, run({ upscaling: 'quality', repeats: repeats(71, 72, 71) }), today)
    const { estimate } = (await view()).targets[0]!
    expect(estimate!.limitShift!.because[0]).toContain('upscaling “quality” turned on')
    expect(estimate!.graphicsShare).toBeLessThan(estimate!.limitShift!.before)
  })
  test('other work: estimated from references, removed and brought back', async () => {
    await addTask(
      database.db,
      workTaskSchema.validateSync({
        id: 'cut',
        name: 'Cutting',
        unit: 'min',
        lessIsBetter: true,
        threadsExponent: 0.8,
      }),
    )
    await expect(
      addTask(
        database.db,
        workTaskSchema.validateSync({
          id: 'cut',
          name: 'Again',
          unit: 'min',
          lessIsBetter: true,
          threadsExponent: 0.8,
        }),
      ),
    ).rejects.toMatchObject({ code: 'known' })
    const { id } = await addWorkResult(
      database.db,
      workResultSchema.validateSync({
        taskId: 'cut',
        cpuId: 'kaldric-sallowfen-5400',
        value: 11.6,
        feeling: 'bearable',
        ranOn: today,
      }),
      today,
    )
    // index 116 of 100, twelve threads both
    expect((await bench()).tasks[0]!.estimate).toMatchObject({ value: expect.closeTo(10, 9), references: 1 })
    await setWorkResultDeleted(database.db, id, today)
    expect((await bench()).tasks[0]!.estimate).toBeNull()
    await expect(
      addWorkResult(
        database.db,
        workResultSchema.validateSync({ taskId: 'cut', cpuId: graphicsId, value: 1, ranOn: today }),
        today,
      ),
    ).rejects.toMatchObject({ code: 'unknown-cpu' })
  })
})

describe('upgrade', () => {
  test('runs noted before machines were kept come through, and are read from the library', async () => {
    const old = await openDatabase(`file:${join(folder, 'old.db')}`)
    await migrate(old, migrations.slice(0, 5))
    await old.client.execute(
      "INSERT INTO workloads VALUES ('run', 'Harbour Run', 'racing', 4.6, 7.6, 0.85, 8, " +
        '0.8, 0.7, \'{"high":{"graphics":1,"cpu":1,"videoMemoryGb":6}}\', \'{}\', 1.6, 0.1)',
    )
    for (const [id, role, facts] of [
      ['c', 'cpu', '{"cpuIndex":100,"threads":12}'],
      ['g', 'graphics', '{"graphicsIndex":100,"vramGb":8}'],
    ])
      await old.client.execute(
        `INSERT INTO parts (id, role, make, name, facts) VALUES ('${id}', '${role}', '', '${id}', '${facts}')`,
      )
    await old.client.execute(
      'INSERT INTO runs (id, workload_id, cpu_id, graphics_id, memory_channels, width, ' +
        "height, preset, average_fps, low_fps, kind, ran_on, note) VALUES ('r', 'run', 'c', " +
        "'g', 2, 1920, 1080, 'high', 77, 55, 'own-log', '2026-01-01', 'kept')",
    )
    await migrate(old, migrations)
    const id = await createBuild(
      old.db,
      briefSchema.validateSync({
        name: 'Old',
        currency: 'CAD',
        budget: '1.00',
        stretch: '1.00',
        targets: [],
      }),
      today,
    )
    expect((await benchView(old.db, id, today)).runs).toMatchObject([
      { averageFps: 77, note: 'kept', scene: '', excluded: null, residual: { fitted: expect.any(Number) } },
    ])
    old.client.close()
  })
})
