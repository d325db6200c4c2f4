import { needs, type PartFacts, type Role } from './part'

/** How one fact is written, shown and checked. */
export interface FactKind {
  readonly name: string
  readonly kind: 'number' | 'whole' | 'text' | 'yes-no' | 'texts' | 'choice'
  readonly unit?: string
  readonly choices?: readonly string[]
  /** Roles that have it; left out: any. */
  readonly roles?: readonly Role[]
  /** Named for the builder, not for the estimate: more is better, less is better, or neither. */
  readonly better?: 'more' | 'less'
}

const number = (name: string, roles: readonly Role[], unit?: string, better?: 'more' | 'less'): FactKind => ({
  name,
  kind: 'number',
  roles,
  ...(unit ? { unit } : {}),
  ...(better ? { better } : {}),
})
const whole = (name: string, roles: readonly Role[], better?: 'more' | 'less'): FactKind => ({
  name,
  kind: 'whole',
  roles,
  ...(better ? { better } : {}),
})
const text = (name: string, roles: readonly Role[]): FactKind => ({ name, kind: 'text', roles })
const yesNo = (name: string, roles: readonly Role[]): FactKind => ({ name, kind: 'yes-no', roles })
const texts = (name: string, roles: readonly Role[]): FactKind => ({ name, kind: 'texts', roles })
const choice = (name: string, roles: readonly Role[], choices: readonly string[]): FactKind => ({
  name,
  kind: 'choice',
  roles,
  choices,
})

/** Every fact a part may have: the one table that forms, validation, the fit check and its documentation read. */
export const factKinds: Readonly<Record<keyof PartFacts, FactKind>> = {
  socket: text('socket', ['cpu', 'motherboard', 'donor']),
  cores: whole('cores', ['cpu'], 'more'),
  threads: whole('threads', ['cpu'], 'more'),
  cpuIndex: number('CPU index', ['cpu'], undefined, 'more'),
  limitW: number('power limit', ['cpu', 'motherboard'], 'W'),
  integratedGraphics: yesNo('integrated graphics', ['cpu']),
  unlocked: yesNo('unlocked', ['cpu']),
  overclocks: yesNo('overclocks', ['motherboard']),
  firmwareNeeded: whole('BIOS version needed', ['cpu']),
  firmwareLevel: whole('BIOS version installed', ['motherboard']),
  firmwareNewest: whole('newest BIOS version', ['motherboard']),
  flashWithoutCpu: yesNo('BIOS update without a CPU', ['motherboard']),
  firmwareLocked: yesNo('BIOS locked', ['motherboard', 'donor']),
  systemListed: yesNo('on the OS support list', ['cpu']),
  securityModule: yesNo('TPM', ['motherboard']),
  formFactor: text('form factor', ['motherboard']),
  memorySlots: whole('memory slots', ['motherboard'], 'more'),
  maxMemoryGb: number('max memory', ['motherboard'], 'GB', 'more'),
  maxModuleGb: number('max module size', ['motherboard'], 'GB', 'more'),
  maxMemoryMts: number('max memory speed', ['motherboard', 'cpu'], 'MT/s', 'more'),
  lockedToMake: text('locked to brand', ['cpu']),
  m2Slots: whole('M.2 slots', ['motherboard'], 'more'),
  m2Nvme: yesNo('M.2 supports NVMe', ['motherboard']),
  m2Sata: yesNo('M.2 supports SATA', ['motherboard']),
  m2LongestMm: number('max M.2 length', ['motherboard'], 'mm', 'more'),
  m2SharesSata: whole('SATA ports disabled by M.2', ['motherboard'], 'less'),
  sataPorts: whole('SATA ports', ['motherboard'], 'more'),
  fanHeaders: whole('fan headers', ['motherboard'], 'more'),
  expansionSlots: whole('PCIe slots', ['motherboard'], 'more'),
  slotW: number('slot power', ['motherboard', 'donor'], 'W', 'more'),
  cpuSockets: whole('CPU sockets', ['motherboard']),
  wireless: yesNo('wireless', ['motherboard']),
  antennasIncluded: yesNo('antennas included', ['motherboard', 'extra']),
  resizableMemory: yesNo('resizable BAR', ['motherboard']),
  needsResizable: yesNo('slow without resizable BAR', ['graphics']),
  managed: yesNo('still managed by a company', ['motherboard', 'donor']),
  shieldIncluded: yesNo('I/O shield included', ['motherboard']),
  frontUsbC: yesNo('front USB-C', ['motherboard', 'case']),
  memoryGeneration: text('memory generation', ['memory', 'motherboard', 'donor']),
  module: choice('module type', ['memory', 'motherboard'], ['desktop', 'laptop', 'registered']),
  capacityGb: number('capacity', ['memory', 'storage'], 'GB', 'more'),
  kitCount: whole('modules per kit', ['memory']),
  speedMts: number('speed', ['memory'], 'MT/s', 'more'),
  graphicsIndex: number('graphics index', ['graphics', 'cpu'], undefined, 'more'),
  vramGb: number('video memory', ['graphics', 'cpu'], 'GB', 'more'),
  boardPowerW: number('board power', ['graphics'], 'W', 'less'),
  transientFactor: number('power spikes, × board power', ['graphics']),
  recommendedW: number('recommended PSU', ['graphics'], 'W', 'less'),
  lengthMm: number('length', ['graphics', 'supply'], 'mm', 'less'),
  slotsThick: number('thickness, slots', ['graphics'], undefined, 'less'),
  upscales: yesNo('upscales', ['graphics', 'cpu']),
  generatesFrames: yesNo('frame generation', ['graphics', 'cpu']),
  lowProfile: yesNo('low profile', ['graphics']),
  lowBracketIncluded: yesNo('low-profile bracket included', ['graphics']),
  outputs: texts('display outputs', ['graphics', 'cpu', 'motherboard']),
  ratedW: number('rated power', ['supply'], 'W', 'more'),
  efficiency: choice(
    '80 PLUS label',
    ['supply'],
    ['none', 'white', 'bronze', 'silver', 'gold', 'platinum', 'titanium'],
  ),
  sixPinLeads: whole('6-pin GPU connectors', ['supply', 'graphics']),
  eightPinLeads: whole('8-pin GPU connectors', ['supply', 'graphics']),
  sixteenPinLeads: whole('12 + 4-pin GPU connectors', ['supply', 'graphics']),
  cpuLeads: whole('8-pin CPU connectors', ['supply', 'motherboard']),
  cpuFourPinLeads: whole('4-pin CPU connectors', ['supply']),
  sataLeads: whole('SATA power connectors', ['supply'], 'more'),
  supplyShape: text('PSU form factor', ['supply', 'donor']),
  twelveVoltW: number('12 V rating', ['supply'], 'W', 'more'),
  ownLeads: yesNo('original cables', ['supply']),
  cardCables: whole('GPU cables', ['supply'], 'more'),
  mainPlug: text('main connector', ['supply', 'motherboard']),
  frontPlug: text('front-panel connector', ['case', 'motherboard']),
  modular: yesNo('modular', ['supply']),
  boardSizes: texts('motherboard form factors', ['case']),
  supplyShapes: texts('PSU form factors', ['case']),
  maxCardMm: number('max GPU length', ['case'], 'mm', 'more'),
  cardSlots: number('max GPU thickness, slots', ['case'], undefined, 'more'),
  lowProfileOnly: yesNo('low-profile cards only', ['case']),
  maxCoolerMm: number('max cooler height', ['case'], 'mm', 'more'),
  maxSupplyMm: number('max PSU length', ['case'], 'mm', 'more'),
  radiatorMm: number('radiator', ['case', 'cooler'], 'mm'),
  radiatorTopMm: number('radiator mounts other than front', ['case'], 'mm', 'more'),
  cardHeightMm: number('max card height', ['case'], 'mm', 'more'),
  bays35: whole('3.5-inch bays', ['case'], 'more'),
  bays25: whole('2.5-inch bays', ['case'], 'more'),
  glass: yesNo('glass side panel', ['case']),
  panelMissing: yesNo('panel missing', ['case']),
  screwsMissing: yesNo('screws missing', ['case']),
  coolerSockets: texts('supported sockets', ['cooler']),
  coolerW: number('rated heat (TDP)', ['cooler'], 'W', 'more'),
  heightMm: number('height', ['cooler', 'memory', 'graphics'], 'mm', 'less'),
  memoryClearanceMm: number('memory clearance', ['cooler'], 'mm', 'more'),
  mountIncluded: yesNo('mounting kit included', ['cooler']),
  boltedToCase: yesNo('bolted to its original case', ['cooler']),
  fans: whole('fans', ['case', 'extra'], 'more'),
  fanPlaces: whole('fan mounts', ['case'], 'more'),
  fanMm: number('fan size', ['case', 'extra'], 'mm'),
  fanAmps: number('fan current', ['case', 'extra'], 'A', 'less'),
  interface: choice('interface', ['storage'], ['sata', 'nvme']),
  drive: choice('drive type', ['storage'], ['ssd', 'hdd']),
  driveShape: choice('drive form factor', ['storage'], ['2.5', '3.5', 'M.2', 'card']),
  m2LengthMm: number('M.2 length', ['storage'], 'mm'),
  wearPercent: number('rated writes used', ['storage'], '%', 'less'),
  lanes: whole('PCIe lanes', ['storage', 'graphics', 'motherboard'], 'more'),
  pcieVersion: whole('PCIe version', ['storage', 'graphics', 'motherboard'], 'more'),
  feedsFrom: text('input connector type', ['extra']),
  plugs: whole('input connectors', ['extra']),
  plugsApart: yesNo('inputs on separate cables', ['extra']),
  feedsTo: text('output connector type', ['extra']),
  carriesW: number('rated for', ['extra'], 'W'),
  fixes: choice(
    'fixes',
    ['extra'],
    [
      'shield',
      'panel',
      'screws',
      'fan-header',
      'bay',
      'front-plug',
      'mount',
      'low-bracket',
      'front-usb-c',
      'plate',
      'carrier',
    ],
  ),
  takesSlot: yesNo('occupies a slot', ['extra']),
  coolerIncluded: yesNo('cooler included', ['cpu']),
  colour: { name: 'colour', kind: 'text' },
  year: { name: 'year', kind: 'whole', better: 'more' },
  covers: choice('covers', ['extra'], needs),
  contains: texts('contains', ['donor']),
}

export const factKeys = Object.keys(factKinds) as readonly (keyof PartFacts)[]

/** Facts that a part of this role may have, in the order of the table. */
export function factsOfRole(role: Role): (keyof PartFacts)[] {
  return factKeys.filter((key) => factKinds[key].roles === undefined || factKinds[key].roles.includes(role))
}

/** A fact in words: its value with its unit; `not known` where it is missing. */
export function factText(facts: PartFacts, key: keyof PartFacts): string {
  const value = facts[key]
  const { unit } = factKinds[key]
  if (value === undefined) return 'not known'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.join(', ')
  return `${String(value)}${unit ? ` ${unit}` : ''}`
}
