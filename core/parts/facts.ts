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
  integratedGraphics: yesNo('graphics of its own', ['cpu']),
  unlocked: yesNo('unlocked', ['cpu']),
  overclocks: yesNo('overclocks', ['motherboard']),
  firmwareNeeded: whole('firmware it needs', ['cpu']),
  firmwareLevel: whole('firmware on it', ['motherboard']),
  firmwareNewest: whole('newest firmware for it', ['motherboard']),
  flashWithoutCpu: yesNo('flashed without a CPU', ['motherboard']),
  firmwareLocked: yesNo('firmware locked', ['motherboard', 'donor']),
  systemListed: yesNo('on the list of the operating system', ['cpu']),
  securityModule: yesNo('security module', ['motherboard']),
  formFactor: text('size of board', ['motherboard']),
  memorySlots: whole('memory slots', ['motherboard'], 'more'),
  maxMemoryGb: number('most memory', ['motherboard'], 'GB', 'more'),
  maxModuleGb: number('largest module', ['motherboard'], 'GB', 'more'),
  maxMemoryMts: number('fastest memory', ['motherboard', 'cpu'], 'MT/s', 'more'),
  lockedToMake: text('starts only on boards of', ['cpu']),
  m2Slots: whole('M.2 slots', ['motherboard'], 'more'),
  m2Nvme: yesNo('M.2 takes NVMe', ['motherboard']),
  m2Sata: yesNo('M.2 takes SATA', ['motherboard']),
  m2LongestMm: number('longest M.2 card', ['motherboard'], 'mm', 'more'),
  m2SharesSata: whole('SATA ports lost to M.2', ['motherboard'], 'less'),
  sataPorts: whole('SATA ports', ['motherboard'], 'more'),
  fanHeaders: whole('fan headers', ['motherboard'], 'more'),
  expansionSlots: whole('slots for cards', ['motherboard'], 'more'),
  slotW: number('slot gives', ['motherboard', 'donor'], 'W', 'more'),
  cpuSockets: whole('CPU sockets', ['motherboard']),
  wireless: yesNo('wireless', ['motherboard']),
  antennasIncluded: yesNo('antennas there', ['motherboard', 'extra']),
  resizableMemory: yesNo('resizable memory access', ['motherboard']),
  needsResizable: yesNo('slow without resizable memory access', ['graphics']),
  managed: yesNo('still managed by a firm', ['motherboard', 'donor']),
  shieldIncluded: yesNo('shield there', ['motherboard']),
  frontUsbC: yesNo('front USB-C', ['motherboard', 'case']),
  memoryGeneration: text('memory generation', ['memory', 'motherboard', 'donor']),
  module: choice('kind of module', ['memory', 'motherboard'], ['desktop', 'laptop', 'registered']),
  capacityGb: number('capacity', ['memory', 'storage'], 'GB', 'more'),
  kitCount: whole('modules in the kit', ['memory']),
  speedMts: number('speed', ['memory'], 'MT/s', 'more'),
  graphicsIndex: number('graphics index', ['graphics', 'cpu'], undefined, 'more'),
  vramGb: number('video memory', ['graphics', 'cpu'], 'GB', 'more'),
  boardPowerW: number('board power', ['graphics'], 'W', 'less'),
  transientFactor: number('short peaks, times', ['graphics']),
  recommendedW: number('supply its maker asks for', ['graphics'], 'W', 'less'),
  lengthMm: number('length', ['graphics', 'supply'], 'mm', 'less'),
  slotsThick: number('slots thick', ['graphics'], undefined, 'less'),
  upscales: yesNo('upscales', ['graphics', 'cpu']),
  generatesFrames: yesNo('generates frames', ['graphics', 'cpu']),
  lowProfile: yesNo('low profile', ['graphics']),
  lowBracketIncluded: yesNo('low bracket there', ['graphics']),
  outputs: texts('screen outputs', ['graphics', 'cpu', 'motherboard']),
  ratedW: number('rated', ['supply'], 'W', 'more'),
  efficiency: choice(
    '80 PLUS label',
    ['supply'],
    ['none', 'white', 'bronze', 'silver', 'gold', 'platinum', 'titanium'],
  ),
  sixPinLeads: whole('6-pin card leads', ['supply', 'graphics']),
  eightPinLeads: whole('8-pin card leads', ['supply', 'graphics']),
  sixteenPinLeads: whole('12 + 4-pin card leads', ['supply', 'graphics']),
  cpuLeads: whole('8-pin CPU leads', ['supply', 'motherboard']),
  cpuFourPinLeads: whole('4-pin CPU leads', ['supply']),
  sataLeads: whole('SATA power leads', ['supply'], 'more'),
  supplyShape: text('shape of supply', ['supply', 'donor']),
  twelveVoltW: number('12 V by its label', ['supply'], 'W', 'more'),
  ownLeads: yesNo('leads are its own', ['supply']),
  cardCables: whole('cables for cards', ['supply'], 'more'),
  mainPlug: text('main plug', ['supply', 'motherboard']),
  frontPlug: text('front-panel plug', ['case', 'motherboard']),
  modular: yesNo('leads come off', ['supply']),
  boardSizes: texts('sizes of board it takes', ['case']),
  supplyShapes: texts('shapes of supply it takes', ['case']),
  maxCardMm: number('longest card', ['case'], 'mm', 'more'),
  cardSlots: number('slots for a card', ['case'], undefined, 'more'),
  lowProfileOnly: yesNo('low cards only', ['case']),
  maxCoolerMm: number('highest cooler', ['case'], 'mm', 'more'),
  maxSupplyMm: number('longest supply', ['case'], 'mm', 'more'),
  radiatorMm: number('radiator', ['case', 'cooler'], 'mm'),
  radiatorTopMm: number('radiator elsewhere than in front', ['case'], 'mm', 'more'),
  cardHeightMm: number('room over the slots', ['case'], 'mm', 'more'),
  bays35: whole('3.5 inch bays', ['case'], 'more'),
  bays25: whole('2.5 inch bays', ['case'], 'more'),
  glass: yesNo('glass side', ['case']),
  panelMissing: yesNo('panel missing', ['case']),
  screwsMissing: yesNo('screws missing', ['case']),
  coolerSockets: texts('sockets it mounts on', ['cooler']),
  coolerW: number('rated for heat of', ['cooler'], 'W', 'more'),
  heightMm: number('height', ['cooler', 'memory', 'graphics'], 'mm', 'less'),
  memoryClearanceMm: number('room over memory', ['cooler'], 'mm', 'more'),
  mountIncluded: yesNo('mount there', ['cooler']),
  boltedToCase: yesNo('screwed into its own case', ['cooler']),
  fans: whole('fans', ['case', 'extra'], 'more'),
  fanPlaces: whole('places for fans', ['case'], 'more'),
  fanMm: number('size of its fans', ['case', 'extra'], 'mm'),
  fanAmps: number('draw of a fan', ['case', 'extra'], 'A', 'less'),
  interface: choice('interface', ['storage'], ['sata', 'nvme']),
  drive: choice('kind of drive', ['storage'], ['ssd', 'hdd']),
  driveShape: choice('shape of drive', ['storage'], ['2.5', '3.5', 'M.2', 'card']),
  m2LengthMm: number('length of the M.2 card', ['storage'], 'mm'),
  wearPercent: number('writes used up', ['storage'], '%', 'less'),
  lanes: whole('PCIe lanes', ['storage', 'graphics', 'motherboard'], 'more'),
  pcieVersion: whole('PCIe version', ['storage', 'graphics', 'motherboard'], 'more'),
  feedsFrom: text('fed by', ['extra']),
  plugs: whole('plugs it hangs on', ['extra']),
  plugsApart: yesNo('its plugs sit on leads of their own', ['extra']),
  feedsTo: text('feeds', ['extra']),
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
  takesSlot: yesNo('takes a slot', ['extra']),
  coolerIncluded: yesNo('comes with a cooler', ['cpu']),
  colour: { name: 'colour', kind: 'text' },
  year: { name: 'year', kind: 'whole', better: 'more' },
  covers: choice('covers', ['extra'], needs),
  contains: texts('made of', ['donor']),
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
