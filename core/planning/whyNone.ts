import { groupBy } from '../collections/groupBy'
import { partLabel, roleNames, type Part, type Role } from '../parts/part'
import { pinsOf, type BuildQuestion } from './buildQuestion'
import type { PlanGround } from './planGround'
import { problemOf } from './planProblem'
import { best, inOrder, type Solver } from './solvePlan'

/** Why no machine can be planned. */
export type NoneReason =
  /** Nothing on offer fills a role. */
  | { readonly kind: 'role'; readonly role: Role }
  /** Two roles of which nothing on offer goes together, with the cheapest of each. */
  | { readonly kind: 'clash'; readonly one: Part; readonly other: Part }
  /** There would be a machine, were less wished for. */
  | { readonly kind: 'wishes' }

/**
 * The true reason why no machine is possible: a role that nothing fills, else two that clash, else what is wished for. A
 * card is not asked for where a CPU draws by itself, a cooler not where one comes in a CPU's box. Null where more than
 * two parts stand against each other.
 *
 * @example boards of one socket and CPUs of another: the cheapest of each
 */
export function whyNone(question: BuildQuestion, ground: PlanGround, solve: Solver): NoneReason | null {
  const role = question.roles.find((each) => !isFilled(each, question.parts))
  if (role) return { kind: 'role', role }
  const bare = wishless(question)
  const isPossible = (apart: PlanGround['apart']) =>
    best(inOrder(problemOf(bare, { ...ground, apart }, noCuts)), solve).solved.status !== 'infeasible'
  if (isPossible(ground.apart)) return { kind: 'wishes' }
  const partOf = new Map(question.parts.map((part) => [part.id, part]))
  const pins = pinsOf(question)
  const pinned = new Set(question.ways.flatMap(({ id, partIds }) => (pins.includes(id) ? partIds : [])))
  const clashOf = ([one, other]: readonly string[]) =>
    ({ kind: 'clash', one: partOf.get(one!)!, other: partOf.get(other!)! }) as const
  const fixed = ground.apart.find((pair) => pair.every((id) => pinned.has(id)))
  if (fixed) return clashOf(fixed)
  const cost = (id: string) =>
    Math.min(...question.ways.flatMap(({ partIds, expected }) => (partIds.includes(id) ? [expected] : [])))
  const rolesOf = (pair: readonly string[]) => pair.map((id) => partOf.get(id)?.role).join(' ')
  for (const pairs of groupBy(ground.apart, rolesOf).values())
    if (isPossible(ground.apart.filter((pair) => !pairs.includes(pair)))) {
      const dear = (pair: readonly string[]) => pair.reduce((sum, id) => sum + cost(id), 0)
      return clashOf([...pairs].sort((a, b) => dear(a) - dear(b))[0]!)
    }
  return null
}

const noCuts = { atMost: [], dearer: [], slower: [], costly: [] }

function wishless({ own: _own, ...question }: BuildQuestion): BuildQuestion {
  return {
    ...question,
    goal: 'cheapest',
    wishes: {
      floors: question.wishes.floors.map(() => null),
      budget: null,
      days: null,
      memoryGb: null,
      driveGb: null,
      supplyFactor: null,
    },
  }
}

function isFilled(role: Role, parts: readonly Part[]): boolean {
  return parts.some(
    ({ role: its, facts }) =>
      its === role ||
      (its === 'cpu' && role === 'graphics' && facts.integratedGraphics === true) ||
      (its === 'cpu' && role === 'cooler' && facts.coolerIncluded === true),
  )
}

/**
 * The reason in words, with what lifts it.
 *
 * @param leftOut ways that are no part of the question, with the reason
 */
export function noneReasonWords(
  reason: NoneReason,
  leftOut: readonly { readonly text: string; readonly why: string; readonly roles: readonly Role[] }[],
): string {
  if (reason.kind === 'wishes') return 'No machine meets every wish with what is on offer.'
  if (reason.kind === 'clash') {
    const { one, other } = reason
    return (
      `${partLabel(one)} and ${partLabel(other)} do not go together, nor does any other ` +
      `${roleNames[one.role]} with any ${roleNames[other.role]} on offer.`
    )
  }
  const barred = leftOut.find(({ roles }) => roles.includes(reason.role))
  const what = `No option for the ${roleNames[reason.role]}`
  return barred
    ? `${what}: ${barred.text} is left out (${barred.why}).`
    : `${what}: add leads, past sales or shop prices.`
}
