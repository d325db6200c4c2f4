// @vitest-environment happy-dom
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { buildStrips } from '#server/places/builds/readBuilds'
import { createTrip } from '#server/places/ledger/trips'
import { adviceViews, openAdvice } from '#server/places/machine/advice'
import { addChoice } from '#server/places/machine/choices'
import { choiceSchema } from '#shared/machine/schemas'
import CounterAgenda from '~/places/builds/components/CounterAgenda.vue'
import DatesAhead from '~/places/builds/components/DatesAhead.vue'
import LeadPurchase from '~/places/leads/components/LeadPurchase.vue'
import LeadRisk from '~/places/leads/components/LeadRisk.vue'
import LeadStanding from '~/places/leads/components/LeadStanding.vue'
import HuntsToPay from '~/places/ledger/components/HuntsToPay.vue'
import LedgerDates from '~/places/ledger/components/LedgerDates.vue'
import LedgerEntries from '~/places/ledger/components/LedgerEntries.vue'
import SellMachine from '~/places/ledger/components/SellMachine.vue'
import AdviceList from '~/places/machine/components/AdviceList.vue'
import DeadlineLine from '~/ui/DeadlineLine.vue'
import RateForm from '~/ui/RateForm.vue'
import { itemsOf, itemStep, pay } from '../../server/purchases'
import { today } from '../../server/marketWithBuild'
import { Counter, asSent, laySession, press, registerCounter } from './counter'

/** What is done at the desk, component by component: each state it can be in, and what it then sends. */
let counter: Counter
beforeAll(() =>
  registerCounter([
    'TheFigure',
    'DateField',
    'DeadlineLine',
    'PhotoInput',
    'SaleFields',
    'BeginUpgrade',
    'ListingToOffer',
    'WhatItFetches',
    'AskByWeek',
    'MachinesLikeIt',
  ]),
)
beforeEach(async () => {
  counter = await Counter.open()
  laySession({ homeCurrency: 'CAD', today, builds: [], soldRecords: 0, asksPassphrase: false })
})
afterEach(() => counter.close())

const field = (shown: VueWrapper, label: string) => shown.find(`[aria-label="${label}"]`)
/** Bodies that were written, in order. */
const written = () => counter.sent.filter(({ method }) => method !== 'GET')
const hunt = (partId: string, limit: string) =>
  addChoice(
    counter.place.db,
    counter.place.build,
    choiceSchema.validateSync({ kind: 'hunt', keepBoth: true, partId, limit, condition: 'used' }),
    today,
  )
const bought = async (title: string, change: object = {}) => {
  await pay(counter.place.db, [await counter.choose(await counter.lead(title, change))])
  return (await itemsOf(counter.place.db, counter.place.build)).at(-1)!.id
}

describe('today and the days ahead', () => {
  test('nothing presses, or what stops and what is gone, most pressing first', async () => {
    const strips = () => buildStrips(counter.place.db, today).then(asSent)
    expect(mount(CounterAgenda, { props: { strips: [] } }).text()).toContain('Nothing urgent')
    const id = await counter.lead('At the quay')
    await counter.choose(id)
    const { gone } = await import('#server/places/leads/leadSteps')
    await gone(counter.place.db, id, { day: today }, today)
    expect(mount(CounterAgenda, { props: { strips: await strips() } }).text()).toContain('At the quay')
  })

  test('dates of all builds, the next two months first; what should have come is marked late', async () => {
    await bought('A card', { sourceId: 'shop', condition: 'new', manner: 'fixed', price: '100.00' })
    const [ahead] = (await counter.show()).deadlines
    const first = { ...ahead!, buildId: counter.place.build, build: 'Couch' }
    counter.answers.set('/api/ledger/dates', [
      { ...first, day: '2026-10-20', isLate: true },
      { ...first, what: 'far away', day: '2027-06-01', isLate: false },
    ])
    const shown = mount(DatesAhead)
    await flushPromises()
    expect(shown.text()).toContain('late')
    expect(shown.text()).not.toContain('far away')
    await press(shown, '1 later')
    expect(shown.text()).toContain('far away')
    expect(shown.find('a[download]').attributes('href')).toBe('/api/ledger/calendar')
  })

  test('a date says its kind, its money and its day', () => {
    const line = mount(DeadlineLine, {
      props: {
        of: 'Couch',
        deadline: {
          day: '2026-11-20',
          what: 'rebate of the card',
          kind: 'claim',
          money: { amount: 10_00, currency: 'CAD' },
          isLate: false,
        },
      },
    })
    expect(line.text()).toMatch(/claim.*Couch: rebate of the card.*10\.00 CAD.*20 Nov 2026/)
  })
})

describe('buying', () => {
  test('agreed at the door, then paid at what it costs', async () => {
    const id = await counter.lead('At the quay')
    await counter.choose(id)
    await counter.show()
    const shown = mount(LeadPurchase, { props: { lead: await counter.leadView(id) } })
    const [agreed] = shown.findAll('input')
    expect(agreed!.element.value).toBe('120.00')
    await agreed!.setValue('105')
    await press(shown, 'Agree price')
    expect(written()[0]).toMatchObject({
      path: `/api/leads/${id}/agree`,
      body: { amount: '105', day: today, until: null },
    })
    await press(shown, 'Paid')
    expect(written().at(-1)!.path).toMatch(/\/api\/ledger\/choices\/.+\/pay$/)
  })

  test('a hunt that came in is paid at what was paid; without a figure it cannot be', async () => {
    await hunt('card', '110.00')
    await hunt('better', '150.00')
    const { hunts } = await counter.show()
    const shown = mount(HuntsToPay, { props: { hunts } })
    await field(shown, `paid for ${hunts[0]!.label}`).setValue('99.50')
    await field(shown, `paid for ${hunts[1]!.label}`).setValue('')
    const buttons = shown.findAll('button')
    expect(buttons[1]!.attributes('disabled')).toBeDefined()
    await buttons[0]!.trigger('click')
    await flushPromises()
    expect(written()[0]).toMatchObject({
      path: `/api/ledger/choices/${hunts[0]!.choiceId}/pay`,
      body: { amount: '99.50', day: today },
    })
  })
})

describe('risk and where it stands', () => {
  test('a sign read from the text is denied by a click, one’s own is taken back', async () => {
    const id = await counter.lead('Tarn 640, untested', { text: 'Tarn 640, untested' })
    await counter.show()
    const risk = mount(LeadRisk, { props: { lead: await counter.leadView(id), currency: 'CAD' } })
    const box = (name: string) =>
      risk
        .findAll('label')
        .find((each) => each.text().includes(name))!
        .find('input')
    await box('untested').trigger('change')
    await flushPromises()
    await box('sealed').trigger('change')
    await flushPromises()
    expect(written().map(({ body }) => body)).toEqual([
      { signs: { untested: false } },
      { signs: { sealed: true } },
    ])
  })

  test('too cheap to be true is said as a warning', async () => {
    const id = await counter.lead('Tarn 640', { price: '20.00' })
    await counter.show()
    const risk = mount(LeadRisk, { props: { lead: await counter.leadView(id), currency: 'CAD' } })
    expect(risk.find('[data-test="too-cheap"]').exists()).toBe(true)
  })

  test('a lead is put on a trip that is there', async () => {
    const id = await counter.lead('At the quay')
    const trip = await createTrip(counter.place.db, counter.place.build, {
      name: 'round the harbour',
      km: 12,
      fare: '3.00',
      hours: 1,
    })
    const ledger = await counter.show()
    const shown = mount(LeadStanding, {
      props: { lead: await counter.leadView(id), currency: 'CAD', trips: ledger.trips },
    })
    await shown.find('select').setValue(trip)
    await flushPromises()
    expect(written()[0]).toMatchObject({ path: `/api/leads/${id}`, body: { tripId: trip } })
  })
})

describe('the books', () => {
  test('an entry by hand: hours carry no money; what an action wrote is not undone here', async () => {
    await bought('A card')
    const ledger = await counter.show()
    counter.answers.set('/ledger', ledger)
    const shown = mount(LedgerEntries, { props: { ledger } })
    expect(shown.text()).toContain('120.00')
    expect(shown.findAll('td button').some((button) => button.text() === 'undo')).toBe(false)
    await shown.find('select').setValue('hours')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(written()[0]).toMatchObject({ body: { kind: 'hours', amount: '0', hours: 1, day: today } })
  })

  test('a rebate goes from claimed to paid, a trip is driven', async () => {
    await bought('A card', {
      sourceId: 'shop',
      condition: 'new',
      manner: 'fixed',
      rebate: { kind: 'mail-in', amount: '10.00', claimBy: '2026-11-20' },
    })
    const ledger = await counter.show()
    const shown = mount(LedgerDates, { props: { ledger } })
    expect(shown.text()).toContain('10.00')
    await press(shown, 'Claimed')
    expect(written()[0]).toMatchObject({
      method: 'PATCH',
      path: `/api/ledger/rebates/${ledger.rebates[0]!.id}`,
      body: { state: 'claimed', day: today },
    })
    const claimed = { ...ledger, rebates: [{ ...ledger.rebates[0]!, state: 'claimed' as const }] }
    const later = mount(LedgerDates, { props: { ledger: claimed } })
    await press(later, 'Received')
    expect(written().at(-1)!.body).toMatchObject({ state: 'paid' })
    expect(mount(LedgerDates, { props: { ledger: { ...ledger, deadlines: [] } } }).text()).toContain('None.')
  })

  test('a sale warns of what is not paid; a sold machine can come back, one apart is on the shelf', async () => {
    const item = await bought('A card')
    await itemStep(counter.place.db, item, 'arrive', { state: 'works' })
    await hunt('board', '50.00')
    counter.answers.set('/listing-text', { text: 'a machine' })
    const ledger = await counter.show()
    const shown = mount(SellMachine, { props: { ledger } })
    await flushPromises()
    expect(shown.text()).toContain('One choice is not paid')
    await field(shown, 'machine sold for').setValue('180')
    await shown.findAll('form').at(-1)!.trigger('submit')
    await flushPromises()
    expect(written().at(-1)).toMatchObject({
      path: `/api/builds/${counter.place.build}/ledger/sell`,
      body: { price: '180', fee: '0' },
    })
    const sold = mount(SellMachine, { props: { ledger: { ...ledger, state: 'sold' } } })
    await field(sold, 'refunded to the buyer').setValue('170')
    await sold.find('form').trigger('submit')
    await flushPromises()
    expect(written().at(-1)).toMatchObject({ body: { amount: '170' } })
    expect(mount(SellMachine, { props: { ledger: { ...ledger, state: 'apart' } } }).text()).toContain(
      'on the shelf',
    )
  })
})

describe('what others said', () => {
  const sheet = [
    'Advice on Couch, as of today',
    'From: Orla',
    '1. Murrowdun Tarn 640 8 GB',
    '   remark: the other is faster',
    '   instead: Tarn 660',
    'Overall',
    '   remark: ask for a picture',
  ].join('\n')

  test('none yet; then each with what its swap would do, taken or declined by one click', async () => {
    await hunt('card', '120.00')
    await counter.show()
    counter.answers.set('/advice', [])
    const shown = mount(AdviceList, { props: { view: useBuild().view! } })
    await flushPromises()
    expect(shown.text()).toContain('None yet')
    await press(shown, 'open a reply')
    const { db, build } = counter.place
    await openAdvice(db, build, sheet, today)
    counter.answers.set('/advice', asSent(await adviceViews(db, build, today)))
    await shown.find('textarea').setValue(sheet)
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(written()[0]!.body).toEqual({ text: sheet })
    expect(shown.text()).toContain('the other is faster')
    expect(shown.text()).toContain('ask for a picture')
    await press(shown, /decline/)
    expect(written().at(-1)!.body).toEqual({ state: 'declined' })
  })
})

test('a rate is written in capitals, with a point, and both ways unless that is taken off', async () => {
  counter.answers.set('/api/settings/rates', [])
  const shown = mount(RateForm, { props: { to: 'CAD', today } })
  await field(shown, 'from currency').setValue(' sek ')
  await field(shown, 'exchange rate').setValue('0,1321')
  await shown.find('form').trigger('submit')
  await flushPromises()
  expect(written()[0]).toMatchObject({
    method: 'PUT',
    body: { from: 'SEK', to: 'CAD', rate: '0.1321', bothWays: true, date: today },
  })
  expect(shown.emitted('saved')).toHaveLength(1)
  expect((field(shown, 'exchange rate').element as HTMLInputElement).value).toBe('')
})
