import type { Condition } from '../../reading/sales/soldRecord'
import { partLabel, type Part, type PartFacts, type Role } from '../../parts/part'
import type { FactState, WeighedComponent } from '../weighedMachine'

/** What is said of a machine bought ready made, as far as its seller says it. Null: not stated. */
export interface RivalParts {
  readonly cpuId: string | null
  readonly graphicsId: string | null
  readonly memoryGb: number | null
  readonly memoryModules: number | null
  readonly memoryMts: number | null
  readonly storageGb: number | null
  readonly storageKind: 'nvme' | 'sata' | 'hdd' | null
  readonly supplyW: number | null
  readonly supplyMake: string | null
}
export type RivalFactKey = keyof RivalParts

/** Each fact with the question that a buyer asks of its seller while it is not known. */
export const rivalFactNames: Readonly<
  Record<RivalFactKey, { readonly name: string; readonly question: string }>
> = {
  cpuId: { name: 'CPU', question: 'Which CPU is in it, by its full model name?' },
  graphicsId: {
    name: 'graphics card',
    question: 'Which graphics card is in it, with how much video memory?',
  },
  memoryGb: { name: 'memory size', question: 'How much memory is in it?' },
  memoryModules: { name: 'memory modules', question: 'Is the memory one module or two?' },
  memoryMts: { name: 'memory speed', question: 'At what speed does the memory run?' },
  storageGb: { name: 'drive size', question: 'How large is the drive?' },
  storageKind: { name: 'kind of drive', question: 'Is the drive NVMe, SATA or a hard disk?' },
  supplyW: { name: 'watts of the supply', question: 'How many watts does the power supply give?' },
  supplyMake: { name: 'make of the supply', question: 'Of which make is the power supply?' },
}

export const unknownRival: RivalParts = {
  cpuId: null,
  graphicsId: null,
  memoryGb: null,
  memoryModules: null,
  memoryMts: null,
  storageGb: null,
  storageKind: null,
  supplyW: null,
  supplyMake: null,
}

/** Which facts are not stated. */
export function missingFacts(parts: RivalParts): RivalFactKey[] {
  return (Object.keys(rivalFactNames) as RivalFactKey[]).filter((key) => parts[key] === null)
}

/** A part with what it costs new; what stands for it where nobody says. */
export interface PlausiblePart {
  readonly part: Part
  readonly price: number
}

/**
 * The components of a machine bought ready made. What its seller does not state is taken for the cheapest plausible part:
 * the cheapest that agrees with what is stated, of the plainest size (8 GB as one slow module, 240 GB, the smallest
 * supply that carries the card), and flagged as missing. Without CPU and card nothing is known: no components.
 *
 * @param priced every part of the library at its street price
 */
export function rivalComponents(
  said: RivalParts,
  library: ReadonlyMap<string, Part>,
  priced: readonly PlausiblePart[],
  {
    condition = 'new',
    warrantyMonths = 0,
  }: { readonly condition?: Condition; readonly warrantyMonths?: number } = {},
): WeighedComponent[] {
  const cpu = said.cpuId === null ? undefined : library.get(said.cpuId)
  const card = said.graphicsId === null ? undefined : library.get(said.graphicsId)
  if (!cpu && !card) return []
  const cheapest = (role: Role, fits: (facts: PartFacts, part: Part) => boolean) =>
    priced
      .filter(({ part }) => part.role === role && part.facts.module !== 'laptop' && fits(part.facts, part))
      .sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))[0]
  const priceOf = (id: string) => priced.find(({ part }) => part.id === id)?.price ?? 0
  const known = (role: Role, part: Part): WeighedComponent => ({
    role,
    label: partLabel(part),
    partId: part.id,
    state: 'stated',
    facts: part.facts,
    condition,
    street: priceOf(part.id),
    counted: true,
    warrantyMonths,
  })
  const assumed = (
    role: Role,
    found: PlausiblePart | undefined,
    state: FactState,
    facts: PartFacts = {},
  ): WeighedComponent[] =>
    found
      ? [
          {
            role,
            label: partLabel(found.part),
            partId: found.part.id,
            state,
            facts: { ...found.part.facts, ...facts },
            condition,
            street: found.price,
            counted: true,
            warrantyMonths,
          },
        ]
      : []
  const socket = cpu?.facts.socket
  const board = cheapest('motherboard', (facts) => socket === undefined || facts.socket === socket)
  const generation = board?.part.facts.memoryGeneration
  const draw = (cpu?.facts.limitW ?? 65) + (card?.facts.boardPowerW ?? 0) + 60
  const [memoryGb, modules] = [said.memoryGb ?? 8, said.memoryModules ?? 1]
  const memory = cheapest(
    'memory',
    (facts) =>
      (generation === undefined || facts.memoryGeneration === generation) &&
      (facts.capacityGb ?? 0) >= memoryGb,
  )
  const drive = cheapest(
    'storage',
    (facts) =>
      (facts.capacityGb ?? 0) >= (said.storageGb ?? 240) &&
      (said.storageKind === null ||
        (said.storageKind === 'hdd' ? facts.drive === 'hdd' : facts.interface === said.storageKind)),
  )
  return [
    ...(cpu
      ? [known('cpu', cpu)]
      : assumed(
          'cpu',
          cheapest('cpu', () => true),
          'missing',
        )),
    ...assumed('motherboard', board, 'deduced'),
    ...(card
      ? [known('graphics', card)]
      : said.graphicsId === null && cpu?.facts.integratedGraphics
        ? []
        : assumed(
            'graphics',
            cheapest('graphics', () => true),
            'missing',
          )),
    ...assumed('memory', memory, said.memoryGb === null ? 'missing' : 'stated', {
      capacityGb: memoryGb,
      kitCount: modules,
      ...(said.memoryMts === null ? slowest(generation) : { speedMts: said.memoryMts }),
    }),
    ...assumed(
      'storage',
      drive,
      said.storageGb === null ? 'missing' : 'stated',
      said.storageGb === null ? {} : { capacityGb: said.storageGb },
    ),
    ...assumed(
      'supply',
      cheapest('supply', (facts) => (facts.ratedW ?? 0) >= (said.supplyW ?? draw)),
      said.supplyW === null ? 'missing' : said.supplyMake === null ? 'deduced' : 'stated',
      said.supplyW === null ? {} : { ratedW: said.supplyW },
    ),
    ...assumed(
      'case',
      cheapest(
        'case',
        (facts) =>
          board === undefined || (facts.boardSizes ?? []).includes(board.part.facts.formFactor ?? ''),
      ),
      'deduced',
    ),
    ...assumed(
      'cooler',
      cpu?.facts.coolerIncluded
        ? undefined
        : cheapest('cooler', (facts) => (facts.coolerSockets ?? []).includes(socket ?? '')),
      'deduced',
    ),
  ]
}

/** The slowest memory that a generation is sold at: what an unstated speed counts as. */
const slowestSpeed: Readonly<Record<string, number>> = { DDR3: 1066, DDR4: 2133, DDR5: 4000 }

function slowest(generation: string | undefined): PartFacts {
  const speedMts = slowestSpeed[generation ?? '']
  return speedMts === undefined ? {} : { speedMts }
}
