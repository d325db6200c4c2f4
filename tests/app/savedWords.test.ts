import { expect, test } from 'vitest'
import { savedWords } from '~/places/pastes/state/savedWords'

test.each([
  [{ sales: Array(6), parts: Array(1) }, '6 past sales, 1 part saved'],
  [{ leads: Array(1) }, '1 lead saved'],
  [{ sales: [], shopPrices: Array(2), hunts: Array(1) }, '2 shop prices, 1 hunt saved'],
  [{}, 'saved'],
])('%o: %s', (input, words) => expect(savedWords(input as never)).toBe(words))
