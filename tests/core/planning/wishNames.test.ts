import { expect, test } from 'vitest'
import {
  askedAgain,
  budgetForPlan,
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

test('what may be paid for a plan: what is left with the stretch, and what it may do without', () => {
  // 140.06 + (680 − 620) + 138.00 + 147.00
  expect(budgetForPlan(14_006, { budget: 62_000, stretch: 68_000 }, [13_800, 14_700])).toBe(48_506)
  expect(budgetForPlan(null, { budget: 62_000, stretch: 68_000 }, [])).toBeNull()
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
