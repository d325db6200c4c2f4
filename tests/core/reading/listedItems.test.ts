import { expect, test } from 'vitest'
import { countItems } from '#core/reading/specs/listedItems'

test.each<[string, RegExp, RegExp | undefined, number | null]>([
  ['2x eps 8-pin, 4x pcie 8-pin (6+2)', /pcie/, undefined, 4],
  ['two eps, 1 x eps', /eps/, undefined, 3],
  ['eps 8-pin x2, sata x6', /sata/, undefined, 6],
  ['pcie 6+2, pcie 12v-2x6', /pcie/, /12v-2x6/, 1],
  ['8x sata', /sata/, undefined, null],
  ['2x eps, 4x pcie', /molex/, undefined, null],
])('%s: %s', (plain, named, not, count) => expect(countItems(plain, named, not)).toBe(count))
