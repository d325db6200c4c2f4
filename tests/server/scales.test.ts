import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { briefSchema } from '#shared/brief/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { leadSchema, type LeadInput } from '#shared/leads/schemas'
import { rivalSchema } from '#shared/rivals/schemas'
import { sourceSchema } from '#shared/sources/schemas'
import { saveSource } from '#server/places/sources/sources'
import { createLead } from '#server/places/leads/leads'
import { weighingSchema } from '#shared/scales/schemas'
import { editionHtml, editionJson, editionMarkdown } from '#core/files/editions/editionText'
import { catalogue } from '../../demo/catalogue'
import { demoWorkloads } from '../../demo/trade'
import type { OpenDatabase } from '#server/db/client'
import { addChoice } from '#server/places/machine/choices'
import { createBuild } from '#server/places/builds/builds'
import { setRivals } from '#server/places/scales/setRivals'
import { buildView } from '#server/places/builds/buildView'
import { exportBuild, importBuild } from '#server/places/builds/buildFile'
import {
  editionOf,
  editionsView,
  freezeEdition,
  openEdition,
  readEditionFile,
  setEditionDeleted,
} from '#server/places/builds/editions'
import { importLibrary } from '#server/places/parts/importLibrary'
import { changeRival, createRival, rivalOf, setRivalDeleted } from '#server/places/rivals/rivals'
import { importRivals } from '#server/places/rivals/importRivals'
import { rivalQuestion } from '#server/places/scales/rivalQuestion'
import { planCarriedOut } from '#server/places/plan/planCarriedOut'
import { takePlan } from '#server/places/plan/takePlan'
import { useWorld } from '#server/readings/useWorld'
import { sizesOf } from '#core/comparison/components/compareComponents'
import { planBuild } from '#core/planning/planBuild'
import { newSolver } from '../core/planning/newSolver'
import { readRivalPage } from '#server/places/rivals/rivalPages'
import { saveWeighing } from '#server/places/scales/scalesSettings'
import { importRecordsText } from './importText'
import { openTestDatabase, temporaryFolder } from './testDatabase'

/** A build on the scales, over the demo's library, against a real database file. */
const today = '2026-10-31'
let folder: string
let database: OpenDatabase
let build: string
const priced = catalogue.filter((part) => part.street > 0 && part.role !== 'donor')
const records = [
  'id,source,title,price,date',
  ...priced.flatMap((part, at) =>
    Array.from(
      { length: 6 },
      (_, i) =>
        `${at}-${i},Gavelry,${part.name.includes(part.make) ? part.name : `${part.make} ${part.name}`} ` +
        `number ${i},${part.street + (i % 3) - 1}.00,2026-10-${10 + i}`,
    ),
  ),
].join('\n')
const prebuilt = (change: object = {}) =>
  rivalSchema.validateSync({
    kind: 'prebuilt',
    name: 'Brindlewick 15',
    price: '949.00',
    currency: 'CAD',
    taxPercent: 13,
    shippingStated: false,
    cpuId: 'ostrane-threddle-33',
    graphicsId: 'murrowdun-tarn-620-8-gb',
    brings: ['licence'],
    warrantyMonths: 24,
    ...change,
  })
const view = () => buildView(database.db, build, today)
const rivalView = async (id: string) =>
  (await view()).weighing.others.find((other) => other.machine.id === id)!

beforeEach(async () => {
  folder = temporaryFolder()
  database = await openTestDatabase(join(folder, 'scales.db'))
  await importLibrary(
    database.db,
    librarySchema.validateSync({
      format: 'tarvin-library',
      version: '1',
      parts: catalogue.map(({ id, role, make, name, facts }) => ({ id, role, make, name, facts })),
      workloads: demoWorkloads,
      rates: [
        { date: '2026-01-01', from: 'SEK', to: 'CAD', rate: '0.13' },
        { date: '2026-01-01', from: 'CAD', to: 'SEK', rate: '7.5' },
      ],
    }),
  )
  await importRecordsText(database, records)
  build = await createBuild(
    database.db,
    briefSchema.validateSync({
      name: 'Couch',
      currency: 'CAD',
      budget: '620.00',
      stretch: '680.00',
      privateNote: 'the café pays late',
      saleText: 'quiet and tested',
      needs: [
        { need: 'licence', price: '24.00' },
        { need: 'controller', price: '39.00' },
      ],
      targets: [
        { workloadId: 'lantern-drift', width: 2560, height: 1440, preset: 'high', averageFps: 60 },
        { workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 120 },
      ],
    }),
    today,
  )
  for (const partId of [
    'kaldric-sallowfen-6600',
    'northpine-n4-micro',
    'palisado-16-gb-ddr4-2-8',
    'murrowdun-tarn-640-8-gb',
    'fathomline-eddy-480-gb-sata',
    'steadwell-550-w',
    'barrowcase-barrow-plain',
    'lullwater-lull-120',
  ]) {
    if (catalogue.some((part) => part.id === partId))
      await addChoice(database.db, build, choiceSchema.validateSync({ kind: 'hunt', partId }), today)
  }
})
afterEach(() => {
  database.client.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('weighing', () => {
  test('both sides by the same list; what a seller does not say counts against it and is asked', async () => {
    const { id } = await createRival(database.db, prebuilt())
    await setRivals(database.db, build, [id], today)
    const { machine, cost, questions, comparison, components } = await rivalView(id)
    expect(cost.steps.find((step) => step.id === 'shipping')).toMatchObject({
      amount: 3500,
      from: 'assumption',
    })
    expect(questions.map((each) => each.key)).toEqual([
      'memoryGb',
      'memoryModules',
      'memoryMts',
      'storageGb',
      'storageKind',
      'supplyW',
      'supplyMake',
      'delivery',
    ])
    expect(machine.components.find((part) => part.role === 'memory')).toMatchObject({
      state: 'missing',
      facts: { capacityGb: 8, kitCount: 1, speedMts: 2133 },
    })
    expect(components.find((line) => line.role === 'memory')!.standing).toBe('not stated')
    expect(comparison!.meanRatio).toBeGreaterThan(1)
    expect(cost.steps.reduce((sum, step) => sum + step.amount, 0)).toBe(cost.total)
  })
  test('a missing fact answered moves its frames and takes the question away', async () => {
    const { id } = await createRival(database.db, prebuilt())
    await setRivals(database.db, build, [id], today)
    const before = (await rivalView(id)).machine.rates.find(
      (rate) => rate.workloadId === 'kite-arena',
    )!.averageFps
    await changeRival(database.db, id, {
      ...(await rivalOf(database.db, id)),
      parts: {
        memoryGb: 16,
        memoryModules: 2,
        memoryMts: 3200,
        storageGb: 480,
        storageKind: 'nvme',
        supplyW: 450,
        supplyMake: 'Steadwell',
      },
      shippingStated: true,
      shipping: '0',
    } as never)
    const after = await rivalView(id)
    expect(after.questions).toEqual([])
    expect(after.machine.rates.find((rate) => rate.workloadId === 'kite-arena')!.averageFps).toBeGreaterThan(
      before,
    )
    expect(after.cost.steps.some((step) => step.id === 'shipping')).toBe(false)
  })
  test('steps switched off and own figures are kept, stand in the total, and can be taken back', async () => {
    const { id } = await createRival(database.db, prebuilt())
    await setRivals(database.db, build, [id], today)
    const whole = (await rivalView(id)).cost
    await saveWeighing(
      database.db,
      build,
      weighingSchema.validateSync({ off: ['energy'], edits: { [id]: { price: '900.00' } } }),
    )
    const changed = (await rivalView(id)).cost
    const energy = whole.steps.find((step) => step.id === 'energy')!.amount
    // P13: tax, and what is lost by faults, are on the price that the builder typed, as if its seller had asked it
    await changeRival(database.db, id, { ...(await rivalOf(database.db, id)), price: '900.00' } as never)
    await saveWeighing(database.db, build, weighingSchema.validateSync({}))
    expect(changed.total).toBe((await rivalView(id)).cost.total - energy)
    await changeRival(database.db, id, { ...(await rivalOf(database.db, id)), price: '949.00' } as never)
    await saveWeighing(database.db, build, weighingSchema.validateSync({}))
    expect((await rivalView(id)).cost.total).toBe(whole.total)
    await expect(
      saveWeighing(database.db, build, weighingSchema.validateSync({ off: ['nope'] })),
    ).rejects.toMatchObject({ code: 'unknown-step' })
    await expect(saveWeighing(database.db, 'nope', weighingSchema.validateSync({}))).rejects.toThrow(
      'no build',
    )
    await expect(
      saveWeighing(database.db, build, weighingSchema.validateSync({ builds: ['nope'] })),
    ).rejects.toMatchObject({ code: 'unknown-build' })
    await expect(
      saveWeighing(database.db, build, weighingSchema.validateSync({ builds: [build] })),
    ).rejects.toMatchObject({ code: 'unknown-build' })
    expect(() => weighingSchema.validateSync({ edits: { a: { price: 'dear' } } })).toThrow(
      'amounts such as 129.50',
    )
  })
  test('a console: modes against the build, subscription, no sum of parts; its equivalents travel in a build file', async () => {
    const { id } = await createRival(
      database.db,
      prebuilt({
        kind: 'console',
        name: 'Ovalis',
        price: '599.00',
        cpuId: null,
        graphicsId: null,
        subscriptionPerYear: '79.00',
        equivalents: [
          {
            by: 'The Gazette',
            saidOn: '2026-05-05',
            cpuIndex: 95,
            threads: 16,
            graphicsIndex: 98,
            videoMemoryGb: 10,
          },
        ],
        rates: [{ workloadId: 'lantern-drift', width: 2560, height: 1440, preset: null, averageFps: 60 }],
      }),
    )
    await setRivals(database.db, build, [id], today)
    const { machine, comparison, cost } = await rivalView(id)
    expect(machine.components).toEqual([])
    expect(comparison!.modes).toMatchObject([
      { workload: 'Lantern Drift', heldAt: 'high', bracket: { sure: 'hardly' } },
    ])
    expect(cost.steps.find((step) => step.id === 'subscription')!.amount).toBe(23_700)
    const other = await openTestDatabase(join(folder, 'elsewhere.db'))
    const opened = await importBuild(other.db, await exportBuild(database.db, build), today)
    expect((await buildView(other.db, opened, today)).weighing.others[0]!.equivalents).toMatchObject([
      { by: 'The Gazette', graphicsIndex: 98 },
    ])
    other.client.close()
  })
})

describe('rivals', () => {
  test('a page’s source: its data, its parts, its warranty; nothing is guessed', async () => {
    const data = {
      '@context': 'https://schema.org',
      '@type': 'Product',
      name: 'Brindlewick 15 tower',
      description: 'Ostrane Threddle 33, Murrowdun Tarn 620 8 GB, 2x8 GB DDR4 3200, 480 GB NVMe',
      offers: { '@type': 'Offer', price: '949.00', priceCurrency: 'CAD' },
    }
    const page = await readRivalPage(
      database.db,
      `<html><script type="application/ld+json">${JSON.stringify(data)}</script><ul><li>two ` +
        'years warranty</li><li>Steadwell 450 W supply</li></ul></html>',
      today,
    )
    expect(page).toMatchObject({
      offer: { title: 'Brindlewick 15 tower', price: '949.00', shipping: null },
      parts: {
        cpuId: 'ostrane-threddle-33',
        graphicsId: 'murrowdun-tarn-620-8-gb',
        memoryGb: 16,
        memoryModules: 2,
        memoryMts: 3200,
        storageGb: 480,
        storageKind: 'nvme',
        supplyW: 450,
        supplyMake: 'Steadwell',
      },
      warrantyMonths: 24,
    })
    const silent = await readRivalPage(
      database.db,
      JSON.stringify({
        '@type': 'Product',
        name: 'Some tower',
        offers: { price: '500', priceCurrency: 'CAD' },
      }),
      today,
    )
    expect(Object.values(silent.parts).every((value) => value === null)).toBe(true)
    await expect(readRivalPage(database.db, 'no data', today)).rejects.toMatchObject({ code: 'no-json-ld' })
  })
  test('a CSV: an empty cell is not stated; what is not found is reported by line; again adds nothing', async () => {
    const csv =
      'name,kind,price,currency,cpu,card,memory,warranty,delivery\nTower ' +
      'A,prebuilt,"899,00",CAD,Ostrane Threddle 33,Murrowdun Tarn 620 8 GB,16,24,\nTower ' +
      'B,prebuilt,799.00,CAD,A chip of none,,,,0\n,prebuilt,1.00,CAD,,,,,\nTower ' +
      'C,prebuilt,free,CAD,,,,,'
    expect(await importRivals(database.db, csv, 'CAD')).toMatchObject({
      added: 1,
      alreadyThere: 0,
      rejected: 3,
      problems: [
        { line: 3, reason: 'no CPU "A chip of none"' },
        { line: 4, reason: 'no name given' },
        { line: 5 },
      ],
    })
    expect(await importRivals(database.db, csv, 'CAD')).toMatchObject({ added: 0, alreadyThere: 1 })
  })
  test('removed and brought back; one that names no part of the library is refused whole', async () => {
    const { id } = await createRival(database.db, prebuilt())
    await setRivals(database.db, build, [id], today)
    await setRivalDeleted(database.db, id, today)
    expect((await view()).weighing.others).toEqual([])
    await setRivalDeleted(database.db, id, null)
    expect((await view()).weighing.others).toHaveLength(1)
    await expect(createRival(database.db, prebuilt({ name: 'Wrong', cpuId: 'nope' }))).rejects.toMatchObject({
      code: 'rival-of-unknown-part',
    })
    await expect(setRivalDeleted(database.db, 'nope', null)).rejects.toThrow('no rival')
  })
})

describe('match it and spend the same', () => {
  const asked = async (goal: 'match' | 'spend', rivalId: string) =>
    rivalQuestion(await useWorld(database.db), build, { goal, rivalId }, today)
  const found = async (goal: 'match' | 'spend', rivalId: string) => {
    const world = await useWorld(database.db)
    const question = rivalQuestion(world, build, { goal, rivalId }, today)
    const plan = await planBuild(question, await newSolver(10), ({ ways, sold, without }) =>
      planCarriedOut(
        world,
        build,
        { ways: [...ways], sold: [...sold], without: [...without], rivalId },
        today,
      ),
    )
    return { question, plan }
  }
  test('a machine that reaches the rival, with as much memory and drive, costs what was said as a variant', async () => {
    const { id } = await createRival(database.db, prebuilt())
    await setRivals(database.db, build, [id], today)
    const { question, plan } = await found('match', id)
    expect(plan.status).toBe('optimal')
    const rival = (await view()).weighing.others[0]!.machine
    for (const [at, floor] of question.wishes.floors.entries())
      expect(plan.fps![at]).toBeGreaterThanOrEqual(floor! - 1e-9)
    for (const [role, wanted] of [
      ['memory', sizesOf(rival).memoryGb],
      ['storage', sizesOf(rival).driveGb],
    ] as const)
      expect(plan.kept.find(({ part }) => part.role === role)!.part.facts.capacityGb).toBeGreaterThanOrEqual(
        wanted!,
      )
    expect(plan.findings.some((finding) => finding.severity === 'stops')).toBe(false)
    const { buildId } = await takePlan(
      database.db,
      build,
      {
        into: 'variant',
        name: 'Matching',
        ways: plan.ways.map((way) => way.id),
        sold: [],
        without: [...plan.without],
        present: question.ways.flatMap((way) => (way.isPresent ? [way.id] : [])),
      },
      today,
    )
    const variant = await buildView(database.db, buildId, today)
    expect(variant.receipt.totals.payNow).toBe(plan.whole!.payNow)
    expect((await view()).choices.length).toBeGreaterThan(5) // the build itself is as it was
  })
  test('the most frames for its like-for-like cost; more money never gives fewer', async () => {
    const frames = async (price: string) => {
      const { id } = await createRival(database.db, prebuilt({ name: `at ${price}`, price }))
      await setRivals(database.db, build, [id], today)
      const { plan } = await found('spend', id)
      if (plan.toOwn) expect(plan.toOwn.own).toBeLessThanOrEqual(plan.toOwn.rival)
      return (plan.fps ?? [0]).reduce((product, fps) => product * fps, 1)
    }
    const dear = await frames('1200.00')
    expect(dear).toBeGreaterThan(0)
    expect(dear).toBeGreaterThanOrEqual(await frames('800.00'))
  })
  test('what cannot be asked is refused by name', async () => {
    const { id } = await createRival(database.db, prebuilt({ cpuId: null, graphicsId: null }))
    await expect(asked('match', id)).rejects.toMatchObject({ code: 'unknown-rival' })
    await setRivals(database.db, build, [id], today)
    await expect(asked('match', id)).rejects.toMatchObject({ code: 'no-rates' })
  })
})

describe('editions', () => {
  test('frozen, unmoved by what comes after, compared with now; private notes stay out', async () => {
    const { id: rival } = await createRival(database.db, prebuilt())
    await setRivals(database.db, build, [rival], today)
    await freezeEdition(database.db, build, 'before buying', today)
    const [choice] = (await view()).choices
    await addChoice(
      database.db,
      build,
      choiceSchema.validateSync({
        kind: 'hunt',
        partId: 'tackle-controller',
        limit: '39.00',
        scope: 'ready',
      }),
      today,
    )
    await database.client.execute({
      sql: 'UPDATE choices SET "limit" = 99900 WHERE id = ?',
      args: [choice!.id],
    })
    const { editions } = await editionsView(database.db, build, today)
    const { lines, totals } = editions[0]!.drift
    expect(
      lines
        .filter((line) => line.change !== 'same')
        .map((line) => line.change)
        .sort(),
    ).toEqual(['added', 'dearer'])
    expect(totals.find((total) => total.name === 'total')!.after!).toBeGreaterThan(
      totals.find((total) => total.name === 'total')!.before!,
    )
    const content = await editionOf(database.db, editions[0]!.id)
    expect(JSON.stringify(content)).not.toContain('café pays late')
    expect(content.openQuestions.join(' ')).toContain('Brindlewick 15: At what speed does the memory run?')
    // whoever it is frozen for, it opens elsewhere, every known part at the price of there
    for (const reader of ['buyer', 'repeater'] as const) {
      const file = readEditionFile(JSON.parse(editionJson(content, reader)))
      const there = await openEdition(database.db, file, { currency: 'CAD', region: '' }, today)
      const parts = content.lines.filter(({ scope }) => reader !== 'buyer' || scope !== 'test-only')
      expect(there.lines).toHaveLength(parts.flatMap((line) => line.parts).length)
      expect(there.lines.every(({ there: elsewhere }) => reader !== 'buyer' || elsewhere === null)).toBe(true)
    }
    expect(content.lines.some(({ parts }) => parts.some(({ street }) => (street?.count ?? 0) > 0))).toBe(true)
    await setEditionDeleted(database.db, editions[0]!.id, today)
    await expect(editionOf(database.db, editions[0]!.id)).rejects.toThrow('no edition')
  })
  test('shared as a page that stands alone and as Markdown; markup of a name does not run', async () => {
    await database.client.execute({
      sql: 'UPDATE builds SET name = ? WHERE id = ?',
      args: ['<script>alert(1)</script>', build],
    })
    await freezeEdition(database.db, build, 'x', today)
    const content = await editionOf(
      database.db,
      (await editionsView(database.db, build, today)).editions[0]!.id,
    )
    const html = editionHtml(content)
    expect(html).not.toMatch(/<script|https?:\/\//)
    expect(html).toContain('&lt;script&gt;')
    expect(html).toContain('quiet and tested')
    expect(editionMarkdown(content)).toContain('\\<script\\>')
  })
  test('someone else’s edition is re-priced in my currency, and what cannot be found is named', async () => {
    await freezeEdition(database.db, build, 'mine', today)
    const file = JSON.parse(
      JSON.stringify(
        await editionOf(database.db, (await editionsView(database.db, build, today)).editions[0]!.id),
      ),
    )
    file.lines.push({
      label: 'A thing of theirs',
      parts: [{ id: 'theirs', make: 'Nobody', name: 'Thing', role: 'extra' }],
      scope: 'core machine',
      payNow: 500,
      anyoneCanPay: 500,
      reason: '',
    })
    const opened = await openEdition(
      database.db,
      readEditionFile(file),
      { currency: 'SEK', region: 'Nordhamn' },
      today,
    )
    expect(opened.notFound).toEqual(['Nobody Thing'])
    const there = await buildView(database.db, opened.buildId, today)
    expect([there.currency, there.region, there.receipt.totals.payNow]).toEqual([
      'SEK',
      'Nordhamn',
      opened.total,
    ])
    expect(() => readEditionFile({ format: 'other' })).toThrow()
    expect(() => readEditionFile({ ...file, lines: [{ label: 'x', payNow: 1.5 }] })).toThrow(
      'whole minor units',
    )
  })
})

describe('one valuation for a thing, wherever it stands', () => {
  const parts = [
    'kaldric-sallowfen-6600',
    'northpine-n4-micro',
    'palisado-16-gb-ddr4-2-8',
    'murrowdun-tarn-640-8-gb',
    'fathomline-eddy-480-gb-sata',
    'steadwell-550-w',
    'barrowcase-barrow-plain',
    'lullwater-lull-120',
  ]
  const brief = (name: string) =>
    briefSchema.validateSync({
      name,
      currency: 'CAD',
      budget: '900.00',
      stretch: '900.00',
      targets: [{ workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 120 }],
    })

  test('eight new parts as leads of a shop and as hunts for new ones: the same machine, the same verdict', async () => {
    await saveSource(
      database.db,
      sourceSchema.validateSync({
        id: 'pantry',
        name: 'Pantry',
        kind: 'shop',
        currency: 'CAD',
        protection: 'warranty',
        shipping: { kind: 'none', amount: '0' },
        taxPercent: 0,
        taxOnShipping: false,
      }),
    )
    const [asHunts, asLeads] = [
      await createBuild(database.db, brief('Machine'), today),
      await createBuild(database.db, brief('Machine'), today),
    ]
    for (const [at, partId] of parts.entries()) {
      const price = `${60 + 10 * at}.00`
      await addChoice(
        database.db,
        asHunts,
        choiceSchema.validateSync({ kind: 'hunt', partId, limit: price, condition: 'new' }),
        today,
      )
      const leadId = await createLead(
        database.db,
        leadSchema.validateSync({
          sourceId: 'pantry',
          title: `new ${partId}`,
          price,
          currency: 'CAD',
          condition: 'new',
          manner: 'fixed',
          listedOn: today,
          things: [{ partId }],
        }) as LeadInput,
      )
      await addChoice(database.db, asLeads, choiceSchema.validateSync({ kind: 'lead', leadId }), today)
    }
    const rival = (await createRival(database.db, prebuilt())).id
    const weighed = await Promise.all(
      [asHunts, asLeads].map(async (id) => {
        await setRivals(database.db, id, [rival], today)
        await saveWeighing(database.db, id, weighingSchema.validateSync({ basis: 'paid' }))
        const { weighing } = await buildView(database.db, id, today)
        return { own: weighing.own.cost.steps, verdict: weighing.others[0]!.verdict }
      }),
    )
    expect(weighed[1]!.own).toEqual(weighed[0]!.own)
    expect(weighed[1]!.verdict).toEqual(weighed[0]!.verdict)
  })
})
