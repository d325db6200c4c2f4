/** Jobs in a machine. `donor` is a complete old machine, `extra` everything that has no socket of its own. */
export const roles = [
  'cpu',
  'motherboard',
  'memory',
  'graphics',
  'storage',
  'supply',
  'case',
  'cooler',
  'donor',
  'extra',
] as const
export type Role = (typeof roles)[number]

/** Roles without which a machine does not start (graphics: unless the CPU brings its own). */
export const coreRoles = [
  'cpu',
  'motherboard',
  'memory',
  'graphics',
  'storage',
  'supply',
  'case',
  'cooler',
] as const satisfies readonly Role[]

/** Role as the builder says it. */
export const roleNames: Readonly<Record<Role, string>> = {
  cpu: 'CPU',
  motherboard: 'motherboard',
  memory: 'memory',
  graphics: 'graphics card',
  storage: 'storage',
  supply: 'power supply',
  case: 'case',
  cooler: 'cooler',
  donor: 'donor machine',
  extra: 'extra',
}

/**
 * The facts known of a part. Every fact may be missing, which means "not known", never a default: a rule that needs
 * it says "cannot check". Lengths in mm, powers in W, capacities in GB, indexes relative to 100.
 */
export interface PartFacts {
  // CPU and board
  readonly socket?: string
  readonly cores?: number
  readonly threads?: number
  readonly cpuIndex?: number
  /** Power limit of the CPU; on a board: the highest it feeds for long. */
  readonly limitW?: number
  readonly integratedGraphics?: boolean
  readonly unlocked?: boolean
  readonly overclocks?: boolean
  /** Level of firmware a CPU needs, and the one a board carries: whole numbers of the socket's own count. */
  readonly firmwareNeeded?: number
  readonly firmwareLevel?: number
  readonly flashWithoutCpu?: boolean
  readonly firmwareLocked?: boolean
  readonly systemListed?: boolean
  readonly securityModule?: boolean
  readonly formFactor?: string
  readonly memorySlots?: number
  readonly maxMemoryGb?: number
  readonly maxMemoryMts?: number
  readonly m2Slots?: number
  readonly m2Nvme?: boolean
  /** SATA ports that fall away where every M.2 slot is used. */
  readonly m2SharesSata?: number
  readonly sataPorts?: number
  readonly fanHeaders?: number
  readonly expansionSlots?: number
  readonly wireless?: boolean
  readonly shieldIncluded?: boolean
  readonly frontUsbC?: boolean
  // memory
  readonly memoryGeneration?: string
  readonly module?: 'desktop' | 'laptop'
  readonly capacityGb?: number
  readonly kitCount?: number
  readonly speedMts?: number
  // graphics
  readonly graphicsIndex?: number
  readonly vramGb?: number
  readonly boardPowerW?: number
  readonly transientFactor?: number
  readonly recommendedW?: number
  readonly lengthMm?: number
  readonly slotsThick?: number
  readonly lowProfile?: boolean
  readonly lowBracketIncluded?: boolean
  readonly outputs?: readonly string[]
  // supply and leads
  readonly ratedW?: number
  readonly efficiency?: 'none' | 'white' | 'bronze' | 'silver' | 'gold' | 'platinum'
  readonly sixPinLeads?: number
  readonly eightPinLeads?: number
  readonly cpuLeads?: number
  readonly sataLeads?: number
  readonly supplyShape?: string
  readonly mainPlug?: string
  readonly frontPlug?: string
  readonly modular?: boolean
  // case and cooler
  readonly boardSizes?: readonly string[]
  readonly supplyShapes?: readonly string[]
  readonly maxCardMm?: number
  readonly cardSlots?: number
  readonly lowProfileOnly?: boolean
  readonly maxCoolerMm?: number
  readonly maxSupplyMm?: number
  readonly radiatorMm?: number
  readonly bays35?: number
  readonly bays25?: number
  readonly glass?: boolean
  readonly panelMissing?: boolean
  readonly screwsMissing?: boolean
  readonly coolerSockets?: readonly string[]
  readonly coolerW?: number
  readonly heightMm?: number
  readonly memoryClearanceMm?: number
  readonly mountIncluded?: boolean
  readonly fans?: number
  readonly fanPlaces?: number
  // storage
  readonly interface?: 'sata' | 'nvme'
  readonly drive?: 'ssd' | 'hdd'
  // extras: what an adapter joins, what it may carry, what a small thing fixes
  readonly feedsFrom?: string
  readonly feedsTo?: string
  readonly carriesW?: number
  readonly fixes?:
    | 'shield'
    | 'panel'
    | 'screws'
    | 'fan-header'
    | 'bay'
    | 'front-plug'
    | 'mount'
    | 'low-bracket'
    | 'front-usb-c'
  readonly takesSlot?: boolean
  // any part
  readonly coolerIncluded?: boolean
  readonly colour?: string
  readonly year?: number
  /** Which of the brief's needs an extra covers. */
  readonly covers?: Need
  /** Parts of the library that a donor is made of. */
  readonly contains?: readonly string[]
}

/** Things a machine needs before it can be used, beyond what makes it start. */
export const needs = ['licence', 'keyboard-mouse', 'controller', 'screen-cable', 'wireless'] as const
export type Need = (typeof needs)[number]

export const needNames: Readonly<Record<Need, string>> = {
  licence: 'system licence',
  'keyboard-mouse': 'keyboard and mouse',
  controller: 'controller',
  'screen-cable': 'screen cable',
  wireless: 'wireless',
}

/** A model in the parts library. */
export interface Part {
  readonly id: string
  readonly role: Role
  readonly make: string
  readonly name: string
  readonly facts: PartFacts
}

/** Make and model, as written on the box. */
export function partLabel(part: Pick<Part, 'make' | 'name'>): string {
  return part.make === '' || part.name.startsWith(part.make) ? part.name : `${part.make} ${part.name}`
}
