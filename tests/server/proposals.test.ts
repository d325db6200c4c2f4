import { afterAll, beforeAll, expect, test } from 'vitest'
import { desc } from 'drizzle-orm'
import { isNoWorse } from '#core/machine/fit/checkFit'
import type { Change } from '#core/whatif/change'
import { undo } from '#server/db/action'
import { actions } from '#server/db/schema/ledger'
import { buildReading } from '#server/context/readBuild'
import { createBuild } from '#server/places/builds/builds'
import { createVariant } from '#server/places/builds/variants'
import { haggleOf } from '#server/places/leads/haggle'
import { createLead } from '#server/places/leads/leads'
import { addChoice } from '#server/places/machine/choices'
import { swap, takeWay } from '#server/places/machine/fix'
import { machinePage } from '#server/places/machine/readMachine'
import { stepsPage } from '#server/places/machine/readSteps'
import { planCarriedOut } from '#server/places/plan/planCarriedOut'
import { takePlan } from '#server/places/plan/takePlan'
import { savePart } from '#server/places/parts/parts'
import { useWorld } from '#server/readings/useWorld'
import { World } from '#server/readings/world'
import { carryOut } from '#server/whatif/carryOut'
import { whatIf } from '#server/whatif/whatIf'
import { briefSchema } from '#shared/brief/schemas'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import type { Outcome } from '#shared/whatif/views'
import { chance } from '../../demo/random'
import { today } from './marketWithBuild'
import { builtAt, pick, randomMarket, refusal, type Draw, type RandomMarket } from './randomBuilds'

/**
 * Whoever proposes a change shows what it comes to: random builds are asked for all they propose, each proposal is
 * carried out by its own route, and the build is read again from nothing. `TARVIN_PROPOSALS` says how many builds
 * (`npm run bench -- proposals`: 300).
 */
const seeds = Number(process.env.TARVIN_PROPOSALS ?? 30)

let place: RandomMarket
const counts = new Map<string, number>()
const did = (what: string) => counts.set(what, (counts.get(what) ?? 0) + 1)

beforeAll(async () => {
  place = await randomMarket()
})
afterAll(() => place.close())

/** Everything of an outcome but the ids of what it made. */
function told({ receipt, targets, findings, cannotCheck, emptyRoles, waits, carts }: Partial<Outcome>) {
  const { groups, ...rest } = receipt!
  const lines = Object.values(groups)
    .flat()
    .map(({ id: _id, ...line }) => JSON.stringify(line))
    .sort()
  const carted = carts!.map((cart) => ({
    ...cart,
    lines: cart.lines.map(({ choiceId: _id, ...line }) => line),
  }))
  return { ...rest, lines, targets, findings, cannotCheck, emptyRoles, waits, carted }
}

/** The same as the screens read it. */
function readIn(world: World, build: string) {
  const { view } = buildReading(world, build, today)
  const { findings, cannotCheck } = view.fit
  return told({ ...view, findings, cannotCheck, waits: view.hunts })
}

async function rowsAsTheyAre(): Promise<string> {
  const tables = ['choices', 'items', 'builds', 'moves', 'actions']
  const read = tables.map(async (name) => (await place.client.execute(`SELECT * FROM ${name}`)).rows)
  return JSON.stringify(await Promise.all(read))
}

/** A proposal shown, carried out as its own page does, compared, and taken back. */
async function isAsShown(build: string, changes: readonly Change[], take: () => Promise<unknown>) {
  const before = readIn(await useWorld(place.db), build)
  const shown = whatIf(await useWorld(place.db), build, changes, today)
  expect(told(shown.before)).toEqual(before)
  const refused = await take().then(() => null, refusal)
  expect(refused?.code ?? null).toBe(shown.refused?.code ?? null)
  if (refused) return did('refused')
  // read from nothing, as by somebody who has seen neither
  expect(readIn(await new World().load(place.db), build)).toEqual(told(shown.after!))
  const [last] = await place.db.select({ id: actions.id }).from(actions).orderBy(desc(actions.id)).limit(1)
  await undo(place.db, last!.id, today)
  expect(readIn(await useWorld(place.db), build)).toEqual(before)
}

/** Changes as nobody would think of them. */
function anyChange(
  draw: Draw,
  choices: readonly { id: string; parts: readonly { id: string }[] }[],
  at: Ground,
) {
  const choice = pick(draw, choices)
  const kinds: (() => Change | null)[] = [
    () => ({ kind: 'choose', lead: pick(draw, at.leads) }),
    () => ({ kind: 'choose', lead: pick(draw, at.leads), keepBoth: true }),
    () => ({ kind: 'choose', hunt: { part: pick(draw, place.library).id } }),
    () => ({ kind: 'choose', hunt: { part: pick(draw, place.library).id, limit: draw.whole(100, 9000) } }),
    () => ({ kind: 'choose', item: pick(draw, at.items) }),
    () => choice && { kind: 'remove', choice: choice.id },
    () => {
      const part = choice && pick(draw, choice.parts)
      return part ? { kind: 'leave-out', line: choice.id, part: part.id } : null
    },
    () => ({ kind: 'sell', item: pick(draw, at.items) }),
    () => choice && { kind: 'limit', choice: choice.id, limit: draw.whole(100, 9000) },
    () => ({ kind: 'settle', finding: 'a finding' }),
  ]
  return pick(draw, kinds)() ?? []
}
type Ground = Awaited<ReturnType<typeof builtAt>>

test(
  `${seeds} builds: what is proposed is what carrying it out comes to, and one undo takes it back`,
  { timeout: seeds * 20_000 },
  async () => {
    const { db } = place
    for (let seed = 1; seed <= seeds; seed += 1) {
      const draw = chance(7000 + seed)
      const ground = await builtAt(place, draw)
      const { build } = ground
      const world = await useWorld(db)
      const { view } = buildReading(world, build, today)
      const machine = machinePage(world, build, today)
      for (const [key, ways] of Object.entries(machine.ways).slice(0, 2))
        for (const { way, changes, cost } of ways.slice(0, 1)) {
          if (changes.length === 0) continue
          did('fix')
          expect(cost).toBe(whatIf(world, build, changes, today).difference?.payNow ?? null)
          await isAsShown(build, changes, () => takeWay(db, build, { key, way }, today))
        }
      for (const { options } of machine.candidates.slice(0, 1))
        for (const { way, changes } of options.slice(0, 1)) {
          did('candidate')
          await isAsShown(build, changes, () => swap(db, build, { way, out: null }, today))
        }
      const { add, replace, cpus } = machine.room
      for (const step of [add, replace, ...cpus]) {
        if (!step) continue
        did('next step')
        const { difference, before, after } = whatIf(world, build, step.changes, today)
        expect([step.cost, step.more]).toEqual([difference?.payNow, step.cost - step.brings])
        // P5: nothing is offered without what it needs
        expect(isNoWorse(after!, before)).toBe(true)
        await isAsShown(build, step.changes, () =>
          db.transaction((tx) => carryOut(tx, build, step.changes, { today, text: 'a step', path: 'any' })),
        )
      }
      const { roles } = stepsPage(world, build, today, '')
      for (const { role, steps } of roles)
        for (const { id, changes, more, morePayNow } of steps.slice(0, 1)) {
          did('step')
          const { difference } = whatIf(world, build, changes, today)
          expect([more, morePayNow]).toEqual([difference?.expected, difference?.payNow])
          const out = view.parts.find((part) => part.role === role)?.id ?? null
          await isAsShown(build, changes, () => swap(db, build, { way: id, out }, today))
        }
      // P1, P8: what a lead costs at a price is what the receipt then comes to, in the cart of its shop
      for (const lead of [pick(draw, ground.leads), pick(draw, ground.leads)]) {
        const sheet = haggleOf(world, build, lead, today)
        const own = view.choices.filter(({ leadId }) => leadId === lead)
        const out = own.map(({ id }): Change => ({ kind: 'remove', choice: id }))
        const costAt = (price: number) => {
          const bought: Change[] = [
            { kind: 'price', lead, amount: price },
            { kind: 'choose', lead, keepBoth: true },
          ]
          const [without, withIt] = [out, [...out, ...bought]].map(
            (changes) => whatIf(world, build, changes, today).difference,
          )
          const of = (each: typeof without) =>
            !each || each.expected === null ? null : each.expected - each.leftovers
          const [before, after] = [of(without), of(withIt)]
          return before === null || before === undefined || after === null || after === undefined
            ? null
            : after - before
        }
        const atAsk = costAt(sheet.ask)
        if (atAsk === null) continue
        did('haggle')
        expect([seed, lead, sheet.costAtAsk]).toEqual([seed, lead, atAsk])
        if (sheet.walkAway === null) continue
        did('walk-away')
        expect(costAt(sheet.walkAway)!).toBeLessThanOrEqual(sheet.alternative!.amount)
        expect(costAt(sheet.walkAway + 1)!).toBeGreaterThan(sheet.alternative!.amount)
      }
      for (let each = 0; each < 3; each += 1) {
        const changes = Array.from({ length: draw.whole(1, 3) }, () =>
          anyChange(draw, view.choices, ground),
        ).flat()
        if (changes.length === 0) continue
        for (const { kind } of changes) did(kind)
        const rows = await rowsAsTheyAre()
        whatIf(await useWorld(db), build, changes, today)
        expect(await rowsAsTheyAre()).toBe(rows)
        await isAsShown(build, changes, () =>
          db.transaction((tx) => carryOut(tx, build, changes, { today, text: 'any', path: 'any' })),
        )
      }
    }
    for (const kind of [
      'fix',
      'candidate',
      'step',
      'haggle',
      'walk-away',
      'choose',
      'remove',
      'leave-out',
      'limit',
      'refused',
    ])
      expect(counts.get(kind) ?? 0, kind).toBeGreaterThanOrEqual(Math.floor(seeds / 3))
  },
)

test('another thing for a role with room for one takes the place of what is chosen there, unless both are kept', async () => {
  const { db } = place
  const brief = { name: 'One card', currency: 'CAD', budget: '900', stretch: '900' }
  const build = await createBuild(db, briefSchema.validateSync(brief), today)
  const hunt = (partId: string, more = {}) =>
    addChoice(db, build, choiceSchema.validateSync({ kind: 'hunt', partId, limit: '138.00', ...more }), today)
  await hunt('graphics-0')
  await hunt('memory-0')
  const found = leadSchema.validateSync({
    sourceId: 'yard',
    title: 'the card that was hunted',
    price: '118.00',
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: today,
    things: [{ partId: 'graphics-0', plan: 'keep' }],
  })
  const leadId = await createLead(db, found)
  await addChoice(db, build, choiceSchema.validateSync({ kind: 'lead', leadId }), today)
  const chosen = async () => buildReading(await useWorld(db), build, today).view.choices
  // the hunt would have been counted beside it: 138.00 + 118.00
  expect((await chosen()).map(({ kind, payNow }) => [kind, payNow])).toEqual([
    ['hunt', 13_800],
    ['lead', 11_800],
  ])
  // memory adds
  await hunt('memory-2')
  expect(await chosen()).toHaveLength(3)
  await hunt('graphics-2', { keepBoth: true })
  expect((await chosen()).flatMap(({ roles }) => roles).filter((role) => role === 'graphics')).toHaveLength(2)
})

/** A lead of the yard, or of the shop, that keeps parts of the library. */
const offer = (title: string, price: string, partIds: readonly string[], sourceId = 'yard') =>
  createLead(
    place.db,
    leadSchema.validateSync({
      sourceId,
      title,
      price,
      currency: 'CAD',
      condition: 'used',
      manner: 'fixed',
      listedOn: today,
      things: partIds.map((partId) => ({ partId, plan: 'keep' })),
    }),
  )
const newBuild = (name: string) =>
  createBuild(
    place.db,
    briefSchema.validateSync({ name, currency: 'CAD', budget: '900', stretch: '900' }),
    today,
  )
const seen = async (build: string) => buildReading(await useWorld(place.db), build, today).view
const chooseLead = (build: string, leadId: string) =>
  addChoice(place.db, build, choiceSchema.validateSync({ kind: 'lead', leadId }), today)

test('P2: a variant of a variant shares no cart with the build it is a version of', async () => {
  const build = await newBuild('Grandparent')
  await chooseLead(build, await offer('a cooler of the shop', '20.00', ['cooler-0'], 'shop'))
  const variant = await createVariant(place.db, build, 'Child', today)
  const deeper = await createVariant(place.db, variant, 'Grandchild', today)
  const [whole, grandchild] = [await seen(build), await seen(deeper)]
  expect(grandchild.receipt.totals).toEqual(whole.receipt.totals)
  // the same cart, in which the cooler lies once
  const cart = (view: typeof whole) => view.carts.map(({ lines, total }) => [lines.length, total])
  expect(cart(grandchild)).toEqual(cart(whole))
})

test('N5: what a variant swaps leaves alone; the rest of the lot it came with stays', async () => {
  const build = await newBuild('With a lot')
  await chooseLead(build, await offer('CPU, board and case', '90.00', ['cpu-0', 'motherboard-0', 'case-0']))
  const variant = await createVariant(place.db, build, 'Another CPU', today)
  const other = await offer('another CPU', '40.00', ['cpu-2'])
  await swap(place.db, variant, { way: `lead:${other}`, out: 'cpu-0' }, today)
  const names = (view: Awaited<ReturnType<typeof seen>>) => view.parts.map(({ id }) => id).sort()
  expect(names(await seen(variant))).toEqual(['case-0', 'cpu-2', 'motherboard-0'])
  // the lot is paid all the same
  expect((await seen(variant)).choices.map(({ payNow }) => payNow)).toContain(9000)
  expect(names(await seen(build))).toEqual(['case-0', 'cpu-0', 'motherboard-0'])
})

test('N1: of a lot a plan takes what it keeps; the rest stays out of the machine', async () => {
  const build = await newBuild('Part of a lot')
  const lead = await offer('two cases and a board', '60.00', ['case-0', 'case-2', 'motherboard-0'])
  const plan = { ways: [`lead:${lead}`], sold: [], without: [{ way: `lead:${lead}`, part: 'case-2' }] }
  const promised = planCarriedOut(await useWorld(place.db), build, plan, today)
  await takePlan(place.db, build, { ...plan, present: [], into: 'build', name: '' }, today)
  const view = await seen(build)
  expect(view.parts.map(({ id }) => id).sort()).toEqual(['case-0', 'motherboard-0'])
  const { payNow, expected } = view.receipt.totals
  expect(promised.whole).toEqual({ payNow, expected })
})

test('a difference is to the cent, and a part without a price is refused, not guessed', async () => {
  const build = await newBuild('Unknown')
  await chooseLead(build, await offer('a cooler', '20.00', ['cooler-0']))
  const world = await useWorld(place.db)
  const more = { kind: 'choose', hunt: { part: 'memory-0', limit: 2500 } } as const
  const { difference } = whatIf(world, build, [more], today)
  expect(difference!.payNow).toBe(2500)
  await savePart(place.db, { id: 'nowhere', role: 'case', make: '', name: 'Nowhere', facts: {} })
  // a part that nobody has a price for is refused in the words of the form, and nothing is guessed
  const { refused, after } = whatIf(
    await useWorld(place.db),
    build,
    [{ kind: 'choose', hunt: { part: 'nowhere' } }],
    today,
  )
  expect([refused?.code, refused?.path, after]).toEqual(['no-price', 'limit', null])
})
