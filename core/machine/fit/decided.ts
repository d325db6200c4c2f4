import { factKinds } from '../../parts/facts'
import type { Part, PartFacts } from '../../parts/part'
import { severities } from './finding'
import type { Clash, FitRule, MachineRead } from './rule'

/** A fact of a part that a rule reads and nobody knows. */
export interface OpenFact {
  readonly part: Part
  readonly fact: keyof PartFacts
}

/** More combinations than this are not tried: what is not known is then asked for. */
const mostCombinations = 400
const wholes = [0, 1, 2, 3, 4, 8, 1e6] as const

/**
 * What a rule says where facts that it reads are not known, but what is known already decides: every value that they
 * might have is tried, and only where all of them clash, or none does, it stands. The severity is the lightest of all.
 *
 * @returns the clashes, empty where nothing can clash; null where what is not known could change the answer
 * @example no 8-pin lead, 6-pin leads not known, a card with an 8-pin socket: clashes whatever the 6-pin count is
 */
export function decidedAnyway(
  rule: FitRule,
  machine: MachineRead,
  open: readonly OpenFact[],
): readonly Clash[] | null {
  const tries = open.map((each) => valuesFor(each, machine))
  if (tries.reduce((product, values) => product * values.length, 1) > mostCombinations) return null
  const answers = combinations(tries).map((values) => rule.check(machineWith(machine, open, values)))
  if (answers.some((outcomes) => outcomes.some((outcome) => 'unknown' in outcome))) return null
  const clashes = answers as readonly (readonly Clash[])[]
  if (clashes.every((each) => each.length === 0)) return []
  if (clashes.some((each) => each.length === 0)) return null
  const said = saidWithout(rule, machine)
  if (said.length === 0 || said.some(({ what }) => !isReadable(what))) return null
  const gravest = clashes.map((each) =>
    Math.min(...each.map(({ severity = rule.severity }) => severities.indexOf(severity))),
  )
  const severity = severities[Math.max(...gravest)]!
  return said.map((each) => ({ ...each, severity }))
}

/** Values that a fact might have, so that one of them shows whatever could change an answer. */
function valuesFor({ fact }: OpenFact, { parts, brief }: MachineRead): readonly unknown[] {
  const { kind, choices } = factKinds[fact]
  if (kind === 'yes-no') return [true, false]
  if (choices) return choices
  const elsewhere = parts.flatMap(({ facts }) => facts[fact] ?? [])
  if (kind === 'whole') return [...new Set([...wholes, ...(elsewhere as number[])])]
  if (kind === 'number') return [...new Set([0, 1e6, ...(elsewhere as number[])])]
  const related = parts.flatMap(({ facts }) =>
    Object.values(facts)
      .flat()
      .filter((value) => typeof value === 'string'),
  )
  // two facts that are not known may be the same answer, or two
  const words = [...new Set([...related, ...brief.screenPlugs, 'some answer'])]
  return kind === 'texts' ? [[], words] : [...words, 'another answer']
}

const combinations = (tries: readonly (readonly unknown[])[]): readonly (readonly unknown[])[] =>
  tries.reduce<readonly (readonly unknown[])[]>(
    (all, values) => all.flatMap((one) => values.map((value) => [...one, value])),
    [[]],
  )

function machineWith(
  machine: MachineRead,
  open: readonly OpenFact[],
  values: readonly unknown[],
): MachineRead {
  const parts = machine.parts.map((part) => {
    const known = open.flatMap((each, at) => (each.part === part ? [[each.fact, values[at]]] : []))
    return known.length === 0 ? part : { ...part, facts: { ...part.facts, ...Object.fromEntries(known) } }
  })
  return {
    ...machine,
    parts,
    all: (role) => parts.filter((part) => part.role === role),
    extra: (isIt) => parts.find((part) => part.role === 'extra' && isIt(part.facts)),
  }
}

/** What a rule says with the facts missing that it takes for known; nothing where it cannot do without one of them. */
function saidWithout(rule: FitRule, machine: MachineRead): readonly Clash[] {
  try {
    const said = rule.check(machine)
    return said.some((each) => 'unknown' in each) ? [] : (said as readonly Clash[])
  } catch {
    return []
  }
}

/** A sentence that names a fact nobody knows is none. */
const isReadable = (what: string) => !/undefined|NaN|Infinity|null/.test(what)
