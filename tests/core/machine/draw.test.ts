import { describe, expect, test } from 'vitest'
import { powerDefaults } from '#core/assumptions/groups/power'
import { cite, citeAll, citeBrief, pairsOf, readMachine } from '#core/machine/fit/rule'
import { adapterLimit, cardFeeds } from '#core/machine/power/cardFeeds'
import { caseFlow, warmingInside } from '#core/machine/power/caseHeat'
import { leadKind, plugsNamed } from '#core/machine/power/leadKind'
import type { Part, PartFacts } from '#core/parts/part'
import { heatFactor, memoryGbOf, modulesOf } from '#core/machine/fit/sums'
import { badness, namesOf } from '#core/machine/fit/checkFit'
import { shareInUse } from '#core/machine/power/loadStates'
import { drawAt, powerDraw, usbDraw } from '#core/machine/power/powerDraw'
import { ratedNow, supplyRuleOf, supplyRuleText, wattsWanted } from '#core/machine/power/supplySize'
import { efficiencyAt, wallDraw, yearlyEnergyCost } from '#core/machine/power/wallDraw'
import { machineWith, partOf } from './fit/soundMachine'

const parts = machineWith()

describe('draw by state of use', () => {
  // CPU 65, card 130, the rest 60 (board 30, two modules 6, SSD 5, three fans 9, USB 10)
  test('at full load everything, idle by the assumed shares', () => {
    const draw = powerDraw(parts)
    expect(drawAt(parts, draw, 'full')).toBe(draw.sustained)
    expect(drawAt(parts, draw, 'idle')).toBeCloseTo(0.12 * 65 + 0.08 * 130 + 0.6 * 60, 9)
    expect(drawAt(parts, draw, 'work')).toBeCloseTo(0.4 * 65 + 0.12 * 130 + 0.8 * 60, 9)
    expect(shareInUse('full')).toEqual({ cpu: 1, card: 1, rest: 1 })
    expect([usbDraw('full'), usbDraw('idle')]).toEqual([10, 6])
  })
  test('a changed assumption moves every figure that rests on it', () => {
    const power = {
      ...powerDefaults,
      boardW: 50,
      'peak.to150': 2,
      supplyFactor: 2,
      ageingPerYear: 0.05,
      'idle.card': 0.2,
    }
    const [usual, changed] = [powerDraw(parts), powerDraw(parts, power)]
    expect(changed.sustained - usual.sustained).toBe(20)
    expect(changed.peak - changed.sustained).toBeCloseTo(130, 9)
    expect(drawAt(parts, changed, 'idle', power)).toBeCloseTo(0.12 * 65 + 0.2 * 130 + 0.6 * 80, 9)
    expect(ratedNow(partOf('supply', { ratedW: 500, year: 2016 }), 2026, power)).toBe(375)
    expect(wattsWanted(supplyRuleOf(power), changed, parts)).toBe(2 * changed.sustained)
    expect(supplyRuleText({ kind: 'maker' }, power)).toBe(
      'the GPU maker’s recommendation, or 2 × the sustained draw',
    )
  })
  test('wall draw at half load of a gold supply, and between its points', () => {
    expect(wallDraw(300, 600, 'gold')).toBeCloseTo(333.33, 2)
    expect(efficiencyAt(0.35, 'gold')).toBeCloseTo(0.885, 9)
    expect([efficiencyAt(0.05, 'gold'), efficiencyAt(1.2, 'gold')]).toEqual([0.87, 0.87])
    // below a fifth of its rating the loss in watts stays: 120 · (1/0.87 − 1) = 17.93
    expect(wallDraw(60, 600, 'gold')).toBeCloseTo(77.93, 2)
    // 300 W · 2 h · 365 days = 219 kWh at 14 cents
    expect(yearlyEnergyCost(300, 2, 14)).toBe(3066)
  })
})

describe('what several rules add up', () => {
  test('modules and capacity are of all kits together', () => {
    const machine = readMachine([...parts, partOf('memory', { capacityGb: 8, kitCount: 1 })])
    expect([modulesOf(machine), memoryGbOf(machine)]).toEqual([3, 24])
    expect(pairsOf(machine, 'cpu', 'memory')).toHaveLength(2)
  })
  test('an adapter feeds what it hangs on, once', () => {
    const card = partOf('graphics', { boardPowerW: 130, sixPinLeads: 1, eightPinLeads: 1 })
    const supply = partOf('supply', { sixPinLeads: 1, eightPinLeads: 0, sataLeads: 1 })
    const adapter = partOf('extra', { feedsFrom: 'sata', feedsTo: '8-pin' })
    const bare = (...more: Part[]) => cardFeeds([card, supply, ...more]).bare.map(({ socket }) => socket)
    expect(bare()).toEqual(['8-pin'])
    expect(bare(adapter)).toEqual([])
    const two = { ...card, facts: { ...card.facts, eightPinLeads: 2 } }
    expect(cardFeeds([two, supply, adapter, { ...adapter, id: 'other' }]).bare).toHaveLength(1)
  })
  test.each([
    ['dual SATA', 'sata', 2],
    ['2 x SATA power', 'sata', 2],
    ['Molex', 'drive', 1],
    ['4-pin drive plug', 'drive', 1],
    ['4+4 EPS', 'cpu', 1],
    ['8-pin PCIe (6+2)', '8-pin', 1],
    ['16-pin', '12+4-pin', 1],
    ['HDMI', null, 1],
  ])('%s is a lead of the kind %s', (text, kind, plugs) => {
    expect([leadKind(text), plugsNamed(text)]).toEqual([kind, plugs])
  })
  test('an adapter carries the weakest of its way, between two ends where its plugs may share a cable', () => {
    const limit = (facts: PartFacts) => adapterLimit(partOf('extra', { feedsTo: '8-pin', ...facts }))
    expect(limit({ feedsFrom: 'sata', carriesW: 150 })).toEqual({ low: 54, high: 54 })
    expect(limit({ feedsFrom: 'sata', plugs: 2 })).toEqual({ low: 54, high: 108 })
    expect(limit({ feedsFrom: 'sata', plugs: 2, plugsApart: false })).toEqual({ low: 54, high: 54 })
    expect(limit({ feedsFrom: 'molex', plugs: 2, plugsApart: true })).toEqual({ low: 120, high: 120 })
    expect(limit({})).toEqual({ low: 0, high: Infinity })
  })
  test('195 W with one fan, the supply drawing from the case: 8 K above the room', () => {
    expect(warmingInside(196, caseFlow([undefined], true))).toBeCloseTo(7.98, 2)
    expect([caseFlow([80, 140], false), warmingInside(50, 20), warmingInside(300, 0)]).toEqual([36, 0, 0])
  })
  test('heat: each degree over 25 takes 1.5 %, a fifth is left at least', () => {
    expect([heatFactor(25), heatFactor(35), heatFactor(95)]).toEqual([1, 0.85, 0.2])
  })
  test('facts are cited with their part, their name and their value', () => {
    const card = partOf('graphics', { boardPowerW: 130 })
    expect(cite(card, 'boardPowerW')).toMatchObject({ role: 'graphics', fact: 'board power', value: '130 W' })
    expect(cite(card, 'lengthMm').value).toBe('not known')
    expect(citeAll([card, card], 'draw', '260 W').part).toMatch(/ and 1 more$/)
    expect(citeBrief('requires', 'wireless')).toMatchObject({ role: 'brief', value: 'wireless' })
  })
  test('a report is as bad as its gravest findings; a finding names its parts', () => {
    const finding = { key: 'k', ruleId: 'r', severity: 'needs' as const, what: '', fixes: [] }
    const card = partOf('graphics', {})
    const findings = [
      { ...finding, why: [cite(card, 'lengthMm'), citeBrief('requires', 'a short card')] as const },
    ]
    expect(badness({ findings })).toEqual([0, 1, 0, 0])
    expect(namesOf(findings[0]!, [card])).toHaveLength(1)
  })
})
