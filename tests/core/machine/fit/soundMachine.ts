import type { Part, PartFacts, Role } from '#core/parts/part'

/** A machine in which every fact is known and nothing clashes; tests change one thing of it. */
export const soundFacts: Readonly<Partial<Record<Role, PartFacts>>> = {
  cpu: {
    socket: 'SF-3',
    cores: 6,
    threads: 12,
    cpuIndex: 100,
    limitW: 65,
    integratedGraphics: false,
    unlocked: false,
    firmwareNeeded: 2,
    systemListed: true,
    coolerIncluded: false,
    year: 2022,
    outputs: [],
  },
  motherboard: {
    socket: 'SF-3',
    memoryGeneration: 'DDR4',
    module: 'desktop',
    memorySlots: 4,
    maxMemoryGb: 128,
    maxMemoryMts: 3600,
    formFactor: 'micro-ATX',
    m2Slots: 2,
    m2Nvme: true,
    m2SharesSata: 0,
    sataPorts: 4,
    fanHeaders: 3,
    expansionSlots: 4,
    wireless: true,
    shieldIncluded: true,
    frontUsbC: true,
    limitW: 120,
    overclocks: false,
    firmwareLevel: 3,
    flashWithoutCpu: true,
    firmwareLocked: false,
    securityModule: true,
    cpuLeads: 1,
    mainPlug: 'ATX24',
    frontPlug: 'usual',
    colour: 'white',
  },
  memory: {
    memoryGeneration: 'DDR4',
    module: 'desktop',
    capacityGb: 16,
    kitCount: 2,
    speedMts: 3200,
    heightMm: 34,
    colour: 'white',
  },
  graphics: {
    graphicsIndex: 100,
    vramGb: 8,
    boardPowerW: 130,
    sixPinLeads: 0,
    eightPinLeads: 1,
    lengthMm: 220,
    slotsThick: 2,
    lowProfile: false,
    lowBracketIncluded: true,
    outputs: ['HDMI', 'DisplayPort'],
    colour: 'white',
  },
  storage: { capacityGb: 1000, drive: 'ssd', interface: 'nvme' },
  supply: {
    ratedW: 550,
    efficiency: 'gold',
    sixPinLeads: 0,
    eightPinLeads: 2,
    cpuLeads: 1,
    sataLeads: 4,
    supplyShape: 'ATX',
    lengthMm: 140,
    mainPlug: 'ATX24',
    modular: true,
    year: 2024,
  },
  case: {
    boardSizes: ['micro-ATX', 'mini-ITX'],
    supplyShapes: ['ATX'],
    maxCardMm: 310,
    cardSlots: 4,
    lowProfileOnly: false,
    maxCoolerMm: 160,
    maxSupplyMm: 180,
    radiatorMm: 240,
    bays35: 2,
    bays25: 2,
    glass: true,
    panelMissing: false,
    screwsMissing: false,
    fans: 3,
    fanPlaces: 6,
    frontUsbC: true,
    frontPlug: 'usual',
    colour: 'white',
  },
  cooler: {
    coolerSockets: ['SF-3', 'TD-B'],
    coolerW: 150,
    heightMm: 154,
    memoryClearanceMm: 40,
    mountIncluded: true,
    radiatorMm: 0,
    colour: 'white',
  },
}

export const partOf = (role: Role, facts: PartFacts, name = `the ${role}`): Part => ({
  id: `${role}-${name}`,
  role,
  make: 'Make',
  name,
  facts,
})

/** The sound machine with some facts changed; a role set to null is left out; extras come on top. */
export function machineWith(
  changes: Partial<Record<Role, PartFacts | null>> = {},
  more: readonly Part[] = [],
): Part[] {
  const parts = (Object.keys(soundFacts) as Role[]).flatMap((role) =>
    changes[role] === null ? [] : [partOf(role, { ...soundFacts[role], ...changes[role] })],
  )
  return [...parts, ...more]
}

/** The same without one fact. */
export function without(
  role: Role,
  fact: keyof PartFacts,
  changes: Partial<Record<Role, PartFacts | null>> = {},
  more: readonly Part[] = [],
): Part[] {
  return machineWith(changes, more).map((part) => {
    if (part.role !== role) return part
    const { [fact]: _gone, ...facts } = part.facts
    return { ...part, facts }
  })
}
