import type { FitBrief } from '#core/machine/fit/finding'
import type { Part, PartFacts, Role } from '#core/parts/part'
import { machineWith, partOf, without } from './soundMachine'

export type Changes = Partial<Record<Role, PartFacts | null>>
export interface RuleCase {
  /** What must hold for the rule to be asked at all. */
  readonly given?: Changes
  readonly brief?: Partial<FitBrief>
  readonly extras?: readonly Part[]
  readonly clash: Changes
  /** What is there only where it clashes. */
  readonly clashExtras?: readonly Part[]
  /** The fact that is taken away; null: the rule reads none that can be missing. */
  readonly unknown: readonly [Role, keyof PartFacts] | null
}
export const drive = (name: string, facts: PartFacts) =>
  partOf('storage', { capacityGb: 1000, ...facts }, name)
export const extra = (name: string, facts: PartFacts) => partOf('extra', facts, name)

/** Every rule: it passes in the sound machine, clashes with one thing changed, and says so where a fact is not known. */
export const cases: Readonly<Record<string, RuleCase>> = {
  'cpu-socket': { clash: { cpu: { socket: 'TD-B' } }, unknown: ['cpu', 'socket'] },
  'board-firmware': {
    clash: { motherboard: { firmwareLevel: 1 } },
    unknown: ['motherboard', 'firmwareLevel'],
  },
  'memory-generation': {
    clash: { memory: { memoryGeneration: 'DDR5' } },
    unknown: ['motherboard', 'memoryGeneration'],
  },
  'memory-module': { clash: { memory: { module: 'laptop' } }, unknown: ['memory', 'module'] },
  'memory-slots': { clash: { motherboard: { memorySlots: 1 } }, unknown: ['memory', 'kitCount'] },
  'memory-capacity': { clash: { memory: { capacityGb: 256 } }, unknown: ['motherboard', 'maxMemoryGb'] },
  'memory-speed': { clash: { memory: { speedMts: 4000 } }, unknown: ['memory', 'speedMts'] },
  'memory-channels': { clash: { memory: { kitCount: 1 } }, unknown: ['memory', 'kitCount'] },
  'memory-mixed': {
    extras: [partOf('memory', { speedMts: 3200, memoryGeneration: 'DDR4' }, 'second kit')],
    clash: { memory: { speedMts: 2666 } },
    unknown: ['memory', 'speedMts'],
  },
  'memory-slots-full': {
    clash: { motherboard: { memorySlots: 2 } },
    unknown: ['motherboard', 'memorySlots'],
  },
  'cpu-unlocked': { clash: { cpu: { unlocked: true } }, unknown: ['cpu', 'unlocked'] },
  'cpu-graphics': {
    given: { graphics: null, cpu: { integratedGraphics: true } },
    clash: { graphics: null, cpu: { integratedGraphics: false } },
    unknown: ['cpu', 'integratedGraphics'],
  },
  'shared-memory': {
    given: { graphics: null, cpu: { integratedGraphics: true } },
    clash: { graphics: null, cpu: { integratedGraphics: true }, memory: { capacityGb: 8 } },
    unknown: ['memory', 'capacityGb'],
  },
  'board-feeds-cpu': { clash: { cpu: { limitW: 125 } }, unknown: ['motherboard', 'limitW'] },
  'security-module': {
    brief: { needsSecurityModule: true },
    clash: { motherboard: { securityModule: false } },
    unknown: ['motherboard', 'securityModule'],
  },
  'system-listed': {
    brief: { needsSecurityModule: true },
    clash: { cpu: { systemListed: false } },
    unknown: ['cpu', 'systemListed'],
  },
  'board-size': { clash: { motherboard: { formFactor: 'ATX' } }, unknown: ['case', 'boardSizes'] },
  'card-length': { clash: { graphics: { lengthMm: 311 } }, unknown: ['graphics', 'lengthMm'] },
  'card-thickness': { clash: { case: { cardSlots: 1 } }, unknown: ['case', 'cardSlots'] },
  'card-low-profile': { clash: { case: { lowProfileOnly: true } }, unknown: null },
  'low-bracket': {
    given: { case: { lowProfileOnly: true }, graphics: { lowProfile: true } },
    clash: { case: { lowProfileOnly: true }, graphics: { lowProfile: true, lowBracketIncluded: false } },
    unknown: ['graphics', 'lowBracketIncluded'],
  },
  'cooler-height': { clash: { cooler: { heightMm: 161 } }, unknown: ['cooler', 'heightMm'] },
  'cooler-socket': { clash: { cooler: { coolerSockets: ['TD-B'] } }, unknown: ['cooler', 'coolerSockets'] },
  'cooler-mount': { clash: { cooler: { mountIncluded: false } }, unknown: ['cooler', 'mountIncluded'] },
  'cooler-over-memory': { clash: { memory: { heightMm: 44 } }, unknown: ['memory', 'heightMm'] },
  'radiator-place': {
    given: { cooler: { radiatorMm: 240 } },
    clash: { cooler: { radiatorMm: 360 } },
    unknown: ['case', 'radiatorMm'],
  },
  'drive-bays': {
    extras: [drive('a disk', { drive: 'hdd', interface: 'sata' })],
    clash: { case: { bays35: 0 } },
    clashExtras: [drive('another disk', { drive: 'hdd', interface: 'sata' })],
    unknown: ['case', 'bays35'],
  },
  'small-drive-mount': {
    extras: [drive('a small drive', { drive: 'ssd', interface: 'sata' })],
    clash: { case: { bays25: 0 } },
    clashExtras: [drive('another small drive', { drive: 'ssd', interface: 'sata' })],
    unknown: ['case', 'bays25'],
  },
  'supply-shape': { clash: { supply: { supplyShape: 'SFX' } }, unknown: ['case', 'supplyShapes'] },
  'supply-length': { clash: { supply: { lengthMm: 181 } }, unknown: ['supply', 'lengthMm'] },
  'fan-headers': { clash: { motherboard: { fanHeaders: 2 } }, unknown: ['motherboard', 'fanHeaders'] },
  'slots-covered': {
    extras: [extra('a wireless card', { takesSlot: true })],
    clash: { motherboard: { expansionSlots: 2 } },
    unknown: ['motherboard', 'expansionSlots'],
  },
  'card-leads': { clash: { graphics: { eightPinLeads: 3 } }, unknown: ['supply', 'eightPinLeads'] },
  'cpu-leads': { clash: { motherboard: { cpuLeads: 2 } }, unknown: ['supply', 'cpuLeads'] },
  'adapter-load': {
    extras: [extra('adapter', { feedsFrom: '6-pin', feedsTo: '8-pin', carriesW: 75 })],
    given: { supply: { eightPinLeads: 0, sixPinLeads: 1 }, graphics: { boardPowerW: 100 } },
    clash: { supply: { eightPinLeads: 0, sixPinLeads: 1 }, graphics: { boardPowerW: 260 } },
    unknown: ['graphics', 'boardPowerW'],
  },
  'sata-leads': {
    clash: { supply: { sataLeads: 0 } },
    extras: [drive('a small drive', { drive: 'ssd', interface: 'sata' })],
    unknown: ['supply', 'sataLeads'],
  },
  'm2-slots': { clash: { motherboard: { m2Slots: 0 } }, unknown: ['motherboard', 'm2Slots'] },
  'm2-kind': { clash: { motherboard: { m2Nvme: false } }, unknown: ['motherboard', 'm2Nvme'] },
  'sata-ports': {
    clash: { motherboard: { m2Slots: 1, m2SharesSata: 4 } },
    extras: [drive('a small drive', { drive: 'ssd', interface: 'sata' })],
    unknown: ['motherboard', 'sataPorts'],
  },
  'main-plug': { clash: { supply: { mainPlug: 'Desk' } }, unknown: ['supply', 'mainPlug'] },
  'front-plug': { clash: { case: { frontPlug: 'Desk' } }, unknown: ['case', 'frontPlug'] },
  'screen-plugs': {
    brief: { screenPlugs: ['HDMI'] },
    clash: { graphics: { outputs: ['DisplayPort'] } },
    unknown: ['graphics', 'outputs'],
  },
  'front-usb': { clash: { motherboard: { frontUsbC: false } }, unknown: ['motherboard', 'frontUsbC'] },
  wireless: {
    brief: { needs: ['wireless'] },
    clash: { motherboard: { wireless: false } },
    unknown: ['motherboard', 'wireless'],
  },
  'slot-power': {
    clash: { graphics: { boardPowerW: 120, eightPinLeads: 0 } },
    unknown: ['graphics', 'boardPowerW'],
  },
  'supply-age': { clash: { supply: { year: 2012 } }, unknown: ['supply', 'year'] },
  'supply-twelve': {
    given: { supply: { year: 2012, twelveVoltW: 400 } },
    clash: { supply: { year: 2012, twelveVoltW: 120 } },
    unknown: ['supply', 'twelveVoltW'],
  },
  'supply-leads': {
    given: { supply: { ownLeads: true } },
    clash: { supply: { ownLeads: false } },
    unknown: null,
  },
  'one-only': { clash: {}, clashExtras: [partOf('supply', { ratedW: 300 }, 'second')], unknown: null },
  'supply-size': { clash: { supply: { ratedW: 350 } }, unknown: ['supply', 'ratedW'] },
  'supply-peak': {
    clash: { graphics: { boardPowerW: 220, transientFactor: 2.6 } },
    unknown: ['graphics', 'boardPowerW'],
  },
  shield: { clash: { motherboard: { shieldIncluded: false } }, unknown: ['motherboard', 'shieldIncluded'] },
  'firmware-locked': {
    clash: { motherboard: { firmwareLocked: true } },
    unknown: ['motherboard', 'firmwareLocked'],
  },
  licence: {
    brief: { needs: ['licence'] },
    extras: [extra('licence', { covers: 'licence' })],
    clash: {},
    unknown: null,
  },
  'panel-missing': { clash: { case: { panelMissing: true } }, unknown: ['case', 'panelMissing'] },
  'screws-missing': { clash: { case: { screwsMissing: true } }, unknown: ['case', 'screwsMissing'] },
  'cooler-capacity': { clash: { cooler: { coolerW: 66 } }, unknown: ['cooler', 'coolerW'] },
  'no-cooler': {
    given: { cooler: null, cpu: { coolerIncluded: true } },
    clash: { cooler: null, cpu: { coolerIncluded: false } },
    unknown: ['cpu', 'coolerIncluded'],
  },
  airflow: { clash: { case: { fans: 0 } }, unknown: ['case', 'fans'] },
  'oldest-cpu': { brief: { oldestCpuYear: 2019 }, clash: { cpu: { year: 2018 } }, unknown: ['cpu', 'year'] },
  'smallest-drive': {
    brief: { smallestDriveGb: 500 },
    clash: { storage: { capacityGb: 480 } },
    unknown: ['storage', 'capacityGb'],
  },
  'least-supply': {
    brief: { leastSupplyW: 550 },
    clash: { supply: { ratedW: 500 } },
    unknown: ['supply', 'ratedW'],
  },
  'avoided-makes': {
    brief: { avoidedMakes: ['Nonsuch'] },
    clash: {},
    clashExtras: [{ ...extra('copy', {}), make: 'Nonsuch' }],
    unknown: null,
  },
  colours: {
    brief: { colour: 'white' },
    clash: { graphics: { colour: 'black' } },
    unknown: ['case', 'colour'],
  },
  'cables-behind-glass': {
    brief: { cablesHidden: true },
    clash: { supply: { modular: false } },
    unknown: ['supply', 'modular'],
  },
  'cpu-make-lock': {
    given: { cpu: { lockedToMake: 'Make' } },
    clash: { cpu: { lockedToMake: 'Nonsuch' } },
    unknown: null,
  },
  'memory-profile': {
    given: { cpu: { maxMemoryMts: 3200 } },
    clash: { cpu: { maxMemoryMts: 2666 } },
    unknown: ['memory', 'speedMts'],
  },
  'memory-enough': { clash: { memory: { capacityGb: 8 } }, unknown: ['memory', 'capacityGb'] },
  'card-beside-radiator': {
    given: { cooler: { radiatorMm: 240 }, graphics: { lengthMm: 300 }, case: { radiatorTopMm: 240 } },
    clash: { cooler: { radiatorMm: 240 }, graphics: { lengthMm: 300 }, case: { radiatorTopMm: 120 } },
    unknown: ['case', 'radiatorTopMm'],
  },
  'card-height': {
    given: { graphics: { heightMm: 120 }, case: { cardHeightMm: 155 } },
    clash: { graphics: { heightMm: 121 }, case: { cardHeightMm: 155 } },
    unknown: ['graphics', 'heightMm'],
  },
  'card-cables': {
    given: { graphics: { boardPowerW: 300, eightPinLeads: 2 }, supply: { cardCables: 2 } },
    clash: { graphics: { boardPowerW: 300, eightPinLeads: 2 }, supply: { cardCables: 1 } },
    unknown: ['supply', 'cardCables'],
  },
  'slot-lanes': {
    given: {
      graphics: { lanes: 8, pcieVersion: 5 },
      motherboard: { lanes: 16, pcieVersion: 5 },
    },
    clash: {
      graphics: { lanes: 8, pcieVersion: 4 },
      motherboard: { lanes: 16, pcieVersion: 3 },
    },
    unknown: ['motherboard', 'pcieVersion'],
  },
  'resizable-memory': {
    given: { graphics: { needsResizable: true }, motherboard: { resizableMemory: true } },
    clash: { graphics: { needsResizable: true }, motherboard: { resizableMemory: false } },
    unknown: ['motherboard', 'resizableMemory'],
  },
  'm2-length': {
    given: { storage: { m2LengthMm: 110 }, motherboard: { m2LongestMm: 110 } },
    clash: { storage: { m2LengthMm: 80 }, motherboard: { m2LongestMm: 42 } },
    unknown: ['motherboard', 'm2LongestMm'],
  },
  'fan-current': {
    given: { case: { fans: 4, fanAmps: 0.3 } },
    clash: { case: { fans: 4, fanAmps: 0.9 } },
    unknown: ['motherboard', 'fanHeaders'],
  },
  antennas: {
    brief: { needs: ['wireless'] },
    clash: { motherboard: { antennasIncluded: false } },
    unknown: null,
  },
  managed: {
    given: { motherboard: { managed: false } },
    clash: { motherboard: { managed: true } },
    unknown: null,
  },
  'cooler-bolted': {
    given: { cooler: { boltedToCase: false } },
    clash: { cooler: { boltedToCase: true } },
    clashExtras: [{ ...partOf('case', {}, 'case of another make'), make: 'Nonsuch' }],
    unknown: null,
  },
  'drive-wear': {
    given: { storage: { wearPercent: 20 } },
    clash: { storage: { wearPercent: 85 } },
    unknown: null,
  },
}

/** The three machines of a rule: it passes, it clashes, and (where a fact can be missing) it cannot be asked. */
export function machinesOf(
  id: string,
  { given = {}, extras = [], clash, clashExtras = [], unknown }: RuleCase,
): { readonly passes: Part[]; readonly clashes: Part[]; readonly open: Part[] | null } {
  return {
    passes: machineWith(given, extras),
    // the licence is taken away where it clashes
    clashes: machineWith(clash, id === 'licence' ? [] : [...extras, ...clashExtras]),
    open: unknown ? without(unknown[0], unknown[1], given, extras) : null,
  }
}
