import type { Role } from '../parts/part'
import type { Way } from '../supply/ways/way'
import type { Change } from './change'

/** What is chosen, as far as taking a part out of it goes. */
export interface ChosenLine {
  readonly id: string
  readonly parts: readonly { readonly id: string }[]
  readonly leftOut: readonly string[]
  readonly item: { readonly role: Role } | null
}

/**
 * A part leaves the machine: with its choice where it is that alone, else it stays out of it. A part that a donor brings
 * is no choice: it gives way by itself.
 *
 * @example of a lot of CPU and board the CPU is replaced: the lot stays, and the CPU stays out
 */
export function takenOut(lines: readonly ChosenLine[], part: string): Change[] {
  const line = lines.find((each) => each.parts.some(({ id }) => id === part) && !each.leftOut.includes(part))
  if (!line) return []
  const isAlone = line.item ? line.item.role !== 'donor' : line.parts.length === 1
  return [isAlone ? { kind: 'remove', choice: line.id } : { kind: 'leave-out', line: line.id, part }]
}

/**
 * A way is taken: a lead as that lead, a thing of mine as that thing, new as new. A hunt goes with its price, as hunts
 * do, unless it is at another mark than the builder's: then that price is its limit. What it takes the place of leaves
 * by a change of its own.
 */
export function taken(way: Way, reason: string, patience?: Way['mark']): Change {
  const terms = { kind: 'choose', reason, keepBoth: true } as const
  if (way.leadId !== null) return { ...terms, lead: way.leadId }
  if (way.itemId !== null) return { ...terms, item: way.itemId }
  const isOwnMark = patience === undefined || way.mark === null || way.mark === patience
  const condition = way.kind === 'shop' ? 'new' : 'used'
  return { ...terms, hunt: { part: way.part.id, condition, ...(isOwnMark ? {} : { limit: way.payNow }) } }
}
