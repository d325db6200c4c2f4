import { expect, test } from 'vitest'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import type { WishCost } from '#core/planning/wishCosts'
import { whereToSave } from '#core/planning/whereToSave'
import { wishWords } from '#core/planning/wishWords'
import type { Part } from '#core/parts/part'

const part = (id: string, role: Part['role']): Part => ({ id, role, make: '', name: id, facts: {} })
const plan = (parts: readonly Part[], fps: readonly number[]) =>
  ({
    status: 'optimal',
    kept: parts.map((each) => ({ wayId: each.id, part: each })),
    fps,
  }) as unknown as BuildPlan
const question = {
  currency: 'CAD',
  maySell: 0,
  targets: [{ name: 'Moorfell at 1080p' }, { name: 'Kite at 1440p' }],
  wishes: { floors: [60, 100], budget: 600_00, days: 21, memoryGb: 16, driveGb: 500, supplyFactor: 2 },
} as unknown as BuildQuestion

const [small, large] = [part('Small card', 'graphics'), part('Large card', 'graphics')]
const [kit, stick] = [part('Kit of 16', 'memory'), part('Stick of 8', 'memory')]
const whole = plan([large, kit], [80, 120])
const cost = (name: WishCost['name'], saved: number | null, without: BuildPlan | null): WishCost => ({
  name,
  cost: saved,
  between: null,
  without,
})

test('the three that save most for what they lose, with the parts and the frames that go', () => {
  const told = whereToSave(question, whole, [
    cost('memoryGb', 14_00, plan([large, stick], [80, 120])),
    cost('floors[1]', 60_00, plan([small, kit], [70, 80])),
    cost('days', 0, whole),
    cost('supplyFactor', null, null),
    cost('driveGb', 5_00, plan([large, kit], [80, 120])),
    cost('budget', 2_00, plan([kit], [80, 120])),
  ])
  expect(told).toEqual([
    '60.00 CAD less without “100 fps in Kite at 1440p”: Small card instead of Large ' +
      'card; 70 fps instead of 80 in Moorfell at 1080p, 80 fps instead of 120 in Kite at 1440p.',
    '14.00 CAD less without “16 GB of memory”: Stick of 8 instead of Kit of 16.',
    '5.00 CAD less without “a 500 GB drive”.',
  ])
  expect(whereToSave(question, whole, [])).toEqual([])
})

test('of two that save alike the one that loses no frames comes first; a part that nothing replaces is named', () => {
  const told = whereToSave(question, whole, [
    cost('floors[0]', 10_00, plan([small, kit], [40, 120])),
    cost('budget', 10_00, plan([large], [80, 120])),
  ])
  expect(told[0]).toBe(
    '10.00 CAD less without “at most 600.00 for these parts (within your stretch)”: no Kit of 16.',
  )
})

test.each([
  ['floors[0]', '60 fps in Moorfell at 1080p'],
  ['days', 'everything here within 21 days (8 of 10 cases)'],
  ['memoryGb', '16 GB of memory'],
  ['driveGb', 'a 500 GB drive'],
  ['supplyFactor', 'a PSU of 2 × the draw'],
] as const)('the wish %s in words', (name, words) => expect(wishWords(question, name)).toBe(words))

test('what may be spent is out of pocket once things are sold', () => {
  expect(wishWords({ ...question, maySell: 2 }, 'budget')).toBe('at most 600.00 out of pocket')
})
