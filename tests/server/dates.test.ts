import { afterEach, beforeEach, expect, test } from 'vitest'
import { addMonths } from '#core/time/calendarDate'
import { allDates, wholeCalendar } from '#server/places/ledger/calendar'
import { createLead } from '#server/places/leads/leads'
import { addChoice } from '#server/places/machine/choices'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'
import { itemsOf, itemStep, pay } from './purchases'

/** Every date of every build in one list, on a real database. */
let market: MarketWithBuild
beforeEach(async () => {
  market = await marketWithBuild()
})
afterEach(async () => market.close())
const told = async () =>
  (await allDates(market.db, today)).map(({ day, kind, isLate, money }) => [
    day,
    kind,
    isLate,
    money?.amount ?? null,
  ])

test('a claim, a delivery that is late, a warranty, an auction: with amounts, the nearest first, and as a calendar', async () => {
  const { db, build } = market
  const lead = (change: object) =>
    createLead(
      db,
      leadSchema.validateSync({
        sourceId: 'shop',
        title: 'Tarn 640 8 GB',
        price: '150.00',
        currency: 'CAD',
        condition: 'new',
        manner: 'fixed',
        listedOn: '2026-10-01',
        things: [{ partId: 'card' }],
        ...change,
      }),
    )
  const choose = (leadId: string) =>
    addChoice(db, build, choiceSchema.validateSync({ kind: 'lead', leadId }), today)
  const card = await lead({ rebate: { kind: 'mail-in', amount: '10.00', claimBy: '2026-12-30' } })
  await pay(db, [await choose(card)], null, '2026-10-10')
  await choose(
    await lead({
      sourceId: 'yard',
      title: 'Fell B2',
      price: '60.00',
      condition: 'used',
      manner: 'auction',
      endsOn: '2026-11-04',
      things: [{ partId: 'board' }],
    }),
  )
  // 150.00 and 13 %, nothing to send from 75.00 on: paid three weeks ago and not here
  expect(await told()).toEqual([
    ['2026-10-24', 'delivery', true, 16_950],
    ['2026-11-04', 'auction', false, 6000],
    ['2026-12-30', 'claim', false, 1000],
  ])
  const [item] = await itemsOf(db, build)
  await itemStep(db, item!.id, 'arrive', { state: 'works' })
  expect(await told()).toEqual([
    ['2026-11-04', 'auction', false, 6000],
    ['2026-12-30', 'claim', false, 1000],
    ['2028-10-10', 'warranty', false, 16_950],
  ])
  const calendar = await wholeCalendar(db, today)
  expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(3)
  expect(calendar).toContain('Couch: warranty of')
})

test('months later: the same day, or the last of a shorter month', () => {
  expect([
    addMonths('2026-01-31', 1),
    addMonths('2023-02-28', 12),
    addMonths('2024-02-29', 12),
    addMonths('2026-10-10', 24),
    addMonths('2026-12-31', 2),
    addMonths('2026-03-31', -1),
  ]).toEqual(['2026-02-28', '2024-02-28', '2025-02-28', '2028-10-10', '2027-02-28', '2026-02-28'])
})
