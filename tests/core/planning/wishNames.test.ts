import { expect, test } from 'vitest'
import { boughtFor } from '#core/comparison/components/boughtFor'
import { rateAt } from '#core/comparison/components/rateAt'
import {
  asRival,
  askedAgain,
  without,
  wishNames,
  type BuildQuestion,
  type PlanWishes,
} from '#core/planning/buildQuestion'

const wishes: PlanWishes = {
  floors: [60, null, 90],
  budget: 50_000,
  days: null,
  memoryGb: 16,
  driveGb: null,
  supplyFactor: 1.5,
}

test('the wishes asked for, in order; each taken away leaves the others', () => {
  const names = wishNames(wishes)
  expect(names).toEqual(['floors[0]', 'floors[2]', 'budget', 'memoryGb', 'supplyFactor'])
  for (const name of names) {
    const rest = without(wishes, name)
    expect(wishNames(rest)).toEqual(names.filter((each) => each !== name))
    expect(rest.floors).toHaveLength(3)
  }
})

test('what was asked outlives new offers; ways that are gone take their pins and bans with them', () => {
  const fresh = {
    goal: 'cheapest',
    targets: [{}, {}, {}],
    ways: ['bought', 'lead', 'shop'].map((id) => ({ id })),
    wishes,
    pins: ['bought'],
    bans: [],
  } as unknown as BuildQuestion
  const asked = {
    goal: 'fastest',
    wishes: { ...wishes, memoryGb: 32 },
    pins: ['lead', 'gone'],
    bans: ['shop', 'bought', 'gone too'],
    maySell: 3,
  } as const
  expect(askedAgain(fresh, asked)).toMatchObject({
    goal: 'fastest',
    wishes: { memoryGb: 32 },
    // nothing of mine has a price to be sold at
    maySell: 0,
    pins: ['bought', 'lead'],
    bans: ['shop'],
  })
  expect(askedAgain(fresh, null)).toBe(fresh)
  // a target more: the wishes of before say nothing of it
  const other = { ...fresh, wishes: { ...wishes, floors: [60] } }
  expect(askedAgain(other, asked).wishes).toEqual(other.wishes)
})

test('as fast as another machine where its rates are known, or the fastest for what it costs', () => {
  const asked = {
    goal: 'cheapest',
    targets: [{}, {}],
    wishes: { ...wishes, floors: [60, 90] },
  } as unknown as BuildQuestion
  const rival = { fps: [55, null], price: 49_900 }
  expect(asRival(asked, rival, 'match')).toMatchObject({
    goal: 'cheapest',
    wishes: { floors: [55, null], budget: null },
  })
  expect(asRival(asked, rival, 'spend')).toMatchObject({
    goal: 'fastest',
    wishes: { floors: [null, null], budget: 49_900 },
  })
  // nothing known of it is no wish
  expect(asRival(asked, { fps: [null, null], price: null }, 'match')).toBeNull()
  expect(asRival(asked, { fps: [null, null], price: null }, 'spend')).toBeNull()
  expect(asRival({ ...asked, targets: [] }, rival, 'spend')).toBeNull()
})

test('what is known of another machine: its rate at a target, by its settings or a console’s mode; what it takes to buy', () => {
  const own = { workloadId: 'kite', settings: '1920x1080 high', averageFps: 88, lowFps: 60 }
  const mode = { workloadId: 'moor', width: 2560, height: 1440, fps: 60, lowFps: null }
  const machine = { rates: [own], modes: [mode] } as never
  const at = (workloadId: string, width: number, height: number, preset: string) =>
    rateAt(machine, { workloadId, width, height, preset })
  expect(at('kite', 1920, 1080, 'high')).toBe(88)
  expect(at('kite', 1920, 1080, 'low')).toBeNull()
  expect(at('moor', 2560, 1440, 'medium')).toBe(60)
  expect(at('moor', 1920, 1080, 'medium')).toBeNull()
  expect(boughtFor({ price: 100_000, taxPercent: 13, shipping: 2500 }, 3500)).toBe(115_500)
  expect(boughtFor({ price: 100_000, taxPercent: 0, shipping: null }, 3500)).toBe(103_500)
})
