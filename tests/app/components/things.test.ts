// @vitest-environment happy-dom
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { priceView } from '#server/places/prices/readPrices'
import { createVariant, variantsView } from '#server/places/builds/variants'
import { briefOf, saveBrief } from '#server/places/brief/brief'
import { setRate } from '#server/places/settings/rates'
import VariantsSheet from '~/places/machine/components/VariantsSheet.vue'
import { buildView } from '#server/places/builds/buildView'
import { addChoice } from '#server/places/machine/choices'
import { gone } from '#server/places/leads/leadSteps'
import { choiceSchema } from '#shared/machine/schemas'
import type { Part } from '#core/parts/part'
import ItemSteps from '~/places/ledger/components/ItemSteps.vue'
import ChoiceRow from '~/places/machine/components/ChoiceRow.vue'
import PartPicker from '~/places/parts/components/PartPicker.vue'
import NotesLeaf from '~/places/prices/components/NotesLeaf.vue'
import WeighingControls from '~/places/scales/components/WeighingControls.vue'
import { itemsOf, itemStep, pay } from '../../server/purchases'
import { today } from '../../server/marketWithBuild'
import { Counter, asSent, lay, laySession, press, registerCounter } from './counter'

/** A thing on screen through its whole life, and what else is done with one part at a time. */
let counter: Counter
beforeAll(() =>
  registerCounter([
    ...['TheFigure', 'DateField', 'PartPicker', 'SaleFields'],
    ...['KeptReads', 'OwnFigure', 'WaitNotes', 'LastAsks'],
  ]),
)
beforeEach(async () => {
  counter = await Counter.open()
  laySession({
    homeCurrency: 'CAD',
    today,
    builds: [
      { id: counter.place.build, name: 'Couch' },
      { id: 'attic', name: 'Attic' },
    ],
    soldRecords: 0,
    asksPassphrase: false,
  })
  counter.answers.set('/api/library', { parts: [] })
})
afterEach(() => counter.close())

const says = (shown: VueWrapper) => shown.findAll('button').map((button) => button.text())
const written = () => counter.sent.filter(({ method }) => method !== 'GET')
/** A card that was paid for, brought to where a test begins. */
async function card(...steps: readonly (readonly [Parameters<typeof itemStep>[2], object])[]) {
  const { db, build } = counter.place
  await pay(db, [await counter.choose(await counter.lead('A card'))])
  const id = (await itemsOf(db, build)).at(-1)!.id
  for (const [step, input] of steps) await itemStep(db, id, step, input)
  const ledger = await counter.show()
  counter.answers.set(`/api/builds/${build}`, useBuild().view)
  counter.answers.set('/ledger', ledger)
  const shown = mount(ItemSteps, {
    props: { item: ledger.items.find((item) => item.id === id)!, currency: 'CAD' },
  })
  await flushPromises()
  return { id, shown }
}

describe('what may happen to a thing, from where it is', () => {
  test('ordered: it arrives in one of three states with what was ticked, is cancelled, or was missing', async () => {
    const { id, shown } = await card()
    const [first] = shown.findAll('input[type="checkbox"]')
    await first!.setValue(true)
    await press(shown, 'Arrived and works')
    expect(written()[0]).toMatchObject({
      path: `/api/ledger/items/${id}/arrive`,
      body: { state: 'works', day: today, foundPartId: null, checks: [expect.any(String)] },
    })
    expect(shown.emitted('done')).toHaveLength(1)
    await press(shown, 'did not arrive')
    expect(written().at(-1)!.body).toMatchObject({ missing: true, amount: '120.00' })
    expect(says(shown)).not.toContain('send back')
  })

  test('in the build: found otherwise, moved, handed over, sent back; another build is asked for first', async () => {
    const { id, shown } = await card(['arrive', { state: 'works' }])
    expect(says(shown)).toEqual(expect.arrayContaining(['has faults', 'dead', 'to the shelf']))
    await press(shown, 'dead')
    expect(written()[0]).toMatchObject({ path: `/api/ledger/items/${id}/find`, body: { state: 'dead' } })
    const hand = shown.findAll('button').find((button) => button.text() === 'hand over')!
    expect(hand.attributes('disabled')).toBeDefined()
    await shown.find('select[aria-label="other build"]').setValue('attic')
    await press(shown, 'hand over')
    expect(written().at(-1)!.body).toMatchObject({ buildId: 'attic' })
    await press(shown, 'send back')
    expect(written().at(-1)!.body).toMatchObject({ expected: '120.00' })
  })

  test('dead: it is repaired, never simply found to work', async () => {
    const { shown } = await card(['arrive', { state: 'dead' }])
    expect(says(shown)).toContain('repaired')
    await press(shown, 'repaired')
    expect(written()[0]!.body).toMatchObject({ state: 'works', repaired: true })
  })

  test('on its way back: refunded whatever came, or it comes back', async () => {
    const { shown } = await card(['arrive', { state: 'faulty' }], ['send-back', { expected: '100.00' }])
    await shown.find('input[aria-label="refund amount"]').setValue('80')
    await press(shown, 'Refunded')
    await press(shown, 'came back to me')
    expect(written().map(({ path }) => path.split('/').at(-1))).toEqual(['refund', 'come-back'])
    expect(written()[0]!.body).toMatchObject({ amount: '80' })
  })

  test('sold: its buyer may return it', async () => {
    const { shown } = await card(
      ['arrive', { state: 'works' }],
      ['move', { buildId: null }],
      ['sell', { price: '90.00' }],
    )
    await shown.find('input[aria-label="refunded"]').setValue('90')
    await press(shown, 'buyer returned it')
    expect(written()[0]).toMatchObject({ body: { amount: '90' } })
  })
})

describe('a chosen thing', () => {
  const hunt = () =>
    addChoice(
      counter.place.db,
      counter.place.build,
      choiceSchema.validateSync({ kind: 'hunt', partId: 'card', limit: '110.00', condition: 'used' }),
      today,
    )
  const row = async (id: string, build = counter.place.build) => {
    const view = asSent(await buildView(counter.place.db, build, today))
    lay(view)
    return mount(ChoiceRow, {
      props: { choice: view.choices.find((choice) => choice.id === id)!, view },
      attachTo: document.createElement('tbody'),
    })
  }

  test('a hunt says how long a wait; used or new, scope and reason are its own', async () => {
    const shown = await row(await hunt())
    expect(shown.text()).toMatch(/about \d+ days|no sale seen at that price/)
    await shown.find('select[aria-label^="used or new"]').setValue('new')
    await flushPromises()
    await shown.find('select[aria-label^="scope of"]').setValue('ready')
    await flushPromises()
    await shown.find('input[aria-label^="reason for"]').setValue('falls fast')
    await shown.find('input[aria-label^="reason for"]').trigger('change')
    await flushPromises()
    expect(written().map(({ body }) => body)).toEqual(
      expect.arrayContaining([{ condition: 'new' }, { scope: 'ready' }, { reason: 'falls fast' }]),
    )
  })

  test('a lead that is gone is void and cannot be paid', async () => {
    const lead = await counter.lead('At the quay')
    const id = await counter.choose(lead)
    expect(says(await row(id))).toContain('paid')
    await gone(counter.place.db, lead, { day: today }, today)
    const shown = await row(id)
    expect(shown.text()).toContain('void')
    expect(says(shown)).not.toContain('paid')
  })

  test('in a variant it is shared, and paid in the build alone', async () => {
    const id = await counter.choose(await counter.lead('At the quay'))
    const variant = await createVariant(counter.place.db, counter.place.build, 'Louder', today)
    const shown = await row(id, variant)
    expect(shown.text()).toContain('shared')
    expect(says(shown)).not.toContain('paid')
  })
})

test('variants of two regions in one currency, by the rate and its day; without a rate it is asked for', async () => {
  const { db, build } = counter.place
  await counter.choose(await counter.lead('At the quay'))
  await setRate(db, { date: today, from: 'CAD', to: 'SEK', rate: '8', bothWays: false }, today)
  const variant = await createVariant(db, build, 'Across the water', today)
  await saveBrief(db, variant, { ...(await briefOf(db, variant)), currency: 'SEK' }, today)
  counter.answers.set('/variants', asSent(await variantsView(db, build, today)))
  const shown = mount(VariantsSheet, { props: { buildId: build } })
  await flushPromises()
  await shown.find('select').setValue('SEK')
  // 120.00 CAD at 8
  expect(shown.findAll('[data-in]').map((each) => each.text().match(/total ([\d.]+)/)![1])).toEqual([
    '960.00',
    '960.00',
  ])
  expect(shown.text()).toContain('at 8 on Sat 31 Oct 2026')
  await shown.find('select').setValue('CAD')
  expect(shown.findAll('[data-in]')[1]!.text()).toContain('not known')
  await press(shown, 'set the exchange rate')
  expect(useMissingRate().pair).toEqual({ from: 'SEK', to: 'CAD' })
})

test('a part is picked by typing; Enter takes the first, and what nobody has picks nothing', async () => {
  const part = (id: string, name: string): Part => ({
    id,
    role: 'graphics',
    make: 'Murrowdun',
    name,
    facts: {},
  })
  const shown = mount(PartPicker, {
    props: { parts: [part('a', 'Tarn 640'), part('b', 'Tarn 660')], label: 'part', placeholder: 'a part' },
  })
  const input = shown.find('input')
  await input.setValue('660')
  await input.trigger('keydown', { key: 'Enter' })
  expect(shown.emitted('pick')![0]).toMatchObject([{ id: 'b' }])
  expect(input.element.value).toBe('')
  await input.setValue('submarine')
  await input.trigger('keydown', { key: 'Enter' })
  expect(shown.emitted('pick')).toHaveLength(1)
})

test('a read is kept with its day, a figure of one’s own beside the sample', async () => {
  const { db, build } = counter.place
  await counter.show()
  const view = asSent(await priceView(db, build, 'card', today))
  counter.answers.set(`/prices/parts/card`, view)
  const shown = mount(NotesLeaf, { props: { view } })
  await shown.findAll('form')[0]!.trigger('submit')
  await flushPromises()
  await shown.find('input[aria-label="your own figure"]').setValue('115')
  const own = shown.findAll('form').find((form) => form.find('input[aria-label="your own figure"]').exists())!
  await own.trigger('submit')
  await flushPromises()
  await shown.find('input[aria-label="what to wait for"]').setValue('a new line')
  shown
    .findComponent({ name: 'WaitNotes' })
    .findComponent({ name: 'DateField' })
    .vm.$emit('update:modelValue', '2026-11-20')
  const wait = shown.findAll('form').find((form) => form.text().includes('whole role'))!
  await wait.trigger('submit')
  await flushPromises()
  const paths = written().map(({ path }) => path.split('/').at(-1))
  expect(paths).toEqual(expect.arrayContaining(['reads', 'own-figure', 'wait-notes']))
  expect(written().at(-1)!.body).toMatchObject({ what: 'a new line', expectedOn: '2026-11-20', chance: 0.6 })
  expect(written().find(({ path }) => path.endsWith('own-figure'))!.body).toMatchObject({ amount: '115' })
})

test('what the weighing goes by: years, way of playing, what the build enters at', async () => {
  await counter.show()
  const shown = mount(WeighingControls, { props: { view: useBuild().view! } })
  await shown.find('input[aria-label="years"]').setValue(5)
  await shown.find('select[aria-label="price used for the build"]').setValue('paid')
  await shown.find('input[aria-label="games per year"]').setValue(12)
  const changes = shown.emitted('change')!.map(([change]) => change)
  expect(changes).toEqual(expect.arrayContaining([{ years: 5 }, { basis: 'paid' }, { gamesPerYear: 12 }]))
})
