import { takesBoard } from '../../parts/boardSize'
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
  cpuId: { name: 'CPU', question: 'Which CPU is in it (full model name)?' },
  graphicsId: {
    name: 'graphics card',
    question: 'Which graphics card is in it, and how much video memory does it have?',
  },
  memoryGb: { name: 'memory size', question: 'How much memory is in it?' },
  memoryModules: { name: 'memory modules', question: 'Is the memory one module or two?' },
  memoryMts: { name: 'memory speed', question: 'At what speed does the memory run?' },
  storageGb: { name: 'drive size', question: 'How large is the drive?' },
  storageKind: { name: 'drive type', question: 'Is the drive NVMe, SATA or an HDD?' },
  supplyW: { name: 'PSU wattage', question: 'How many watts is the power supply?' },
  supplyMake: { name: 'PSU brand', question: 'Which brand is the power supply?' },
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
    worthToday = () => null,
  }: {
    readonly condition?: Condition
    readonly warrantyMonths?: number
    /** What a part fetches used, by its id; null where nobody knows. */
    worthToday?(partId: string): number | null
  } = {},
): WeighedComponent[] {
  const cpu = said.cpuId === null ? undefined : library.get(said.cpuId)
  const card = said.graphicsId === null ? undefined : library.get(said.graphicsId)
  if (!cpu && !card) return []
  const board = cheapestFitting(priced, 'motherboard', (facts) =>
    sameOrUnknown(cpu?.facts.socket, facts.socket),
  )
  const taken: readonly (TakenPart | null)[] = [
    knownOr(cpu, priced) ?? assumed(priced, 'cpu', 'missing'),
    takenPart(board, 'deduced'),
    graphicsOf(said, cpu, card, priced),
    memoryOf(said, board?.part.facts.memoryGeneration, priced),
    driveOf(said, priced),
    supplyOf(said, (cpu?.facts.limitW ?? 65) + (card?.facts.boardPowerW ?? 0) + 60, priced),
    assumed(priced, 'case', 'deduced', (facts) => holds(facts, board?.part.facts.formFactor)),
    cpu?.facts.coolerIncluded
      ? null
      : assumed(priced, 'cooler', 'deduced', (facts) =>
          (facts.coolerSockets ?? []).includes(cpu?.facts.socket ?? ''),
        ),
  ]
  return taken.flatMap((each) =>
    each
      ? [
          {
            role: each.part.role,
            label: partLabel(each.part),
            partId: each.isLibrary === false ? null : each.part.id,
            state: each.state,
            facts: { ...each.part.facts, ...each.facts },
            ...(each.assumed && { assumed: each.assumed }),
            condition,
            street: each.price,
            worthToday: each.isLibrary === false ? null : worthToday(each.part.id),
            // what it costs and fetches nobody knows
            counted: each.isLibrary !== false,
            warrantyMonths,
          },
        ]
      : [],
  )
}

/** A part that stands in a role: as stated, or the cheapest plausible one, with the facts that are said of it. */
interface TakenPart extends PlausiblePart {
  readonly state: FactState
  readonly facts: PartFacts
  readonly assumed?: readonly (keyof PartFacts)[]
  /** False where the library has none such: only what is stated is known of it. */
  readonly isLibrary?: boolean
}

type Fits = (facts: PartFacts) => boolean

function cheapestFitting(
  priced: readonly PlausiblePart[],
  role: Role,
  fits: Fits,
): PlausiblePart | undefined {
  return priced
    .filter(({ part }) => part.role === role && part.facts.module !== 'laptop' && fits(part.facts))
    .sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))[0]
}

function takenPart(
  found: PlausiblePart | undefined,
  state: FactState,
  facts: PartFacts = {},
): TakenPart | null {
  return found ? { ...found, state, facts } : null
}

function assumed(
  priced: readonly PlausiblePart[],
  role: Role,
  state: FactState,
  fits: Fits = () => true,
  facts: PartFacts = {},
): TakenPart | null {
  return takenPart(cheapestFitting(priced, role, fits), state, facts)
}

function knownOr(part: Part | undefined, priced: readonly PlausiblePart[]): TakenPart | null {
  if (!part) return null
  const price = priced.find((each) => each.part.id === part.id)?.price ?? 0
  return { part, price, state: 'stated', facts: {} }
}

function sameOrUnknown(wanted: string | undefined, has: string | undefined): boolean {
  return wanted === undefined || has === wanted
}

/** A case holds a board whose size is not known: nothing speaks against it. */
function holds(facts: PartFacts, formFactor: string | undefined): boolean {
  return formFactor === undefined || takesBoard(facts.boardSizes ?? [], formFactor)
}

/** No card is stated: none is taken for granted where the CPU draws the picture itself. */
function graphicsOf(
  said: RivalParts,
  cpu: Part | undefined,
  card: Part | undefined,
  priced: readonly PlausiblePart[],
): TakenPart | null {
  if (card) return knownOr(card, priced)
  return said.graphicsId === null && cpu?.facts.integratedGraphics
    ? null
    : assumed(priced, 'graphics', 'missing')
}

function memoryOf(said: RivalParts, generation: string | undefined, priced: readonly PlausiblePart[]) {
  const capacityGb = said.memoryGb ?? 8
  const fits: Fits = (facts) =>
    sameOrUnknown(generation, facts.memoryGeneration) && (facts.capacityGb ?? 0) >= capacityGb
  const taken = assumed(priced, 'memory', said.memoryGb === null ? 'missing' : 'stated', fits, {
    capacityGb,
    kitCount: said.memoryModules ?? 1,
    ...(said.memoryMts === null ? slowest(generation) : { speedMts: said.memoryMts }),
  })
  const notStated = [
    ...(said.memoryModules === null ? (['kitCount'] as const) : []),
    ...(said.memoryMts === null ? (['speedMts'] as const) : []),
  ]
  return taken && { ...taken, assumed: notStated }
}

function driveOf(said: RivalParts, priced: readonly PlausiblePart[]) {
  const fits: Fits = (facts) =>
    (facts.capacityGb ?? 0) >= (said.storageGb ?? 240) &&
    (said.storageKind === null ||
      (said.storageKind === 'hdd' ? facts.drive === 'hdd' : facts.interface === said.storageKind))
  return said.storageGb === null
    ? assumed(priced, 'storage', 'missing', fits)
    : assumed(priced, 'storage', 'stated', fits, { capacityGb: said.storageGb })
}

function supplyOf(said: RivalParts, drawW: number, priced: readonly PlausiblePart[]) {
  const fits: Fits = (facts) => (facts.ratedW ?? 0) >= (said.supplyW ?? drawW)
  if (said.supplyW === null) return assumed(priced, 'supply', 'missing', fits)
  const facts = { ratedW: said.supplyW }
  const state = said.supplyMake === null ? 'deduced' : 'stated'
  const name = `${said.supplyW} W`
  return (
    assumed(priced, 'supply', state, fits, facts) ?? {
      part: { id: name, role: 'supply', make: said.supplyMake ?? '', name, facts },
      price: 0,
      state,
      facts,
      isLibrary: false,
    }
  )
}

/** The slowest memory that a generation is sold at: what an unstated speed counts as. */
const slowestSpeed: Readonly<Record<string, number>> = { DDR3: 1066, DDR4: 2133, DDR5: 4000 }

function slowest(generation: string | undefined): PartFacts {
  const speedMts = slowestSpeed[generation ?? '']
  return speedMts === undefined ? {} : { speedMts }
}
