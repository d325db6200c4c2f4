import { describe, expect, test } from 'vitest'
import { measureListings, measurePages, measureSales, measureTitles } from '../../handmade/measure'

/** Halves written by hand: the one worked with must be right, the one held back is measured. */
describe.each([
  ['handmade', 1, 1, 1],
  ['heldback', 0.97, 0.97, 0.95],
] as const)('%s', (half, titles, sales, listings) => {
  test('titles: wanted ones kept, unwanted ones dropped', () => {
    const { kept, dropped } = measureTitles(half)
    expect(kept.of + dropped.of).toBeGreaterThan(180)
    expect(kept.right / kept.of).toBeGreaterThanOrEqual(titles)
    expect(dropped.right / dropped.of).toBeGreaterThanOrEqual(titles)
  })
  test('pages of past sales: fields right or rightly asked, hardly one silently wrong', () => {
    const { right, of, silent } = measureSales(half)
    expect(right / of).toBeGreaterThanOrEqual(sales)
    expect(silent / of).toBeLessThanOrEqual(0.01)
  })
  test('pages of several: what they are, and each ask with its title and price', () => {
    const { right, of } = measurePages(half)
    expect(of).toBeGreaterThan(40)
    expect(right / of).toBeGreaterThanOrEqual(listings)
  })
  test('listings: price, currency, shipping, condition, things', () => {
    const { right, of } = measureListings(half)
    expect(right / of).toBeGreaterThanOrEqual(listings)
  })
})
