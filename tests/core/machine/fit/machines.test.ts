import { describe, expect, test } from 'vitest'
import { checkFit } from '#core/machine/fit/checkFit'
import type { FitBrief } from '#core/machine/fit/finding'
import type { Part, PartFacts, Role } from '#core/parts/part'
import { machineWith, partOf, without } from './soundMachine'

/** 120 machines as a practitioner would judge them: 60 that cannot work, 40 that can, 20 of which one cannot tell. */
type Changes = Partial<Record<Role, PartFacts | null>>
const card = (facts: PartFacts, name = 'second card') =>
  partOf('graphics', { boardPowerW: 130, sixPinLeads: 0, eightPinLeads: 1, slotsThick: 2, ...facts }, name)
const drive = (facts: PartFacts, name = 'second drive') =>
  partOf('storage', { capacityGb: 500, ...facts }, name)
const extra = (facts: PartFacts, name = 'extra') => partOf('extra', facts, name)
const adapter = (feedsFrom: string, feedsTo: string, facts: PartFacts = {}) =>
  extra({ feedsFrom, feedsTo, ...facts }, `${feedsFrom} to ${feedsTo}`)
const memory = (facts: PartFacts) =>
  partOf('memory', { memoryGeneration: 'DDR4', module: 'desktop', ...facts }, 'more')
const bareSupply = { supply: { eightPinLeads: 0, sixPinLeads: 0 } }
const hot = { boardPowerW: 200, sixPinLeads: 0, eightPinLeads: 1 }
const judged = (parts: readonly Part[], brief: Partial<FitBrief> = {}) => checkFit({ parts, brief })

/** Gravest finding of a rule; `open` where it could not be told, `passed` or `not asked` otherwise. */
function standing(parts: readonly Part[], rule: string, brief: Partial<FitBrief> = {}): string {
  const { findings, cannotCheck, passed } = judged(parts, brief)
  const found = findings.find(({ ruleId }) => ruleId === rule)
  if (found) return found.severity
  if (cannotCheck.some(({ ruleId }) => ruleId === rule)) return 'open'
  return passed.some(({ ruleId }) => ruleId === rule) ? 'passed' : 'not asked'
}

describe('machines that cannot work, or burn', () => {
  test.each<[string, string, Changes, Part[]?, Partial<FitBrief>?]>([
    ['another socket', 'cpu-socket', { cpu: { socket: 'TD-B' } }],
    ['memory of another generation', 'memory-generation', { memory: { memoryGeneration: 'DDR5' } }],
    ['laptop modules', 'memory-module', { memory: { module: 'laptop' } }],
    ['server modules', 'memory-module', { memory: { module: 'registered' } }],
    [
      'server modules, board of standard size',
      'memory-module',
      { memory: { module: 'registered' }, motherboard: { formFactor: 'micro-ATX' } },
    ],
    [
      'four modules for two slots',
      'memory-slots',
      { memory: { kitCount: 4 }, motherboard: { memorySlots: 2 } },
    ],
    [
      'two kits for two slots',
      'memory-slots',
      { motherboard: { memorySlots: 2 } },
      [memory({ kitCount: 2, capacityGb: 16 })],
    ],
    [
      'more memory than the board takes',
      'memory-capacity',
      { memory: { capacityGb: 64 }, motherboard: { maxMemoryGb: 32 } },
    ],
    [
      'a module larger than a slot takes',
      'memory-capacity',
      { memory: { capacityGb: 64, kitCount: 2 }, motherboard: { maxMemoryGb: 64, memorySlots: 4 } },
    ],
    [
      'a module larger than the board states',
      'memory-capacity',
      { memory: { capacityGb: 64, kitCount: 2 }, motherboard: { maxModuleGb: 16 } },
    ],
    ['no picture', 'cpu-graphics', { graphics: null }],
    ['nothing cools the CPU', 'no-cooler', { cooler: null }],
    ['two CPUs on one socket', 'one-only', {}, [partOf('cpu', { socket: 'SF-3', limitW: 65 }, 'second')]],
    ['two boards', 'one-only', {}, [partOf('motherboard', { socket: 'SF-3' }, 'second')]],
    ['two cases', 'one-only', {}, [partOf('case', { boardSizes: ['ATX'] }, 'second')]],
    ['two supplies', 'one-only', {}, [partOf('supply', { ratedW: 500 }, 'second')]],
    ['a board too large', 'board-size', { motherboard: { formFactor: 'ATX' } }],
    ['a board of own size', 'board-size', { motherboard: { formFactor: 'Desk own' } }],
    ['a card too long', 'card-length', { graphics: { lengthMm: 330 } }],
    ['a card too thick', 'card-thickness', { graphics: { slotsThick: 3 }, case: { cardSlots: 2 } }],
    ['two cards too thick together', 'card-thickness', { case: { cardSlots: 3 } }, [card({})]],
    ['a full card in a slim case', 'card-low-profile', { case: { lowProfileOnly: true } }],
    ['a cooler too high', 'cooler-height', { cooler: { heightMm: 165 } }],
    ['a cooler for other sockets', 'cooler-socket', { cooler: { coolerSockets: ['TD-B'] } }],
    ['a cooler without mount', 'cooler-mount', { cooler: { mountIncluded: false } }],
    ['a radiator too long', 'radiator-place', { cooler: { radiatorMm: 360 } }],
    ['280 mm where 360 goes', 'radiator-place', { cooler: { radiatorMm: 280 }, case: { radiatorMm: 360 } }],
    ['140 mm where 240 goes', 'radiator-place', { cooler: { radiatorMm: 140 } }],
    [
      'hard drives without a bay',
      'drive-bays',
      { case: { bays35: 0 } },
      [drive({ drive: 'hdd', interface: 'sata' })],
    ],
    ['a large supply in a slim case', 'supply-shape', { case: { supplyShapes: ['TFX'] } }],
    ['a supply too long', 'supply-length', { supply: { lengthMm: 200 } }],
    [
      'two cards on a board with one slot',
      'slots-covered',
      { motherboard: { expansionSlots: 1 } },
      [card({})],
    ],
    [
      'two cards on a mini-ITX board',
      'slots-covered',
      { motherboard: { formFactor: 'mini-ITX', expansionSlots: undefined } as never },
      [card({})],
    ],
    [
      'a wireless card under a thick one',
      'slots-covered',
      { motherboard: { expansionSlots: 2 } },
      [extra({ takesSlot: true })],
    ],
    ['no lead for the card', 'card-leads', bareSupply],
    ['a 6-pin lead for an 8-pin socket', 'card-leads', { supply: { eightPinLeads: 0, sixPinLeads: 2 } }],
    ['two cards, leads for one', 'card-leads', { supply: { eightPinLeads: 1 } }, [card({})]],
    [
      'a 12 + 4-pin plug and no such lead',
      'card-leads',
      { graphics: { eightPinLeads: 0, sixteenPinLeads: 1 }, supply: { sixteenPinLeads: 0 } },
    ],
    [
      'no 8-pin lead, 6-pin count unknown',
      'card-leads',
      { supply: { eightPinLeads: 0, sixPinLeads: undefined } as never },
    ],
    [
      '200 W through a SATA plug',
      'adapter-load',
      { ...bareSupply, graphics: hot },
      [adapter('SATA', '8-pin')],
    ],
    [
      '200 W through a SATA plug that promises 150',
      'adapter-load',
      { ...bareSupply, graphics: hot },
      [adapter('sata', '8-pin', { carriesW: 150 })],
    ],
    [
      '200 W through two SATA plugs on one cable',
      'adapter-load',
      { ...bareSupply, graphics: hot },
      [adapter('sata', '8-pin', { plugs: 2, plugsApart: false })],
    ],
    [
      '200 W through two SATA plugs apart',
      'adapter-load',
      { ...bareSupply, graphics: hot },
      [adapter('2 x SATA', '8-pin', { plugsApart: true })],
    ],
    ['150 W through a drive plug', 'adapter-load', bareSupply, [adapter('molex 4-pin', '8-pin')]],
    [
      '250 W through a 6-pin lead',
      'adapter-load',
      { supply: { eightPinLeads: 0, sixPinLeads: 1 }, graphics: { boardPowerW: 250 } },
      [adapter('6-pin', '8-pin')],
    ],
    [
      'an adapter with no SATA plug left',
      'card-leads',
      { supply: { eightPinLeads: 0, sataLeads: 0 } },
      [adapter('sata', '8-pin')],
    ],
    [
      'two 120 W cards, the second on SATA',
      'adapter-load',
      { supply: { eightPinLeads: 1 } },
      [card({ boardPowerW: 170 }), adapter('sata', '8-pin')],
    ],
    ['120 W from the slot alone', 'slot-power', { graphics: { boardPowerW: 120, eightPinLeads: 0 } }],
    [
      '60 W where the slot gives 35',
      'slot-power',
      { graphics: { boardPowerW: 60, eightPinLeads: 0 }, motherboard: { slotW: 35 } },
    ],
    ['a supply below the draw', 'supply-size', { supply: { ratedW: 220 } }],
    ['a supply that was once enough', 'supply-size', { supply: { ratedW: 300, year: 2006 } }],
    ['12 V for less than CPU and card', 'supply-twelve', { supply: { twelveVoltW: 180 } }],
    ['leads of another supply', 'supply-leads', { supply: { ownLeads: false } }],
    ['no CPU lead at all', 'cpu-leads', { supply: { cpuLeads: 0 } }],
    [
      'a 4-pin lead for 170 W',
      'cpu-leads',
      { cpu: { limitW: 170 }, supply: { cpuLeads: 0, cpuFourPinLeads: 1 } },
    ],
    ['a main plug of the maker’s own', 'main-plug', { supply: { mainPlug: 'Desk' } }],
    ['NVMe in a slot for SATA', 'm2-kind', { motherboard: { m2Nvme: false } }],
    [
      'SATA in a slot for NVMe',
      'm2-kind',
      { storage: { interface: 'sata', driveShape: 'M.2' }, motherboard: { m2Sata: false } },
    ],
    ['NVMe without a slot', 'm2-slots', { motherboard: { m2Slots: 0 } }],
    [
      'firmware that will never know the CPU',
      'board-firmware',
      { cpu: { firmwareNeeded: 9 }, motherboard: { firmwareNewest: 7 } },
    ],
    [
      'firmware that cannot be flashed',
      'board-firmware',
      { motherboard: { firmwareLevel: 1, flashWithoutCpu: false } },
    ],
    ['a password on the firmware', 'firmware-locked', { motherboard: { firmwareLocked: true } }],
    [
      'more SATA drives than ports',
      'sata-ports',
      { motherboard: { sataPorts: 1 } },
      [drive({ drive: 'ssd', interface: 'sata' }), drive({ drive: 'ssd', interface: 'sata' }, 'third')],
    ],
  ])('%s: %s', (_, rule, changes, more = [], brief = {}) => {
    expect(standing(machineWith(changes, more), rule, brief)).toBe('stops')
  })
})

describe('machines that work: nothing stops, and nothing of the rule named is worse than said', () => {
  test.each<[string, string, string, Changes, Part[]?, Partial<FitBrief>?]>([
    ['the sound machine', 'supply-size', 'passed', {}],
    [
      'a mini-ITX board in a micro-ATX case',
      'board-size',
      'passed',
      { motherboard: { formFactor: 'mini-ITX' }, case: { boardSizes: ['micro-ATX'] } },
    ],
    ['a micro-ATX board in an E-ATX case', 'board-size', 'passed', { case: { boardSizes: ['E-ATX'] } }],
    ['sockets spelled otherwise', 'cpu-socket', 'passed', { cpu: { socket: 'sf3' } }],
    [
      'a cooler that names its socket otherwise',
      'cooler-socket',
      'passed',
      { cooler: { coolerSockets: ['SF3'] } },
    ],
    ['a second CPU lead that is not needed', 'cpu-leads', 'hints', { motherboard: { cpuLeads: 2 } }],
    ['a 4-pin lead for 65 W', 'cpu-leads', 'hints', { supply: { cpuLeads: 0, cpuFourPinLeads: 1 } }],
    [
      'a small supply with its plate',
      'supply-shape',
      'passed',
      { supply: { supplyShape: 'SFX' } },
      [extra({ fixes: 'plate' })],
    ],
    ['a small supply that needs its plate', 'supply-shape', 'needs', { supply: { supplyShape: 'SFX' } }],
    [
      'peaks only',
      'supply-peak',
      'needs',
      { graphics: { boardPowerW: 220, transientFactor: 2.6 }, supply: { ratedW: 550 } },
    ],
    ['one fan under 250 W', 'airflow', 'passed', { case: { fans: 1 } }],
    [
      '240 W with a card of 75 W',
      'supply-size',
      'hints',
      { graphics: { boardPowerW: 75, eightPinLeads: 0 }, supply: { ratedW: 240, eightPinLeads: 0 } },
    ],
    [
      'no fan under 60 W',
      'airflow',
      'passed',
      {
        graphics: null,
        cpu: { limitW: 10, integratedGraphics: true },
        memory: { kitCount: 1 },
        case: { fans: 0 },
      },
    ],
    [
      'warm, without plugs',
      'airflow',
      'costs',
      { graphics: { boardPowerW: 75, eightPinLeads: 0 }, case: { fans: 0 } },
    ],
    ['no fan and a card with plugs', 'airflow', 'needs', { case: { fans: 0 } }],
    [
      'an 8-pin lead feeds a 6-pin socket',
      'card-leads',
      'passed',
      { graphics: { eightPinLeads: 0, sixPinLeads: 1 } },
    ],
    [
      'a 12 + 4-pin plug with its lead',
      'card-leads',
      'passed',
      { graphics: { eightPinLeads: 0, sixteenPinLeads: 1 }, supply: { sixteenPinLeads: 1 } },
    ],
    [
      'a 75 W card with one 6-pin, on SATA',
      'adapter-load',
      'needs',
      { ...bareSupply, graphics: { boardPowerW: 75, eightPinLeads: 0, sixPinLeads: 1 } },
      [adapter('sata', '6-pin')],
    ],
    [
      'a 60 W card with one 6-pin, on SATA',
      'adapter-load',
      'passed',
      { ...bareSupply, graphics: { boardPowerW: 60, eightPinLeads: 0, sixPinLeads: 1 } },
      [adapter('sata', '6-pin')],
    ],
    [
      'a 6-pin lead under 130 W',
      'adapter-load',
      'needs',
      { supply: { eightPinLeads: 0, sixPinLeads: 1 } },
      [adapter('6-pin', '8-pin')],
    ],
    ['an adapter that is not used', 'adapter-load', 'passed', { graphics: hot }, [adapter('sata', '8-pin')]],
    ['75 W from the slot', 'slot-power', 'passed', { graphics: { boardPowerW: 75, eightPinLeads: 0 } }],
    ['a card with plugs where the slot gives 66', 'slot-power', 'passed', { motherboard: { slotW: 66 } }],
    [
      '240 mm where 280 goes',
      'radiator-place',
      'passed',
      { cooler: { radiatorMm: 240 }, case: { radiatorMm: 280 } },
    ],
    ['120 mm where 240 goes', 'radiator-place', 'passed', { cooler: { radiatorMm: 120 } }],
    [
      'two CPUs on a board with two sockets',
      'one-only',
      'passed',
      { motherboard: { cpuSockets: 2 }, cpu: { limitW: 40 } },
      [partOf('cpu', { socket: 'SF-3', limitW: 40, firmwareNeeded: 1 }, 'second')],
    ],
    [
      'an NVMe drive on a carrier',
      'm2-slots',
      'passed',
      { motherboard: { m2Slots: 0, m2Nvme: false } },
      [extra({ fixes: 'carrier', takesSlot: true })],
    ],
    [
      'an NVMe drive that is a card',
      'm2-slots',
      'passed',
      { storage: { driveShape: 'card' }, motherboard: { m2Slots: 0 } },
    ],
    [
      'M.2 that speaks SATA, and a slot that does',
      'm2-kind',
      'passed',
      { storage: { interface: 'sata', driveShape: 'M.2' }, motherboard: { m2Sata: true } },
    ],
    [
      'M.2 SATA needs no power lead',
      'sata-leads',
      'passed',
      {
        storage: { interface: 'sata', driveShape: 'M.2' },
        motherboard: { m2Sata: true },
        supply: { sataLeads: 0 },
      },
    ],
    [
      'a supply of twelve years, no card',
      'supply-age',
      'costs',
      { graphics: null, cpu: { integratedGraphics: true }, supply: { year: 2014 } },
    ],
    ['a supply of twelve years with a card', 'supply-age', 'needs', { supply: { year: 2014 } }],
    [
      'a supply without a mark, no card',
      'supply-age',
      'costs',
      { graphics: null, cpu: { integratedGraphics: true }, supply: { efficiency: 'none', twelveVoltW: 500 } },
    ],
    ['twenty-four pins into twenty', 'main-plug', 'passed', { motherboard: { mainPlug: 'ATX20' } }],
    ['twenty pins into twenty-four', 'main-plug', 'needs', { supply: { mainPlug: 'ATX20' } }],
    [
      'a screen by DisplayPort to HDMI',
      'screen-plugs',
      'passed',
      { graphics: { outputs: ['DisplayPort'] } },
      [adapter('DisplayPort', 'HDMI')],
      { screenPlugs: ['HDMI'] },
    ],
    [
      'a screen by HDMI to DisplayPort: one way only',
      'screen-plugs',
      'needs',
      { graphics: { outputs: ['HDMI'] } },
      [adapter('HDMI', 'DisplayPort')],
      { screenPlugs: ['DisplayPort'] },
    ],
    ['one module', 'memory-channels', 'costs', { memory: { kitCount: 1 } }],
    [
      'firmware to be flashed without a CPU',
      'board-firmware',
      'needs',
      { motherboard: { firmwareLevel: 1 } },
    ],
    [
      'a fan more with a place and a header',
      'fan-headers',
      'passed',
      { case: { fans: 2 } },
      [extra({ fans: 1 })],
    ],
    [
      'fans beyond their places',
      'fan-headers',
      'needs',
      { case: { fans: 2, fanPlaces: 2 } },
      [extra({ fans: 1 })],
    ],
  ])('%s: %s %s', (_, rule, expected, changes, more = [], brief = {}) => {
    const parts = machineWith(changes, more)
    expect(judged(parts, brief).findings.filter(({ severity }) => severity === 'stops')).toEqual([])
    expect(standing(parts, rule, brief)).toBe(expected)
  })
})

describe('machines of which one fact decides: it is asked for', () => {
  test.each<[string, string, Role, keyof PartFacts, Changes?, Part[]?]>([
    ['the CPU’s socket', 'cpu-socket', 'cpu', 'socket'],
    ['the memory’s generation', 'memory-generation', 'memory', 'memoryGeneration'],
    ['the kind of module', 'memory-module', 'memory', 'module'],
    [
      'the board’s modules, of own size',
      'memory-module',
      'motherboard',
      'module',
      { motherboard: { formFactor: 'own' }, case: { boardSizes: ['own'] } },
    ],
    ['how many modules', 'memory-slots', 'memory', 'kitCount'],
    ['whether a cooler comes with the CPU', 'no-cooler', 'cpu', 'coolerIncluded', { cooler: null }],
    ['whether the CPU draws', 'cpu-graphics', 'cpu', 'integratedGraphics', { graphics: null }],
    [
      'what the card draws, on an adapter',
      'adapter-load',
      'graphics',
      'boardPowerW',
      bareSupply,
      [adapter('sata', '8-pin')],
    ],
    [
      'what an adapter hangs on',
      'adapter-load',
      'extra',
      'feedsFrom',
      bareSupply,
      [adapter('sata', '8-pin')],
    ],
    [
      'what a lead of 12 + 4 pins carries',
      'adapter-load',
      'extra',
      'carriesW',
      { supply: { eightPinLeads: 0, sixteenPinLeads: 1 } },
      [adapter('12+4-pin', '8-pin', { carriesW: 300 })],
    ],
    ['the supply’s 8-pin leads', 'card-leads', 'supply', 'eightPinLeads'],
    ['the card’s 8-pin sockets', 'card-leads', 'graphics', 'eightPinLeads'],
    [
      'what the card draws, without plugs',
      'slot-power',
      'graphics',
      'boardPowerW',
      { graphics: { eightPinLeads: 0 } },
    ],
    ['the supply’s rating', 'supply-size', 'supply', 'ratedW'],
    ['what the CPU draws', 'supply-size', 'cpu', 'limitW', { supply: { ratedW: 240 } }],
    ['the supply’s age', 'supply-age', 'supply', 'year'],
    ['the label of an old supply', 'supply-twelve', 'supply', 'twelveVoltW', { supply: { year: 2012 } }],
    ['the supply’s CPU leads', 'cpu-leads', 'supply', 'cpuLeads'],
    [
      'whether M.2 takes SATA',
      'm2-kind',
      'motherboard',
      'm2Sata',
      { storage: { interface: 'sata', driveShape: 'M.2' } },
    ],
    ['how many fans', 'airflow', 'case', 'fans'],
    [
      'leads of 12 + 4 pins',
      'card-leads',
      'supply',
      'sixteenPinLeads',
      { graphics: { eightPinLeads: 0, sixteenPinLeads: 1 } },
    ],
  ])('%s: %s', (_, rule, role, fact, changes = {}, more = []) => {
    const parts = without(role, fact, changes, more)
    expect(standing(parts, rule)).toBe('open')
    const asked = judged(parts).cannotCheck.find(({ ruleId }) => ruleId === rule)!.unknown
    expect(asked.some(({ partId }) => parts.find(({ id }) => id === partId)?.role === role)).toBe(true)
  })

  test('two SATA plugs that may sit on one cable: open between what one and what both carry', () => {
    const parts = machineWith({ ...bareSupply, graphics: { boardPowerW: 130 } }, [
      adapter('dual SATA', '8-pin'),
    ])
    // 130 W less 45.5 W by the slot: 84.5 W, more than 54 and less than 108
    expect(standing(parts, 'adapter-load')).toBe('open')
  })
})

test('parts of which next to nothing is known: nothing is found that is not certain, and no rule falls over', () => {
  const bare = (
    ['cpu', 'motherboard', 'memory', 'graphics', 'storage', 'supply', 'case', 'cooler'] as const
  ).map((role) => partOf(role, {}))
  const report = judged(bare, { needs: ['wireless'], screenPlugs: ['HDMI'] })
  expect(report.findings).toEqual([])
  expect(report.cannotCheck.length).toBeGreaterThan(25)
  // one fact more of each pair, and still nothing is made up
  for (const part of bare)
    for (const [fact, value] of Object.entries(machineWith().find(({ role }) => role === part.role)!.facts)) {
      const { findings } = judged(
        bare.map((each) => (each === part ? { ...each, facts: { [fact]: value } } : each)),
      )
      expect(findings.filter(({ severity }) => severity === 'stops')).toEqual([])
    }
})
