import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import { exchangeRates } from '#server/db/schema/prices'
import { sources } from '#server/db/schema/sources'
import { createBuild } from '#server/places/builds/builds'
import { briefSchema } from '#shared/brief/schemas'
import { buildView } from '#server/places/builds/buildView'
import { createVariant } from '#server/places/builds/variants'
import { createLead } from '#server/places/leads/leads'
import { openLead } from '#server/places/leads/readLeads'
import { savePart } from '#server/places/parts/parts'
import { addChoice } from '#server/places/machine/choices'
import { carryOut } from '#server/whatif/carryOut'
import { leadSchema } from '#shared/leads/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { pay, undoLast } from './purchases'

let place: MarketWithBuild
beforeEach(async () => {
  place = await marketWithBuild()
})
afterEach(() => place.close())

const hunt = { kind: 'hunt', leadId: null, shelfId: null, scope: 'core', reason: '' } as const
const partsOf = async (id: string) =>
  (await buildView(place.db, id, today)).parts.map((part) => part.id).sort()

test('L7: what a source charges is in its own currency: 15.00 USD of shipping at 0.9 is 13.50 of a lead in EUR', async () => {
  const { db } = place
  await db.insert(exchangeRates).values({ date: '2026-10-01', from: 'USD', to: 'EUR', rate: '0.9' })
  await db
    .update(sources)
    .set({ currency: 'USD', shippingAmount: 1500, shippingFreeFrom: null, taxPercent: 0 })
    .where(eq(sources.id, 'shop'))
  const build = await createBuild(
    db,
    briefSchema.validateSync({ name: 'Quay', currency: 'EUR', budget: '500', stretch: '500' }),
    today,
  )
  const leadId = await createLead(
    db,
    leadSchema.validateSync({
      title: 'Card',
      sourceId: 'shop',
      price: '100.00',
      currency: 'EUR',
      condition: 'new',
      manner: 'fixed',
      listedOn: today,
      things: [{ partId: 'card', quantity: 1, plan: 'keep' }],
    }),
  )
  await addChoice(
    db,
    build,
    { kind: 'lead', leadId, partId: null, shelfId: null, limit: null, scope: 'core', reason: '' },
    today,
  )
  expect((await buildView(db, build, today)).receipt.totals.payNow).toBe(11_350)
})

describe('U7, P4: what a machine bought whole still needs', () => {
  const lacking = async (facts: object) => {
    const { db, build } = place
    await savePart(db, {
      id: 'chip',
      role: 'cpu',
      make: 'Make',
      name: 'Chip',
      facts: { socket: 'SF-3', coolerIncluded: true, integratedGraphics: true },
    })
    await savePart(db, { id: 'tower', role: 'donor', make: 'Make', name: 'Tower', facts: facts as never })
    const leadId = await createLead(
      db,
      leadSchema.validateSync({
        title: 'A tower',
        sourceId: 'yard',
        price: '80.00',
        currency: 'CAD',
        condition: 'used',
        manner: 'local',
        listedOn: today,
        things: [{ partId: 'tower', quantity: 1, plan: 'keep' }],
      }),
    )
    return (await openLead(db, build, leadId, today)).lacks
  }
  test('nobody says what is in it: it is not known, not everything missing', async () => {
    expect(await lacking({})).toBeNull()
  })
  test('a cooler that comes with its CPU is there', async () => {
    const lacks = (await lacking({ contains: ['chip'] }))!.map(({ what }) => what)
    expect(lacks).toContain('a case')
    expect(lacks.some((what) => what === 'a cooler')).toBe(false)
  })
})

describe('L5: paying in the build leaves its variants as they are', () => {
  test('another card in the variant stays the only one', async () => {
    const { db, build } = place
    const card = await addChoice(
      db,
      build,
      { ...hunt, partId: 'card', limit: '100.00', condition: 'used' },
      today,
    )
    const variant = await createVariant(db, build, 'Faster', today)
    await addChoice(db, variant, { ...hunt, partId: 'better', limit: '200.00', condition: 'used' }, today)
    expect(await partsOf(variant)).toEqual(['better'])
    await pay(db, [card])
    expect(await partsOf(build)).toEqual(['card'])
    expect(await partsOf(variant)).toEqual(['better'])
    await undoLast(db)
    expect([await partsOf(build), await partsOf(variant)]).toEqual([['card'], ['better']])
  })
  test('of a lot, what the variant left out of it stays out once it is paid', async () => {
    const { db, build } = place
    const lead = await createLead(
      db,
      leadSchema.validateSync({
        title: 'Card and board',
        sourceId: 'yard',
        price: '150.00',
        currency: 'CAD',
        condition: 'used',
        listedOn: today,
        manner: 'fixed',
        things: [
          { partId: 'card', quantity: 1, plan: 'keep' },
          { partId: 'board', quantity: 1, plan: 'keep' },
        ],
      }),
    )
    const lot = await addChoice(
      db,
      build,
      { kind: 'lead', leadId: lead, partId: null, shelfId: null, limit: null, scope: 'core', reason: '' },
      today,
    )
    const variant = await createVariant(db, build, 'Without its card', today)
    await carryOut(db, variant, [{ kind: 'leave-out', line: lot, part: 'card' }], {
      today,
      text: 'left out',
      path: '',
    })
    expect([await partsOf(build), await partsOf(variant)]).toEqual([['board', 'card'], ['board']])
    await pay(db, [lot])
    expect([await partsOf(build), await partsOf(variant)]).toEqual([['board', 'card'], ['board']])
  })
})
