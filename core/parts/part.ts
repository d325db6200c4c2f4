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
  donor: 'donor PC',
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
  /** The newest firmware there is for the board. */
  readonly firmwareNewest?: number
  readonly flashWithoutCpu?: boolean
  readonly firmwareLocked?: boolean
  readonly systemListed?: boolean
  readonly securityModule?: boolean
  readonly formFactor?: string
  readonly memorySlots?: number
  readonly maxMemoryGb?: number
  /** Largest single module a board takes. */
  readonly maxModuleGb?: number
  /** Fastest memory: of a board what it runs, of a CPU what its maker promises. */
  readonly maxMemoryMts?: number
  /** The only make of boards that a CPU from a maker's own machine starts on; empty: it starts on any. */
  readonly lockedToMake?: string
  readonly m2Slots?: number
  readonly m2Nvme?: boolean
  readonly m2Sata?: boolean
  /** Longest M.2 card that the board holds, mm. */
  readonly m2LongestMm?: number
  /** SATA ports that fall away where every M.2 slot is used. */
  readonly m2SharesSata?: number
  readonly sataPorts?: number
  readonly fanHeaders?: number
  readonly expansionSlots?: number
  /** What the card's slot gives, where it is not the usual 75 W. */
  readonly slotW?: number
  readonly cpuSockets?: number
  readonly wireless?: boolean
  readonly antennasIncluded?: boolean
  /** Whether a board lets a card see all its memory at once (resizable memory access), and whether a card is slow without. */
  readonly resizableMemory?: boolean
  readonly needsResizable?: boolean
  /** Still enrolled with a firm's management: it can lock itself once it is online. */
  readonly managed?: boolean
  readonly shieldIncluded?: boolean
  readonly frontUsbC?: boolean
  // memory
  readonly memoryGeneration?: string
  /** `registered`: server memory, which desktop boards do not start with. */
  readonly module?: 'desktop' | 'laptop' | 'registered'
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
  /** Whether what draws can upscale a smaller picture, and generate frames between two. */
  readonly upscales?: boolean
  readonly generatesFrames?: boolean
  readonly lowProfile?: boolean
  readonly lowBracketIncluded?: boolean
  readonly outputs?: readonly string[]
  // supply and leads
  readonly ratedW?: number
  readonly efficiency?: 'none' | 'white' | 'bronze' | 'silver' | 'gold' | 'platinum' | 'titanium'
  readonly sixPinLeads?: number
  readonly eightPinLeads?: number
  /** Plugs of 12 + 4 pins. */
  readonly sixteenPinLeads?: number
  /** 8-pin CPU leads (4 + 4). */
  readonly cpuLeads?: number
  /** CPU leads of 4 pins that join no others. */
  readonly cpuFourPinLeads?: number
  readonly sataLeads?: number
  readonly supplyShape?: string
  /** Watts of all 12 V rails together, from the label. */
  readonly twelveVoltW?: number
  /** Whether modular leads are the supply's own. */
  readonly ownLeads?: boolean
  /** Leads for cards that leave the supply as cables of their own; two plugs may hang on one. */
  readonly cardCables?: number
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
  /** Largest radiator that goes elsewhere than in front of the card. */
  readonly radiatorTopMm?: number
  /** Room over the slots up to the side panel, mm. */
  readonly cardHeightMm?: number
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
  /** Screwed through the board into the case that it came in. */
  readonly boltedToCase?: boolean
  readonly fans?: number
  readonly fanPlaces?: number
  readonly fanMm?: number
  /** What one fan draws, A. */
  readonly fanAmps?: number
  // storage
  readonly interface?: 'sata' | 'nvme'
  readonly drive?: 'ssd' | 'hdd'
  readonly driveShape?: '2.5' | '3.5' | 'M.2' | 'card'
  /** Length of an M.2 drive: 30, 42, 60, 80 or 110 mm. */
  readonly m2LengthMm?: number
  /** Share of the writes that a drive is rated for and that are used up, percent. */
  readonly wearPercent?: number
  /** PCIe lanes and version of a drive or a card; of a board: those of the slot for the card. */
  readonly lanes?: number
  readonly pcieVersion?: number
  // extras: what an adapter joins, what it may carry, what a small thing fixes
  readonly feedsFrom?: string
  /** Plugs an adapter hangs on, and whether they sit on leads of their own. */
  readonly plugs?: number
  readonly plugsApart?: boolean
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
    | 'plate'
    | 'carrier'
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
  licence: 'OS licence',
  'keyboard-mouse': 'keyboard and mouse',
  controller: 'controller',
  'screen-cable': 'display cable',
  wireless: 'wireless',
}

/** A model in the parts library. */
export interface Part {
  readonly id: string
  readonly role: Role
  readonly make: string
  readonly name: string
  readonly facts: PartFacts
  /** Not known which model it is: its facts count, the rest is unknown; see `openPart.ts`. */
  readonly open?: boolean
}

/** Make and model, as written on the box. */
export function partLabel(part: Pick<Part, 'make' | 'name'>): string {
  return part.make === '' || part.name.startsWith(part.make) ? part.name : `${part.make} ${part.name}`
}
