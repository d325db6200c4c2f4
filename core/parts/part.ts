/** Jobs in a machine. `donor` is a complete old machine, `extra` everything that has no socket of its own. */
export const roles = ['cpu', 'motherboard', 'memory', 'graphics', 'storage', 'supply', 'case', 'cooler', 'donor', 'extra'] as const
export type Role = (typeof roles)[number]

/** Roles without which a machine does not start (graphics: unless the CPU brings its own). */
export const coreRoles = ['cpu', 'motherboard', 'memory', 'graphics', 'storage', 'supply', 'case', 'cooler'] as const satisfies readonly Role[]

/** Role as the builder says it. */
export const roleNames: Readonly<Record<Role, string>> = {
  cpu: 'CPU', motherboard: 'motherboard', memory: 'memory', graphics: 'graphics card', storage: 'storage', supply: 'power supply',
  case: 'case', cooler: 'cooler', donor: 'donor machine', extra: 'extra',
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
  readonly limitW?: number
  readonly integratedGraphics?: boolean
  readonly formFactor?: string
  readonly memorySlots?: number
  readonly m2Slots?: number
  readonly sataPorts?: number
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
  readonly lengthMm?: number
  readonly slotsThick?: number
  readonly lowProfile?: boolean
  // supply and card leads
  readonly ratedW?: number
  readonly sixPinLeads?: number
  readonly eightPinLeads?: number
  readonly supplyShape?: string
  // case and cooler
  readonly boardSizes?: readonly string[]
  readonly maxCardMm?: number
  readonly maxCoolerMm?: number
  readonly coolerSockets?: readonly string[]
  readonly coolerW?: number
  readonly heightMm?: number
  readonly fans?: number
  // storage
  readonly interface?: 'sata' | 'nvme'
  readonly drive?: 'ssd' | 'hdd'
  // any part
  readonly coolerIncluded?: boolean
  readonly year?: number
  /** Which of the brief's needs an extra covers. */
  readonly covers?: Need
}

/** Things a machine needs before it can be used, beyond what makes it start. */
export const needs = ['licence', 'keyboard-mouse', 'controller', 'screen-cable', 'wireless'] as const
export type Need = (typeof needs)[number]

export const needNames: Readonly<Record<Need, string>> = {
  licence: 'system licence', 'keyboard-mouse': 'keyboard and mouse', controller: 'controller', 'screen-cable': 'screen cable', wireless: 'wireless',
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
