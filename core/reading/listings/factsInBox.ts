import type { Part, PartFacts, Role } from '../../parts/part'
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

/**
 * What is in the box belongs to the lead, not to the model: facts of a part as this lead has it. What is only deduced,
 * since a thing is new, gives way to what the model states.
 *
 * @example a new CPU whose model comes without a cooler: nothing; a listing that says it comes with one: with one
 */
export function factsInBox(
  { role, facts: own }: Pick<Part, 'role' | 'facts'>,
  facts: readonly LeadFact[],
): PartFacts {
  return Object.assign(
    {},
    ...facts.flatMap(({ key, answer, state }) => {
      const known = inBox[key]
      if (!known || known[0] !== role || answer === null) return []
      return [{ ...known[1][answer], ...(state === 'deduced' ? own : {}) }]
    }),
  ) as PartFacts
}
