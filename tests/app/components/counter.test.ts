// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest'
import { soldRecords } from '#server/db/schema/prices'
import { buildStrips } from '#server/places/builds/readBuilds'
import { createVariant } from '#server/places/builds/variants'
import { haggleView } from '#server/places/leads/haggle'
import { leadViews } from '#server/places/leads/readLeads'
import ReceiptSlip from '~/shell/receipt/ReceiptSlip.vue'
import BuildStripCard from '~/places/builds/components/BuildStripCard.vue'
import HaggleSheet from '~/places/leads/components/HaggleSheet.vue'
import LeadDoor from '~/places/leads/components/LeadDoor.vue'
import LeadFacts from '~/places/leads/components/LeadFacts.vue'
import LeadInbox from '~/places/leads/components/LeadInbox.vue'
import AskByWeek from '~/places/ledger/components/AskByWeek.vue'
import BeginUpgrade from '~/places/ledger/components/BeginUpgrade.vue'
import ItemTable from '~/places/ledger/components/ItemTable.vue'
import LedgerAccount from '~/places/ledger/components/LedgerAccount.vue'
import MachinesLikeIt from '~/places/ledger/components/MachinesLikeIt.vue'
import PlannedOrder from '~/places/ledger/components/PlannedOrder.vue'
import WhatItFetches from '~/places/ledger/components/WhatItFetches.vue'
import WhatItWas from '~/places/ledger/components/WhatItWas.vue'
import { sellMachine } from '#server/places/ledger/machineSteps'
import { today, type MarketWithBuild } from '../../server/marketWithBuild'
import { itemsOf, itemStep, pay } from '../../server/purchases'
import { refreshAll } from '~/data/refreshAll'
import { Counter, registerCounter, type Sent } from './counter'

/** Components at the counter, over views of a real database; what they send is caught and looked at. */
let counter: Counter
let place: MarketWithBuild
let sent: Sent[]
let answers: Map<string, unknown>
beforeAll(() => registerCounter(['TheFigure', 'DateField', 'BudgetBar', 'ItemSteps', 'FormField']))
beforeEach(async () => {
  counter = await Counter.open()
  place = counter.place
  sent = counter.sent
  answers = counter.answers
})
afterEach(() => counter.close())
const lead = (title: string, change: object = {}) => counter.lead(title, change)
const choose = (leadId: string) => counter.choose(leadId)
const shop = { sourceId: 'shop', condition: 'new', manner: 'fixed' }
const atTheCounter = () => counter.show()
const leadOf = (id: string) => counter.leadView(id)

describe('the receipt slip', () => {
  test('holds an order as the cart has it: things at their prices, then shipping and tax, then its total', async () => {
    await choose(await lead('New card', { ...shop, price: '40.00' }))
    await choose(await lead('New board', { ...shop, price: '20.00', things: [{ partId: 'board' }] }))
    await choose(await lead('By hand', { price: '15.00', things: [{ partId: 'better' }] }))
    await atTheCounter()
    const slip = mount(ReceiptSlip)
    const cart = slip.find('[aria-label="order from Pantry"]')
    expect(cart.text()).toContain('40.00')
    expect(cart.text()).toContain('20.00')
    // 60.00 + 9.00 shipping + 13 % of the goods
    expect(cart.find('[data-figure="cart"]').text()).toBe('76.80')
    const plain = slip.findAll('section').find((section) => section.text().startsWith('to buy'))!
    expect(plain.text()).toContain('Tarn 660')
    expect(plain.text()).not.toContain('Tarn 640')
  })
})

describe('orders and things', () => {
  test('one line of an order may be paid alone, and what the other then costs is said before', async () => {
    await choose(await lead('New card', { ...shop, price: '40.00' }))
    await choose(await lead('New board', { ...shop, price: '35.00', things: [{ partId: 'board' }] }))
    const { orders } = await atTheCounter()
    const order = mount(PlannedOrder, { props: { order: orders[0]! } })
    expect(order.text()).toContain('Pay order, 84.75 CAD')
    expect(order.text()).toContain('the other then costs 48.55')
    await order
      .findAll('button')
      .find((button) => button.text().startsWith('pay this only'))!
      .trigger('click')
    await flushPromises()
    expect(sent[0]).toMatchObject({
      method: 'POST',
      path: '/api/ledger/orders/pay',
      body: { choiceIds: [orders[0]!.lines[0]!.choiceId], day: today },
    })
  })

  test('L7: beside the same build in another currency no difference is told', async () => {
    const { answers, place } = counter
    await counter.show()
    const build = useBuild()
    const as = async (currency: string, payNow: number) => {
      const { receipt } = build.view!
      const totals = { ...receipt.totals, payNow }
      answers.set(place.build, { ...build.view!, currency, receipt: { ...receipt, totals } })
      await refreshAll()
      await flushPromises()
      return build.lastChange?.difference ?? null
    }
    const was = build.view!.receipt.totals.payNow!
    expect([await as('CAD', was + 500), await as('EUR', was - 7106)]).toEqual([500, null])
  })
  test('what a step changed shows on the receipt and among the items in one moment', async () => {
    await choose(await lead('A card'))
    const ledger = await atTheCounter()
    const shown: boolean[] = []
    mount({
      setup() {
        const [store, build] = [useLedger(), useBuild()]
        watch([() => build.view, () => store.view], () =>
          shown.push(build.view!.name === 'anew', store.view?.state === 'sold'),
        )
        return () => null
      },
    })
    await flushPromises()
    answers.set('/ledger', { ...ledger, state: 'sold' })
    answers.set(place.build, { ...useBuild().view!, name: 'anew' })
    await refreshAll()
    expect(shown).toEqual([true, true])
  })

  test('things that are over stand last, each with where it went', async () => {
    await pay(place.db, [await choose(await lead('A card'))])
    await pay(place.db, [await choose(await lead('A board', { things: [{ partId: 'board' }] }))])
    const [card] = (await itemsOf(place.db, place.build)).filter(({ partId }) => partId === 'card')
    await itemStep(place.db, card!.id, 'cancel', { amount: '120.00', missing: true })
    const { items, currency } = await atTheCounter()
    const table = mount(ItemTable, { props: { items, currency } })
    const rows = table.findAll('tr[data-item]').map((row) => row.text())
    expect(rows[0]).toContain('ordered')
    expect(rows.at(-1)).toContain('did not arrive')
    expect(mount(LedgerAccount, { props: { ledger: await atTheCounter() } }).text()).toContain('lost so far')
  })
})

describe('selling it', () => {
  beforeEach(async () => {
    for (const [index, price] of [300_00, 320_00, 340_00].entries())
      await place.db.insert(soldRecords).values({
        source: 'Barnstall',
        externalId: `machine-${index}`,
        title: `Gaming PC Tarn 640, 16GB, number ${index}`,
        price,
        shipping: 0,
        currency: 'CAD',
        soldOn: today,
        manner: 'local',
        condition: 'used',
      })
    await pay(place.db, [await choose(await lead('A card'))])
    const [item] = await itemsOf(place.db, place.build)
    await itemStep(place.db, item!.id, 'arrive', { state: 'works' })
  })

  test('three ways side by side, the likely one in bold; an own figure is in force once it is typed', async () => {
    const ledger = await atTheCounter()
    const shown = mount(WhatItFetches, { props: { ledger } })
    const rows = shown.findAll('tbody tr')
    expect(rows.map((row) => row.find('td').text())).toEqual([
      'whole, based on 3 similar PCs sold',
      'whole, based on its parts',
      'parted out',
    ])
    expect(rows[0]!.classes()).toContain('font-semibold')
    expect(shown.find('[data-test="not-whole"]').text()).toContain('no CPU')
    expect(shown.find('input[value="own"]').attributes('disabled')).toBeDefined()
    await shown.find('input[aria-label="your own figure for the machine"]').setValue('333')
    await flushPromises()
    expect(sent.find(({ method }) => method === 'PATCH')).toMatchObject({
      path: `/api/builds/${place.build}/ledger/selling`,
      body: { basis: 'own', own: '333' },
    })
  })

  test('U2: of parts whose price nobody knows, what the rest fetches is the least, and no loss is told', async () => {
    const known = await atTheCounter()
    const resale = { ...known.resale, unknown: ['case'] }
    const shown = mount(WhatItFetches, { props: { ledger: { ...known, resale } } })
    const [machines, whole, parting] = shown.findAll('tbody tr').map((row) => row.text())
    expect([whole, parting].every((text) => text!.includes('at least'))).toBe(true)
    expect(machines).not.toContain('at least')
    expect(shown.text()).toMatch(/At least: of 0 of 1 parts/)
  })

  test('week by week, and the machines it is read from: words and single ones may be changed', async () => {
    const ledger = await atTheCounter()
    expect(mount(AskByWeek, { props: { ledger } }).findAll('tbody tr')).toHaveLength(6)
    const machines = mount(MachinesLikeIt, { props: { ledger } })
    expect(machines.text()).toContain('typical 320.00')
    await machines.find('button[aria-label^="leave out"]').trigger('click')
    await flushPromises()
    const left = sent.find(({ method }) => method === 'PATCH')!.body as { leftOut: number[] }
    expect(left.leftOut).toEqual([ledger.selling.machines!.comps[0]!.id])
    await machines.find('input[aria-label="required words for similar PCs"]').setValue('tower, quiet')
    await machines.find('form').trigger('submit')
    await flushPromises()
    expect(sent.filter(({ method }) => method === 'PATCH').at(-1)!.body).toMatchObject({
      must: ['tower', 'quiet'],
    })
  })

  test('without such a machine there is no ladder, and it is said how to get one', async () => {
    const ledger = await atTheCounter()
    const none = { ...ledger, selling: { ...ledger.selling, ladder: [] } }
    expect(mount(AskByWeek, { props: { ledger: none } }).text()).toBe('')
    const empty = {
      ...ledger,
      selling: { ...ledger.selling, machines: { ...ledger.selling.machines!, comps: [], typical: null } },
    }
    expect(mount(MachinesLikeIt, { props: { ledger: empty } }).text()).toContain(
      'No similar PCs in your records',
    )
  })

  test('an upgrade asks its name and what may be spent', async () => {
    answers.set('/ledger/upgrade', { id: 'faster' })
    const ledger = await atTheCounter()
    vi.stubGlobal('navigateTo', vi.fn())
    const begin = mount(BeginUpgrade, { props: { ledger } })
    await begin.find('button').trigger('click')
    expect(begin.find('button[type="submit"]').attributes('disabled')).toBeDefined()
    await begin.find('input[aria-label="budget of the upgrade"]').setValue('150')
    await begin.find('form').trigger('submit')
    await flushPromises()
    expect(counter.written[0]).toMatchObject({
      method: 'POST',
      body: { name: 'Couch, upgraded', budget: '150', day: today },
    })
  })

  test('once sold it says what it was, what it left, and nothing else', async () => {
    await sellMachine(
      place.db,
      place.build,
      { day: today, price: '200.00', fee: '0', postage: '0', hours: 2 },
      today,
    )
    answers.set('/ledger', await atTheCounter())
    const shown = mount(WhatItWas)
    await flushPromises()
    expect(shown.text()).toContain('Couch Sold')
    expect(shown.text()).toContain('+80.00')
    expect(shown.findAll('tbody tr')).toHaveLength(1)
  })
})

describe('leads', () => {
  test('one without a rate asks for it, and nothing else stops', async () => {
    await lead('Over the water', { currency: 'SEK' })
    const known = await lead('At the quay')
    await atTheCounter()
    const inbox = JSON.parse(JSON.stringify(await leadViews(place.db, place.build, today)))
    const shown = mount(LeadInbox, {
      props: {
        leads: inbox.leads,
        unvalued: inbox.unvalued,
        selected: known,
        currency: 'CAD',
        today,
        hits: new Set<string>(),
        counts: inbox.counts,
        total: inbox.total,
        role: '',
        order: 'saving',
        show: 'open',
      },
      global: { stubs: { PriceRule: true } },
    })
    expect(shown.text()).toContain('no exchange rate from SEK to CAD')
    expect(shown.text()).toContain('At the quay')
    await shown
      .findAll('button')
      .find((button) => button.text() === 'set the exchange rate')!
      .trigger('click')
    expect(useMissingRate().pair).toEqual({ from: 'SEK', to: 'CAD' })
    useMissingRate().openFor({ from: 'CAD', to: 'SEK', on: today })
    expect(useMissingRate().pair).toEqual({ from: 'CAD', to: 'SEK' })
  })

  test('the note from the door is sent as it came, and can be taken back', async () => {
    const id = await lead('At the quay')
    await atTheCounter()
    answers.set('/api/leads/door', { leadId: id, answered: 1, before: { works: null }, offerId: 'o-1' })
    const door = mount(LeadDoor, { props: { lead: await leadOf(id) } })
    expect(door.find('a').attributes('href')).toBe(`/api/builds/${place.build}/leads/${id}/door`)
    expect(door.find('button[type="submit"]').attributes('disabled')).toBeDefined()
    await door.find('textarea').setValue('On-site check: x')
    await door.find('form').trigger('submit')
    await flushPromises()
    expect(counter.written[0]).toMatchObject({ path: '/api/leads/door', body: { text: 'On-site check: x' } })
    expect(door.find('textarea').element.value).toBe('')
  })

  test('a fact is answered by its key, and taken back by another', async () => {
    const id = await lead('At the quay')
    await atTheCounter()
    const facts = mount(LeadFacts, { props: { lead: await leadOf(id), today } })
    if (facts.text().includes('more not stated'))
      await facts
        .findAll('button')
        .find((button) => button.text().includes('more not stated'))!
        .trigger('click')
    const row = facts.findAll('tr').find((each) => each.text().includes('works'))!
    await row.trigger('keydown', { key: 'y' })
    await flushPromises()
    await row.trigger('keydown', { key: 'u' })
    await flushPromises()
    expect(counter.written.map(({ body }) => body)).toEqual([
      { answers: { works: 'yes' } },
      { answers: { works: null } },
    ])
  })

  test('the haggle sheet says what to do, and notes who said what', async () => {
    const id = await lead('At the quay', { price: '190.00' })
    await atTheCounter()
    answers.set('/haggle', await haggleView(place.db, place.build, id, today))
    const sheet = mount(HaggleSheet, { props: { lead: await leadOf(id) } })
    await flushPromises()
    expect(sheet.text()).toMatch(/Start lower|Far apart|Pass/)
    await sheet.find('form').trigger('submit')
    await flushPromises()
    expect(sent.some(({ path, method }) => method === 'POST' && path.endsWith('/offers'))).toBe(true)
  })
})

test('variants stand under their build, each with what it would cost', async () => {
  await choose(await lead('At the quay'))
  await createVariant(place.db, place.build, 'Couch, louder', today)
  await atTheCounter()
  const strips = JSON.parse(JSON.stringify(await buildStrips(place.db, today)))
  const root = strips.find((each: { variantOf: string | null }) => each.variantOf === null)
  const variants = strips.filter((each: { variantOf: string | null }) => each.variantOf === root.id)
  const card = mount(BuildStripCard, { props: { strip: root, variants } })
  expect(card.text()).toContain('Couch, louder')
  expect(card.text()).toContain('120.00 CAD')
})
