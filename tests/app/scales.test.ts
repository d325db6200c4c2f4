import { describe, expect, test } from 'vitest'
import type { ValidationError } from 'yup'
import { blankRival, takePage } from '~/places/rivals/state/rivalDraft'
import { changedSettings } from '~/places/scales/state/settings'
import { cardCost, turnings, weighChanged, withCard } from '~/places/scales/state/turning'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import type { WeighedMachine } from '#core/comparison/weighedMachine'
import { rivalSchema } from '#shared/rivals/schemas'
import { weighingSchema } from '#shared/scales/schemas'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'
import { machine, rate, terms, workload } from '../core/comparison/machines'

/** The logic behind the screens of Scales, without a browser. */
const settings = {
  years: 3,
  style: 'all-round',
  basis: 'anyone',
  assumeWorth: false,
  gamesPerYear: 4,
  usualShipping: 3500,
  builds: [],
  off: ['energy'],
  edits: { box: { price: 90_000 } },
} as const
const frames = { cpuIndex: 100, threads: 8, graphicsIndex: 100, videoMemoryGb: 8, memoryChannels: 2 }
const weighed = (each: WeighedMachine): WeighedView => ({
  machine: each,
  equivalents: [],
  cost: likeForLike(each, terms()),
  comparison: null,
  verdict: null,
  components: [],
  questions: [],
  room: '',
})
const own = machine({ price: 63_100, rates: [rate('a', 60)] })
const other = weighed(
  machine({ id: 'box', name: 'Box', kind: 'prebuilt', price: 78_000, rates: [rate('a', 60)] }),
)
const card = {
  id: 'c',
  kind: 'hunt',
  scope: 'core',
  label: 'Tarn 640',
  parts: [{ id: 'card', name: 'Tarn 640', role: 'graphics' }],
  payNow: 12_000,
  expected: 12_000,
  rebatesExpected: 0,
  anyoneCanPay: 13_100,
}
const view = (change: object = {}) =>
  ({
    currency: 'CAD',
    name: 'Own',
    choices: [card],
    workloads: [workload],
    targets: [
      {
        workloadId: 'a',
        workload: 'Harbour Run',
        width: 1920,
        height: 1080,
        preset: 'high',
        averageFps: 60,
        lowFps: null,
      },
    ],
    weighing: { settings, terms: terms(), frames, own: weighed(own), others: [other] },
    ...change,
  }) as unknown as BuildView

describe('settings of the scales', () => {
  test('go to the route as it takes them, amounts as decimals', () => {
    const body = changedSettings(settings, 'CAD', { years: 5 })
    expect(body).toMatchObject({
      years: 5,
      off: ['energy'],
      usualShipping: '35.00',
      edits: { box: { price: '900.00' } },
    })
    expect(weighingSchema.isValidSync(body)).toBe(true)
  })
  test('an own figure is set, and taken back without touching the others', () => {
    const set = changedSettings(settings, 'CAD', {}, { machine: 'box', step: 'tax', amount: '12.00' })
    expect(set.edits).toEqual({ box: { price: '900.00', tax: '12.00' } })
    expect(
      changedSettings(settings, 'CAD', {}, { machine: 'box', step: 'price', amount: null }).edits,
    ).toEqual({ box: {} })
    expect(settings.edits).toEqual({ box: { price: 90_000 } })
  })
  test('currencies without cents have none', () => {
    expect(changedSettings(settings, 'JPY', {}).usualShipping).toBe('3500')
  })
})

describe('turning points', () => {
  test('by hand: the build costs 631.00 with a card of 131.00, the box 780.00; it turns where the card costs 280.00', () => {
    const turning = turnings(view(), other).find((each) => each.id === 'card')!
    expect(turning.now).toBe(13_100)
    expect(turning.point.above!.value).toBeCloseTo(28_000, 2)
    expect(turnings(view(), other).find((each) => each.id === 'rival')!.point.below!.value).toBeCloseTo(
      63_100,
      2,
    )
  })
  test('the nearest turn first, those that never turn last', () => {
    const list = turnings(view(), other)
    expect(list.map((each) => each.nearness)).toEqual(
      [...list.map((each) => each.nearness)].sort((a, b) => a - b),
    )
    expect(list.find((each) => each.id === 'hours')!).toMatchObject({
      point: { below: null, above: null },
      nearness: 1,
    })
  })
  test('what is shown along the way is the same weighing', () => {
    const turning = turnings(view(), other).find((each) => each.id === 'rival')!
    expect(turning.weighedAt(78_000)).toEqual(weighChanged(view(), other))
    expect(turning.weighedAt(80_000).other.total - turning.weighedAt(78_000).other.total).toBe(2000)
  })
  test('a card that comes in a lot has no price of its own; what is paid counts where that is the basis', () => {
    expect(
      cardCost(view({ choices: [{ ...card, parts: [...card.parts, { id: 'x', name: 'X', role: 'cpu' }] }] })),
    ).toBeNull()
    expect(cardCost(view())!.cost).toBe(13_100)
    expect(
      cardCost(view({ weighing: { ...view().weighing, settings: { ...settings, basis: 'paid' } } }))!.cost,
    ).toBe(12_000)
  })
  test('a card not sold yet: faster frames, its own price, and where that turns', () => {
    const assumed = withCard(view(), other, {
      name: 'next',
      price: 20_000,
      graphicsIndex: 180,
      videoMemoryGb: 12,
      boardPowerW: 150,
    })!
    expect(assumed.weighed.comparison.meanRatio).toBeGreaterThan(
      weighChanged(view(), other).comparison.meanRatio!,
    )
    expect(assumed.weighed.own.steps.find((step) => step.id === 'price')!.amount).toBe(
      63_100 - 13_100 + 20_000,
    )
    expect(
      withCard(view({ weighing: { ...view().weighing, frames: null } }), other, {
        name: 'x',
        price: 1,
        graphicsIndex: 1,
        videoMemoryGb: 1,
        boardPowerW: 1,
      }),
    ).toBeNull()
  })
})

describe('a rival being written', () => {
  const page = {
    offer: {
      title: 'Tower',
      price: '899.00',
      currency: 'CAD',
      condition: null,
      url: 'https://example.test',
      seller: null,
      id: null,
      validUntil: null,
      shipping: null,
      place: null,
      available: true,
    },
    parts: {
      cpuId: 'c',
      graphicsId: null,
      memoryGb: 16,
      memoryModules: null,
      memoryMts: null,
      storageGb: null,
      storageKind: null,
      supplyW: null,
      supplyMake: null,
    },
    warrantyMonths: 24,
    quotes: {},
  }
  test('a page fills what it says and leaves the rest as it was typed', () => {
    const typed = {
      ...blankRival('CAD'),
      graphicsId: 'mine',
      parts: { ...blankRival('CAD').parts, supplyW: 450 },
    }
    const taken = takePage(typed, page)
    expect(taken).toMatchObject({
      name: 'Tower',
      price: '899.00',
      cpuId: 'c',
      graphicsId: 'mine',
      warrantyMonths: 24,
      shippingStated: false,
      parts: { memoryGb: 16, supplyW: 450, memoryMts: null },
    })
    expect(takePage(typed, { ...page, offer: { ...page.offer, shipping: '12.00' } })).toMatchObject({
      shipping: '12.00',
      shippingStated: true,
    })
  })
  test('a blank one wants a name and a price, and nothing else', () => {
    const paths = () => {
      try {
        rivalSchema.validateSync(blankRival('CAD'), { abortEarly: false })
        return []
      } catch (error) {
        return [...new Set((error as ValidationError).inner.map((each) => each.path))]
      }
    }
    expect(paths()).toEqual(['name', 'price'])
    expect(rivalSchema.isValidSync({ ...blankRival('CAD'), name: 'Tower', price: '1.00' })).toBe(true)
  })
})
