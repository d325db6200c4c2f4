// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, test } from 'vitest'
import { figureToAdopt } from '#core/statistics/learnt'
import type { LearningView } from '#shared/settings/views'
import AssumptionTable from '~/places/settings/components/AssumptionTable.vue'
import LearningTable from '~/places/settings/components/LearningTable.vue'
import MoneyTable from '~/places/settings/components/MoneyTable.vue'
import { adoptable } from '~/places/settings/state/adoptable'
import { assumptionSheets, moneyRows } from '~/places/settings/state/assumptionRows'

afterEach(() => (document.body.innerHTML = ''))

const learnt = (change: Partial<LearningView> = {}): LearningView => ({
  id: 'rebates',
  name: 'rebates paid',
  key: 'risk.rebateChance',
  foreseen: 0.85,
  count: 11,
  learnt: { value: 0.72727, low: 0.5, high: 0.9, count: 11 },
  ...change,
})
const risk = (own: Record<string, number> = {}) =>
  assumptionSheets({ assumptions: own }).find(({ group }) => group === 'risk')!.rows
const table = (rows = risk(), learning: readonly LearningView[] = []) =>
  mount(AssumptionTable, {
    props: { rows, learning: new Map(learning.map((row) => [row.key!, row])) },
  })
const rowOf = (shown: ReturnType<typeof table>, key: string) => shown.find(`[data-assumption="${key}"]`)

describe('a figure nobody measured', () => {
  test('shows what is in force in its unit; typing one makes it own, emptying it takes it back', async () => {
    const shown = table()
    const input = rowOf(shown, 'risk.rebateChance').find('input')
    expect(input.element.value).toBe('85')
    await input.setValue('70')
    expect(shown.emitted('change')![0]).toMatchObject([{ key: 'risk.rebateChance' }, 70])
    await input.setValue('')
    // nothing of one's own was there: nothing is taken back
    expect(shown.emitted('change')).toHaveLength(1)
  })

  test('one’s own is marked, and goes back to the default by one click or by typing the default', async () => {
    const shown = table(risk({ 'risk.rebateChance': 0.7 }))
    const row = rowOf(shown, 'risk.rebateChance')
    expect(row.text()).toContain('yours')
    await row.find('button').trigger('click')
    await row.find('input').setValue('85')
    expect(shown.emitted('change')!.map(([, value]) => value)).toEqual([null, null])
  })

  test('what came of it stands beside it and takes its place by one click', async () => {
    const shown = table(risk(), [learnt()])
    const row = rowOf(shown, 'risk.rebateChance')
    expect(row.find('[data-came]').text()).toContain('72.7 % in 11 of your cases')
    await row.find('[data-came] button').trigger('click')
    expect(shown.emitted('adopt')![0]).toMatchObject([{ id: 'rebates' }, 0.727])
    expect(rowOf(shown, 'risk.answerDays').find('[data-came]').exists()).toBe(false)
  })

  test('before five outcomes, and once it is in force, there is nothing to take over', () => {
    const before = table(risk(), [learnt({ learnt: null, count: 3 })])
    expect(rowOf(before, 'risk.rebateChance').find('[data-came]').exists()).toBe(false)
    const inForce = table(risk(), [learnt({ foreseen: 0.727 })])
    expect(rowOf(inForce, 'risk.rebateChance').find('[data-came] button').exists()).toBe(false)
  })
})

describe('what came of it', () => {
  test('outcomes to go where there are too few; a range and a way over where there are enough', async () => {
    const shown = mount(LearningTable, {
      props: {
        rows: [learnt(), learnt({ id: 'haggle', learnt: null, count: 3, key: 'resale.haggleShare' })],
      },
    })
    const [rebates, haggle] = shown.findAll('tbody tr')
    expect(rebates!.text()).toContain('50.0 % to 90.0 %')
    expect(haggle!.text()).toContain('2 to go')
    expect(haggle!.find('button').exists()).toBe(false)
    await rebates!.find('button').trigger('click')
    expect(shown.emitted('adopt')![0]![1]).toBe(0.727)
  })

  test('a figure is taken over within what its assumption allows', () => {
    expect(figureToAdopt({ value: 0.72727 }, { min: 0, max: 1 })).toBe(0.727)
    expect(figureToAdopt({ value: 1.4 }, { min: 0, max: 1 })).toBe(1)
    expect(figureToAdopt({ value: -0.2 }, { min: 0.1, max: 1 })).toBe(0.1)
    expect(adoptable(learnt({ key: 'no.such' }))).toBeNull()
    expect(adoptable(learnt({ key: null }))).toBeNull()
  })
})

test('money figures are asked in the home currency, and go back to their default', async () => {
  const rows = moneyRows({ money: { hassle: { amount: '12.00', currency: 'CAD' } } as never }, 'CAD')
  const shown = mount(MoneyTable, { props: { rows, currency: 'CAD' } })
  const own = rows.findIndex(({ key }) => key === 'hassle')
  expect(own).toBeGreaterThanOrEqual(0)
  const row = shown.findAll('tbody tr')[own]!
  expect(row.text()).toContain('yours')
  await row.find('button').trigger('click')
  expect(shown.emitted('change')![0]).toMatchObject([{ key: 'hassle' }, null])
})
