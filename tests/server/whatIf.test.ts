import { ValidationError } from 'yup'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { buildRow } from '#server/context/findBuild'
import { trips } from '#server/db/schema/ledger'
import { rivals } from '#server/db/schema/rivals'
import { buildRivals } from '#server/db/schema/scales'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { buildPage } from '#server/places/builds/buildView'
import { changesOf } from '#server/places/builds/changesOf'
import { createLead } from '#server/places/leads/leads'
import { agree } from '#server/places/leads/leadSteps'
import { patchLead } from '#server/places/leads/patchLead'
import { groupOrder } from '#server/places/ledger/groupOrder'
import { addChoice } from '#server/places/machine/choices'
import { importLibrary } from '#server/places/parts/importLibrary'
import { savePart } from '#server/places/parts/parts'
import { weighingDefaults } from '#shared/scales/settings'
import { saveWeighing } from '#server/places/scales/scalesSettings'
import { whatIfWeighed } from '#server/places/scales/whatIfWeighed'
import { useWorld } from '#server/readings/useWorld'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { whatIfSchema } from '#shared/whatif/schemas'
import { demoWorkloads } from '../../demo/trade'
import { machineWith } from '../core/machine/fit/soundMachine'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** Every kind of change says beforehand what its own form comes to afterwards. */
let place: MarketWithBuild
const lead: Record<string, string> = {}
const choice: Record<string, string> = {}
beforeEach(async () => {
  place = await marketWithBuild()
  const { db, build } = place
  await importLibrary(
    db,
    librarySchema.validateSync({ format: 'tarvin-library', version: '1', workloads: demoWorkloads }),
  )
  for (const { role, facts } of machineWith())
    await savePart(db, { id: `the-${role}`, role, make: 'Make', name: `The ${role}`, facts: facts as never })
  for (const [role, sourceId] of [
    ['graphics', 'yard'],
    ['cpu', 'shop'],
    ['memory', 'shop'],
    ['motherboard', 'yard'],
  ] as const) {
    lead[role] = await createLead(
      db,
      leadSchema.validateSync({
        sourceId,
        title: `a ${role}`,
        price: '40.00',
        currency: 'CAD',
        condition: 'used',
        manner: 'local',
        listedOn: today,
        things: [{ partId: `the-${role}`, plan: 'keep' }],
      }),
    )
    choice[role] = await addChoice(
      db,
      build,
      choiceSchema.validateSync({ kind: 'lead', leadId: lead[role] }),
      today,
    )
  }
  await db
    .insert(trips)
    .values({ id: 'round', buildId: build, name: 'round', km: 0, fare: 700, hours: 0 } as never)
  await db.insert(rivals).values({
    id: 'rival',
    kind: 'prebuilt',
    name: 'Rival',
    price: 90_000,
    currency: 'CAD',
    taxPercent: 0,
    shipping: 0,
    brings: [],
    notStated: [],
    url: '',
    note: '',
  })
  await db.insert(buildRivals).values({ buildId: build, rivalId: 'rival' })
})
afterEach(() => place.close())

const page = async () => buildPage(await useWorld(place.db), place.build, today)
const asked = async (...changes: object[]) => {
  const world = await useWorld(place.db)
  const input = whatIfSchema.validateSync({ changes })
  const { currency } = buildRow(world, place.build)
  return whatIfWeighed(world, place.build, changesOf(input.changes, world, currency), today)
}
const patch = (id: string, change: object) =>
  patchLead(place.db, id, change as never, today, `${today}T00:00:00Z`)

const own: Record<string, { changes: () => object[]; carryOut: () => Promise<unknown> }> = {
  price: {
    changes: () => [{ kind: 'price', lead: lead.graphics, amount: '31.50' }],
    carryOut: () => agree(place.db, lead.graphics!, { day: today, amount: '31.50', until: null }, today),
  },
  answer: {
    changes: () => [{ kind: 'answer', lead: lead.graphics, fact: 'works', value: 'no' }],
    carryOut: () => patch(lead.graphics!, { answers: { works: 'no' } }),
  },
  trip: {
    changes: () => [{ kind: 'trip', lead: lead.graphics, trip: 'round' }],
    carryOut: () => patch(lead.graphics!, { tripId: 'round' }),
  },
  group: {
    changes: () => [{ kind: 'group', choice: choice.cpu, order: 'apart' }],
    carryOut: () => groupOrder(place.db, { choiceIds: [choice.cpu!], group: 'apart' }, today),
  },
  brief: {
    changes: () => [
      {
        kind: 'brief',
        budget: '333.00',
        wantedBy: '2026-12-24',
        targets: [
          {
            workloadId: 'kite-arena',
            width: 1920,
            height: 1080,
            preset: 'medium',
            averageFps: 80,
            lowFps: 60,
          },
        ],
      },
    ],
    carryOut: async () => {
      const brief = await briefOf(place.db, place.build)
      const [target] = whatIfSchema.validateSync({ changes: own.brief!.changes() }).changes[0]!.targets!
      await saveBrief(
        place.db,
        place.build,
        {
          ...brief,
          budget: '333.00',
          stretch: String(Math.max(333, Number(brief.stretch))),
          wantedBy: '2026-12-24',
          targets: [target as never],
        },
        today,
      )
    },
  },
  fact: {
    changes: () => [{ kind: 'fact', of: 'the-cpu', name: 'socket', value: 'ZZ-9' }],
    carryOut: async () => {
      const cpu = (await page()).parts.find(({ id }) => id === 'the-cpu')!
      await savePart(place.db, { ...cpu, facts: { ...cpu.facts, socket: 'ZZ-9' } } as never)
    },
  },
}

test.each(Object.keys(own))('%s: what is said beforehand is what its own form comes to', async (kind) => {
  const { changes, carryOut } = own[kind]!
  const before = await page()
  const said = await asked(...changes())
  expect(said.refused).toBeNull()
  expect((await page()).receipt).toEqual(before.receipt)
  await carryOut()
  const after = await page()
  const ids = ({ id: _id, ...rest }: { id: string }) => rest
  expect(said.after!.receipt).toEqual(after.receipt)
  expect(said.after!.findings).toEqual(after.fit.findings)
  expect(said.after!.targets.map(ids)).toEqual(after.targets.map(ids))
  expect(said.after!.carts).toEqual(after.carts)
  // and it is a change at all
  expect(said.after).not.toEqual(said.before)
})

test('a thing taken in part payment lowers what is paid by its credit', async () => {
  const { difference } = await asked({ kind: 'trade-in', lead: lead.cpu, item: null, credit: '12.00' })
  expect(difference!.payNow).toBe(-1200)
})

test('years and a rival’s price move the scales as their own forms do', async () => {
  const before = await page()
  const said = await asked({ kind: 'weigh', years: 5, rival: { id: 'rival', price: '700.00' } })
  expect(said.weighing!.before).toEqual(before.weighing)
  await saveWeighing(place.db, place.build, { ...weighingDefaults, years: 5, usualShipping: null } as never)
  await place.db.update(rivals).set({ price: 70_000 })
  expect(said.weighing!.after).toEqual((await page()).weighing)
  expect(said.weighing!.after).not.toEqual(before.weighing)
})

test('what is asked of nothing is refused in words, and a wrong shape names its member', async () => {
  expect((await asked({ kind: 'price', lead: 'nothing', amount: '1.00' })).refused?.code).toBe('not-found')
  const unknown = await asked({ kind: 'answer', lead: lead.graphics, fact: 'magic', value: 'yes' })
  expect(unknown.refused).toMatchObject({ code: 'unknown-fact', path: 'fact' })
  for (const [name, value] of [
    ['boardPowerW', 'lots'],
    ['magic', 1],
  ])
    expect((await asked({ kind: 'fact', of: 'the-cpu', name, value })).refused?.code).toBe('bad-fact')
  expect(() => whatIfSchema.validateSync({ changes: [{ kind: 'price', lead: 'x' }] })).toThrow(
    'needs "amount"',
  )
  expect(() => whatIfSchema.validateSync({ changes: [{ kind: 'choose' }] })).toThrow('choose a lead, a hunt')
  for (const change of [{}, { kind: 'magic' }, { kind: null }])
    expect(() => whatIfSchema.validateSync({ changes: [change] }, { abortEarly: false })).toThrow(
      ValidationError,
    )
})
