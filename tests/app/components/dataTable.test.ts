// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { h, type Component } from 'vue'
import DataTable from '~/ui/tables/DataTable.vue'
import { inOrder, orderOf, sortingOf, type Column } from '~/ui/tables/column'

/** The one table: heads that sort, what is not known last, long lists drawn where they are seen. */
interface Card {
  readonly id: string
  readonly memory: string
  readonly price: number | null
}
const cards: readonly Card[] = [
  { id: 'heron', memory: '16 GB', price: 120 },
  { id: 'tarn', memory: '8 GB', price: null },
  { id: 'ouzel', memory: '12 GB', price: 95 },
]
const columns: readonly Column<Card>[] = [
  { key: 'id', name: 'card' },
  { key: 'memory', name: 'memory', by: (card) => card.memory },
  { key: 'price', name: 'price', isFigure: true, isLargestFirst: true, by: (card) => card.price },
]
const table = (props: object = {}, slots: object = {}) =>
  mount(DataTable as unknown as Component, {
    props: { columns, rows: cards, rowId: (card: Card) => card.id, ...props },
    slots: { id: ({ row }: { row: Card }) => row.id, ...slots },
  })
type Shown = ReturnType<typeof table>
const ids = (shown: Shown) => shown.findAll('tbody tr[data-index]').map((row) => row.find('td').text())
const head = (shown: Shown, name: string) => shown.findAll('th').find((each) => each.text().startsWith(name))!

describe('sorting', () => {
  test('largest first, smallest first, as given; what is not known last either way, and told to those who hear', async () => {
    const shown = table()
    const press = () => head(shown, 'price').find('button').trigger('click')
    expect([ids(shown), head(shown, 'price').attributes('aria-sort')]).toEqual([
      ['heron', 'tarn', 'ouzel'],
      'none',
    ])
    await press()
    expect([ids(shown), head(shown, 'price').attributes('aria-sort')]).toEqual([
      ['heron', 'ouzel', 'tarn'],
      'descending',
    ])
    await press()
    expect([ids(shown), head(shown, 'price').attributes('aria-sort')]).toEqual([
      ['ouzel', 'heron', 'tarn'],
      'ascending',
    ])
    await press()
    expect(ids(shown)).toEqual(['heron', 'tarn', 'ouzel'])
  })
  test('numbers in words go by their size; a head without a way to sort has no button', async () => {
    const shown = table({ order: 'memory' })
    expect(ids(shown)).toEqual(['tarn', 'ouzel', 'heron'])
    expect(head(shown, 'card').find('button').exists()).toBe(false)
    expect([inOrder('8 GB', '16 GB') < 0, inOrder(2, 10) < 0, inOrder('a', 'A')]).toEqual([true, true, 0])
  })
  test('the order stands in the address as it was pressed', () => {
    for (const order of ['', 'price', '-price']) expect(orderOf(sortingOf(order))).toBe(order)
    expect(sortingOf('-price')).toEqual([{ id: 'price', desc: true }])
  })
})

test('what is below a row stands across its columns, under the open one alone', () => {
  const shown = table({ open: 'tarn' }, { below: ({ row }: { row: Card }) => h('p', `more of ${row.id}`) })
  expect(shown.findAll('p').map((each) => each.text())).toEqual(['more of tarn'])
  expect(shown.find('p').element.parentElement!.getAttribute('colspan')).toBe('3')
})

test('of a long list only what is in sight is drawn, and the room of the rest is kept', async () => {
  const many = Array.from({ length: 2000 }, (_, index) => ({ id: `card ${index}`, memory: '', price: index }))
  const shown = table({ rows: many })
  await shown.vm.$nextTick()
  expect(ids(shown).length).toBeLessThan(100)
  expect(shown.find('table').attributes('aria-rowcount')).toBe('2001')
  const room = shown
    .findAll('tbody tr[aria-hidden] td')
    .map((cell) => Number.parseInt(cell.attributes('style')!.slice(8)))
  expect(room.reduce((sum, each) => sum + each, 0) + ids(shown).length * 34).toBe(2000 * 34)
})
