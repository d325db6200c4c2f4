import type { Part } from '../../parts/part'
import type { PricedPart } from './pricedPart'

/** What would be the next step of a machine, in the order to be tried: cheapest first. */
export interface NextParts<Offer extends PricedPart> {
  /** The same kit again, beside what is there. */
  readonly add: readonly Offer[]
  /** Kits of twice the size or more, in place of what is there. */
  readonly replace: readonly Offer[]
  /**
   * CPUs for its board, each of more worth than any cheaper one: `gain` of index over what is there, 0.1 is 10 %;
   * `flash` where the board's firmware is too old for it, null where nobody knows.
   */
  readonly cpus: readonly { readonly offer: Offer; readonly gain: number; readonly flash: boolean | null }[]
}

/** Less than so much more is no step. */
const leastGain = 0.03

/**
 * Parts that would make more of a machine as it stands: another kit, a larger one, CPUs for its board. Whether they go
 * in, and with what, is the fit check's to say. Empty where the machine has nothing to be held against.
 */
export function nextParts<Offer extends PricedPart>(
  parts: readonly Part[],
  priced: readonly Offer[],
): NextParts<Offer> {
  const modules = parts.filter((part) => part.role === 'memory')
  const [kit] = modules
  const nowGb = modules.reduce((sum, part) => sum + (part.facts.capacityGb ?? 0), 0)
  const one = (role: Part['role']) => parts.find((part) => part.role === role)?.facts
  const [cpu, board] = [one('cpu'), one('motherboard')]
  const sorted = [...priced].sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))
  const isLarger = ({ role, facts }: Part) =>
    role === 'memory' &&
    facts.module !== 'laptop' &&
    facts.memoryGeneration === kit?.facts.memoryGeneration &&
    facts.capacityGb !== undefined &&
    nowGb > 0 &&
    facts.capacityGb >= 2 * nowGb
  let best = leastGain
  return {
    add: kit ? sorted.filter(({ part }) => part.id === kit.id) : [],
    replace: sorted.filter(({ part }) => isLarger(part)),
    cpus: sorted.flatMap((offer) => {
      const { role, facts } = offer.part
      const isForBoard = role === 'cpu' && board?.socket !== undefined && facts.socket === board.socket
      if (!isForBoard || facts.cpuIndex === undefined || cpu?.cpuIndex === undefined) return []
      const gain = facts.cpuIndex / cpu.cpuIndex - 1
      if (gain <= best) return []
      best = gain
      const levels = [facts.firmwareNeeded, board.firmwareLevel] as const
      const flash = levels[0] === undefined || levels[1] === undefined ? null : levels[0] > levels[1]
      return [{ offer, gain, flash }]
    }),
  }
}

/** Why nobody can say which CPUs would be a step up; empty where one can. */
export function cpusUnknown(parts: readonly Part[]): string {
  const one = (role: Part['role']) => parts.find((part) => part.role === role)
  const [cpu, board] = [one('cpu'), one('motherboard')]
  if (board && board.facts.socket === undefined) return 'the socket of the motherboard is not known'
  if (cpu && cpu.facts.cpuIndex === undefined) return 'the index of the CPU is not known'
  return ''
}

/** A next step at what the build then costs more, less what the thing of mine that leaves brings; minor units. */
export const lessResale = (cost: number, brings: readonly number[]) => {
  const sold = brings.reduce((sum, each) => sum + each, 0)
  return { cost, brings: sold, more: cost - sold }
}

/** From here on a step is worth being named first. */
export const isWorthNaming = ({ gain }: { readonly gain: number }) => gain >= 0.1
