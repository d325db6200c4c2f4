import { desc, eq, gt, isNull } from 'drizzle-orm'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { CoreError } from '#core/errors/coreError'
import { cashKinds, type CashKind } from '#core/ledger/account'
import { chance } from '../../demo/random'
import type { Database } from '#server/db/client'
import { undo } from '#server/db/action'
import { builds } from '#server/db/schema/builds'
import { targets } from '#server/db/schema/brief'
import { codes, leadAsks, leads, leadThings, rebates } from '#server/db/schema/leads'
import {
  actions,
  items,
  ledgerEntries,
  moves,
  orderLines,
  orders,
  sales,
  trips,
} from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import { parts } from '#server/db/schema/parts'
import { sources } from '#server/db/schema/sources'
import { standingEntries } from '#server/context/standingEntries'
import { readBuild } from '#server/context/readBuild'
import { suggestedWays } from '#server/context/waysToGet'
import { createBuild } from '#server/places/builds/builds'
import { buildStrips, stripsPage } from '#server/places/builds/readBuilds'
import { leadsPage } from '#server/places/leads/readLeads'
import { useWorld } from '#server/readings/useWorld'
import { World } from '#server/readings/world'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { createLead } from '#server/places/leads/leads'
import { agree, gone, pass, reopen } from '#server/places/leads/leadSteps'
import { patchLead } from '#server/places/leads/patchLead'
import { groupOrder } from '#server/places/ledger/groupOrder'
import { ledgerPage, ledgerView } from '#server/places/ledger/ledgerView'
import {
  beginUpgrade,
  sellMachine,
  stand,
  takeApart,
  takeMachineBack,
} from '#server/places/ledger/machineSteps'
import { payOrder } from '#server/places/ledger/payOrder'
import { stepRebate } from '#server/places/ledger/rebateSteps'
import { createTrip, driveTrip } from '#server/places/ledger/trips'
import { addChoice, changeChoice } from '#server/places/machine/choices'
import { readRates, removeRate, setRate } from '#server/places/settings/rates'
import { addToShelf } from '#server/places/shelf/shelf'
import { sourceRow } from '#server/places/sources/sourceRow'
import { briefSchema } from '#shared/brief/schemas'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { sourceSchema } from '#shared/sources/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { itemStep } from './purchases'

/** There is nothing that a step could be done to. */
class NothingToDo extends Error {}

/**
 * Random lives against a real database: whatever happens in whatever order, the figures agree with the entries, with
 * each other on every screen, and with what they were before where a step is taken back. `TARVIN_LIVES` says how many
 * sequences (`npm run bench -- lives` lives 200); rare transitions are steered to, and the test fails unless each of
 * them occurred often enough.
 */
const sequences = Number(process.env.TARVIN_LIVES ?? 50)
const stepsEach = 30
/** How each begins, so that there is something to live with. */
const opening = ['capture', 'capture', 'choose', 'choose', 'pay', 'pay', 'arrive', 'arrive']
const fewest = Math.min(20, Math.floor(sequences / 10))

let place: MarketWithBuild
let db: Database
const partIds = ['cpu', 'board', 'card', 'case'] as const
beforeAll(async () => {
  place = await marketWithBuild({ empty: true })
  db = place.db
  // nothing here is about a crash: no commit waits for the disk
  await place.client.execute('PRAGMA synchronous = OFF')
  for (const source of [
    { id: 'yard', name: 'Barnstall', kind: 'classifieds', taxPercent: 0, shipping: { kind: 'none' } },
    {
      id: 'shop',
      name: 'Pantry',
      kind: 'shop',
      taxPercent: 13,
      shipping: { kind: 'per-order', amount: '9.99', freeFrom: '150.00' },
    },
  ])
    await db
      .insert(sources)
      .values(
        sourceRow(
          sourceSchema.validateSync({ ...source, currency: 'CAD', taxOnShipping: true, protection: 'none' }),
        ),
      )
  for (const id of partIds)
    await db.insert(parts).values({
      id,
      role: ({ cpu: 'cpu', board: 'motherboard', card: 'graphics', case: 'case' } as const)[id],
      make: 'Quenby',
      name: id,
      facts: {},
    })
})
afterAll(() => place.close())

type Draw = ReturnType<typeof chance>

/** Emptied before each sequence, children first. */
const livedIn = [
  moves,
  sales,
  items,
  orderLines,
  orders,
  ledgerEntries,
  actions,
  choices,
  rebates,
  codes,
  leadThings,
  leadAsks,
  leads,
  trips,
  targets,
  builds,
]

const newest = async () =>
  (await db.select({ id: actions.id }).from(actions).orderBy(desc(actions.id)).limit(1))[0]?.id ?? 0

/** One sequence: its own builds, its own leads; what it knows it reads from the database. */
class Life {
  builds: string[] = []
  leads: string[] = []
  readonly counts: Map<string, number>
  constructor(
    readonly draw: Draw,
    counts: Map<string, number>,
  ) {
    this.counts = counts
  }
  pick<T>(list: readonly T[]): T | undefined {
    return list.length === 0 ? undefined : list[this.draw.whole(0, list.length - 1)]
  }
  amount(): string {
    return `${this.draw.whole(1, 300)}.${String(this.draw.whole(0, 99)).padStart(2, '0')}`
  }
  did(name: string): void {
    this.counts.set(name, (this.counts.get(name) ?? 0) + 1)
  }
}

const steps: Readonly<Record<string, (life: Life) => Promise<void>>> = {
  async capture(life) {
    const isOffer = life.draw.whole(0, 2) === 0
    const isLot = life.draw.whole(0, 3) === 0
    const [old] = await db.select().from(items).where(eq(items.place, 'shelf')).limit(1)
    life.leads.push(
      await createLead(
        db,
        leadSchema.validateSync({
          sourceId: isOffer ? 'shop' : 'yard',
          title: `a thing ${life.draw.whole(0, 1e9)}`,
          price: life.amount(),
          currency: life.draw.whole(0, 3) === 0 ? 'SEK' : 'CAD',
          condition: isOffer ? 'new' : 'used',
          manner: isOffer ? 'fixed' : 'local',
          listedOn: '2026-10-30',
          things: [
            { partId: life.pick(partIds), plan: 'keep' },
            ...(isLot ? [{ partId: life.pick(partIds), plan: 'resell', quantity: 2 }] : []),
          ],
          ...(isOffer
            ? { rebate: { kind: 'mail-in', amount: '7.50', claimBy: '2026-11-20', chance: 0.8 } }
            : {}),
          ...(isOffer && old ? { tillCredit: { amount: '0.50', itemId: old.id } } : {}),
        }),
      ),
    )
  },
  async choose(life) {
    const leadId = life.pick(life.leads)
    const build = life.pick(life.builds)
    if (leadId && build)
      await addChoice(db, build, choiceSchema.validateSync({ kind: 'lead', keepBoth: true, leadId }), today)
  },
  async hunt(life) {
    const build = life.pick(life.builds)
    const input = { kind: 'hunt', partId: life.pick(partIds), limit: life.amount(), condition: 'used' }
    if (build) await addChoice(db, build, choiceSchema.validateSync(input), today)
  },
  async takeOut(life) {
    const row = life.pick(await liveChoices(life))
    if (row) await changeChoice(db, row.id, { deletedAt: today }, today)
  },
  async group(life) {
    const row = life.pick(await liveChoices(life))
    if (row)
      await groupOrder(db, { choiceIds: [row.id], group: row.orderGroup === null ? row.id : null }, today)
  },
  async agree(life) {
    const id = life.pick(life.leads)
    if (id) await agree(db, id, { day: today, amount: life.amount(), until: null }, today)
  },
  async pass(life) {
    const id = life.pick(life.leads)
    if (id) await pass(db, id, { day: today, reason: '', buildId: null }, today)
  },
  async gone(life) {
    const id = life.pick(life.leads)
    if (id) await gone(db, id, { day: today }, today)
  },
  async reopen(life) {
    const closed = await db.select().from(leads)
    const id = life.pick(
      closed.filter((row) => life.leads.includes(row.id) && (row.state === 'gone' || row.state === 'passed')),
    )?.id
    if (id) await reopen(db, id, { day: today, buildId: null }, today)
  },
  async pay(life) {
    const row = life.pick((await liveChoices(life)).filter((each) => each.voidBecause === null))
    const total = life.draw.whole(0, 1) === 0 ? life.amount() : null
    if (row) await payOrder(db, { choiceIds: [row.id], day: today, total, amounts: [] }, today)
  },
  async payWhole(life) {
    const build = life.pick(life.builds)
    const order = build && life.pick((await ledgerView(db, build, today)).orders)
    if (order)
      await payOrder(
        db,
        { choiceIds: order.lines.map((line) => line.choiceId), day: today, total: null, amounts: [] },
        today,
      )
  },
  arrive: (life) =>
    onItem(life, 'ordered', 'arrive', { state: life.pick(['works', 'works', 'faulty', 'dead']) }),
  cancel: (life) =>
    onItem(life, 'ordered', 'cancel', { amount: life.amount(), missing: life.draw.whole(0, 1) === 0 }),
  sendBack: (life) => onItem(life, 'build', 'send-back', { expected: life.amount() }),
  refund: (life) => onItem(life, 'returning', 'refund', { amount: life.amount() }),
  comeBack: (life) => onItem(life, 'returning', 'come-back'),
  keepMoney: (life) => onItem(life, 'build', 'refund', { amount: life.amount(), kept: true }),
  toShelf: (life) => onItem(life, 'build', 'move', { buildId: null }),
  toBuild: (life) => onItem(life, 'shelf', 'move', { buildId: life.pick(life.builds) }),
  handOver: (life) => onItem(life, 'build', 'move', { buildId: life.pick(life.builds) }),
  sell: (life) =>
    onItem(life, 'shelf', 'sell', { price: life.amount(), fee: '1.00', buildId: life.pick(life.builds) }),
  takeBack: (life) =>
    onItem(life, 'gone', 'take-back', { amount: life.amount() }, (row) => row.goneBecause === 'sold'),
  writeOff: (life) => onItem(life, 'shelf', 'write-off'),
  tradeIn: (life) => onItem(life, 'shelf', 'trade-in'),
  split: (life) => onItem(life, 'shelf', 'split', { parts: [life.pick(partIds), life.pick(partIds)] }),
  findDead: (life) => onItem(life, 'build', 'find', { state: 'dead' }),
  repair: (life) =>
    onItem(life, 'build', 'find', { state: 'works', repaired: true }, (row) => row.state === 'dead'),
  async own(life) {
    await addToShelf(db, {
      partId: life.pick(partIds)!,
      condition: 'used',
      cost: life.amount(),
      currency: 'CAD',
      note: '',
    })
  },
  async planTrip(life) {
    const [build, lead] = [life.pick(life.builds), life.pick(life.leads)]
    if (!build || !lead) return
    const trip = await createTrip(db, build, { name: 'a drive', km: 10, fare: '3.00', hours: 0.5 })
    await patchLead(db, lead, { tripId: trip }, today, today)
  },
  async drive(life) {
    const open = await db.select().from(trips).where(isNull(trips.drivenOn))
    const trip = life.pick(open.filter((row) => life.builds.includes(row.buildId)))
    if (trip) await driveTrip(db, trip.id, { day: today }, today)
  },
  async claim(life) {
    const open = await ownRebates(life, 'to-claim')
    if (open) await stepRebate(db, open.id, { state: 'claimed', day: today }, today)
  },
  async receive(life) {
    const claimed = await ownRebates(life, 'claimed')
    if (claimed) await stepRebate(db, claimed.id, { state: 'paid', day: today }, today)
  },
  async changeRate(life) {
    const booked = await bookedCash(life)
    const [from, to] = life.pick([
      ['SEK', 'CAD'],
      ['CAD', 'SEK'],
    ] as const)!
    const rate = life.draw.whole(1, 40) / 4
    await setRate(
      db,
      { date: life.pick(['2026-10-01', today])!, from, to, rate: String(rate), bothWays: true },
      today,
    )
    // later rates never alter what was paid
    expect(await bookedCash(life)).toEqual(booked)
  },
  async loseRate(life) {
    const rate = life.pick(await readRates(db))
    if (rate) await removeRate(db, rate, today)
  },
  async changeCurrency(life) {
    const build = life.pick(life.builds)!
    const brief = await briefOf(db, build)
    const held = (await bookedCash(life)).find(({ id }) => id === build)!
    await saveBrief(db, build, { ...brief, currency: brief.currency === 'CAD' ? 'SEK' : 'CAD' }, today)
    expect(held.amounts).toEqual([0, 0, 0])
  },
  async stand(life) {
    const id = life.pick(life.builds)
    if (id) await stand(db, id, { day: today }, today)
  },
  async sellMachine(life) {
    const id = life.pick(life.builds)
    if (id)
      await sellMachine(
        db,
        id,
        { day: today, price: life.amount(), fee: '2.00', postage: '0', hours: 1 },
        today,
      )
  },
  async machineBack(life) {
    const sold = await db.select().from(builds).where(eq(builds.state, 'sold'))
    const row = life.pick(sold.filter((each) => life.builds.includes(each.id)))
    if (row) await takeMachineBack(db, row.id, { day: today, amount: life.amount() }, today)
  },
  async upgrade(life) {
    const id = life.pick(life.builds)
    if (!id || life.builds.length > 3) throw new NothingToDo()
    const upgrade = { day: today, name: `U${life.builds.length}`, budget: '300.00' }
    life.builds.push(await beginUpgrade(db, id, upgrade, today))
  },
  async apart(life) {
    const id = life.pick(life.builds)
    if (id) await takeApart(db, id, { day: today }, today)
  },
}

/** What has to have happened before a rare step can: it is lived first where there is nothing to do it to. */
const first: Readonly<Record<string, string>> = {
  comeBack: 'sendBack',
  refund: 'sendBack',
  takeBack: 'sell',
  sell: 'toShelf',
  writeOff: 'toShelf',
  tradeIn: 'toShelf',
  split: 'toShelf',
  repair: 'findDead',
  receive: 'claim',
  machineBack: 'sellMachine',
}

async function lived(life: Life, name: string): Promise<void> {
  try {
    await steps[name]!(life)
  } catch (error) {
    if (!(error instanceof NothingToDo) || !first[name]) throw error
    await lived(life, first[name])
    await steps[name]!(life)
  }
  life.did(name)
}

/** Cash out, cash in and sale of each build: facts, whatever a currency is worth. */
async function bookedCash(life: Life) {
  return Promise.all(
    life.builds.map(async (id) => {
      const { cashOut, cashIn, sale } = (await readBuild(db, id, today)).view.receipt.account
      return { id, amounts: [cashOut.amount, cashIn.amount, sale.amount] }
    }),
  )
}

async function liveChoices(life: Life) {
  const rows = await db.select().from(choices).where(isNull(choices.deletedAt))
  return rows.filter((row) => life.builds.includes(row.buildId))
}

async function ownRebates(life: Life, state: 'to-claim' | 'claimed') {
  const rows = await db
    .select({ rebate: rebates, buildId: orderLines.buildId })
    .from(rebates)
    .innerJoin(orderLines, eq(orderLines.id, rebates.lineId))
    .where(eq(rebates.state, state))
  return life.pick(rows.filter((row) => life.builds.includes(row.buildId)))?.rebate
}

async function onItem(
  life: Life,
  from: (typeof items.$inferSelect)['place'],
  step: Parameters<typeof itemStep>[2],
  input: object = {},
  isMeant: (row: typeof items.$inferSelect) => boolean = () => true,
): Promise<void> {
  const rows = await db.select().from(items).where(eq(items.place, from))
  const own = rows.filter((row) => row.buildId === null || life.builds.includes(row.buildId))
  const row = life.pick(own.filter(isMeant))
  if (!row) throw new NothingToDo()
  await itemStep(db, row.id, step, input)
}

/** The figures that every screen shows of a build, and what must hold between them. */
async function figuresOf(id: string) {
  const { view, items: things } = await readBuild(db, id, today)
  const { account, groups } = view.receipt
  const entries = await standingEntries(db, id)
  const cash = entries.reduce((sum, entry) => sum + (entry.kind in cashKinds ? entry.cash : 0), 0)
  expect(account.cashOut.amount - account.cashIn.amount - account.sale.amount).toBe(0 - cash)
  expect(view.receipt.totals.payNow).toBe(account.payNow!.amount)
  expect(
    [...groups.paid, ...groups.toBuy, ...groups.owned].reduce((sum, line) => sum + line.payNow!, 0),
  ).toBe(view.state === 'sold' || view.state === 'apart' ? account.cashOut.amount : account.payNow!.amount)
  // what is dead fills no role, and every part of the machine is a thing that lives in it or a choice that stands
  expect(view.choices.filter((each) => each.item?.state === 'dead' && each.roles.length > 0)).toEqual([])
  const living = things.filter(
    (thing) =>
      !thing.isHandedOn &&
      thing.isBuiltIn &&
      thing.state !== 'dead' &&
      (thing.place === 'ordered' || thing.place === 'build'),
  )
  const chosen = view.choices.filter((each) => each.kind !== 'item').flatMap((each) => each.parts)
  expect(view.parts.map((part) => part.id).sort()).toEqual(
    [...living.map((thing) => thing.partId), ...chosen.map((part) => part.id)].sort(),
  )
  const { hours: _hours, worthToday: _worth, profit: _profit, ...money } = account
  return { ...money, parts: view.parts.map((part) => part.id).sort(), state: view.state }
}

async function assertHolds(life: Life): Promise<unknown> {
  const strips = await buildStrips(db, today)
  const figures: unknown[] = []
  let cost = 0
  for (const id of life.builds) {
    const shown = await figuresOf(id)
    figures.push(shown)
    cost += shown.cost.amount
    const strip = strips.find((each) => each.id === id)!
    expect(strip.receipt.account).toMatchObject({
      cashOut: shown.cashOut,
      lost: shown.lost,
      toPay: shown.toPay,
    })
    await ledgerView(db, id, today)
    const { view } = await readBuild(db, id, today)
    const [build] = await db.select().from(builds).where(eq(builds.id, id))
    const ways = await suggestedWays(db, build!, view)
    const states = new Map((await db.select().from(leads)).map((row) => [row.id, row.state]))
    expect(ways.filter(({ leadId }) => leadId !== null && states.get(leadId) !== 'open')).toEqual([])
  }
  await assertBooks(life, cost)
  return figures
}

/** Each payment once, lines add up to their order, every thing in one place, cost is cash. */
async function assertBooks(life: Life, cost: number): Promise<void> {
  const lines = (await db.select().from(orderLines)).filter((line) => life.builds.includes(line.buildId))
  for (const line of lines) {
    const bought = (await standingEntries(db, line.buildId)).filter(
      (entry) => entry.lineId === line.id && entry.kind === 'bought',
    )
    expect(bought.map((entry) => 0 - entry.cash)).toEqual([line.booked])
    const things = await db.select().from(items).where(eq(items.lineId, line.id))
    expect(things.reduce((sum, thing) => sum + thing.cost, 0)).toBe(line.booked)
  }
  for (const order of await db.select().from(orders)) {
    const own = lines.filter((line) => line.orderId === order.id)
    if (own.length > 0) expect(own.reduce((sum, line) => sum + line.paid, 0)).toBe(order.paid)
  }
  const entries = (await Promise.all(life.builds.map((id) => standingEntries(db, id)))).flat()
  const net = entries.reduce(
    (sum, entry) =>
      sum + (entry.kind !== 'hours' && cashKinds[entry.kind as CashKind] !== 'sale' ? entry.cash : 0),
    0,
  )
  const fromShelf = (await db.select().from(moves)).reduce(
    (sum, move) =>
      sum +
      (life.builds.includes(move.toBuildId ?? '') ? move.toAmount : 0) -
      (life.builds.includes(move.fromBuildId ?? '') ? move.fromAmount : 0),
    0,
  )
  expect(cost).toBe(0 - net + fromShelf)
}

test(
  `${sequences} random lives of ${stepsEach} steps: every figure agrees with the entries and on every screen`,
  { timeout: sequences * 12_000 },
  async () => {
    const counts = new Map<string, number>()
    const names = Object.keys(steps)
    for (let sequence = 0; sequence < sequences; sequence += 1) {
      const draw = chance(1000 + sequence)
      const life = new Life(draw, counts)
      for (const table of livedIn) await db.delete(table)
      for (let i = 0; i < 2; i += 1)
        life.builds.push(
          await createBuild(
            db,
            briefSchema.validateSync({
              name: `L${sequence}-${i}`,
              currency: 'CAD',
              budget: '900.00',
              stretch: '900.00',
              wantedBy: null,
              houseRules: { perKm: '0.15' },
            }),
            today,
          ),
        )
      for (let step = 0; step < stepsEach; step += 1) {
        // half of the time what has happened least so far, so that rare transitions get their turn
        const rare = [...names].sort((a, b) => (counts.get(a) ?? 0) - (counts.get(b) ?? 0)).slice(0, 5)
        const name = opening[step] ?? life.pick(draw.whole(0, 1) === 0 ? rare : names)!
        const isWatched = draw.whole(0, 11) === 0
        const before = isWatched ? await assertHolds(life) : null
        const at = await newest()
        try {
          await lived(life, name)
        } catch (error) {
          if (error instanceof NothingToDo) continue
          if (!(error instanceof CoreError) && !(error as Error).message.startsWith('there is')) throw error
          continue
        }
        if (!isWatched) continue
        await assertHolds(life)
        const now = await newest()
        if (now > at) {
          const done = await db.select({ id: actions.id }).from(actions).where(gt(actions.id, at))
          for (const { id } of done.reverse()) await undo(db, id, today)
          const there = (await db.select().from(builds).where(isNull(builds.deletedAt))).map(({ id }) => id)
          life.builds = life.builds.filter((id) => there.includes(id))
          life.did('undo')
          expect({ undone: name, figures: await assertHolds(life) }).toEqual({
            undone: name,
            figures: before,
          })
        }
      }
      await assertHolds(life)
      const pages = (world: World) => [
        stripsPage(world, today),
        ...life.builds.map((id) => [leadsPage(world, id, today), ledgerPage(world, id, today)]),
      ]
      expect(pages(await useWorld(db))).toEqual(pages(await new World().load(db)))
    }
    const rare = [...names, 'undo'].filter((name) => (counts.get(name) ?? 0) < fewest)
    expect(rare.map((name) => `${name}: ${counts.get(name) ?? 0}`)).toEqual([])
  },
)
