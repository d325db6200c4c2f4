import { powerDefaults } from '#core/assumptions/groups/power'
import { describe, expect, test } from 'vitest'
import { assemblySheet } from '#core/machine/assembly/assemblySheet'
import { checkFit } from '#core/machine/fit/checkFit'
import { machinePlan } from '#core/machine/fit/plan'
import { factsInBox } from '#core/reading/listings/factsInBox'
import { readFacts } from '#core/reading/listings/completeness'
import { partLabel, type Part, type PartFacts } from '#core/parts/part'
import { carryForward, worthOfPercent } from '#core/machine/upgrades/carryForward'
import { carryStairs } from '#core/machine/upgrades/carryStairs'
import { stepsUp, type StepOption } from '#core/machine/upgrades/stepsUp'
import { cpusUnknown, lessResale, nextParts } from '#core/machine/upgrades/nextParts'
import { roomWords, upgradeRoom } from '#core/machine/upgrades/upgradeRoom'
import { takenIn } from '#core/machine/fit/fixes'
import { drawLevel, inTurn } from '#core/machine/upgrades/drawLevel'
import { machineWith, partOf, soundFacts } from './fit/soundMachine'

const card = (name: string, graphicsIndex: number, price: number, facts: PartFacts = {}): StepOption => ({
  id: name,
  part: partOf('graphics', { ...soundFacts.graphics, graphicsIndex, ...facts }, name),
  price,
  payNow: price,
})
/** Frames follow the card alone. */
const reach = (parts: readonly Part[]) => [
  {
    name: 'race',
    fps: parts.find((part) => part.role === 'graphics')?.facts.graphicsIndex ?? 0,
    wanted: 120,
  },
]
const parts = machineWith()
const present = { part: parts.find((part) => part.role === 'graphics')!, cost: 13_000, payNow: 13_000 }
const others = parts.filter((part) => part.role !== 'graphics')
const context = {
  role: 'graphics' as const,
  others,
  present,
  left: 10_000,
  reach,
  threshold: 1,
  unit: 100,
}

describe('steps up', () => {
  test('what is beaten on cost and worth falls out, what is too dear or does not fit is never named', () => {
    const steps = stepsUp({
      ...context,
      options: [
        card('a', 112, 15_000),
        card('beaten', 110, 15_500),
        card('b', 130, 19_000),
        card('too expensive', 200, 24_000),
        card('too long', 150, 20_000, { lengthMm: 400 }),
        card('weaker', 90, 9000),
      ],
    })
    expect(steps.map((step) => step.option.id)).toEqual(['a', 'b'])
    // 112 over 100 is 12 % for 20.00 more: 6 % for each 10
    expect(steps[0]).toMatchObject({
      more: 2000,
      worthIt: true,
      targets: [{ name: 'race', before: 100, after: 112, wanted: 120 }],
    })
    expect(steps[0]!.framesChange).toBeCloseTo(0.12, 12)
    expect(steps[0]!.perTen).toBeCloseTo(6, 12)
  })
  test('less than the threshold is not worth it', () => {
    expect(stepsUp({ ...context, threshold: 7, options: [card('a', 112, 15_000)] })[0]!.worthIt).toBe(false)
  })
  test('N7: a drive of a slower kind is no step up, whatever it holds; a larger one of its kind is', () => {
    const drive = (name: string, facts: PartFacts): StepOption => ({
      ...card(name, 0, 4000),
      part: partOf('storage', { ...soundFacts.storage, ...facts }, name),
    })
    const own = drive('own', { drive: 'ssd', interface: 'nvme', capacityGb: 1000 })
    const steps = stepsUp({
      ...context,
      role: 'storage',
      others: parts.filter((part) => part.role !== 'storage'),
      present: { part: own.part, cost: 5000, payNow: 5000 },
      options: [
        drive('turning', { drive: 'hdd', interface: 'sata', driveShape: '3.5', capacityGb: 4000 }),
        drive('larger', { drive: 'ssd', interface: 'nvme', capacityGb: 2000 }),
      ],
    })
    expect(steps.map(({ option }) => option.id)).toEqual(['larger'])
  })
  test('an empty role is filled from the cheapest on', () => {
    expect(
      stepsUp({
        ...context,
        present: null,
        left: 20_000,
        options: [card('a', 60, 8000), card('b', 112, 15_000)],
      }).map((step) => [step.option.id, step.more]),
    ).toEqual([
      ['a', 8000],
      ['b', 15_000],
    ])
  })
  test('storage is ranked by its own measure: twice the storage for 3.00', () => {
    const drive = (name: string, capacityGb: number, price: number): StepOption => ({
      id: name,
      part: partOf('storage', { ...soundFacts.storage, capacityGb }, name),
      price,
      payNow: price,
    })
    const [step] = stepsUp({
      ...context,
      role: 'storage',
      others: parts.filter((part) => part.role !== 'storage'),
      present: { part: parts.find((part) => part.role === 'storage')!, cost: 4000, payNow: 4000 },
      options: [drive('two', 2000, 4300)],
    })
    expect(step).toMatchObject({ more: 300, worthChange: 1, framesChange: null, worthIt: true })
  })
})

describe('room, plan, assembly, boxes', () => {
  const priced = (list: readonly [Part, number][]) => list.map(([part, price]) => ({ part, price }))
  const cpu = (name: string, facts: PartFacts) => partOf('cpu', { ...soundFacts.cpu, ...facts }, name)
  const idsOf = (offers: readonly { readonly part: Part }[]) => offers.map(({ part }) => part.name)
  test('room is told by facts: slots, drives, watts; what nobody knows is not known', () => {
    const kit = partOf('memory', { ...soundFacts.memory, kitCount: 2 }, 'kit')
    const of = (memorySlots: number) =>
      upgradeRoom(machineWith({ memory: null, motherboard: { memorySlots } }, [kit]), {
        rule: { kind: 'twice' },
        year: 2026,
      })
    expect([of(4).memory?.freeSlots, of(2).memory?.freeSlots]).toEqual([2, 0])
    expect(roomWords(of(4))).toContain('2 of 4 memory slots')
    const nothing = upgradeRoom([], { rule: { kind: 'twice' }, year: 2026 })
    expect([nothing.m2Free, nothing.wattsFree, roomWords(nothing)]).toEqual([null, null, ''])
  })
  test('next parts of a machine: the same kit, kits of twice the size, CPUs of more worth than any cheaper one', () => {
    const kit = partOf('memory', { ...soundFacts.memory }, 'kit')
    const large = partOf('memory', { ...soundFacts.memory, capacityGb: 32 }, 'large')
    const laptop = partOf('memory', { ...soundFacts.memory, capacityGb: 64, module: 'laptop' }, 'laptop')
    const next = nextParts(
      machineWith({ memory: null }, [kit]),
      priced([
        [large, 5800],
        [kit, 3100],
        [laptop, 100],
        [cpu('up', { cpuIndex: 120, firmwareNeeded: 5 }), 9000],
        [cpu('no faster', { cpuIndex: 110 }), 9900],
        [cpu('other', { cpuIndex: 160, socket: 'TD-B' }), 1000],
      ]),
    )
    expect([idsOf(next.add), idsOf(next.replace)]).toEqual([['kit'], ['large']])
    expect(next.cpus.map(({ offer, flash }) => [offer.part.name, flash])).toEqual([['up', true]])
    expect(next.cpus[0]!.gain).toBeCloseTo(0.2, 12)
    // U5: what nobody can say is no "none"
    expect(cpusUnknown(machineWith({ motherboard: { socket: undefined } }))).toContain('socket')
    expect(cpusUnknown(machineWith())).toBe('')
    expect(nextParts([], priced([[kit, 3100]]))).toEqual({ add: [], replace: [], cpus: [] })
    // a kit of 58.00 in place of one of mine that brings 24.80
    expect(lessResale(5800, [2480])).toEqual({ cost: 5800, brings: 2480, more: 3320 })
  })
  test('P5: a CPU that its cooler cannot carry comes with one that can, or not at all', () => {
    const machine = { parts: machineWith({ cpu: { limitW: 65 }, cooler: { coolerW: 76 } }) }
    const hot = { part: cpu('hot', { cpuIndex: 150, limitW: 105 }), price: 9500 }
    const out = machine.parts.filter(({ role }) => role === 'cpu')
    expect(takenIn(machine, hot, out, [hot])).toBeNull()
    const large = { part: partOf('cooler', { ...soundFacts.cooler, coolerW: 180 }, 'large'), price: 2000 }
    const small = { part: partOf('cooler', { ...soundFacts.cooler, coolerW: 80 }, 'small'), price: 900 }
    const taken = takenIn(machine, hot, out, [hot, small, large])!
    expect([taken.parts.map(({ name }) => name), taken.cost]).toEqual([['Make hot', 'Make large'], 11_500])
    expect(taken.replaces.map(({ id }) => machine.parts.find((part) => part.id === id)!.role)).toEqual([
      'cpu',
      'cooler',
    ])
  })
  test('P14: drawn level role by role, the next in the machine as the one before has left it', () => {
    const offers = priced([
      [cpu('elsewhere', { cpuIndex: 150, socket: 'TD-B', limitW: 65 }), 1000],
      [cpu('fits', { cpuIndex: 150, limitW: 65 }), 3000],
      [partOf('graphics', { ...soundFacts.graphics, graphicsIndex: 200, lengthMm: 400 }, 'too long'), 100],
      [partOf('graphics', { ...soundFacts.graphics, graphicsIndex: 200 }, 'short'), 9000],
    ])
    const wants = (role: 'cpu' | 'graphics', most = 999) => ({
      role,
      isNoWorse: (part: Part) =>
        part.role === role && Math.max(part.facts.cpuIndex ?? 0, part.facts.graphicsIndex ?? 0) <= most,
    })
    const steps = drawLevel({ parts: machineWith() }, [wants('cpu'), wants('graphics')], offers)
    expect(steps.map(({ taken }) => taken?.parts.map(({ name }) => name))).toEqual([
      ['Make fits'],
      ['Make short'],
    ])
    // nothing on offer does
    expect(drawLevel({ parts: machineWith() }, [wants('cpu', 1)], offers)).toEqual([
      { role: 'cpu', taken: null },
    ])
    expect(inTurn([30, 45, null, 60])).toEqual([30, 15, null, null])
  })
  test('the plan draws what clashes and what runs near its limit, nothing else', () => {
    const brief = { year: 2026, roomC: 25, power: powerDefaults }
    const plan = (list: readonly Part[]) =>
      machinePlan(list, checkFit({ parts: list }).findings, brief).lines.map(
        (line) => `${line.from}-${line.to} ${line.kind} ${line.state}`,
      )
    expect(plan(machineWith({ case: { maxCoolerMm: 190 } }))).toEqual([])
    expect(plan(machineWith({ case: { maxCoolerMm: 190 }, graphics: { lengthMm: 300 } }))).toEqual([
      'graphics-case space near',
    ])
    expect(plan(machineWith({ case: { maxCoolerMm: 190 }, graphics: { lengthMm: 320 } }))).toEqual([
      'graphics-case space clash',
    ])
  })
  test('the sheet has steps for what is there, tricky points where they are done', () => {
    const list = machineWith({ motherboard: { firmwareLevel: 1 } })
    const sheet = assemblySheet(list, checkFit({ parts: list }).findings)
    expect(sheet.map((step) => step.title)).toEqual([
      'Test outside the case',
      'Install the motherboard',
      'Cooler and fans',
      'Drives',
      'PSU and cables',
      'Graphics card',
      'First boot',
    ])
    expect(sheet[0]!.tricky[0]).toContain('update the BIOS without a CPU')
    expect(sheet[0]!.lines.join()).toContain('2 modules into the second and fourth slot')
    expect(assemblySheet([], []).map((step) => step.title)).toEqual(['Test outside the case', 'First boot'])
    for (const part of list.filter(({ role }) => role !== 'case'))
      expect(sheet.flatMap((step) => step.lines).join()).toContain(partLabel(part))
  })
  test('what a lead says is in its box stands for the part', () => {
    const facts = readFacts(['motherboard', 'cpu'], 'no shield, comes with a cooler')
    const of = (role: Part['role'], own = {}) => factsInBox({ role, facts: own }, facts)
    expect([of('motherboard'), of('cpu'), of('case')]).toEqual([
      { shieldIncluded: false },
      { coolerIncluded: true },
      {},
    ])
    // a new one is taken to be whole, unless its model says otherwise
    const fresh = readFacts(['cpu'], '', {}, true)
    const boxed = (own: object) => factsInBox({ role: 'cpu', facts: own }, fresh).coolerIncluded
    expect([boxed({}), boxed({ coolerIncluded: false })]).toEqual([true, false])
  })
  test('cards that move on by price: each brings more than every cheaper one, in one machine or the other', () => {
    const gains: Readonly<Record<string, [number, number] | null>> = {
      worse: [-0.5, -0.4],
      today: [0, 0],
      'no more': [0.005, 0.009],
      'more there': [0, 0.2],
      unknown: null,
      'more here': [0.1, 0.2],
    }
    const cards = Object.keys(gains).map((name, at) => ({
      part: partOf('graphics', { ...soundFacts.graphics }, name),
      price: 1000 * (at + 1),
    }))
    const steps = carryStairs(
      cards,
      ({ name }) => {
        const gain = gains[name]
        return gain ? { now: gain[0], after: gain[1] } : null
      },
      cards[1]!.part.id,
    )
    expect(steps.map(({ card, isChosen }) => [card.part.name, isChosen])).toEqual([
      ['today', true],
      ['more there', false],
      ['more here', false],
    ])
  })
  test('a part that moves on: waiting is better where what it gives now is worth less than the fall', () => {
    // −10 % in 30 days over about one month: 0.9^1.0146; 150.00 falls by 15.2
    const sheet = carryForward({
      price: 15_000,
      percentPer30Days: -10,
      months: 1,
      framesNow: 0.2,
      framesAfter: 0.3,
      perPercent: 50,
    })
    expect([worthOfPercent(2, 100), worthOfPercent(0, 100)]).toEqual([500, 10_000])
    expect(sheet).toMatchObject({ priceThen: 13_479, costOfNow: 1521, better: 'wait' })
    expect(
      carryForward({
        price: 15_000,
        percentPer30Days: 0,
        months: 6,
        framesNow: 0.01,
        framesAfter: 0.3,
        perPercent: 50,
      }).better,
    ).toBe('now')
  })
})
