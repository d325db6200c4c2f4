import type { PartFacts, Role } from '../../parts/part'
import type { LeadFact } from './completeness'

type Changes = Readonly<Partial<Record<'yes' | 'no', PartFacts>>>

/** What an answer about a lead says of the part in its box, in the facts that the fit check reads. */
const inBox: Readonly<Record<string, readonly [Role, Changes]>> = {
  'cpu-cooler': ['cpu', { yes: { coolerIncluded: true }, no: { coolerIncluded: false } }],
  'board-shield': ['motherboard', { yes: { shieldIncluded: true }, no: { shieldIncluded: false } }],
  'case-whole': ['case', { yes: { panelMissing: false, screwsMissing: false }, no: { panelMissing: true } }],
  'cooler-mount': ['cooler', { yes: { mountIncluded: true }, no: { mountIncluded: false } }],
  'donor-firmware': ['donor', { yes: { firmwareLocked: false }, no: { firmwareLocked: true } }],
}

/** What is in the box belongs to the lead, not to the model: facts of a part of this role as this lead has it. */
export function factsInBox(role: Role, facts: readonly LeadFact[]): PartFacts {
  return Object.assign(
    {},
    ...facts.flatMap(({ key, answer }) => {
      const known = inBox[key]
      return known && known[0] === role && answer !== null ? [known[1][answer] ?? {}] : []
    }),
  ) as PartFacts
}
