import { factKinds } from './facts'
import type { Part, PartFacts } from './part'
import { compared } from './vocabularies'

/**
 * Open parts: "some four-core CPU", "any DDR4 board with that socket". What is known of one counts; everything else,
 * and which model it is, is unknown.
 */

/**
 * Whether a part of the library may be the one that an open part stands for: of its role, and no known fact of either
 * says otherwise. A fact that one of them leaves open decides nothing.
 *
 * @example A CPU with four cores and no socket told may be any of four cores.
 */
export function isPlausible(open: Part, other: Part): boolean {
  if (open.id === other.id || open.role !== other.role || other.open === true) return false
  return (Object.keys(open.facts) as (keyof PartFacts)[]).every((fact) =>
    agrees(open.facts[fact], other.facts[fact]),
  )
}

function agrees(stated: unknown, other: unknown): boolean {
  if (stated === undefined || stated === null || other === undefined || other === null) return true
  if (Array.isArray(stated) && Array.isArray(other))
    return stated.every((each) => other.some((one) => compared(String(one)) === compared(String(each))))
  if (typeof stated === 'string' && typeof other === 'string') return compared(stated) === compared(other)
  return stated === other
}

/** Facts that tell most of what a part of a role is worth and where it fits, to be asked for first. */
const asked: Readonly<Partial<Record<Part['role'], readonly (keyof PartFacts)[]>>> = {
  cpu: ['socket', 'cores'],
  motherboard: ['socket', 'memoryGeneration', 'formFactor'],
  memory: ['capacityGb', 'memoryGeneration', 'kitCount'],
  graphics: ['vramGb'],
  storage: ['capacityGb', 'interface'],
  supply: ['ratedW'],
  case: ['boardSizes'],
}

/** What is not known of an open part, as keys of facts; `model` first: it answers all the others. */
export function gapsOf({ role, facts }: Part): readonly ('model' | keyof PartFacts)[] {
  return ['model', ...(asked[role] ?? []).filter((fact) => facts[fact] === undefined)]
}

/** The question to the seller that closes a gap. */
export function gapQuestion(roleName: string, gap: 'model' | keyof PartFacts): string {
  return gap === 'model' ? `Which ${roleName} is it exactly?` : `What is its ${factKinds[gap].name}?`
}
