import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { powerDraw } from '#core/machine/power/powerDraw'
import { leadLoads, powerSheet } from '#core/machine/power/powerSheet'
import { ratedNow, wattsWanted } from '#core/machine/power/supplySize'
import { wallDraw, yearlyEnergyCost } from '#core/machine/power/wallDraw'
import { machineWith, partOf } from './fit/soundMachine'

describe('power', () => {
  test('sustained and peak, added by hand', () => {
    // CPU 65 + board 30 + 2 modules 6 + card 130 + SSD 5 + 3 fans 9 + USB 10 = 255; the card at 1.4 adds 52
    expect(powerDraw(machineWith())).toMatchObject({ sustained: 255, peak: 307 })
    const unknown = powerDraw(machineWith({ graphics: { boardPowerW: undefined } as never }))
    expect(unknown.lines.find((line) => line.label === 'Make the graphics')).toMatchObject({
      watts: 150,
      stated: false,
    })
  })
  test('a used supply gives 2 % less a year after its fifth', () => {
    const supply = partOf('supply', { ratedW: 500, year: 2018 })
    expect([
      ratedNow(supply, 2023),
      ratedNow(supply, 2026),
      ratedNow(partOf('supply', { ratedW: 500 }), 2026),
    ]).toEqual([500, 470, 500])
  })
  test('the rule for size, in its four kinds', () => {
    const parts = machineWith({ graphics: { recommendedW: 450 } })
    const draw = powerDraw(parts)
    expect(
      [
        { kind: 'factor', factor: 1.5 },
        { kind: 'twice' },
        { kind: 'minimum', watts: 600 },
        { kind: 'maker' },
      ].map((rule) => wattsWanted(rule as never, draw, parts)),
    ).toEqual([382.5, 510, 600, 450])
  })
  test('wall draw: at a point, between two, below the lowest, above the highest', () => {
    expect(wallDraw(300, 600, 'gold')).toBeCloseTo(300 / 0.9, 9)
    // 35 % lies half-way between 20 % (0.87) and 50 % (0.90)
    expect(wallDraw(210, 600, 'gold')).toBeCloseTo(210 / 0.885, 9)
    // below 20 %: the loss of 120 W at 0.87 stays, 120/0.87 − 120 = 17.93 W
    expect(wallDraw(30, 600, 'gold')).toBeCloseTo(30 + 120 / 0.87 - 120, 9)
    expect(wallDraw(700, 600, 'gold')).toBeCloseTo(700 / 0.87, 9)
  })
  test('more load never draws less wall power', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 800 }),
        fc.constantFrom('none', 'white', 'bronze', 'silver', 'gold', 'platinum'),
        (watts, label) => {
          expect(wallDraw(watts + 1, 600, label as 'gold')).toBeGreaterThan(
            wallDraw(watts, 600, label as 'gold'),
          )
        },
      ),
    )
  })
  test('a year: 300 W for 2 hours a day at 0.14 is 30.66', () =>
    expect(yearlyEnergyCost(300, 2, 14)).toBe(3066))
  test('leads share what the slot does not give, by what they carry; an adapter bears its lead', () => {
    const card = partOf('graphics', { boardPowerW: 225, sixPinLeads: 1, eightPinLeads: 1 })
    const adapter = partOf('extra', { feedsFrom: 'sata', feedsTo: '6-pin', carriesW: 54 }, 'adapter')
    const supply = partOf('supply', { eightPinLeads: 1, sixPinLeads: 0, sataLeads: 2 })
    // 35 % of 225 W is more than 66 W: the slot gives 66, the leads 159 by two to one
    expect(
      leadLoads([card, supply, adapter]).map(({ what, loadW, limitW }) => [what, loadW, limitW]),
    ).toEqual([
      ['PCIe slot of the card', 66, 75],
      ['8-pin cable', 106, 150],
      ['6-pin cable', 53, 75],
      ['adapter (sata to 6-pin)', 53, 54],
    ])
  })
  test('a measured wall draw takes the estimate’s place; without a supply there is none', () => {
    const use = { rule: { kind: 'twice' } as const, year: 2026, fullHours: 2, idleHours: 0, tariff: 14 }
    expect(powerSheet(machineWith(), { ...use, measuredFullW: 300 })).toMatchObject({
      wall: { full: 300 },
      yearly: 3066,
    })
    expect(powerSheet(machineWith({ supply: null }), use)).toMatchObject({
      wall: null,
      yearly: null,
      supply: null,
    })
  })
})
