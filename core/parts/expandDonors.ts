import type { Part, Role } from './part'

/** Roles of which a machine may have several; what is chosen beside a donor joins what is in it. */
const additive: ReadonlySet<Role> = new Set(['memory', 'storage', 'extra'])

/**
 * The parts a machine is really made of: a donor gives what it contains, except where something else was chosen for a
 * role of which there is one. A donor whose contents are not known stands as itself. Chosen memory takes the place of a
 * donor's, since kits are rarely mixed; drives stay beside it.
 */
export function expandDonors(
  parts: readonly Part[],
  library: Pick<ReadonlyMap<string, Part>, 'get'>,
): Part[] {
  const chosen = new Set(parts.filter((part) => part.role !== 'donor').map((part) => part.role))
  return parts.flatMap((part) => {
    if (part.role !== 'donor' || part.facts.contains === undefined) return [part]
    const inside = part.facts.contains.flatMap((id) => library.get(id) ?? [])
    const { firmwareLocked } = part.facts
    // a locked donor is a locked board
    const found = inside.map((each) =>
      each.role === 'motherboard' && firmwareLocked !== undefined
        ? { ...each, facts: { ...each.facts, firmwareLocked } }
        : each,
    )
    return found.filter(({ role }) => !chosen.has(role) || (additive.has(role) && role !== 'memory'))
  })
}
