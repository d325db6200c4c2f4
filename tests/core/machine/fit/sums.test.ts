import { describe, expect, test } from 'vitest'
import { decidedAnyway } from '#core/machine/fit/decided'
import { fitAreas, readMachine, type FitRule } from '#core/machine/fit/rule'
import {
  cabledDrives,
  drawKnown,
  fansOf,
  heatFactor,
  largeDrives,
  m2Drives,
  memoryGbOf,
  modulesOf,
  slotsTaken,
} from '#core/machine/fit/sums'
import { slotDraw } from '#core/machine/power/cardFeeds'
import type { Part, PartFacts, Role } from '#core/parts/part'

/** What several rules add up, and what is decided though not all is known. */
const part = (id: string, role: Role, facts: PartFacts = {}): Part => ({
  id,
  role,
  make: '',
  name: id,
  facts,
})
const machineOf = (...parts: Part[]) => readMachine(parts)

describe('sums', () => {
  test('modules and gigabytes of all kits; a kit of unknown count is one', () => {
    const machine = machineOf(
      part('a', 'memory', { kitCount: 2, capacityGb: 16 }),
      part('b', 'memory', { capacityGb: 8 }),
    )
    expect([modulesOf(machine), memoryGbOf(machine)]).toEqual([3, 24])
  })
  test.each<[string, PartFacts, [boolean, boolean, boolean]]>([
    ['an NVMe drive is a card of M.2', { interface: 'nvme' }, [true, false, false]],
    ['one that says another shape is none', { interface: 'nvme', driveShape: '2.5' }, [false, false, false]],
    ['a SATA drive hangs on a cable', { interface: 'sata', drive: 'ssd' }, [false, true, false]],
    ['unless it is a card of M.2', { interface: 'sata', driveShape: 'M.2' }, [true, false, false]],
    ['a hard disk takes a large bay', { interface: 'sata', drive: 'hdd' }, [false, true, true]],
    [
      'unless it says that it is small',
      { interface: 'sata', drive: 'hdd', driveShape: '2.5' },
      [false, true, false],
    ],
  ])('%s', (_, facts, wanted) => {
    const machine = machineOf(part('drive', 'storage', facts))
    expect([m2Drives(machine).length, cabledDrives(machine).length, largeDrives(machine).length]).toEqual(
      wanted.map(Number),
    )
  })
  test('fans of the case and those bought with it; of a case that does not tell, none are known', () => {
    const bought = part('fan', 'extra', { fans: 1, fanMm: 120 })
    expect(fansOf(machineOf(part('case', 'case', { fans: 2, fanMm: 140 }), bought))).toEqual([140, 140, 120])
    expect(fansOf(machineOf(part('case', 'case'), bought))).toBeNull()
    expect(fansOf(machineOf())).toEqual([])
  })
  test('what draws, and the facts by which the rest would', () => {
    const machine = machineOf(
      part('cpu', 'cpu', { limitW: 65 }),
      part('card', 'graphics'),
      part('case', 'case'),
    )
    const { parts, unknown } = drawKnown(machine)
    expect(parts.map(({ id }) => id)).toEqual(['cpu', 'case'])
    expect(unknown).toMatchObject([{ partId: 'card', fact: 'board power' }])
  })
  test('a card of two and a half slots takes three; one that does not say, two', () => {
    expect([2.5, 2, 1].map((slotsThick) => slotsTaken(part('card', 'graphics', { slotsThick })))).toEqual([
      3, 2, 1,
    ])
    expect(slotsTaken(part('card', 'graphics'))).toBe(2)
  })
  test('each degree above 25 takes 1.5 % of what a cooler is rated at, and never all of it', () => {
    expect([25, 35, 20, 200].map(heatFactor)).toEqual([1, 0.85, 1.075, 0.2])
  })
  test('a card with plugs draws a third of its watts from the slot, at most 66; one without all of them', () => {
    const draw = (facts: PartFacts) => slotDraw(part('card', 'graphics', facts))
    expect(draw({ boardPowerW: 100, eightPinLeads: 1 })).toBeCloseTo(35)
    expect(draw({ boardPowerW: 300, eightPinLeads: 2 })).toBe(66)
    expect(draw({ boardPowerW: 70 })).toBe(70)
    expect(draw({})).toBe(0)
  })
})

describe('decided anyway', () => {
  const cpu = part('cpu', 'cpu', { socket: 'LN-4' })
  const board = part('board', 'motherboard')
  const rule = (check: FitRule['check'], severity: FitRule['severity'] = 'stops'): FitRule => ({
    id: 'trial',
    area: fitAreas[0]!,
    question: 'Does it?',
    severity,
    reads: [],
    check,
  })
  const clash = (severity?: FitRule['severity']) =>
    ({ what: 'it does not', parts: ['board'], facts: [], ...(severity ? { severity } : {}) }) as never
  const open = (fact: keyof PartFacts) => [{ part: board, fact }]

  test('where every value clashes it clashes, where none does it passes, else it is to be asked', () => {
    const machine = machineOf(cpu, board)
    expect(
      decidedAnyway(
        rule(() => [clash()]),
        machine,
        open('memorySlots'),
      ),
    ).toHaveLength(1)
    expect(
      decidedAnyway(
        rule(() => []),
        machine,
        open('memorySlots'),
      ),
    ).toEqual([])
    const bySlots = rule((read) =>
      (read.all('motherboard')[0]!.facts.memorySlots ?? 0) < 2 ? [clash()] : [],
    )
    expect(decidedAnyway(bySlots, machine, open('memorySlots'))).toBeNull()
  })
  test('the answers of other parts are tried too: a socket that may be the same', () => {
    const sockets = rule((read) =>
      read.all('motherboard')[0]!.facts.socket === read.all('cpu')[0]!.facts.socket ? [] : [clash()],
    )
    expect(decidedAnyway(sockets, machineOf(cpu, board), open('socket'))).toBeNull()
  })
  test('it is never graver than the lightest of all answers', () => {
    const bySlots = rule((read) => [
      clash((read.all('motherboard')[0]!.facts.memorySlots ?? 0) > 3 ? 'hints' : 'stops'),
    ])
    const [said] = decidedAnyway(bySlots, machineOf(cpu, board), open('memorySlots'))!
    expect(said!.severity).toBe('hints')
  })
})
