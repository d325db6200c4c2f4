import { describe, expect, test } from 'vitest'
import {
  bays,
  count,
  countBefore,
  efficiencyIn,
  fastest,
  generation,
  gigabytes,
  kitIn,
  length,
  lengths,
  modularIn,
  number,
  slots,
  sumOf,
  eightPin,
  sixPin,
  thick,
  watts,
  whole,
  yesNo,
} from '#core/reading/specs/values'
import { specLines } from '#core/reading/specs/specLine'

/** Values of specifications as sheets write them, each worked out by hand. */
const line = (text: string) => specLines(text)[0]!

describe('lines', () => {
  test.each([
    ['Length: 240 mm', 'length', '240 mm'],
    ['Length\t240 mm', 'length', '240 mm'],
    ['Length | 240 mm', 'length', '240 mm'],
    ['Length    240 mm', 'length', '240 mm'],
    ['Length = 240 mm', 'length', '240 mm'],
    ['• Länge: 240 mm', 'lange', '240 mm'],
    ['240 mm', '', '240 mm'],
  ])('%s', (text, key, value) => expect(line(text)).toMatchObject({ key, plain: value }))
  test('empty lines are none, and the others keep their numbers', () =>
    expect(specLines('a: 1\n\n  \nb: 2').map((each) => each.line)).toEqual([1, 4]))
})

describe('figures', () => {
  test.each([
    ['1,200 mm', 1200],
    ['1 200', 1200],
    ['2,5', 2.5],
    ['about 12 or so', 12],
    ['none', null],
  ])('number: %s', (text, wanted) => expect(number(text)).toBe(wanted))
  test.each([
    ['8', 8],
    ['8.5', null],
    ['', null],
  ])('whole: %s', (text, wanted) => expect(whole(text)).toBe(wanted))
  test.each([
    ['650 W', 650],
    ['650watts peak 700 w', 650],
    ['650', 650],
    ['80 plus, 650w', 650],
    ['see manual, page 12 of 30', null],
  ])('watts: %s', (text, wanted) => expect(watts(text)).toBe(wanted))
  test.each([
    ['500 gb', 500],
    ['1 tb', 1000],
    ['0,5 to', 500],
    ['512 mb', 0.5],
    ['16 go ddr4', 16],
    ['none', null],
  ])('gigabytes: %s', (text, wanted) => expect(gigabytes(text)).toBe(wanted))
})

describe('lengths', () => {
  test.each([
    ['240 mm', [240]],
    ['24 cm', [240]],
    ['9.5"', [241.3]],
    ['240 x 110 x 40 mm', [240, 110, 40]],
    ['24 × 11 cm', [240, 110]],
    ['up to 300mm (280 mm with radiator)', [300, 280]],
    ['short', []],
  ])('%s', (text, wanted) => expect(lengths(text)).toEqual(wanted))
  test('a clearance is the least of several, a part the greatest; a bare figure is in mm', () => {
    const two = line('Card: up to 300 mm, 280 mm with radiator')
    expect([length('least')(two), length('most')(two)]).toEqual([280, 300])
    expect(length('most')(line('Length: 155'))).toBe(155)
    expect(length('most')(line('Length: unknown'))).toBeNull()
  })
})

describe('how many', () => {
  test.each([
    ['4', 4],
    ['4 x dimm', 4],
    ['two', 2],
    ['vier', 4],
    ['none', 0],
    ['lots', null],
  ])('count: %s', (text, wanted) => expect(count(text)).toBe(wanted))
  test.each([
    ['2 x m.2, 6 x sata', 'sata', 6],
    ['2 x m.2, 6 x sata', 'm\\.2', 2],
    ['6', 'sata', 6],
    ['2 x m.2, some sata', 'usb', null],
  ])('before a thing: %s, %s', (text, thing, wanted) => expect(countBefore(text, thing)).toBe(wanted))
  test.each([
    ['2 x 8-pin, 1 x 6-pin', eightPin, 2],
    ['2 x 8-pin, 1 x 6-pin', sixPin, 1],
    ['2 x 6+2-pin', eightPin, 2],
    ['6+2 pin', sixPin, null],
    ['8 pin eps', eightPin, null],
    ['dual 8-pin', eightPin, 2],
  ])('plugs: %s, %s', (text, thing, wanted) => expect(sumOf(text, thing)).toBe(wanted))
  test('bays by the key, or by what stands beside the size', () => {
    const large = bays('3\\.5')
    expect(large(line('3.5" bays: 2'))).toBe(2)
    expect(large(line('Drive bays: 2 x 3.5", 1 x 2.5"'))).toBe(2)
    expect(large(line('Drive bays: 1 x 2.5"'))).toBeNull()
  })
})

describe('memory', () => {
  test.each([
    ['4 x ddr4 dimm', 4],
    ['2 slots', 2],
    ['2', 2],
    ['ddr4', null],
  ])('slots: %s', (text, wanted) => expect(slots(text)).toBe(wanted))
  test.each([
    ['ddr4 2133/2400/3200 mhz', 3200],
    ['3600(oc)/3200/2933', 3200],
    ['4400+(oc)', null],
    ['12 v', null],
  ])('the fastest that is not overclocked: %s', (text, wanted) => expect(fastest(text)).toBe(wanted))
  test.each([
    ['ddr4-3200', 'DDR4'],
    ['ddr3l', 'DDR3'],
    ['pc4-25600', 'DDR4'],
    ['gddr6', null],
  ])('generation: %s', (text, wanted) => expect(generation(text)).toBe(wanted))
  test.each([
    ['16 gb (2x8)', { count: 2, total: 16 }],
    ['2 x 8 gb', { count: 2, total: 16 }],
    ['8gbx2', { count: 2, total: 16 }],
    ['16 gb', null],
  ])('kit: %s', (text, wanted) => expect(kitIn(text)).toEqual(wanted))
})

describe('words', () => {
  test.each([
    ['Modular: yes', true],
    ['Wi-Fi: not included', false],
    ['Wi-Fi: -', false],
    ['Cooler: ohne', false],
    ['Wi-Fi: see manual', null],
  ])('%s', (text, wanted) => expect(yesNo(line(text))).toBe(wanted))
  test.each([
    ['dual slot', 2],
    ['2.5 slots', 2.5],
    ['3', 3],
    ['thick', null],
  ])('slots thick: %s', (text, wanted) => expect(thick(text)).toBe(wanted))
  test('efficiency and cables, or nothing where nothing is said', () => {
    expect(efficiencyIn('80 plus gold')).toMatch(/gold/i)
    expect(efficiencyIn('loud')).toBeNull()
    expect(modularIn('fully modular')).toBe(true)
    expect(modularIn('non-modular')).toBe(false)
    expect(modularIn('650 w')).toBeNull()
  })
})
