import { expect, test } from 'vitest'
import { flipsOf } from '#core/ledger/flips'

const sold = (id: string, begunOn: string, soldOn: string, sale: number, cost: number, hours: number) => ({
  id,
  name: id,
  begunOn,
  soldOn,
  sale,
  cost,
  profit: sale - cost,
  hours,
})

test('selling on by hand: profit by machine and month, an hour, days, and what stands in stock', () => {
  const flips = flipsOf(
    [
      sold('a', '2026-08-10', '2026-08-30', 30_000, 22_500, 6),
      sold('b', '2026-09-01', '2026-10-01', 18_000, 19_000, 2),
      sold('c', '2026-10-01', '2026-10-11', 40_000, 31_000, 0),
    ],
    [
      { id: 'd', name: 'd', begunOn: '2026-10-25', capital: 12_000, toPay: 4000, worthToday: 15_000 },
      { id: 'e', name: 'e', begunOn: '2026-10-01', capital: 8000, toPay: 0, worthToday: null },
    ],
    '2026-10-31',
  )
  // 75.00 in 6 hours; a loss of 10.00 in 2; 90.00 without an hour booked
  expect(flips.sold.map(({ id, days, perHour }) => [id, days, perHour])).toEqual([
    ['c', 10, null],
    ['b', 30, -500],
    ['a', 20, 1250],
  ])
  expect(flips.months).toEqual([
    { month: '2026-10', sold: 2, profit: 8000, hours: 2, perHour: 4000 },
    { month: '2026-08', sold: 1, profit: 7500, hours: 6, perHour: 1250 },
  ])
  expect(flips.stock.map(({ id, days, leaves }) => [id, days, leaves])).toEqual([
    ['e', 30, null],
    ['d', 6, -1000],
  ])
  expect(flips.totals).toEqual({
    profit: 15_500,
    hours: 8,
    perHour: 1938,
    medianDays: 20,
    capital: 20_000,
    leaves: null,
  })
  expect(flipsOf([], [], '2026-10-31').totals).toMatchObject({
    perHour: null,
    medianDays: null,
    leaves: 0,
  })
})
