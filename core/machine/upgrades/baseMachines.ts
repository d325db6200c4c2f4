import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'
import { takesBoard } from '../../parts/boardSize'
import type { Part } from '../../parts/part'
import type { CapOption } from './capSplit'

/** A part at what is paid for it today, by the house's rules; minor units. */
export interface PricedPart {
  readonly part: Part
  readonly price: number
  /** The way to get it, in a few words. */
  readonly how?: string
}

/** Everything but the card and the supply, which the card decides. */
export interface BaseMachine extends CapOption {
  readonly cpu: Part
  readonly parts: readonly PricedPart[]
}

export interface BaseWishes {
  readonly memoryGb: number
  readonly storageGb: number
  readonly power: PowerAssumptions
  /** Draw of everything but CPU and card, W. */
  readonly restW: number
}

export const baseWishes: BaseWishes = {
  memoryGb: 16,
  storageGb: 480,
  restW: 60,
  power: powerDefaults,
}

/**
 * The cheapest sensible machine around each CPU: a board with its socket, memory of the board's generation (two modules
 * or more), a solid-state drive, a case that takes the board, a cooler that carries the CPU. A CPU for which one of them
 * cannot be had at any price is left out.
 */
export function baseMachines(priced: readonly PricedPart[], wishes: BaseWishes = baseWishes): BaseMachine[] {
  const cheapest = (fits: (part: Part) => boolean) =>
    priced
      .filter(({ part }) => fits(part))
      .sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))[0]
  const drive = cheapest(
    ({ role, facts }) =>
      role === 'storage' && facts.drive === 'ssd' && (facts.capacityGb ?? 0) >= wishes.storageGb,
  )
  if (!drive) return []
  return priced
    .filter(({ part }) => part.role === 'cpu' && part.facts.cpuIndex !== undefined)
    .flatMap((cpu): BaseMachine[] => {
      const { socket, limitW = 65, coolerIncluded } = cpu.part.facts
      const boards = priced.filter(
        ({ part }) =>
          part.role === 'motherboard' && part.facts.socket !== undefined && part.facts.socket === socket,
      )
      const sets = boards
        .flatMap((board) => {
          const memory = cheapest(
            ({ role, facts }) =>
              role === 'memory' &&
              facts.module !== 'laptop' &&
              facts.memoryGeneration === board.part.facts.memoryGeneration &&
              (facts.capacityGb ?? 0) >= wishes.memoryGb &&
              (facts.kitCount ?? 1) >= 2 &&
              (facts.kitCount ?? 1) <= (board.part.facts.memorySlots ?? 2),
          )
          const chassis = cheapest(
            ({ role, facts }) =>
              role === 'case' && takesBoard(facts.boardSizes ?? [], board.part.facts.formFactor ?? ''),
          )
          const cooler = coolerIncluded
            ? null
            : cheapest(
                ({ role, facts }) =>
                  role === 'cooler' &&
                  (facts.coolerSockets ?? []).includes(socket ?? '') &&
                  (facts.coolerW ?? 0) >= limitW &&
                  (facts.heightMm ?? 0) <= (chassis?.part.facts.maxCoolerMm ?? 0),
              )
          if (!memory || !chassis || cooler === undefined) return []
          const parts = [cpu, board, memory, drive, chassis, ...(cooler ? [cooler] : [])]
          return [{ parts, price: parts.reduce((sum, each) => sum + each.price, 0) }]
        })
        .sort((a, b) => a.price - b.price)
      const best = sets[0]
      return best ? [{ id: cpu.part.id, name: cpu.part.name, cpu: cpu.part, ...best }] : []
    })
}

/** The cheapest supply of the usual shape for a pair of CPU and card; null where none is strong enough or has the leads. */
export function supplyFor(
  priced: readonly PricedPart[],
  cpu: Part,
  card: Part,
  wishes: BaseWishes = baseWishes,
): PricedPart | null {
  const draw =
    (cpu.facts.limitW ?? wishes.power.cpuW) + (card.facts.boardPowerW ?? wishes.power.cardW) + wishes.restW
  const { sixPinLeads = 0, eightPinLeads = 0 } = card.facts
  const strong = priced.filter(
    ({ part: { role, facts } }) =>
      role === 'supply' &&
      (facts.supplyShape ?? 'ATX') === 'ATX' &&
      (facts.ratedW ?? 0) >= draw * wishes.power.supplyFactor &&
      (facts.eightPinLeads ?? 0) >= eightPinLeads &&
      (facts.sixPinLeads ?? 0) + (facts.eightPinLeads ?? 0) >= sixPinLeads + eightPinLeads,
  )
  return strong.sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))[0] ?? null
}
