import type { Part, Role } from '../../parts/part'
import type { FitMachine } from '../fit/finding'
import { takenIn, type TakenIn } from '../fit/fixes'
import type { PricedPart } from './pricedPart'

/** What a machine lacks: a role, and whether a part would do. */
export interface Lack {
  readonly role: Role
  isNoWorse(part: Part): boolean
}

/** What brings a role up to the other machine's; null where nothing on offer does. */
export interface LevelStep {
  readonly role: Role
  readonly taken: TakenIn | null
}

/** So many parts are tried for a role before none is said to do. */
const mostTries = 8

/**
 * What it takes to fill what a machine lacks, role by role, each in the machine as the ones before have left it: the cheapest
 * part that is in nothing worse and goes in, with the further parts that it needs.
 *
 * @example a CPU for another socket: the CPU with a board, and memory where that takes another kind
 */
export function drawLevel(
  machine: FitMachine,
  lacks: readonly Lack[],
  priced: readonly PricedPart[],
): LevelStep[] {
  const sorted = [...priced].sort((a, b) => a.price - b.price || (a.part.id < b.part.id ? -1 : 1))
  let now = machine
  return lacks.map(({ role, isNoWorse }) => {
    for (const offer of sorted.filter(({ part }) => isNoWorse(part)).slice(0, mostTries)) {
      const out = now.parts.filter((part) => part.role === role)
      const taken = takenIn(now, offer, out, priced)
      if (!taken) continue
      const left = new Set(taken.replaces.map(({ id }) => id))
      const come = taken.parts.map(({ id }) => priced.find(({ part }) => part.id === id)!.part)
      now = {
        ...now,
        parts: [...now.parts.filter(({ id }) => !left.has(id)), ...come],
        settled: new Set([...(now.settled ?? []), ...taken.byHand]),
      }
      return { role, taken }
    }
    return { role, taken: null }
  })
}

/**
 * What each of several steps costs, of totals as they are after it; null where the total before or after is not known.
 *
 * @example totals of 30, 45 and not known: 30, 15, not known
 */
export const inTurn = (totals: readonly (number | null)[]): (number | null)[] =>
  totals.map((total, at) => {
    const before = at === 0 ? 0 : totals[at - 1]!
    return total === null || before === null ? null : total - before
  })
