// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import type { BuildQuestion, BuildWay } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import type { Part } from '#core/parts/part'
import type { WishCost } from '#core/planning/wishCosts'
import PlanLines from '~/places/plan/components/PlanLines.vue'
import PlanSpends from '~/places/plan/components/PlanSpends.vue'
import PlanWishForm from '~/places/plan/components/PlanWishForm.vue'
import PlanWishes from '~/places/plan/components/PlanWishes.vue'

const way = (id: string, some: Partial<BuildWay> = {}): BuildWay => ({
  id,
  text: id,
  from: 'a lead',
  url: '',
  source: null,
  partIds: [id],
  payNow: 5000,
  expected: 5000,
  perDay: null,
  isPresent: false,
  ...some,
})
const ways = [
  way('found', { perDay: 0.125 }),
  way('at hand', { payNow: 9000 }),
  way('there', { isPresent: true }),
]
const question = {
  currency: 'CAD',
  targets: [{ name: 'Moorfell at 1080p', workloadId: 'm', settings: {}, averageFps: 60 }],
  wishes: { floors: [60], budget: 50_000, days: null, memoryGb: 16, driveGb: null, supplyFactor: null },
  ways,
  pins: ['there'],
  bans: [],
  maySell: 0,
} as unknown as BuildQuestion
const plan = (some: Partial<BuildPlan> = {}) =>
  ({
    status: 'optimal',
    cost: 19_000,
    payNow: 19_000,
    outOfPocket: 19_000,
    ways,
    orders: [],
    sold: [],
    kept: ways.map(({ id }) => ({ wayId: id, part: { id, role: 'cpu', make: '', name: id } as Part })),
    ...some,
  }) as BuildPlan

describe('lines of a plan', () => {
  test('what is sold stands first with what it brings, and can be kept; what is mine stays at the end', async () => {
    const mine = way('mine', { isPresent: true, payNow: 0, resale: 3000 })
    const old = way('old', { isPresent: true, payNow: 0, resale: 4050 })
    const all = [...ways, mine]
    const shown = mount(PlanLines, {
      props: {
        plan: plan({
          ways: all,
          sold: [{ way: old, brings: 4050 }],
          kept: all.map(({ id }) => ({ wayId: id, part: { id, role: 'cpu', make: '', name: id } as Part })),
        }),
        question: { ...question, ways: [...all, old], pins: [], maySell: 3 },
        others: {},
      },
    })
    const rows = shown.findAll('tbody tr')
    expect(rows[0]!.text()).toContain('old')
    expect(rows[0]!.text()).toContain('−40.50')
    expect(rows.at(-1)!.text()).toContain('stays')
    await shown.find('[data-sold="old"] button').trigger('click')
    await shown.find('[data-way="mine"] button[aria-label="never mine"]').trigger('click')
    expect([shown.emitted('pin'), shown.emitted('ban')]).toEqual([[['old']], [['mine']]])
  })

  test('of what one shop sells each line says the order it lies in', () => {
    const shown = mount(PlanLines, {
      props: {
        plan: plan({
          // one by one the second costs its own shipping
          ways: ways.map((each) => (each.id === 'at hand' ? { ...each, payNow: each.payNow - 799 } : each)),
          orders: [
            {
              name: 'Pantry',
              wayIds: ['there', 'at hand'],
              payNow: 6449,
              shipping: 799,
              codes: ['TEN'],
            },
          ],
        }),
        question,
        others: {},
      },
    })
    expect(shown.find('[data-way="at hand"] [data-order]').text()).toBe(
      '2 parts in one order at Pantry, shipping 7.99, paid once, code TEN, 7.99 less than bought separately',
    )
    expect(shown.find('[data-way="found"] [data-order]').exists()).toBe(false)
  })

  const lines = mount(PlanLines, {
    props: { plan: plan(), question, others: { 'at hand': { more: 450, text: 'another board' } } },
  })
  test('stand in the order of doing: what is there, what is at hand, what waits', () => {
    expect(lines.findAll('tbody tr').map((row) => row.attributes('data-way'))).toEqual([
      'there',
      'at hand',
      'found',
    ])
    expect(lines.text()).toContain('about every 8 days')
  })
  test('say what another way costs, and ask for it where that is not known', async () => {
    expect(lines.find('[data-way="at hand"]').text()).toContain('+4.50')
    await lines.find('[data-way="found"] button').trigger('click')
    expect(lines.emitted('other')).toEqual([['found']])
  })
  test('one that is pinned is let go of, and never banned', async () => {
    const buttons = lines.findAll('[data-way="there"] button')
    expect(buttons.map((each) => each.text())).toEqual(['pinned'])
    await buttons[0]!.trigger('click')
    expect(lines.emitted('pin')).toEqual([['there']])
  })
})

describe('what each wish costs', () => {
  const show = (costs: readonly WishCost[], of = plan()) =>
    mount(PlanWishes, { props: { plan: of, question, costs } })
  test('a figure for each, and those still being tried', () => {
    const wishes = show([{ name: 'floors[0]', cost: 2350, between: null, without: plan() }])
    expect(wishes.find('[data-wish="floors[0]"]').text()).toContain('60 fps in Moorfell at 1080p')
    expect(wishes.find('[data-wish="floors[0]"]').text()).toContain('23.50')
    expect(wishes.text()).toContain('2 more being checked')
  })
  test('of what is not proven, between which sums it lies', () => {
    const between = { least: 1200, most: 2350 }
    const wishes = show([{ name: 'budget', cost: null, between, without: plan({ status: 'feasible' }) }])
    expect(wishes.find('[data-wish="budget"]').text()).toContain('12.00 to 23.50')
  })
  test('one given up asks anew without it', async () => {
    const wishes = show([])
    await wishes.find('[data-wish="budget"] button').trigger('click')
    const [[next]] = wishes.emitted('ask') as [[BuildQuestion]]
    expect(next.wishes).toEqual({ ...question.wishes, budget: null })
  })
  test('where nothing meets them all, those that alone help say what then is spent', () => {
    const none = plan({ status: 'infeasible', cost: null })
    const wishes = show(
      [
        { name: 'floors[0]', cost: null, between: null, without: null },
        { name: 'budget', cost: null, between: null, without: plan() },
        { name: 'memoryGb', cost: null, between: null, without: null },
      ],
      none,
    )
    expect(wishes.text()).toContain('No machine meets all wishes')
    expect(wishes.find('[data-wish="budget"]').text()).toContain('then 190.00')
    expect(wishes.find('[data-wish="memoryGb"]').text()).toContain('not enough by itself')
  })
})

test.each([
  ['-4', []],
  ['0', []],
  ['', [{ memoryGb: null }]],
  ['32', [{ memoryGb: 32 }]],
])('memory of "%s" GB', async (typed, wished) => {
  const form = mount(PlanWishForm, { props: { question } })
  await form.findAll('input')[1]!.setValue(typed)
  expect((form.emitted('change') ?? []).map(([change]) => change)).toEqual(wished)
  expect(form.find('[role="alert"]').exists()).toBe(wished.length === 0)
})

test('a sum is typed as money, and what may be sold as a number, where something may', async () => {
  const form = mount(PlanWishForm, { props: { question: { ...question, maySell: 3 } } })
  const [sum, most] = form.findAll('input')
  expect((sum!.element as HTMLInputElement).value).toBe('500')
  await sum!.setValue('480.50')
  await most!.setValue('2')
  expect(form.emitted('change')).toEqual([[{ budget: 48_050 }]])
  expect(form.emitted('sell')).toEqual([[2]])
})

describe('other ways to spend the same', () => {
  const spends = (plans: readonly BuildPlan[], isDone: boolean) =>
    mount(PlanSpends, { props: { plans, question, before: [50], isDone } })
  test('what is new, what is sold, the frames before and after, and the sum', () => {
    const shown = spends(
      [plan({ fps: [72], outOfPocket: 8050, sold: [{ way: way('old'), brings: 950 }] })],
      true,
    )
    expect(shown.text()).toContain('found, at hand')
    expect(shown.text()).toContain('sold: old')
    expect(shown.text()).toContain('Moorfell at 1080p 50 → 72 fps')
    expect(shown.text()).toContain('80.50')
  })
  test('says that it looks, and that nothing else was found', () => {
    expect(spends([], false).text()).toContain('searching…')
    expect(spends([], true).text()).toContain('Nothing else')
  })
})
