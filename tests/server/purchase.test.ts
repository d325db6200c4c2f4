import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { eq } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { OpenDatabase } from '#server/db/client'
import { ledgerEntries } from '../../server/db/schema/ledger'
import { rebates } from '../../server/db/schema/leads'
import { addChoice } from '#server/places/machine/choices'
import { createBuild } from '#server/places/builds/builds'
import { buildView } from '#server/places/builds/buildView'
import { createLead } from '#server/places/leads/leads'
import { importLibrary } from '#server/places/parts/importLibrary'
import { buildCalendar } from '#server/places/ledger/calendar'
import { haggleView, noteOffer, setOfferDeleted } from '#server/places/leads/haggle'
import { addEntry, reverseEntry } from '#server/places/ledger/ledgerEntries'
import { ledgerCsv, ledgerView } from '#server/places/ledger/ledgerView'
import { stepRebate } from '#server/places/ledger/rebateSteps'
import { importRecordsText } from './importText'
import { itemsOf, itemStep, pay, undoLast } from './purchases'
import { openTestDatabase, temporaryFolder } from './testDatabase'
import { entrySchema } from '#shared/ledger/schemas'
import { briefSchema } from '#shared/brief/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { leadSchema } from '#shared/leads/schemas'
import { librarySchema } from '#shared/parts/libraryFile'

/** From an offer to the ledger, against a real database file. */
const folder = temporaryFolder()
const today = '2026-10-31'
let database: OpenDatabase
let build: string
const library = librarySchema.validateSync({
  format: 'tarvin-library',
  version: '1',
  sources: [
    {
      id: 'barn',
      name: 'Barnstall',
      kind: 'classifieds',
      currency: 'CAD',
      taxPercent: 0,
      taxOnShipping: false,
      shipping: { kind: 'none' },
      protection: 'none',
    },
    {
      id: 'pantry',
      name: 'Pantry',
      kind: 'shop',
      currency: 'CAD',
      taxPercent: 10,
      taxOnShipping: false,
      shipping: { kind: 'none' },
      protection: 'warranty',
    },
  ],
  parts: [
    { id: 'card', role: 'graphics', make: 'Murrowdun', name: 'Tarn 640 8 GB', facts: { graphicsIndex: 100 } },
    {
      id: 'better',
      role: 'graphics',
      make: 'Murrowdun',
      name: 'Tarn 660 10 GB',
      facts: { graphicsIndex: 128 },
    },
    { id: 'psu', role: 'supply', make: 'Steadwell', name: '550 W', facts: { ratedW: 550 } },
  ],
})
const records = [
  'id,source,title,price,date',
  ...Array.from(
    { length: 12 },
    (_, i) => `r${i},Gavelry,Murrowdun Tarn 640 8GB number ${i},${125 + i}.00,2026-10-${10 + i}`,
  ),
].join('\n')
const lead = (price: string, change: object = {}) =>
  leadSchema.validateSync({
    sourceId: 'barn',
    title: `Tarn 640 at ${price}`,
    price,
    currency: 'CAD',
    condition: 'used',
    manner: 'local',
    listedOn: '2026-10-30',
    things: [{ partId: 'card' }],
    ...change,
  })
const choose = async (leadId: string) =>
  addChoice(database.db, build, choiceSchema.validateSync({ kind: 'lead', keepBoth: true, leadId }), today)
const ledger = () => ledgerView(database.db, build, today)

beforeAll(async () => {
  database = await openTestDatabase(join(folder, 'purchase.db'))
  await importLibrary(database.db, library)
  await importRecordsText(database, records)
  build = await createBuild(
    database.db,
    briefSchema.validateSync({
      name: 'Couch',
      currency: 'CAD',
      budget: '400.00',
      stretch: '450.00',
      wantedBy: '2026-11-21',
    }),
    today,
  )
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('the haggle sheet of a lead', () => {
  test('is held against the street, then against a better lead; a counter-offer calculates it anew', async () => {
    const id = await createLead(database.db, lead('150.00'))
    const first = await haggleView(database.db, build, id, today)
    expect(first).toMatchObject({
      ask: 15_000,
      askedBy: 'listing',
      alternative: { what: 'street price at your patience' },
      advice: 'haggle',
    })
    // 8 % of faults without protection, hassle 8.00: cost at p is 1.08 p + 0.64, of a hunt as of a lead
    expect(Math.abs(first.walkAway! - (first.alternative!.amount - 64) / 1.08)).toBeLessThan(1)
    // the aim by the same cost, rounded once, against the patient mark
    expect(Math.abs(first.aim! - (first.patient! - 64) / 1.08)).toBeLessThan(1)
    expect(first.patient!).toBeLessThan(first.alternative!.amount)
    const offer = await noteOffer(
      database.db,
      id,
      { by: 'seller', amount: '115.00', day: today, note: 'last word' },
      today,
    )
    expect(await haggleView(database.db, build, id, today)).toMatchObject({
      ask: 11_500,
      askedBy: 'counter-offer',
      advice: 'take',
      opening: 11_000,
    })
    await setOfferDeleted(database.db, offer, today)
    const other = await createLead(database.db, lead('126.00', { signs: { 'stress-tested': true } }))
    expect((await haggleView(database.db, build, id, today)).alternative).toMatchObject({ leadId: other })
    await createLead(database.db, lead('20.00')) // far too cheap to be an alternative
    await createLead(database.db, lead('90.00', { condition: 'damaged' }))
    expect((await haggleView(database.db, build, id, today)).alternative).toMatchObject({ leadId: other })
  })
  test('two offers standing at once are held against one budget', async () => {
    const [a, b] = [
      await createLead(database.db, lead('160.00')),
      await createLead(database.db, lead('300.00', { things: [{ partId: 'better' }] })),
    ]
    await noteOffer(database.db, a, { by: 'me', amount: '140.00', day: today, note: '' }, today)
    await noteOffer(database.db, b, { by: 'me', amount: '270.00', day: today, note: '' }, today)
    const { combinations } = await haggleView(database.db, build, a, today)
    expect(combinations.map((each) => [each.titles.length, each.cost, each.left])).toEqual(
      expect.arrayContaining([
        [1, 14_000, 26_000],
        [1, 27_000, 13_000],
      ]),
    )
    expect(combinations.some((each) => each.titles.length === 2)).toBe(false) // 410.00 is more than 400.00
  })
  test('nonsense is refused', async () => {
    await expect(
      noteOffer(database.db, 'ghost', { by: 'me', amount: '1.00', day: today, note: '' }, today),
    ).rejects.toThrow('no lead "ghost"')
    const id = await createLead(database.db, lead('99.00'))
    await expect(
      noteOffer(database.db, id, { by: 'me', amount: null, day: today, note: ' ' }, today),
    ).rejects.toThrow('enter an amount or a note')
    await expect(
      noteOffer(database.db, id, { by: 'me', amount: '1.00', day: '2026-11-09', note: '' }, today),
    ).rejects.toThrow('in the future')
  })
})

const account = async () => (await buildView(database.db, build, today)).receipt.account
const figures = async () => {
  const { hours: _hours, ...money } = await account()
  return Object.fromEntries(Object.entries(money).map(([name, value]) => [name, value?.amount ?? null]))
}

describe('buying, arriving, going back', () => {
  test('what is paid stands in the receipt and the ledger; a found identity in the machine; a refund takes it out', async () => {
    const choice = await choose(await createLead(database.db, lead('130.00')))
    await pay(database.db, [choice], '121.50', '2026-10-30')
    expect(await figures()).toMatchObject({ payNow: 12_150, cashOut: 12_150, toPay: 0 })
    await expect(pay(database.db, [choice], '1.00')).rejects.toThrow('already paid')
    const [card] = await itemsOf(database.db, build)
    await itemStep(database.db, card!.id, 'arrive', {
      state: 'works',
      foundPartId: 'better',
      checks: ['all fans spin'],
    })
    const view = await buildView(database.db, build, today)
    expect(view.choices[0]).toMatchObject({ label: 'Murrowdun Tarn 660 10 GB', parts: [{ id: 'better' }] })
    expect(view.choices[0]!.item).toMatchObject({ listedAs: 'Murrowdun Tarn 640 8 GB', place: 'build' })
    await expect(
      itemStep(database.db, card!.id, 'find', { state: 'works', foundPartId: 'psu' }),
    ).rejects.toThrow('the same role as the part listed')
    await itemStep(database.db, card!.id, 'send-back')
    expect(await figures()).toMatchObject({ cashOut: 12_150, toComeBack: 12_150, afterRebates: 0 })
    await itemStep(database.db, card!.id, 'refund', { amount: '121.50' })
    expect(await figures()).toMatchObject({
      cashOut: 12_150,
      cashIn: 12_150,
      toComeBack: 0,
      cost: 0,
      lost: 0,
    })
    expect((await buildView(database.db, build, today)).choices).toEqual([])
  })
  test('a rebate paid is money back and never a lower price; its steps can be taken back', async () => {
    const id = await createLead(
      database.db,
      lead('60.00', {
        sourceId: 'pantry',
        condition: 'new',
        manner: 'fixed',
        title: 'Steadwell 550 W',
        things: [{ partId: 'psu' }],
        rebate: { kind: 'mail-in', amount: '10.00', claimBy: '2026-11-15' },
      }),
    )
    const choice = await choose(id)
    const [offered] = await database.db.select().from(rebates).where(eq(rebates.leadId, id))
    await expect(stepRebate(database.db, offered!.id, { state: 'paid', day: today }, today)).rejects.toThrow(
      'a rebate needs something you bought',
    )
    const before = await figures()
    await pay(database.db, [choice]) // 60.00 + 10 % tax
    expect(await figures()).toMatchObject({
      cashOut: before.cashOut! + 6600,
      payNow: before.payNow,
      toPay: 0,
      toComeBack: 1000,
      afterRebates: before.afterRebates,
    })
    const rebate = (await ledger()).rebates[0]!.id
    await stepRebate(database.db, rebate, { state: 'claimed', day: today }, today)
    await stepRebate(database.db, rebate, { state: 'paid', day: today }, today)
    expect(await figures()).toMatchObject({
      payNow: before.payNow,
      afterRebates: before.afterRebates,
      cashIn: before.cashIn! + 1000,
      toComeBack: 0,
    })
    await stepRebate(database.db, rebate, { state: 'refused', day: today }, today)
    expect(await figures()).toMatchObject({
      cashIn: before.cashIn,
      afterRebates: before.payNow! - before.cashIn!,
    })
    for (let step = 0; step < 4; step += 1) await undoLast(database.db)
    expect(await figures()).toEqual(before)
  })
  test('nothing of the ledger is ever changed: a correction is an entry, once', async () => {
    const id = await addEntry(
      database.db,
      build,
      entrySchema.validateSync({ day: today, kind: 'travel', amount: '4.50', text: 'bus' }),
      today,
    )
    const rows = await database.db.$count(ledgerEntries)
    const { cashOut } = await figures()
    await reverseEntry(database.db, id, today)
    expect((await figures()).cashOut).toBe(cashOut! - 450)
    expect(await database.db.$count(ledgerEntries)).toBe(rows + 1)
    await expect(reverseEntry(database.db, id, today)).rejects.toThrow(
      'this entry has already been corrected',
    )
    await expect(
      addEntry(
        database.db,
        build,
        entrySchema.validateSync({ day: today, kind: 'fee', amount: '-1.00', text: 'x' }),
        today,
      ),
    ).rejects.toThrow('more than 0')
    await expect(
      addEntry(
        database.db,
        build,
        entrySchema.validateSync({ day: '2026-12-01', kind: 'fee', amount: '1.00', text: 'x' }),
        today,
      ),
    ).rejects.toThrow('in the future')
    const csv = (await ledgerCsv(database.db, build, today)).trim().split('\n')
    expect(csv.length).toBeGreaterThan(4)
    expect(csv.at(-1)).toMatch(/,CAD,/)
  })
  test('dates ahead leave as a calendar', async () => {
    await choose(
      await createLead(
        database.db,
        lead('70.00', {
          sourceId: 'pantry',
          title: 'another 550 W',
          things: [{ partId: 'psu' }],
          rebate: { kind: 'mail-in', amount: '5.00', claimBy: '2026-11-12' },
        }),
      ),
    )
    const calendar = await buildCalendar(database.db, build, today)
    expect(calendar).toContain('DTSTART;VALUE=DATE:20261112')
    expect(calendar).toContain('SUMMARY:claim the rebate on another 550 W')
    expect(calendar).toContain('DTSTART;VALUE=DATE:20261121')
  })
})
