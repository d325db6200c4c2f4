import { afterEach, beforeEach, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import { isAsItIs, planBuild, type PlanIds } from '#core/planning/planBuild'
import type { Solver } from '#core/planning/solvePlan'
import { createVariant } from '#server/places/builds/variants'
import { createBuild } from '#server/places/builds/builds'
import { buildView } from '#server/places/builds/buildView'
import { createLead } from '#server/places/leads/leads'
import { addChoice } from '#server/places/machine/choices'
import { savePart } from '#server/places/parts/parts'
import { keepPaste } from '#server/places/pastes/keepPaste'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { planQuestion } from '#server/places/plan/planQuestion'
import { items } from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import { soldRecords } from '#server/db/schema/prices'
import { sources } from '#server/db/schema/sources'
import { addToShelf } from '#server/places/shelf/shelf'
import { shelfSchema } from '#shared/shelf/schemas'
import { planCarriedOut } from '#server/places/plan/planCarriedOut'
import { takePlan } from '#server/places/plan/takePlan'
import { undo } from '#server/db/action'
import { useWorld } from '#server/readings/useWorld'
import { carryOut } from '#server/whatif/carryOut'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { briefSchema } from '#shared/brief/schemas'
import { pasteSchema } from '#shared/pastes/schemas'
import { newSolver } from '../core/planning/newSolver'
import { machineWith } from '../core/machine/fit/soundMachine'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** A plan of the market: asked, priced on the receipt, taken, taken back. */
let place: MarketWithBuild
let solve: Solver
beforeEach(async () => {
  place = await marketWithBuild({ empty: true })
  const brief = { name: 'Attic box', currency: 'CAD', budget: '900', stretch: '900', wantedBy: null }
  const build = await createBuild(place.db, briefSchema.validateSync(brief), today)
  place = { ...place, build }
  for (const { role, facts } of machineWith()) {
    const id = `the-${role}`
    await savePart(place.db, { id, role, make: 'Make', name: `The ${role}`, facts: facts as never })
    await noteShopPrice(
      place.db,
      { partId: id, shop: 'Pantry', price: '60.00', currency: 'CAD', date: today },
      today,
    )
  }
  // two of one shop, together in one order on the receipt
  for (const [partId, price] of [
    ['the-cooler', '20.00'],
    ['the-memory', '30.00'],
  ])
    await keepPaste(
      place.db,
      pasteSchema.validateSync({
        source: { name: 'Pantry', kind: 'shop', currency: 'CAD' },
        leads: [
          {
            sourceId: 'pasted',
            title: `an offer of ${partId}`,
            price,
            currency: 'CAD',
            condition: 'new',
            manner: 'fixed',
            listedOn: today,
            things: [{ partId }],
          },
        ],
      }),
      today,
    )
  solve = await newSolver(20)
})
afterEach(() => place.close())
const view = () => buildView(place.db, place.build, today)
const carriedOut = async (ids: PlanIds) =>
  planCarriedOut(
    await useWorld(place.db),
    place.build,
    { ways: [...ids.ways], sold: [...ids.sold], without: [...ids.without] },
    today,
  )
const planOf = async () => {
  const { question, present } = await planQuestion(place.db, place.build, today)
  const wishes = { ...question.wishes, budget: null, days: null }
  return {
    question,
    present: [...present],
    plan: await planBuild({ ...question, wishes }, solve, carriedOut),
  }
}

test('the receipt says to the cent what was promised before it was taken; one undo puts all back', async () => {
  const before = await view()
  const { plan, present } = await planOf()
  expect(plan.status).toBe('optimal')
  const ways = plan.ways.map(({ id }) => id)
  expect(plan.findings.filter(({ severity }) => severity === 'stops')).toEqual([])
  // asking leaves nothing behind
  expect((await view()).receipt.totals).toEqual(before.receipt.totals)

  const taken = await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'build', name: '' },
    today,
  )
  const after = await view()
  const { payNow, expected } = after.receipt.totals
  expect(plan.whole).toEqual({ payNow, expected })
  // nothing else is in the build
  expect([plan.payNow, plan.cost]).toEqual([payNow, expected])
  expect(after.emptyRoles).toEqual([])
  expect(after.fit.findings.filter(({ severity }) => severity === 'stops')).toEqual([])
  for (const { part } of plan.kept) expect(after.parts.map(({ id }) => id)).toContain(part.id)

  await undo(place.db, taken.action, today)
  const back = await view()
  expect(back.receipt.totals).toEqual(before.receipt.totals)
  expect(back.choices.map(({ id }) => id).sort()).toEqual(before.choices.map(({ id }) => id).sort())
})

test('two of one shop are planned as one order: what is planned is the receipt, to the cent', async () => {
  await place.db
    .update(sources)
    .set({ taxPercent: 13, shippingKind: 'per-order', shippingAmount: 799 })
    .where(eq(sources.name, 'Pantry'))
  const { plan, present } = await planOf()
  expect(plan.orders).toMatchObject([{ name: 'Pantry', shipping: 799 }])
  // (20.00 + 30.00) × 1.13 + 7.99
  expect(plan.orders[0]!.payNow).toBe(6449)
  const ways = plan.ways.map(({ id }) => id)
  expect(plan.whole).toEqual({ payNow: plan.payNow, expected: plan.cost })
  await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'build', name: '' },
    today,
  )
  const again = await planOf()
  expect([again.plan.payNow, again.plan.cost]).toEqual([plan.payNow, plan.cost])
  // apart by hand, each is an order of its own, and says so to the plan
  const [one] = (await view()).choices.filter(({ leadId }) => leadId !== null)
  await place.db.update(choices).set({ orderGroup: 'apart' }).where(eq(choices.id, one!.id))
  expect((await planOf()).question.orders).toEqual([])
})

test('as a variant it leaves the build as it is', async () => {
  const before = await view()
  const { plan, present } = await planOf()
  const ways = plan.ways.map(({ id }) => id)
  const { buildId, isVariant } = await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'variant', name: 'The planned one' },
    today,
  )
  expect(isVariant).toBe(true)
  expect((await view()).receipt.totals).toEqual(before.receipt.totals)
  const variant = await buildView(place.db, buildId, today)
  expect([variant.name, variant.emptyRoles]).toEqual(['The planned one', []])
})

test('a way that is gone is named, and nothing is half taken', async () => {
  const before = await view()
  await expect(
    takePlan(
      place.db,
      place.build,
      { ways: ['lead:gone'], sold: [], without: [], present: [], into: 'build', name: '' },
      today,
    ),
  ).rejects.toThrow('the option "lead:gone" is no longer available')
  expect((await view()).choices).toEqual(before.choices)
})

test('a plan asked again once it is taken is the build itself, and costs no more', async () => {
  const first = await planOf()
  const { present } = first
  const ways = first.plan.ways.map(({ id }) => id)
  await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'build', name: '' },
    today,
  )
  const again = await planOf()
  expect(again.plan.ways.every(({ id }) => id.startsWith('choice:'))).toBe(true)
  expect([...again.plan.ways.map(({ id }) => id)].sort()).toEqual([...again.present].sort())
})

test('a hunt in the build waits as long as on its line; house rules leave ways out, with their reason', async () => {
  const library = (await planQuestion(place.db, place.build, today)).question.parts
  const card = library.find(({ role }) => role === 'graphics')!
  await addChoice(
    place.db,
    place.build,
    {
      kind: 'hunt',
      partId: card.id,
      leadId: null,
      shelfId: null,
      limit: '50.00',
      condition: 'used',
      scope: 'core',
      reason: '',
    },
    today,
  )
  const { question, leftOut } = await planQuestion(place.db, place.build, today)
  const choice = (await view()).choices.find(({ partId }) => partId === card.id)!
  const way = question.ways.find(({ id }) => id === `choice:${choice.id}`)!
  expect(way.perDay).toBeCloseTo(choice.expectedWait === null ? 0 : 1 / choice.expectedWait, 9)
  expect(leftOut.every(({ why }) => why !== '')).toBe(true)
})

test('a thing of mine that a plan takes off the shelf lies there again after the undo', async () => {
  const { id } = await addToShelf(
    place.db,
    shelfSchema.validateSync({ partId: 'the-case', condition: 'used', cost: '0', currency: 'CAD' }),
  )
  const { plan, present } = await planOf()
  const ways = plan.ways.map((way) => way.id)
  expect(ways).toContain(`item:${id}`)
  const taken = await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'build', name: '' },
    today,
  )
  const placeOf = async () => (await place.db.select().from(items).where(eq(items.id, id)))[0]!.place
  expect(await placeOf()).toBe('build')
  await undo(place.db, taken.action, today)
  expect([await placeOf(), (await view()).choices]).toEqual(['shelf', []])
})

const hunt = { kind: 'hunt', leadId: null, shelfId: null, scope: 'core', reason: '' } as const

test('what another tab chose since is not thrown out by an old plan', async () => {
  const { plan, present } = await planOf()
  const choice = { ...hunt, partId: 'the-graphics', limit: '50.00', condition: 'used' } as const
  await addChoice(place.db, place.build, choice, today)
  const ways = plan.ways.map(({ id }) => id)
  await expect(
    takePlan(place.db, place.build, { ways, sold: [], without: [], present, into: 'build', name: '' }, today),
  ).rejects.toThrow('the build was changed in the meantime; nothing was overwritten')
  expect((await view()).choices).toHaveLength(1)
})

test('taken by a variant, what it came with is dropped, and there again after the undo', async () => {
  const choice = { ...hunt, partId: 'the-graphics', limit: '590.00', condition: 'new' } as const
  await addChoice(place.db, place.build, choice, today)
  place = { ...place, build: await createVariant(place.db, place.build, 'Another', today) }
  const before = await view()
  const { plan, present } = await planOf()
  const ways = plan.ways.map(({ id }) => id)
  const taken = await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'build', name: '' },
    today,
  )
  expect((await view()).choices.map((each) => each.id)).not.toContain(before.choices[0]!.id)
  await undo(place.db, taken.action, today)
  expect((await view()).receipt.totals).toEqual(before.receipt.totals)
})

test('of a chosen lot a plan brings in what was left out, and is then the build as it stands', async () => {
  const { db, build } = place
  const [shop] = await db.select().from(sources)
  const lot = await createLead(
    db,
    leadSchema.validateSync({
      title: 'Board and CPU',
      sourceId: shop!.id,
      price: '20.00',
      currency: 'CAD',
      condition: 'used',
      manner: 'fixed',
      listedOn: today,
      things: [{ partId: 'the-motherboard' }, { partId: 'the-cpu' }],
    }),
  )
  const choice = choiceSchema.validateSync({ kind: 'lead', leadId: lot })
  const line = await addChoice(db, build, choice, today)
  const out = (part: string) =>
    carryOut(db, build, [{ kind: 'leave-out', line, part }], { today, text: 'out', path: '' })
  await out('the-cpu')
  const { plan, present } = await planOf()
  // nothing is cheaper than what the lot brings anyway
  expect(plan.without).toEqual([])
  expect(plan.ways.map(({ id }) => id)).toContain(`choice:${line}`)
  const ways = plan.ways.map(({ id }) => id)
  await takePlan(db, build, { ways, sold: [], without: [], present, into: 'build', name: '' }, today)
  expect((await view()).receipt.totals.payNow).toBe(plan.whole!.payNow)
  expect((await view()).choices.find(({ id }) => id === line)!.leftOut).toEqual([])
  const again = await planOf()
  const { question } = await planQuestion(db, build, today)
  expect(isAsItIs(question, again.plan)).toBe(true)
})

test('the budget left for a plan is what the rest of the build leaves of it', async () => {
  const budget = async () => (await planQuestion(place.db, place.build, today)).question.wishes.budget
  expect(await budget()).toBe(90_000)
  // an extra stays whatever is planned; what fills a role may be planned otherwise
  await savePart(place.db, { id: 'stick', role: 'extra', make: '', name: 'Stick', facts: {} })
  await addChoice(
    place.db,
    place.build,
    { ...hunt, partId: 'stick', limit: '15.00', condition: 'new' },
    today,
  )
  expect(await budget()).toBe(88_500)
  const card = { ...hunt, partId: 'the-graphics', limit: '70.00', condition: 'new' } as const
  await addChoice(place.db, place.build, card, today)
  expect(await budget()).toBe(88_500)
})

test('an upgrade sells what the new part replaces: it lies on the shelf, and is back after one undo', async () => {
  // the machine stands, of things that were on the shelf
  for (const { role } of machineWith())
    await addToShelf(
      place.db,
      shelfSchema.validateSync({ partId: `the-${role}`, condition: 'used', cost: '0', currency: 'CAD' }),
    )
  const first = await planOf()
  const ways = first.plan.ways.map(({ id }) => id)
  await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present: first.present, into: 'build', name: '' },
    today,
  )
  const standing = await view()
  expect(standing.choices.every(({ item }) => item?.place === 'build')).toBe(true)

  const { question, present } = await planQuestion(place.db, place.build, today)
  const owned = question.ways.filter(({ isPresent }) => isPresent)
  // what was never sold has no price, and stays
  expect(owned.map(({ resale }) => resale)).toEqual(owned.map(() => undefined))
  expect([...question.pins].sort()).toEqual(owned.map(({ id }) => id).sort())

  // with a price of its own the card may go
  const card = standing.choices.find(({ roles }) => roles.includes('graphics'))!
  const faster = {
    ...question.parts.find(({ role }) => role === 'graphics')!,
    id: 'faster',
    name: 'The faster',
  }
  await savePart(place.db, { ...faster, facts: faster.facts as never })
  await noteShopPrice(
    place.db,
    { partId: 'faster', shop: 'Pantry', price: '90.00', currency: 'CAD', date: today },
    today,
  )
  const again = await planQuestion(place.db, place.build, today)
  const id = `choice:${card.id}`
  const asked = {
    ...again.question,
    ways: again.question.ways.map((way) => (way.id === id ? { ...way, resale: 4000 } : way)),
    pins: again.question.pins.filter((each) => each !== id),
    // nor the same again, new from the shop
    bans: [id, 'shop:the-graphics'],
    maySell: 3,
    wishes: { ...again.question.wishes, budget: null, days: null },
  }
  const plan = await planBuild(asked, solve, carriedOut)
  expect(plan.sold.map(({ way }) => way.id)).toEqual([id])
  expect(plan.outOfPocket).toBe(plan.payNow! - 4000)

  const taken = await takePlan(
    place.db,
    place.build,
    {
      ways: plan.ways.map((way) => way.id),
      sold: [id],
      without: [],
      present: [...present],
      into: 'build',
      name: '',
    },
    today,
  )
  const item = async () => (await place.db.select().from(items).where(eq(items.id, card.item!.id)))[0]!
  expect(await item()).toMatchObject({ place: 'shelf', plan: 'resell' })
  const after = await view()
  expect(after.parts.filter(({ role }) => role === 'graphics').map((part) => part.id)).toEqual(['faster'])
  await undo(place.db, taken.action, today)
  expect(await item()).toMatchObject({ place: 'build', plan: 'keep' })
  expect((await view()).receipt.totals).toEqual(standing.receipt.totals)
  await expect(
    takePlan(
      place.db,
      place.build,
      { ways: [id], sold: ['choice:none'], without: [], present: [...present], into: 'build', name: '' },
      today,
    ),
  ).rejects.toThrow('"choice:none" is not one of your parts in this build: plan again')
})

test('of two drives the plan decides about the larger one; the other stays as it is', async () => {
  const small = machineWith().find(({ role }) => role === 'storage')!
  await savePart(place.db, {
    id: 'small-drive',
    role: 'storage',
    make: 'Make',
    name: 'Small drive',
    facts: { ...small.facts, capacityGb: 240 } as never,
  })
  const choose = (partId: string) =>
    addChoice(place.db, place.build, { ...hunt, partId, limit: '20.00', condition: 'used' }, today)
  await choose('the-storage')
  await choose('small-drive')
  const { question, plan, present } = await planOf()
  expect(question.fixed.map(({ id }) => id)).toContain('small-drive')
  expect(plan.status).toBe('optimal')
  const ways = plan.ways.map(({ id }) => id)
  await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'build', name: '' },
    today,
  )
  expect(
    (await view()).parts
      .filter(({ role }) => role === 'storage')
      .map(({ id }) => id)
      .sort(),
  ).toEqual(['small-drive', 'the-storage'])
})

/** An extra of the shop, chosen for the build: no plan decides about it. */
async function chooseStick() {
  await savePart(place.db, { id: 'stick', role: 'extra', make: '', name: 'Stick', facts: {} })
  const lead = {
    title: 'a stick',
    price: '10.00',
    currency: 'CAD',
    condition: 'new',
    manner: 'fixed',
    listedOn: today,
    things: [{ partId: 'stick' }],
  }
  const source = { name: 'Pantry', kind: 'shop', currency: 'CAD' }
  await keepPaste(
    place.db,
    pasteSchema.validateSync({ source, leads: [{ ...lead, sourceId: 'pasted' }] }),
    today,
  )
  const stick = (await useWorld(place.db)).rows.leads.where('title', 'a stick')[0]!
  await addChoice(
    place.db,
    place.build,
    { ...hunt, kind: 'lead', partId: null, leadId: stick.id, limit: null, condition: null },
    today,
  )
}

test('P1: what joins a cart that is there adds what the cart grows by, not an order of its own', async () => {
  await place.db
    .update(sources)
    .set({ shippingKind: 'per-order', shippingAmount: 900 })
    .where(eq(sources.name, 'Pantry'))
  await chooseStick()
  const before = await view()
  // 10.00 and its shipping
  expect(before.receipt.totals.payNow).toBe(1900)
  const { plan, present } = await planOf()
  const inCart = plan.ways.filter(({ source }) => source !== null)
  expect(inCart).toHaveLength(2)
  // six others at what a shop asks, 69.00 landed; cooler and memory at 20.00 and 30.00: their shipping is paid with the stick
  expect([plan.status, plan.payNow]).toEqual(['optimal', 6 * 6900 + 5000])
  const ways = plan.ways.map(({ id }) => id)
  await takePlan(
    place.db,
    place.build,
    { ways, sold: [], without: [], present, into: 'build', name: '' },
    today,
  )
  expect((await view()).receipt.totals.payNow).toBe(1900 + plan.payNow!)
})

test('N2: a lot costs a plan the same whether it is chosen already or only on offer', async () => {
  const source = { name: 'Yard', kind: 'classifieds', currency: 'CAD' }
  const lot = {
    title: 'a lot',
    price: '70.00',
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: today,
    things: [
      { partId: 'the-cpu' },
      { partId: 'the-motherboard' },
      { partId: 'the-graphics', plan: 'resell' },
    ],
  }
  await keepPaste(
    place.db,
    pasteSchema.validateSync({ source, leads: [{ ...lot, sourceId: 'pasted' }] }),
    today,
  )
  await place.db.insert(soldRecords).values(
    Array.from({ length: 9 }, (_, at) => ({
      externalId: `sold ${at}`,
      source: 'Yard',
      title: 'Make The graphics',
      price: 5000,
      shipping: 0,
      currency: 'CAD',
      soldOn: '2026-10-20',
      manner: 'fixed' as const,
      condition: 'used' as const,
      quantity: 1,
    })),
  )
  const offered = (await planOf()).plan
  const { id } = (await useWorld(place.db)).rows.leads.where('title', 'a lot')[0]!
  // the card of it is sold on
  expect(offered.ways.find((way) => way.id === `lead:${id}`)).toMatchObject({ payNow: 7000 })
  expect(offered.cost! - offered.payNow!).toBeLessThan(-2000)
  await addChoice(
    place.db,
    place.build,
    { ...hunt, kind: 'lead', partId: null, leadId: id, limit: null, condition: null },
    today,
  )
  const chosen = (await planOf()).plan
  expect([chosen.cost, chosen.payNow]).toEqual([offered.cost, offered.payNow])
})

test('N4: the days are those of the whole build; a hunt that nobody can time is named', async () => {
  await savePart(place.db, { id: 'licence', role: 'extra', make: '', name: 'Licence', facts: {} })
  await addChoice(
    place.db,
    place.build,
    { ...hunt, partId: 'licence', limit: '5.00', condition: 'new', scope: 'ready' },
    today,
  )
  const { plan } = await planOf()
  expect([plan.status, plan.waitDays, plan.uncounted]).toEqual(['optimal', 0, ['Licence']])
  // named on the receipt as well, and it keeps no date from being met
  expect((await view()).hunts).toMatchObject({ count: 1, daysForMost: 0, uncounted: ['Licence'] })
})
