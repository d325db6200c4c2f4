import { describe, expect, test } from 'vitest'
import type { Role } from '#core/parts/part'
import { saidOutright } from '#core/reading/titles/saidOutright'

/** Titles that say what they are in so many words; each reason with its nearest look-alike. */
const reasonOf = (title: string, role: Role = 'graphics') => saidOutright(title, role, false)?.reason ?? null

describe('saidOutright', () => {
  test.each<[string, Role, string | null]>([
    ['i have a pc quill 70 8gb 16gb ram 500gb ssd', 'graphics', 'lot'],
    ['Quill 70 8GB from my gaming pc', 'graphics', null],
    ['SFF build w/ Quill 70', 'graphics', 'lot'],
    ['Quill 70 with backplate', 'graphics', null],
    ['Quill 70 8GB 15.6 inch', 'graphics', 'lot'],
    ['Quill 70 8GB, 2.5 slots', 'graphics', null],
    ['Quill 70 eGPU box complete', 'graphics', 'lot'],
    ['Quill 70 for my egpu box', 'graphics', null],
    ['Quill 70 water cooled', 'graphics', 'wrong-variant'],
    ['Quill 70 modded to 16GB', 'graphics', 'wrong-variant'],
    ['Quill 70 Super 8GB', 'graphics', 'wrong-variant'],
    ['Quill 70 super quiet', 'graphics', null],
    ['Photo of Quill 70', 'graphics', 'accessory'],
    ['Quill 70 undervolt service by post', 'graphics', 'accessory'],
    ['Quill 70, serviced last week', 'graphics', null],
    ['OVP für Quill 70', 'graphics', 'accessory'],
    ['Quill 70, fan replacement 92mm', 'graphics', 'accessory'],
    ['Quill 70 or similar', 'graphics', 'unwanted-word'],
    ['Quill 70, memory chip missing', 'graphics', 'accessory'],
    ['Quill 70, nothing missing', 'graphics', null],
    ['Quill 70 not showing up', 'graphics', 'condition'],
    ['Quill 70 defekter Lüfter', 'graphics', 'condition'],
    ['Quill 70 keine Defekte', 'graphics', null],
    ['Quill 70, 2 of 3 ports working', 'graphics', 'condition'],
    ['Quill 70 in Brigg 7020', 'graphics', 'lot'],
    ['Quill 70 tested in Brigg 7020', 'graphics', null],
    ['stack of Quill 70', 'graphics', 'unwanted-word'],
    ['Dovecote 5300 16GB', 'cpu', 'lot'],
    ['Dovecote 5300 up to 64GB', 'cpu', null],
    ['Dovecote 5300, cpu not included', 'cpu', 'accessory'],
    ['Dovecote 5300, cooler not included', 'cpu', null],
    ['Mullion B3 set with six core', 'motherboard', 'lot'],
    ['Plinth 8GB stick from a 16GB kit', 'memory', 'wrong-variant'],
    ['Barge 4TB NAS complete', 'storage', 'lot'],
    ['Barge 4TB nas drive', 'storage', null],
    ['Anvil 650/750', 'supply', 'lot'],
    ['Anvil 650, 650 W', 'supply', null],
    ['Larder Mini PC Dovecote 5300', 'case', 'lot'],
    ['Larder Mini pc case', 'case', null],
    ['Brigg 7020 without psu', 'donor', 'accessory'],
    ['Brigg 7020 all-in-one', 'donor', 'wrong-variant'],
    ['Brigg 7020 tower', 'donor', null],
  ])('%s (%s): %s', (title, role, reason) => expect(reasonOf(title, role)).toBe(reason))

  test('who takes damaged things is not told of damage; of no role only what holds for all', () => {
    expect(saidOutright('Quill 70 not showing up', 'graphics', true)).toBeNull()
    expect(saidOutright('Quill 70 water cooled', undefined, false)).toBeNull()
    expect(saidOutright('Photo of Quill 70', undefined, false)?.detail).toContain('photo of')
  })
})
