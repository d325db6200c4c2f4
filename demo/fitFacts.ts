import type { Part, PartFacts } from '../core/parts/part'

/**
 * The facts that the fit check reads, for each part of the made-up trade: by rules of thumb of that trade, the same
 * every time.
 */
export function fitFacts(part: Pick<Part, 'role' | 'name' | 'facts'>): PartFacts {
  const { role, name, facts } = part
  if (role === 'cpu') return cpuFacts(name, facts)
  if (role === 'motherboard') return boardFacts(name, facts)
  if (role === 'memory')
    return {
      heightMm: facts.module === 'laptop' ? 30 : (facts.speedMts ?? 0) >= 3600 ? 44 : 34,
      colour: 'black',
    }
  if (role === 'graphics') return cardFacts(name, facts)
  if (role === 'supply') return supplyFacts(name, facts)
  if (role === 'case') return caseFacts(name, facts)
  if (role === 'cooler') return coolerFacts(name, facts)
  return {}
}

function cpuFacts(name: string, { socket, year = 2016, integratedGraphics }: PartFacts): PartFacts {
  // the count of each socket's own firmware: what came later in its life needs more
  const needed = ['SF-3', 'TD-B'].includes(socket ?? '') ? (year >= 2023 ? 4 : year >= 2022 ? 3 : 1) : 1
  return {
    unlocked: name.endsWith('Open') || socket === 'SF-3',
    firmwareNeeded: needed,
    systemListed: year >= 2018,
    coolerIncluded: false,
    outputs: integratedGraphics ? ['HDMI', 'DisplayPort'] : [],
    ...(integratedGraphics
      ? {
          maxMemoryMts: promisedMts[socket ?? ''] ?? 2666,
          upscales: year >= 2020,
          generatesFrames: false,
        }
      : {}),
  }
}

/** Fastest memory that the makers promise, by socket. */
const promisedMts: Readonly<Record<string, number>> = {
  'SF-2': 2666,
  'SF-3': 3200,
  'TD-A': 2666,
  'TD-B': 3200,
}

function boardFacts(
  name: string,
  { socket, memoryGeneration, memorySlots = 2, formFactor, m2Slots = 0, mainPlug }: PartFacts,
): PartFacts {
  const isLarge = formFactor === 'ATX'
  const isYoung = ['SF-3', 'TD-B'].includes(socket ?? '')
  return {
    module: 'desktop',
    maxMemoryGb: memorySlots * (memoryGeneration === 'DDR3' ? 8 : memoryGeneration === 'DDR5' ? 48 : 32),
    maxMemoryMts:
      memoryGeneration === 'DDR3' ? 1600 : memoryGeneration === 'DDR5' ? 6400 : isYoung ? 3600 : 3200,
    m2Nvme: m2Slots > 0 && socket !== 'SF-1',
    m2SharesSata: m2Slots >= 2 && !isLarge ? 2 : 0,
    fanHeaders: mainPlug === 'Desk' ? 1 : isLarge ? 5 : formFactor === 'mini-ITX' ? 2 : 3,
    expansionSlots: isLarge ? 6 : formFactor === 'mini-ITX' ? 1 : 4,
    wireless: formFactor === 'mini-ITX' && isYoung,
    frontUsbC: isYoung && isLarge,
    limitW: mainPlug === 'Desk' ? 95 : isLarge ? 180 : formFactor === 'mini-ITX' ? 105 : 125,
    overclocks: isLarge && socket !== 'SF-1',
    firmwareLevel:
      name.includes('Five') || name.startsWith('N5')
        ? 4
        : name === 'N4 full' || name === 'Corbel micro'
          ? 2
          : 3,
    flashWithoutCpu: isLarge,
    firmwareLocked: false,
    securityModule: !['SF-1', 'TD-A'].includes(socket ?? ''),
    cpuLeads: isLarge && isYoung ? 2 : 1,
    mainPlug: mainPlug ?? 'ATX24',
    frontPlug: mainPlug === 'Desk' ? 'Desk' : 'usual',
    colour: name.includes('mini') ? 'white' : 'black',
  }
}

function cardFacts(name: string, { boardPowerW = 75, eightPinLeads = 0 }: PartFacts): PartFacts {
  const isSmall = boardPowerW <= 75
  return {
    lowProfile: isSmall,
    ...(isSmall ? { lowBracketIncluded: false } : {}),
    outputs: isSmall ? ['DisplayPort'] : ['HDMI', 'DisplayPort'],
    upscales: true,
    generatesFrames: boardPowerW >= 120,
    recommendedW: Math.ceil((boardPowerW * 1.6 + 200) / 50) * 50,
    colour: name.includes('Wide') || eightPinLeads > 1 ? 'white' : 'black',
  }
}

function supplyFacts(name: string, { ratedW = 0, supplyShape }: PartFacts): PartFacts {
  const isOld = name.includes('Desk') || name.includes('Low')
  return {
    efficiency: isOld ? 'white' : ratedW >= 750 ? 'gold' : supplyShape === 'SFX' ? 'gold' : 'bronze',
    cpuLeads: ratedW >= 650 ? 2 : 1,
    sataLeads: isOld ? 2 : 4,
    lengthMm:
      supplyShape === 'TFX'
        ? 175
        : supplyShape === 'SFX'
          ? 100
          : supplyShape === 'donor'
            ? 150
            : ratedW >= 750
              ? 160
              : 140,
    mainPlug: supplyShape === 'donor' ? 'Desk' : 'ATX24',
    modular: ratedW >= 650 || supplyShape === 'SFX',
    ...(name === '400 W' || name === 'Steadwell 400 W' ? { year: 2019 } : {}),
  }
}

function caseFacts(name: string, { boardSizes = [], fans = 1 }: PartFacts): PartFacts {
  const isSmall = !boardSizes.includes('micro-ATX')
  const isSlim = name.includes('Flat') || name.includes('slim')
  return {
    supplyShapes: name.includes('Desk')
      ? [isSlim ? 'TFX' : 'donor']
      : isSmall
        ? ['SFX']
        : isSlim
          ? ['TFX', 'SFX']
          : name.includes('White')
            ? ['SFX', 'TFX']
            : ['ATX', 'SFX'],
    cardSlots: isSlim ? 2 : isSmall ? 2.5 : 4,
    lowProfileOnly: isSlim,
    maxSupplyMm: isSmall ? 130 : 180,
    radiatorMm: isSmall || isSlim || name.includes('Desk') ? 0 : name.includes('Eight') ? 360 : 240,
    bays35: isSmall ? 0 : boardSizes.includes('ATX') ? 2 : 1,
    bays25: isSmall ? 1 : 2,
    glass: name.includes('Glass'),
    fanPlaces: fans + 2,
    frontUsbC: name.includes('Eight') || name.includes('Glass'),
    frontPlug: name.includes('Desk') ? 'Desk' : 'usual',
    colour: name.includes('White') ? 'white' : 'black',
  }
}

function coolerFacts(name: string, { heightMm = 0 }: PartFacts): PartFacts {
  return {
    memoryClearanceMm: heightMm > 100 ? 42 : 48,
    radiatorMm: name.includes('Water') ? 240 : 0,
    colour: 'black',
  }
}
