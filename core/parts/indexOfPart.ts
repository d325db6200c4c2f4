import type { Part, Role } from './part'

/** How the worth of a part is measured in its role, and in what. */
const measures: Partial<
  Readonly<Record<Role, { readonly unit: string; readonly of: (part: Part) => number | undefined }>>
> = {
  cpu: { unit: 'index', of: (part) => part.facts.cpuIndex },
  graphics: { unit: 'index', of: (part) => part.facts.graphicsIndex },
  memory: { unit: 'GB', of: (part) => (part.facts.module === 'laptop' ? undefined : part.facts.capacityGb) },
  storage: { unit: 'GB', of: (part) => part.facts.capacityGb },
  supply: { unit: 'W', of: (part) => part.facts.ratedW },
  cooler: { unit: 'W', of: (part) => part.facts.coolerW },
}

/** Roles whose parts can be ranked by one figure. */
export const rankedRoles = Object.keys(measures) as readonly Role[]

/** The figure a part is ranked by in its role; null where it is not known or the role has none. */
export function indexOfPart(part: Part): number | null {
  return measures[part.role]?.of(part) ?? null
}

export function indexUnit(role: Role): string {
  return measures[role]?.unit ?? ''
}
