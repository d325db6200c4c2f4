import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { powerDefaults } from '#core/assumptions/groups/power'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { buildView } from '#server/places/builds/buildView'
import { haggleView } from '#server/places/leads/haggle'
import { leadViews } from '#server/places/leads/readLeads'
import { createLead } from '#server/places/leads/leads'
import { ledgerView } from '#server/places/ledger/ledgerView'
import { machineView } from '#server/places/machine/readMachine'
import { addChoice } from '#server/places/machine/choices'
import { priceBriefs, priceView } from '#server/places/prices/readPrices'
import { worthView } from '#server/places/prices/readWorth'
import { leadSchema } from '#shared/leads/schemas'
import type { BuildView } from '#shared/builds/views'
import type { LeadView } from '#shared/leads/views'
import type { PriceView } from '#shared/prices/views'
import { aimWorking, openingWorking, walkAwayWorking } from '~/workings/haggleWorkings'
import {
  expectedWorking,
  faultWorking,
  landedWorking,
  savingWorking,
  splitWorking,
  thingStreetWorking,
} from '~/workings/leadWorkings'
import { accountWorking, resaleWorking } from '~/workings/ledgerWorkings'
import { drawWorking, wallWorking } from '~/workings/machineWorkings'
import {
  briefPriceWorking,
  chanceWorking,
  gapWorking,
  gradeWorking,
  mannerWorking,
  markWorking,
  recordWorking,
  trendWorking,
  wishWorking,
} from '~/workings/priceWorkings'
import {
  choiceWorking,
  huntsWorking,
  leftWorking,
  scopeWorking,
  totalWorking,
} from '~/workings/receiptWorkings'
import { costWorking } from '~/workings/weighingWorkings'
import type { Working } from '~/workings/working'
import { pricePerPointWorking, worthPriceWorking } from '~/workings/worthWorkings'
import { marketWithBuild, today, type MarketWithBuild } from '../server/marketWithBuild'

/**
 * The working of a figure must come out at the figure: the lines a sum is made of add up to its result, and the words
 * beside it quote the constants in force. Checked on a real database with a lot, a hunt and a rebate in the build.
 */
let place: MarketWithBuild
let view: BuildView
let lot: LeadView
let shop: LeadView
let card: PriceView

const lead = (change: object) =>
  leadSchema.validateSync({
    sourceId: 'yard',
    title: 'Card and board',
    price: '160.00',
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-25',
    things: [{ partId: 'card' }],
    ...change,
  }) as never

beforeAll(async () => {
  place = await marketWithBuild()
  const brief = await briefOf(place.db, place.build)
  await saveBrief(place.db, place.build, { ...brief, wantedBy: '2026-11-20' }, today)
  const lotId = await createLead(
    place.db,
    lead({
      text: 'untested, sold as seen',
      things: [
        { partId: 'card', plan: 'keep' },
        { partId: 'board', plan: 'resell' },
      ],
    }),
  )
  const shopId = await createLead(
    place.db,
    lead({
      title: 'New board',
      sourceId: 'shop',
      price: '70.00',
      condition: 'new',
      manner: 'fixed',
      things: [{ partId: 'board' }],
      rebate: { kind: 'mail-in', amount: '10.00', claimBy: '2026-12-01' },
    }),
  )
  const choose = (some: object) =>
    addChoice(
      place.db,
      place.build,
      {
        leadId: null,
        partId: null,
        shelfId: null,
        limit: null,
        scope: 'core',
        reason: '',
        keepBoth: true,
        ...some,
      } as never,
      today,
    )
  await choose({ kind: 'lead', keepBoth: true, leadId: lotId })
  await choose({ kind: 'lead', leadId: shopId, scope: 'ready' })
  await choose({ kind: 'hunt', partId: 'card', limit: '130.00' })
  view = await buildView(place.db, place.build, today)
  const inbox = await leadViews(place.db, place.build, today)
  lot = inbox.leads.find((each) => each.id === lotId)!
  shop = inbox.leads.find((each) => each.id === shopId)!
  card = await priceView(place.db, place.build, 'card', today)
})
afterAll(() => place.close())

/** The first amount in a text, in minor units; a minus in front counts. */
function amountIn(text: string): number {
  const found = /[−-]?\s?[\d\u202f\u00a0 ]*\d\.\d\d/.exec(text)
  if (!found) throw new Error(`no amount in "${text}"`)
  const sign = /^[−-]/.test(found[0]) ? -1 : 1
  return sign * Math.round(100 * Number(found[0].replace(/[^\d.]/g, '')))
}
const lineOf = (working: Working, label: string | RegExp) => {
  const line = working.lines.find((each) =>
    typeof label === 'string' ? each.label === label : label.test(each.label),
  )
  if (!line) throw new Error(`no line ${label} among ${working.lines.map((each) => each.label).join(', ')}`)
  return line
}
const sumOf = (working: Working) => working.lines.reduce((sum, line) => sum + amountIn(line.value), 0)

describe('the receipt', () => {
  test.each(['payNow', 'afterRebates', 'expected', 'anyoneCanPay'] as const)(
    '%s is the sum of its lines, and the figure on the receipt',
    (name) => {
      const working = totalWorking(view.receipt, name)
      expect(sumOf(working)).toBe(view.receipt.totals[name])
      expect(amountIn(working.result)).toBe(view.receipt.totals[name])
      expect(working.lines).toHaveLength(view.choices.length)
    },
  )
  test('left is the budget less pay now', () => {
    const working = leftWorking(view.receipt)
    expect(sumOf(working)).toBe(40_000 - view.receipt.totals.payNow!)
    expect(amountIn(working.result)).toBe(view.receipt.left)
  })
  test.each(['core', 'ready', 'test'] as const)('up to %s: this scope and the ones before it', (scope) => {
    for (const name of ['payNow', 'expected'] as const) {
      const working = scopeWorking(view.receipt, scope, name)
      expect(sumOf(working)).toBe(amountIn(working.result))
    }
    expect(scopeWorking(view.receipt, scope, 'payNow').lines).toHaveLength(scope === 'core' ? 2 : 3)
  })
  test('a choice says where its figure comes from', () => {
    const [chosenLot, chosenShop, hunt] = view.choices
    expect(choiceWorking(view, chosenLot!).formula).toMatch(/^landed cost of its lead/)
    expect(amountIn(choiceWorking(view, chosenShop!).result)).toBe(chosenShop!.payNow)
    const working = choiceWorking(view, hunt!)
    expect(working.formula).toBe('your maximum price for this hunt')
    expect(amountIn(working.result)).toBe(13_000)
    expect(lineOf(working, 'expected wait').value).toBe(`${Math.ceil(hunt!.expectedWait!)} days`)
  })
  test('all hunts together: the chance by the date wanted by', () => {
    const working = huntsWorking(view)
    expect(lineOf(working, 'days to your date').value).toBe('20')
    expect(working.result).toBe(lineOf(working, /up to 130\.00$/).value)
  })
})

describe('a lead', () => {
  test('pay now: the lines of the landed cost, to the cent', () => {
    // 70.00 + 13 % + 9.00 shipping, untaxed
    expect(sumOf(landedWorking(shop))).toBe(7000 + 910 + 900)
    expect(amountIn(landedWorking(shop).result)).toBe(shop.value.payNow)
  })
  test('the fault table is quoted as it stands, factor by factor', () => {
    const working = faultWorking(lot, view.faults)
    expect(lineOf(working, 'graphics card, used').value).toBe(
      `${(100 * view.faults.used.graphics).toFixed(1)} %`,
    )
    expect(lineOf(working, 'condition: used').value).toBe(`×${view.faults.byCondition.used}`)
    expect(lineOf(working, /^untested/).note).toBe('“untested”')
    const loss = amountIn(working.result)
    expect(loss).toBe(lot.value.landed.faultLoss.amount)
    const chance = Number(lineOf(working, 'P(fault)').value.replace(' %', '')) / 100
    const recovered = Number(lineOf(working, 'recovered share').value.replace(' %', '')) / 100
    // P · ((1 − recovered) · price + hassle), the chance shown to a tenth of a percent
    expect(
      loss /
        (chance * ((1 - recovered) * 16_000 + amountIn(lineOf(working, 'cost of hassle per fault').value))),
    ).toBeCloseTo(1, 2)
  })
  test('saving: street of what is kept, less expected cost after resale', () => {
    const working = savingWorking(lot, view)
    const [street, expected, resale] = ['street price of the kept parts', 'expected total', 'net resale'].map(
      (label) => amountIn(lineOf(working, label).value),
    )
    expect(street! - (expected! - resale!)).toBe(amountIn(working.result))
    expect(lineOf(working, 'net resale').note).toBe(`chance to sell ${view.assumptions.resale.sells}`)
  })
  test('what the kept things cost: landed less what is sold on', () => {
    const working = splitWorking(lot, view)
    const [landed, soldOn, kept] = [/^landed/, /resold$/, /^Murrowdun Tarn 640/].map((label) =>
      amountIn(lineOf(working, label).value),
    )
    expect(landed! + soldOn!).toBe(kept)
    expect(kept).toBe(amountIn(working.result))
  })
  test('expected: after rebates by their chance, plus the loss by faults', () => {
    const working = expectedWorking(shop)
    expect(amountIn(lineOf(working, 'after rebates, paid in full').value)).toBe(shop.value.payNow - 1000)
    const loss = amountIn(lineOf(working, 'expected fault loss').value)
    const chance = view.assumptions.risk.rebateChance
    expect(amountIn(working.result)).toBe(shop.value.payNow - Math.round(1000 * chance) + loss)
  })
  test('a thing on its own, at its street price', () => {
    const [thing] = lot.things
    expect(amountIn(thingStreetWorking(thing!, 'CAD').result)).toBe(thing!.street)
  })
  test('the haggle sheet: three figures that follow from each other', async () => {
    const sheet = await haggleView(place.db, place.build, lot.id, today)
    expect(amountIn(walkAwayWorking(lot, sheet).result)).toBe(sheet.walkAway)
    const aim = aimWorking(lot, sheet)
    expect(amountIn(aim.result)).toBe(sheet.aim)
    expect(amountIn(lineOf(aim, 'most to pay').value)).toBe(sheet.walkAway)
    const opening = openingWorking(lot, sheet)
    expect(amountIn(lineOf(opening, 'fair offer').value)).toBe(sheet.aim)
    expect(amountIn(opening.result)).toBe(sheet.opening)
    expect(sheet.opening).toBeLessThanOrEqual(sheet.aim!)
  })
})

describe('a street price', () => {
  test('a mark: its comps in order of price, each with its weight; the mark lies among them', () => {
    for (const mark of ['patient', 'typical', 'hurried'] as const) {
      const working = markWorking(card, mark)
      const prices = working.lines.map((line) => amountIn(line.value))
      expect(prices).toEqual([...prices].sort((a, b) => a - b))
      expect(prices).toHaveLength(card.kept)
      expect(amountIn(working.result)).toBe(card.marks![mark])
      expect(working.formula).toContain(`${card.query.halfLifeDays} days`)
    }
  })
  test('how far to trust it: the figures the grade is made of', () => {
    const working = gradeWorking(card)
    expect(working.result).toBe(card.grade)
    expect(lineOf(working, /^effective count/).value).toBe(card.effectiveCount.toFixed(1))
    expect(lineOf(working, 'comps per day').note).toContain(`${card.kept} in`)
  })
  test('a manner of sale: only its own comps', () => {
    const manner = card.byManner[0]!
    expect(amountIn(mannerWorking(card, manner.manner).result)).toBe(manner.typical)
    expect(mannerWorking(card, 'auction').lines).toEqual([])
  })
  test('a movement is only claimed with records enough', () => {
    const working = trendWorking(card)
    expect(working.result).toBe(
      card.trend ? `+${card.trend.percentPer30Days.toFixed(1)} % per month` : 'not enough records',
    )
    expect(trendWorking({ ...card, trend: null })).toMatchObject({ result: 'not enough records', lines: [] })
  })
  test('a record: what was paid over its pieces, or why it has no unit price', () => {
    const kept = card.records.find((record) => record.unitPrice !== null)!
    expect(amountIn(recordWorking(card, kept).result)).toBe(kept.unitPrice)
    const left = { ...kept, unitPrice: null, weight: null, detail: 'says "as is"' }
    expect(recordWorking(card, left as never).result).toBe('left out: says "as is"')
  })
  test('a chance and a wish name the part of the sales one gets to', () => {
    const asked = { limit: 12_800, days: 20, chance: 0.61, share: 0.4, catchShare: 0.35 }
    expect(chanceWorking(card, asked).result).toBe('61 %')
    expect(lineOf(chanceWorking(card, asked), /^c:/).value).toBe('35 %')
    const wish = { probability: 0.8, days: 30, price: 12_800 }
    expect(amountIn(wishWorking(card, wish, 0.35).result)).toBe(wish.price)
  })
  test('local against online, where both are there', () => {
    const gap = {
      percent: -12.5,
      local: { typical: 10_500, count: 4 },
      online: { typical: 12_000, count: 9 },
    }
    const working = gapWorking({ ...card, gap } as never)
    expect([working.result, lineOf(working, 'online').note]).toEqual(['−12.5 %', '9 comps'])
  })
  test('in the list of parts: the marks, or the new price where nothing sold', async () => {
    const briefs = await priceBriefs(place.db, place.build, today)
    const priced = briefs.find((each) => each.partId === 'card')!
    expect(amountIn(briefPriceWorking(priced, 'CAD').result)).toBe(priced.marks!.typical)
    const unsold = { ...priced, marks: null, newPrice: 19_900 }
    expect(briefPriceWorking(unsold, 'CAD')).toMatchObject({ result: '199.00', lines: [] })
  })
  test('worth buying: the price it is weighed at and the money for a point', async () => {
    const worth = await worthView(place.db, place.build, 'graphics', today)
    const row = worth.rows.find((each) => each.partId === 'card')!
    expect(amountIn(worthPriceWorking(row, 'CAD').result)).toBe(row.price)
    // the index is 100: money for one point is a hundredth of the price
    expect(Number(pricePerPointWorking(row, 'index', 'CAD').result)).toBeCloseTo(row.price! / 10_000, 3)
  })
})

describe('machine, ledger and scales', () => {
  test('sustained draw: its lines in watts add up', async () => {
    const { power } = await machineView(place.db, place.build, today)
    const working = drawWorking(power)
    const watts = working.lines.filter((line) => line.label !== 'with GPU power spikes')
    expect(watts.reduce((sum, line) => sum + Number.parseFloat(line.value), 0)).toBeCloseTo(
      power.sustained,
      6,
    )
    expect(lineOf(working, 'USB').value).toBe(`${powerDefaults.usbW} W`)
  })
  test('wall power quotes hours and tariff in force', async () => {
    const machine = await machineView(place.db, place.build, today)
    expect(lineOf(wallWorking(machine, view), 'per year').note).toMatch(
      /^2 h per day at full load, 2 h idle, 0\.14/,
    )
    expect(lineOf(wallWorking(machine, view), 'your rule asks for').note).toContain('1.5')
  })
  test('the figures of the account are the sums of their lines', async () => {
    const ledger = await ledgerView(place.db, place.build, today)
    for (const name of ['payNow', 'afterRebates', 'left', 'profit'] as const)
      expect([name, sumOf(accountWorking(view.receipt, name))]).toEqual([
        name,
        view.receipt.account[name]!.amount,
      ])
    const resale = resaleWorking(ledger, view.receipt)
    expect(amountIn(resale.result)).toBe(ledger.resale[ledger.resale.better]!.net)
  })
  test('what a machine takes to own is the sum of the steps that are on', () => {
    const own = view.weighing.own
    const working = costWorking(own, 'CAD')
    const on = working.lines.filter((line) => line.value !== 'not counted')
    expect(on.reduce((sum, line) => sum + amountIn(line.value), 0)).toBe(own.cost.total)
  })
})
