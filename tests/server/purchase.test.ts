import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { eq } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { OpenDatabase } from '#server/db/client'
import { choices } from '../../server/db/schema/machine'
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
import {
  noteArrival,
  payAtTill,
  payFor,
  purchaseView,
  stepRebate,
  stepReturn,
  unpay,
} from '#server/places/ledger/purchase'
import { importRecordsText } from './importText'
import { openTestDatabase, temporaryFolder } from './testDatabase'
import { arrivalSchema, entrySchema } from '#shared/ledger/schemas'
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
  addChoice(database.db, build, choiceSchema.validateSync({ kind: 'lead', leadId }), today)
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
    // 8 % of faults without protection, hassle 8.00: cost at p is 1.08 p + 0.64, so p = (street − 0.64) / 1.08
    expect(first.walkAway).toBe(Math.floor((first.alternative!.amount - 64) / 1.08))
    const offer = await noteOffer(
      database.db,
      id,
      { by: 'seller', amount: '118.00', day: today, note: 'last word' },
      today,
    )
    expect(await haggleView(database.db, build, id, today)).toMatchObject({
      ask: 11_800,
      askedBy: 'counter-offer',
      advice: 'take',
      opening: 11_500,
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
    ).rejects.toThrow('a figure or a note')
    await expect(
      noteOffer(database.db, id, { by: 'me', amount: '1.00', day: '2026-11-09', note: '' }, today),
    ).rejects.toThrow('in the future')
  })
})

describe('buying, arriving, going back', () => {
  test('what is paid stands in the receipt and the ledger; a found identity in the machine; a refund takes it out', async () => {
    const choice = await choose(await createLead(database.db, lead('130.00')))
    await payFor(database.db, choice, { day: '2026-10-30', amount: '121.50' }, today)
    let view = await buildView(database.db, build, today)
    expect(view.receipt.totals.payNow).toBe(12_150)
    await expect(payFor(database.db, choice, { day: today, amount: '1.00' }, today)).rejects.toThrow(
      'paid already',
    )
    await noteArrival(
      database.db,
      choice,
      arrivalSchema.validateSync({
        day: today,
        verdict: 'better',
        foundPartId: 'better',
        checks: ['all fans turn'],
      }),
      today,
    )
    view = await buildView(database.db, build, today)
    expect(view.choices[0]).toMatchObject({ label: 'Murrowdun Tarn 660 10 GB', parts: [{ id: 'better' }] })
    expect((await purchaseView(database.db, choice, today)).arrival).toMatchObject({
      verdict: 'better',
      foundName: 'Murrowdun Tarn 660 10 GB',
    })
    await expect(
      noteArrival(
        database.db,
        choice,
        arrivalSchema.validateSync({ day: today, verdict: 'worse', foundPartId: 'psu' }),
        today,
      ),
    ).rejects.toThrow('another role')
    await expect(
      stepReturn(database.db, choice, { state: 'refunded', day: today, amount: '200.00' }, today),
    ).rejects.toThrow('only 121.50 CAD was paid')
    await stepReturn(database.db, choice, { state: 'sent', day: today, amount: null }, today)
    expect((await ledger()).totals).toMatchObject({ paid: 12_150, toComeBack: 12_150, inTheEnd: 0 })
    await stepReturn(database.db, choice, { state: 'refunded', day: today, amount: null }, today)
    expect((await ledger()).totals).toMatchObject({ paid: 12_150, cameBack: 12_150, net: 0, toComeBack: 0 })
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
    const [rebate] = await database.db.select().from(rebates).where(eq(rebates.leadId, id))
    await expect(stepRebate(database.db, rebate!.id, { state: 'paid', day: today }, today)).rejects.toThrow(
      'only on something bought',
    )
    await payAtTill(database.db, choice, today, today) // 60.00 + 10 % tax
    expect((await ledger()).totals).toMatchObject({ due: 0, toComeBack: 1000 })
    const before = (await ledger()).totals.net
    await stepRebate(database.db, rebate!.id, { state: 'claimed', day: today }, today)
    await stepRebate(database.db, rebate!.id, { state: 'paid', day: today }, today)
    expect((await ledger()).totals).toMatchObject({ net: before - 1000, toComeBack: 0 })
    expect((await buildView(database.db, build, today)).receipt.totals).toMatchObject({
      payNow: 6600,
      afterRebates: 5600,
    })
    await stepRebate(database.db, rebate!.id, { state: 'refused', day: today }, today)
    expect((await ledger()).totals.net).toBe(before)
    await unpay(database.db, choice, today)
    expect((await ledger()).totals).toMatchObject({ net: before - 6600, due: 6600 })
  })
  test('nothing of the ledger is ever changed: a correction is an entry, once', async () => {
    const id = await addEntry(
      database.db,
      build,
      entrySchema.validateSync({ day: today, kind: 'travel', amount: '4.50', text: 'bus' }),
      today,
    )
    const rows = await database.db.$count(ledgerEntries)
    const { totals } = await ledger()
    await reverseEntry(database.db, id, today)
    expect((await ledger()).totals.net).toBe(totals.net - 450)
    expect(await database.db.$count(ledgerEntries)).toBe(rows + 1)
    await expect(reverseEntry(database.db, id, today)).rejects.toThrow('corrected already')
    await expect(
      addEntry(
        database.db,
        build,
        entrySchema.validateSync({ day: today, kind: 'fee', amount: '-1.00', text: 'x' }),
        today,
      ),
    ).rejects.toThrow('more than zero')
    await expect(
      addEntry(
        database.db,
        build,
        entrySchema.validateSync({ day: '2026-12-01', kind: 'fee', amount: '1.00', text: 'x' }),
        today,
      ),
    ).rejects.toThrow('in the future')
    const csv = (await ledgerCsv(database.db, build, today)).trim().split('\n')
    expect(csv).toHaveLength(rows + 2)
    expect(csv.at(-1)).toMatch(/,CAD,/)
  })
  test('what a build file or an older version marked as paid is in the account, though no entry was written', async () => {
    const { totals } = await ledger()
    const choice = await choose(await createLead(database.db, lead('80.00', { title: 'paid long ago' })))
    await database.db.update(choices).set({ paidOn: '2026-09-01' }).where(eq(choices.id, choice))
    const after = await ledger()
    expect(after.totals).toMatchObject({ paid: totals.paid + 8000, due: totals.due })
    expect(after.entries.at(-1)).toMatchObject({
      text: 'Murrowdun Tarn 640 8 GB, marked as paid',
      standing: -8000,
    })
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
