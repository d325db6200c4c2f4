import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Database } from '#server/db/client'
import { newOffers, newPriceIn } from '#server/context/newOffers'
import { faultsOf } from '#server/context/faults'
import { machineRules } from '#server/context/fitBrief'
import { useMarket } from '#server/context/market'
import { usePerformance } from '#server/context/performance'
import { moneyIn, readSettings } from '#server/context/settings'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { createBuild } from '#server/places/builds/builds'
import { buildView } from '#server/places/builds/buildView'
import { createLead } from '#server/places/leads/leads'
import { leadViews } from '#server/places/leads/readLeads'
import { importLibrary } from '#server/places/parts/importLibrary'
import { importShopPrices } from '#server/places/prices/importShopPrices'
import { setAssumption, setHomeCurrency, setMoney } from '#server/places/settings/settings'
import { briefSchema } from '#shared/brief/schemas'
import { leadSchema } from '#shared/leads/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { openTestDatabase, temporaryFolder } from './testDatabase'

/** Settings and money in currencies with no places, with three, and with prices ten times as high. */
const today = '2026-10-31'
const source = (id: string, currency: string, more: object = {}) => ({
  id,
  name: id,
  kind: 'shop' as const,
  currency,
  taxPercent: 0,
  taxOnShipping: false,
  shipping: { kind: 'none' as const },
  protection: 'none' as const,
  ...more,
})
const library = librarySchema.validateSync({
  format: 'tarvin-library',
  version: '1',
  sources: [
    source('home', 'CAD'),
    source('north', 'SEK', {
      importDutyPercent: 10,
      importTaxPercent: 20,
      importFreeUnder: '0',
      exchangeFeePercent: 2,
    }),
  ],
  parts: [
    { id: 'card', role: 'graphics', make: 'Murrowdun', name: 'Tarn 640 8 GB', facts: { graphicsIndex: 100 } },
  ],
  rates: [
    { date: '2026-10-01', from: 'SEK', to: 'CAD', rate: '0.125' },
    { date: '2026-10-01', from: 'CAD', to: 'SEK', rate: '8' },
  ],
})
const brief = (currency: string, budget: string) =>
  briefSchema.validateSync({
    name: `in ${currency}`,
    purpose: '',
    currency,
    region: '',
    budget,
    stretch: budget,
  })

let folder: string
let opened: Awaited<ReturnType<typeof openTestDatabase>>
let db: Database
beforeAll(async () => {
  folder = temporaryFolder()
  opened = await openTestDatabase(join(folder, 'settings.db'))
  db = opened.db
  await importLibrary(db, library)
})
afterAll(() => {
  opened.client.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('a build in any currency', () => {
  test.each([
    ['JPY', '62000', 14, 3500],
    ['KWD', '180.000', 70, 17_500],
    ['SEK', '6200.00', 140, 35_000],
    ['CAD', '620.00', 14, 3500],
  ])('in %s opens, with assumptions of its size', async (currency, budget, tariff, delivery) => {
    const id = await createBuild(db, brief(currency, budget), today)
    const view = await buildView(db, id, today)
    const market = await useMarket(db)
    expect(machineRules(market, view, today).tariff).toBe(tariff)
    expect(view.weighing.terms.usualShipping).toBe(delivery)
    expect((await briefOf(db, id)).houseRules.machine.tariff).toBeNull()
    await saveBrief(db, id, await briefOf(db, id), today)
  })
  test('the first one says which currency is home', async () => {
    expect((await readSettings(db)).homeCurrency).toBe('JPY')
    await setHomeCurrency(db, 'CAD')
    expect((await readSettings(db)).homeCurrency).toBe('CAD')
  })
})

describe('one money and another', () => {
  test('the cheapest shop price is found by what it is worth, not by its figure', async () => {
    const { problems } = await importShopPrices(
      db,
      'source,part,date,price,currency\nhome,card,2026-10-30,150.00,CAD\nnorth,card,2026-10-30,999.00,SEK\n',
      { today, currency: 'CAD' },
    )
    expect(problems).toEqual([])
    const market = await useMarket(db)
    // 999.00 SEK is 124.88 CAD: cheaper at the shop than 150.00 CAD
    expect(newPriceIn(market, 'card', 'CAD', today)).toBe(12_488)
    // 999.00 · 1.1 duty · 1.2 import tax = 1318.68, and 2 % of 999.00 for the exchange: 1338.66 SEK
    const [first, second] = newOffers(market, 'card', 'CAD', today)
    expect(first).toMatchObject({ sourceId: 'home', landed: 15_000 })
    expect(second!.landed).toBe(16_733)
  })
  test('dealing with a fault costs the same whatever the seller’s currency', async () => {
    const id = await createBuild(db, brief('CAD', '620.00'), today)
    const lead = (externalId: string, sourceId: string, currency: string, price: string) =>
      createLead(
        db,
        leadSchema.validateSync({
          sourceId,
          externalId,
          title: externalId,
          price,
          currency,
          condition: 'used',
          manner: 'fixed',
          listedOn: today,
          things: [{ partId: 'card', quantity: 1, plan: 'keep' }],
        }),
      )
    await lead('near', 'home', 'CAD', '100.00')
    await lead('far', 'north', 'SEK', '800.00')
    const { leads } = await leadViews(db, id, today)
    const lossOf = (name: string) => {
      const { value } = leads.find((each) => each.externalId === name)!
      return value.expected - value.payNow
    }
    // P = 0.08: the price comes back with nothing, plus 8.00 of hassle
    expect(lossOf('near')).toBe(Math.round(0.08 * (10_000 + 800)))
    expect(Math.abs(lossOf('far') - lossOf('near'))).toBeLessThanOrEqual(1)
  })
})

describe('assumptions in force', () => {
  test('a changed figure reaches the table of faults, the workloads and the rules at once, and goes back', async () => {
    const id = await createBuild(db, brief('CAD', '620.00'), today)
    await setAssumption(db, 'risk.used.graphics', 0.5)
    await setAssumption(db, 'power.roomC', 35)
    await setMoney(db, { key: 'hassle', value: { amount: '80.00', currency: 'SEK' } }, today)
    const view = await buildView(db, id, today)
    const market = await useMarket(db)
    expect(view.faults.used.graphics).toBe(0.5)
    expect(faultsOf(market, view, today).hassle).toBe(1000)
    expect(moneyIn(market, 'hassle', 'SEK', today)).toBe(8000)
    expect(machineRules(market, view, today).roomC).toBe(35)
    await setAssumption(db, 'risk.used.graphics', null)
    await setAssumption(db, 'power.roomC', null)
    await setMoney(db, { key: 'hassle', value: null }, today)
    expect((await readSettings(db)).assumptions).toEqual({})
    expect((await buildView(db, id, today)).faults.used.graphics).toBe(0.08)
    expect((await usePerformance(db)).workloads).toEqual([])
  })
  test.each([
    ['risk.used.graphics', 1.5, 'must be from 0 to 1'],
    ['risk.luck', 1, 'unknown assumption "risk.luck"'],
  ])('%s at %d is refused before anything is written', async (key, value, message) => {
    await expect(setAssumption(db, key, value)).rejects.toThrow(message)
    expect((await readSettings(db)).assumptions).toEqual({})
  })
})
