// @vitest-environment happy-dom
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest'
import { h, type Component } from 'vue'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { priceView } from '#server/places/prices/readPrices'
import type { PriceView } from '#shared/prices/views'
import { leadSchema, type LeadInput } from '#shared/leads/schemas'
import LeadRebates from '~/places/leads/components/LeadRebates.vue'
import { blankLead, blankRebate } from '~/places/leads/state/leadDraft'
import RecordTriage from '~/places/prices/components/RecordTriage.vue'
import WaitLeaf from '~/places/prices/components/WaitLeaf.vue'
import SourceForm from '~/places/sources/components/SourceForm.vue'
import { today } from '../../server/marketWithBuild'
import { asSent, Counter, press, registerCounter } from './counter'
import { mountForm } from './mounted'

/** Records one by one, waiting for a price, and the forms of what lowers one: on views of a real database. */
let counter: Counter
let view: PriceView
let router: Router
beforeAll(() =>
  registerCounter([
    'TheFigure',
    'PatienceCurve',
    'SourceCodes',
    'TextField',
    'NumberField',
    'MoneyField',
    'ChoiceField',
    'TickField',
    'DayField',
    'DateField',
    'FormField',
  ]),
)
beforeEach(async () => {
  counter = await Counter.open()
  await counter.show()
  view = asSent(await priceView(counter.place.db, counter.place.build, 'card', today))
  router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:all(.*)*', component: { template: '<p />' } }],
  })
})
const open: VueWrapper[] = []
afterEach(async () => {
  // keys are heard as long as a list is there
  for (const shown of open.splice(0)) shown.unmount()
  await counter.close()
})
function shownFor(component: Component, props: object): VueWrapper {
  const shown = mount(component, {
    props: props as never,
    global: { plugins: [router], stubs: { PatienceCurve: { template: '<div data-curve />' } } },
  }) as unknown as VueWrapper
  open.push(shown)
  return shown
}
const written = () => counter.sent.filter(({ method }) => method !== 'GET')

describe('records one by one', () => {
  const triage = (records = view.records) =>
    shownFor(RecordTriage, { view: { ...view, records }, brush: null })
  const key = (name: string, init: object = {}) =>
    document.dispatchEvent(new KeyboardEvent('keydown', { key: name, ...init }))
  test('arrows move, K keeps, D drops and goes on, Z takes back', async () => {
    const shown = triage()
    key('d')
    key('ArrowDown')
    key('k')
    key('z')
    const [first, , third] = view.records
    expect(shown.emitted('decide')).toEqual([
      [[first!.id], 'drop'],
      [[third!.id], 'keep'],
    ])
    expect(shown.emitted('undo')).toHaveLength(1)
  })
  test('a key with another held down, or typed into a field, is not meant for the list', async () => {
    const shown = triage()
    key('d', { ctrlKey: true })
    shown
      .find('input[aria-label="word in the title"]')
      .element.dispatchEvent(new KeyboardEvent('keydown', { key: 'd', bubbles: true }))
    expect(shown.emitted('decide')).toBeUndefined()
  })
  test('by what they are: those that count, those left out for a reason, those decided by hand', async () => {
    const [first, second, ...rest] = view.records
    const shown = triage([
      { ...first!, reason: 'lot', detail: 'also "5300"' },
      { ...second!, decision: 'keep' },
      ...rest,
    ])
    for (const [name, count] of [
      ['count', view.records.length - 1],
      ['left out', 1],
      ['yours', 1],
      ['all', view.records.length],
    ] as const) {
      await press(shown, name)
      expect(shown.text(), name).toContain(`${count} records`)
    }
    await shown.find('select[aria-label="reason left out"]').setValue('lot')
    await flushPromises()
    expect(shown.text()).toContain('1 records')
    expect(shown.find('select[aria-label="reason left out"]').text()).toContain('lot 1')
  })
  test('all with a word are decided together', async () => {
    const shown = triage()
    expect(shown.findAll('button').some((button) => button.text().startsWith('drop these'))).toBe(false)
    await shown.find('input[aria-label="word in the title"]').setValue('number 1')
    const gathered = view.records.filter(({ title }) => title.includes('number 1'))
    expect(gathered.length).toBeGreaterThan(1)
    await press(shown, `drop these ${gathered.length}`)
    await press(shown, 'keep them')
    expect(shown.emitted('decide')).toEqual([
      [gathered.map(({ id }) => id), 'drop'],
      [gathered.map(({ id }) => id), 'keep'],
    ])
  })
  test('nothing to show says what to do', () =>
    expect(triage([]).text()).toContain('Import past sales or loosen the query'))
})

describe('how long to wait', () => {
  const leaf = (change: Partial<PriceView> = {}) => shownFor(WaitLeaf, { view: { ...view, ...change } })
  test('without comps the wait is not known, and nothing can be hunted', () => {
    const shown = leaf({ patience: [], usedLater: null, newLater: null })
    expect(shown.text()).toContain('the wait cannot be estimated')
    expect(shown.text()).toContain('Neither a street price nor a shop price is known.')
    expect(shown.findAll('button')).toHaveLength(0)
  })
  test('the limit begins at the typical mark; a hunt and a lookout take it', async () => {
    const shown = leaf()
    await press(shown, /^Hunt at/)
    await press(shown, /^Watch at/)
    expect(shown.emitted('hunt')).toEqual([[view.marks!.typical]])
    expect(shown.emitted('lookout')).toEqual([[view.marks!.typical]])
  })
  test('the surer one wants to be, the more it takes; a share one gets to is handed on', async () => {
    const shown = leaf()
    const payUpTo = async (chance: number) => {
      await shown.find('select[aria-label="chance"]').setValue(String(chance))
      await flushPromises()
      return /pay up to\s*([\d.,]+\d)/.exec(shown.text())?.[1] ?? shown.text()
    }
    await shown.find('input[type="range"]').setValue('1')
    expect(Number(await payUpTo(0.9))).toBeGreaterThanOrEqual(Number(await payUpTo(0.5)))
    await shown.find('input[type="range"]').setValue('0.05')
    expect(await payUpTo(0.9)).toContain('not likely at any price seen')
    expect(shown.emitted('catchShare')).toEqual([[1], [0.05]])
  })
  test('a lookout that stands is told, and ends', async () => {
    const shown = leaf({ lookout: { id: 'look', limit: 11_000 } as never })
    expect(shown.text()).toContain('watching at 110.00')
    await shown.find('button[aria-label="end the watch"]').trigger('click')
    await flushPromises()
    expect(written()).toMatchObject([{ method: 'DELETE', path: '/api/prices/lookouts/look' }])
  })
})

describe('money that comes back', () => {
  const leadForm = (rebates: LeadInput['rebates']) =>
    mountForm<LeadInput>(
      { schema: leadSchema as never, initial: { ...blankLead(today, 'CAD'), rebates } },
      () => [h(LeadRebates, { rebates, parts: [{ id: 'old', name: 'Old card' }] as never, today })],
    ).wrapper
  test('none yet: one is added', async () => {
    const shown = leadForm([])
    await press(shown, 'add a rebate or later credit')
    const rebates = shown.findComponent(LeadRebates)
    expect(rebates.emitted('append')).toEqual([[blankRebate(today)]])
  })
  test('of a trade-in it is asked which thing goes; each is removed by its number', async () => {
    const shown = leadForm([blankRebate(today), { ...blankRebate(today), kind: 'trade-in' }])
    expect(shown.findAll('select[aria-label="part traded in, rebate 2"]')).toHaveLength(1)
    expect(shown.findAll('select[aria-label="part traded in"]')).toHaveLength(0)
    await shown.find('button[aria-label="remove rebate 2"]').trigger('click')
    expect(shown.findComponent(LeadRebates).emitted('remove')).toEqual([[1]])
  })
})

describe('a source', () => {
  const form = async () => {
    sessionStorage.clear()
    localStorage.clear()
    const shown = shownFor(SourceForm, { currency: 'CAD' })
    await flushPromises()
    return shown
  }
  const field = (shown: VueWrapper, label: string) => shown.find(`[aria-label="${label}"]`)
  test('a tax with three decimals is kept as it was typed', async () => {
    const shown = await form()
    await field(shown, 'name of the source').setValue('Corner shop')
    await field(shown, 'tax percent').setValue('8.875')
    await shown.find('form').trigger('submit')
    await vi.waitFor(() => expect(shown.emitted('saved')).toEqual([['Corner shop']]))
    expect(written()).toMatchObject([
      {
        method: 'PUT',
        path: '/api/sources',
        body: { id: 'corner-shop', name: 'Corner shop', taxPercent: 8.875 },
      },
    ])
  })
  test('what shipping costs is asked only where it is not none; a nameless source is refused where it is', async () => {
    const shown = await form()
    expect(field(shown, 'amount of shipping').exists()).toBe(false)
    await field(shown, 'kind of shipping').setValue('per-order')
    expect(field(shown, 'amount of shipping').exists()).toBe(true)
    await shown.find('form').trigger('submit')
    await vi.waitFor(() => expect(shown.text()).toContain('enter a'))
    expect(written()).toEqual([])
  })
  test('a code for all it sells is added and removed', async () => {
    const shown = await form()
    await press(shown, 'add a code')
    expect(field(shown, 'code, code 1').exists()).toBe(true)
    await field(shown, 'remove code 1').trigger('click')
    await flushPromises()
    expect(field(shown, 'code, code 1').exists()).toBe(false)
  })
})
