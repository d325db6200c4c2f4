import { decode, encode } from 'jpeg-js'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import { toDecimal } from '#core/money/decimal'
import { buildFileSchema } from '#shared/builds/buildFile'
import { wholeInbox } from '#shared/leads/inbox'
import { leadSchema, type LeadInput } from '#shared/leads/schemas'
import { builds } from '../../server/db/schema/builds'
import { leads, leadThings } from '../../server/db/schema/leads'
import { buildView } from '#server/places/builds/buildView'
import { exportBuild, importBuild } from '#server/places/builds/buildFile'
import { addChoice } from '#server/places/machine/choices'
import { saveBrief, briefOf } from '#server/places/brief/brief'
import { leadViews, openLead } from '#server/places/leads/readLeads'
import { createLead } from '#server/places/leads/leads'
import { patchLead } from '#server/places/leads/patchLead'
import { addPhoto, readPhoto, setPhotoDeleted } from '#server/places/leads/photos'
import { gone as goneFromSource, pass } from '#server/places/leads/leadSteps'
import { itemsOf, itemStep, pay, undoLast } from './purchases'
import { haggleView, noteOffer } from '#server/places/leads/haggle'
import { importLedger } from '#server/places/ledger/importLedger'
import { ledgerCsv, ledgerView } from '#server/places/ledger/ledgerView'
import { buildStrips } from '#server/places/builds/readBuilds'
import { createTrip, giveUpTrip } from '#server/places/ledger/trips'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

let place: MarketWithBuild
beforeEach(async () => (place = await marketWithBuild()))
afterEach(() => place.close())

const input = (title: string, change: Partial<LeadInput> = {}): LeadInput =>
  leadSchema.validateSync({
    sourceId: 'yard',
    title,
    price: '100.00',
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-25',
    things: [{ partId: 'card' }],
    ...change,
  }) as LeadInput
const inbox = async (id: string) =>
  (await leadViews(place.db, place.build, today)).leads.find((lead) => lead.id === id)!
const now = '2026-10-31T12:00:00Z'
const chosen = (leadId: string) =>
  addChoice(
    place.db,
    place.build,
    {
      kind: 'lead',
      keepBoth: true,
      leadId,
      partId: null,
      shelfId: null,
      limit: null,
      scope: 'core',
      reason: '',
    },
    today,
  )

describe('what is known of a lead', () => {
  test('an answer moves its worth, a sign its risk; both are taken back', async () => {
    const id = await createLead(
      place.db,
      input('Board', {
        things: [{ partId: 'board', quantity: 1, plan: 'keep' }],
        text: 'untested, missing the shield',
      }),
    )
    const before = await inbox(id)
    // no shield: 6 % less of the street; "untested" is a no to "works" (×1.5) and a sign (×2.5): 0.07 · 3.75
    expect(before.value.worthShares).toEqual([0.94])
    expect(before.value.faultProbability).toBeCloseTo(0.2625, 6)
    expect(before.value.street).toBe(Math.round(before.things[0]!.street! * 0.94))
    // P9: what it loses is a row of its own, so that the rows add up to what it would cost bought separately
    expect(before.things[0]!.street! - before.value.lost[0]!).toBe(before.value.street)
    await patchLead(
      place.db,
      id,
      { answers: { 'board-shield': 'yes', works: 'yes' }, signs: { untested: false } },
      today,
      now,
    )
    expect((await inbox(id)).value).toMatchObject({ worthShares: [1], lost: [0], faultProbability: 0.07 })
    await patchLead(
      place.db,
      id,
      { answers: { 'board-shield': null, works: null }, signs: { untested: null } },
      today,
      now,
    )
    expect((await inbox(id)).value).toEqual(before.value)
    await expect(patchLead(place.db, id, { answers: { nonsense: 'yes' } }, today, now)).rejects.toMatchObject(
      { code: 'unknown-fact' },
    )
    await expect(patchLead(place.db, id, { signs: { nonsense: true } }, today, now)).rejects.toMatchObject({
      code: 'unknown-sign',
    })
  })

  test('the house’s own table of faults and its cap hold for every lead', async () => {
    const id = await createLead(place.db, input('Card'))
    const brief = await briefOf(place.db, place.build)
    await saveBrief(
      place.db,
      place.build,
      {
        ...brief,
        houseRules: {
          ...brief.houseRules,
          mostFault: 0.1,
          faults: { used: { graphics: 0.2 }, hassle: '0' },
        } as typeof brief.houseRules,
      },
      today,
    )
    const lead = await inbox(id)
    expect(lead.value.faultProbability).toBe(0.2)
    expect(lead.value.landed.faultLoss.amount).toBe(2000)
    expect(lead.breaches).toEqual(['your rule: fault risk up to 10 %, here 20 %'])
    expect((await briefOf(place.db, place.build)).houseRules).toMatchObject({
      mostFault: 0.1,
      faults: { used: { graphics: 0.2 }, hassle: '0.00' },
    })
  })

  test('a listing put up again names its forerunner; a shop’s offers never do', async () => {
    const first = await createLead(place.db, input('Tarn 640 card, works well', { listedOn: '2026-10-01' }))
    await place.db.update(leads).set({ vanishedOn: '2026-10-10' }).where(eq(leads.id, first))
    const again = await createLead(
      place.db,
      input('Tarn 640 card works well', { listedOn: '2026-10-20', price: '90.00' }),
    )
    expect((await inbox(again)).same).toMatchObject({ earlierId: first, kind: 'listed-again', change: -1000 })
    const shop = await createLead(place.db, input('Tarn 640 card works well', { condition: 'new' }))
    expect((await inbox(shop)).same).toBeNull()
  })
})

describe('sellers and substitutes', () => {
  test('a silent seller leaves the combinations and stands on Builds', async () => {
    const ids = [
      await createLead(place.db, input('One')),
      await createLead(place.db, input('Two', { things: [{ partId: 'board', quantity: 1, plan: 'keep' }] })),
    ]
    await noteOffer(place.db, ids[0]!, { by: 'me', amount: '80.00', day: today, note: '' }, today)
    await noteOffer(place.db, ids[1]!, { by: 'me', amount: '60.00', day: '2026-10-29', note: '' }, today)
    expect((await haggleView(place.db, place.build, ids[0]!, today)).combinations.length).toBeGreaterThan(0)
    expect(await inbox(ids[1]!)).toMatchObject({ waiting: 2, isSilent: false })
    const later = '2026-11-03'
    expect((await haggleView(place.db, place.build, ids[0]!, later)).combinations).toEqual([])
    expect((await buildStrips(place.db, later))[0]!.silent).toMatchObject([{ leadId: ids[1], days: 5 }])
  })

  test('auctions of one part: the earlier one gets the lower bid, and what is bid stays within what it is worth', async () => {
    const auction = (title: string, endsOn: string, price = '20.00') =>
      createLead(place.db, input(title, { manner: 'auction', endsOn, price }))
    const [first, second] = [await auction('First', '2026-11-02'), await auction('Second', '2026-11-05')]
    await auction('Too late to count', '2026-10-30')
    const bids = async (id: string) => (await haggleView(place.db, place.build, id, today)).bids
    const ladder = (await bids(first))!
    expect(ladder.rungs.map(({ leadId }) => leadId)).toEqual([first, second])
    const [sooner, later] = ladder.rungs
    expect(sooner!.bid!).toBeLessThan(later!.bid!)
    expect(ladder.expected).toBeLessThan(ladder.otherwise)
    // at the bid all on top is within the most that it may cost; one unit of haggling more is not
    const { alternative } = await haggleView(place.db, place.build, second, today)
    const valued = async (price: number) => {
      const id = await createLead(place.db, input('Valued', { price: (price / 100).toFixed(2) }))
      return (await inbox(id)).value.expectedAfterResale
    }
    expect(await valued(later!.bid!)).toBeLessThanOrEqual(alternative!.amount)
    expect(await valued(later!.bid! + 100)).toBeGreaterThan(alternative!.amount)
    // one that stands higher than any other way is let go; a lead at a fixed price has no bids
    const dear = await auction('Dear', '2026-11-04', '900.00')
    expect((await bids(dear))!.rungs.find(({ leadId }) => leadId === dear)!.bid).toBeNull()
    expect(await bids(await createLead(place.db, input('Fixed')))).toBeNull()
  })

  test('a chosen lead that is gone names what can stand in for it', async () => {
    const gone = await createLead(place.db, input('Gone card'))
    await chosen(gone)
    const near = await createLead(
      place.db,
      input('Other card', { things: [{ partId: 'better', quantity: 1, plan: 'keep' }], price: '130.00' }),
    )
    await goneFromSource(place.db, gone, { day: today }, today)
    const [substitute] = (await inbox(gone)).substitutes
    expect(substitute).toMatchObject({ id: near, title: 'Other card' })
    // expected: 1.08 · (130 − 100)
    expect(substitute!.more).toBe(3240)
    expect((await buildStrips(place.db, today))[0]!.gone).toMatchObject([{ leadId: gone }])
  })
})

describe('orders, trips and rebates', () => {
  test('two leads of one shop are one order on the receipt, to the cent', async () => {
    const shop = (title: string, price: string) =>
      input(title, { sourceId: 'shop', condition: 'new', manner: 'fixed', price })
    for (const [title, price] of [
      ['New card', '40.00'],
      ['New board', '35.00'],
    ] as const)
      await chosen(
        await createLead(place.db, {
          ...shop(title, price),
          things: [{ partId: title === 'New card' ? 'card' : 'board', quantity: 1, plan: 'keep' }],
        }),
      )
    const { receipt } = await buildView(place.db, place.build, today)
    // separately each pays 9.00 shipping; together 75.00 ships free: 75.00 · 1.13 = 84.75
    expect(receipt.totals.payNow).toBe(8475)
    expect(receipt.groups.toBuy.reduce((sum, line) => sum + line.payNow!, 0)).toBe(8475)
    const [cart] = (await buildView(place.db, place.build, today)).carts
    expect([cart!.total, cart!.lines.map(({ price }) => price)]).toEqual([8475, [4000, 3500]])
    expect(cart!.steps.map(({ amount }) => amount)).toEqual([975])
    expect((await ledgerView(place.db, place.build, today)).orders[0]).toMatchObject({
      total: 8475,
      saved: 1800,
      lines: [{ alone: { this: 5420, others: 4855 } }, {}],
    })
  })

  test('a trip is shared by what is chosen on it, and given up it is gone', async () => {
    const brief = await briefOf(place.db, place.build)
    await saveBrief(
      place.db,
      place.build,
      { ...brief, houseRules: { ...brief.houseRules, perKm: '0.50', pickupKm: 30 } },
      today,
    )
    const trip = await createTrip(place.db, place.build, { name: 'Marrow Quay', km: 41, fare: '0', hours: 0 })
    const [a, b] = [await createLead(place.db, input('A')), await createLead(place.db, input('B'))]
    for (const id of [a, b]) await patchLead(place.db, id, { tripId: trip }, today, now)
    expect((await inbox(a)).value.payNow).toBe(10_000 + 2050)
    expect((await inbox(a)).breaches).toEqual(['your rule: pickup within 30 km, here 41 km'])
    await chosen(a)
    await chosen(b)
    expect((await buildView(place.db, place.build, today)).receipt.totals.payNow).toBe(20_000 + 2050)
    await giveUpTrip(place.db, trip, now)
    expect((await buildView(place.db, place.build, today)).receipt.totals.payNow).toBe(20_000)
  })

  test('the second rebate of a campaign that pays a household once counts nothing', async () => {
    const rebate = {
      kind: 'mail-in' as const,
      amount: '15.00',
      claimBy: '2026-11-30',
      state: 'to-claim' as const,
      chance: 1,
      proof: 'receipt',
      expectedBy: '2027-01-15',
      campaign: 'Autumn',
      perHousehold: 1,
      tradedPartId: null,
    }
    const ids = [
      await createLead(place.db, input('One', { rebate })),
      await createLead(place.db, input('Two', { rebate })),
    ]
    for (const id of ids) await chosen(id)
    const { totals } = (await buildView(place.db, place.build, today)).receipt
    expect(totals.payNow! - totals.afterRebates!).toBe(1500)
    expect((await Promise.all(ids.map(inbox))).map((lead) => lead.rebates[0]!.isBeyond).sort()).toEqual([
      false,
      true,
    ])
  })

  test('a trade-in stands against one’s own sale', async () => {
    const id = await createLead(
      place.db,
      input('Card', {
        rebate: {
          kind: 'trade-in',
          amount: '20.00',
          claimBy: '2026-11-30',
          state: 'to-claim',
          chance: 1,
          proof: '',
          expectedBy: null,
          campaign: '',
          perHousehold: null,
          tradedPartId: 'board',
        },
      }),
    )
    expect((await inbox(id)).rebates[0]!.tradeIn).toMatchObject({ credit: 2000, better: 'own-sale' })
  })
})

describe('what is left over, and the ledger', () => {
  const lot = () =>
    createLead(
      place.db,
      input('Lot', {
        price: '150.00',
        things: [
          { partId: 'card', quantity: 1, plan: 'keep' },
          { partId: 'board', quantity: 2, plan: 'resell' },
        ],
      }),
    )

  test('leftovers come to the shelf at their share by worth; gone with the payment; sold they lower the cost', async () => {
    const leadId = await lot()
    const choiceId = await chosen(leadId)
    await pay(place.db, [choiceId], '150.00')
    const things = await itemsOf(place.db, place.build)
    expect(things.reduce((sum, thing) => sum + thing.cost, 0)).toBe(15_000)
    expect(things.map((thing) => thing.plan).sort()).toEqual(['keep', 'resell', 'resell'])
    await undoLast(place.db)
    expect(await itemsOf(place.db, place.build)).toEqual([])
    await pay(place.db, [choiceId], '150.00')
    const board = (await itemsOf(place.db, place.build)).find((thing) => thing.plan === 'resell')!
    await itemStep(place.db, board.id, 'arrive', { state: 'works' })
    await itemStep(place.db, board.id, 'sell', { price: '55.00', fee: '7.15' })
    await expect(itemStep(place.db, board.id, 'sell', { price: '55.00' })).rejects.toMatchObject({
      code: 'not-possible',
    })
    const { account } = (await buildView(place.db, place.build, today)).receipt
    expect([account.cashOut.amount, account.cashIn.amount, account.cost.amount]).toEqual([
      15_000, 4785, 10_215,
    ])
  })

  test('a ledger goes out as CSV and comes in once, with every bad line named', async () => {
    const csv = [
      'date,kind,what,cash,currency,hours',
      '2026-10-01,fee,listing fee,-3.00,CAD,',
      '2026-10-02,hours,cleaning,,,1.5',
      '2026-10-02,nonsense,x,1,CAD,',
      '2026-12-24,fee,later,-1.00,CAD,',
      '2026-10-03,sold,old card,20.00,SEK,',
      '2026-10-03,sold,,20.00,CAD,',
    ].join('\n')
    const report = await importLedger(place.db, place.build, csv, today)
    expect(report).toMatchObject({
      added: 2,
      rejected: 4,
      problems: [{ line: 4 }, { line: 5 }, { line: 6 }, { line: 7 }],
    })
    await expect(importLedger(place.db, place.build, 'what is this', today)).rejects.toMatchObject({
      code: 'no-ledger-column',
      path: 'date',
    })
    expect(
      await importLedger(place.db, place.build, await ledgerCsv(place.db, place.build, today), today),
    ).toMatchObject({ added: 0, alreadyThere: 2, rejected: 0 })
    const { account } = (await buildView(place.db, place.build, today)).receipt
    expect([account.cashOut.amount, account.hours]).toEqual([300, 1.5])
  })

  test('a build file carries entries, offers and arrivals, and no private note', async () => {
    const leadId = await lot()
    const choiceId = await chosen(leadId)
    await noteOffer(place.db, leadId, { by: 'me', amount: '140.00', day: today, note: 'first' }, today)
    await pay(place.db, [choiceId], '145.00')
    const card = (await itemsOf(place.db, place.build)).find((thing) => thing.partId === 'card')!
    await itemStep(place.db, card.id, 'arrive', {
      state: 'works',
      foundPartId: 'better',
      checks: ['fans turn'],
      note: 'a better card',
    })
    await place.db
      .update(builds)
      .set({ privateNote: 'the seller is a friend', saleText: 'quiet' })
      .where(eq(builds.id, place.build))
    const file = await exportBuild(place.db, place.build)
    expect(JSON.stringify(file)).not.toContain('friend')
    const other = await marketWithBuild({ empty: true })
    const id = await importBuild(
      other.db,
      buildFileSchema.validateSync(JSON.parse(JSON.stringify(file))),
      today,
    )
    const account = async (db: typeof place.db, build: string) =>
      (await buildView(db, build, today)).receipt.account
    expect(await account(other.db, id)).toEqual(await account(place.db, place.build))
    const [before, after] = [
      await ledgerView(place.db, place.build, today),
      await ledgerView(other.db, id, today),
    ]
    expect(after.entries.map(({ text, cash }) => [text, cash])).toEqual(
      before.entries.map(({ text, cash }) => [text, cash]),
    )
    expect((await buildView(other.db, id, today)).choices[0]!.parts.map((part) => part.id)).toEqual([
      'better',
    ])
    expect(
      (
        await haggleView(other.db, id, (await buildView(other.db, id, today)).choices[0]!.leadId!, today)
      ).log.map((said) => toDecimal(said.amount!, 'CAD')),
    ).toEqual(['140.00'])
    await other.close()
  })
})

describe('pictures', () => {
  const jpeg = (width: number, height: number) =>
    new Uint8Array(encode({ data: new Uint8Array(width * height * 4).fill(120), width, height }, 60).data)
  /** A segment of a JPEG, put in behind its first two bytes. */
  const withSegment = (bytes: Uint8Array, marker: number, text: string) =>
    new Uint8Array([
      ...bytes.slice(0, 2),
      ...[0xff, marker, 0, text.length + 2],
      ...new TextEncoder().encode(text),
      ...bytes.slice(2),
    ])
  test('of a JPEG the picture alone is kept; anything else is refused and leaves nothing', async () => {
    const id = await createLead(place.db, input('Card'))
    const hidden = new TextEncoder().encode('place of taking')
    const told = withSegment(withSegment(jpeg(32, 24), 0xe1, 'place of taking'), 0xfe, 'place of taking')
    const photo = await addPhoto(place.db, id, new Uint8Array([...told, ...hidden]), false, today)
    const kept = await readPhoto(place.db, photo)
    expect([kept[0], kept[1], kept.includes('place of taking')]).toEqual([0xff, 0xd8, false])
    // by another reader: the same picture, point by point
    expect(decode(kept)).toMatchObject({ width: 32, height: 24, data: decode(jpeg(32, 24)).data })
    await expect(
      addPhoto(place.db, id, new TextEncoder().encode('<svg onload=alert(1)>'), false, today),
    ).rejects.toMatchObject({ code: 'not-a-jpeg' })
    await expect(addPhoto(place.db, id, jpeg(8, 8).slice(0, 60), false, today)).rejects.toMatchObject({
      code: 'not-readable',
    })
    // its size is known before it is looked at: 60 000 points each way in a few bytes
    const vast = jpeg(8, 8)
    const frame = vast.findIndex((byte, at) => byte === 0xff && vast[at + 1] === 0xc0)
    vast.set([0xea, 0x60, 0xea, 0x60], frame + 5)
    await expect(addPhoto(place.db, id, vast, false, today)).rejects.toMatchObject({ code: 'not-readable' })
    await expect(addPhoto(place.db, id, new Uint8Array(5 * 1024 * 1024), false, today)).rejects.toMatchObject(
      { code: 'picture-too-large' },
    )
    expect((await inbox(id)).photos).toEqual([{ id: photo, arrival: false }])
    await setPhotoDeleted(place.db, photo, now)
    await expect(readPhoto(place.db, photo)).rejects.toThrow('no picture')
    await expect(readPhoto(place.db, '../../etc/passwd')).rejects.toThrow('no picture')
  })
})

describe('rows of the inbox', () => {
  test('filter, order and counts are the server’s; a page is the beginning of the whole', async () => {
    const soon = { endsOn: '2026-11-02', manner: 'auction' as const }
    for (const [title, change] of [
      ['Dear', { price: '140.00' }],
      ['Cheap', { price: '60.00' }],
      ['Ends soon', { price: '90.00', ...soon }],
      ['A board', { things: [{ partId: 'board', quantity: 1, plan: 'keep' as const }] }],
    ] as const)
      await createLead(place.db, input(title, change as never))
    await place.db
      .delete(leadThings)
      .where(eq(leadThings.leadId, await createLead(place.db, input('Without a part'))))
    const all = await leadViews(place.db, place.build, today)
    const { id: dear } = all.leads.find(({ title }) => title === 'Dear')!
    await pass(place.db, dear, { day: today, reason: '', buildId: null }, today)
    const asked = (query: object) =>
      leadViews(place.db, place.build, today, { ...wholeInbox, show: 'open', order: 'price', ...query })
    const titles = async (query: object) => (await asked(query)).leads.map(({ title }) => title)
    expect(await titles({ role: 'graphics' })).toEqual(['Cheap', 'Ends soon'])
    expect((await titles({ order: 'ends' }))[0]).toBe('Ends soon')
    expect(await titles({ show: 'passed' })).toEqual(['Dear'])
    const { leads, total, counts } = await asked({ count: 1 })
    expect([leads.length, total]).toEqual([1, 3])
    expect(counts).toMatchObject({ open: 3, passed: 1, untied: 1, chosen: 0 })
    // the same rows as by sorting all of them here
    const open = (await leadViews(place.db, place.build, today)).leads
      .filter((lead) => lead.state === 'open' && lead.things.length > 0)
      .sort((a, b) => (b.value.saving ?? -Infinity) - (a.value.saving ?? -Infinity))
    expect(await titles({ order: 'saving' })).toEqual(open.map(({ title }) => title))
    expect((await openLead(place.db, place.build, dear, today)).title).toBe('Dear')
    await expect(openLead(place.db, place.build, 'nope', today)).rejects.toThrow('nope')
  })
})
