import { partLabel } from '../../../parts/part'
import { cite, citeBrief, replace, type FitRule } from '../rule'

const seen = ['case', 'graphics', 'memory', 'cooler', 'motherboard'] as const

export const colours: FitRule = {
  id: 'colours',
  area: 'looks',
  severity: 'hints',
  question: 'Do all visible parts match your colour?',
  reads: [{ role: 'case', facts: ['colour'] }],
  concerns: (machine) => machine.brief.colour !== null,
  check: (machine) =>
    seen
      .flatMap((role) =>
        role !== 'case' && !machine.all('case').some((chassis) => chassis.facts.glass === true)
          ? []
          : machine.all(role),
      )
      .filter((part) => part.facts.colour !== undefined && part.facts.colour !== machine.brief.colour)
      .map((part) => ({
        what: `${partLabel(part)} is ${part.facts.colour}; your brief asks for ${machine.brief.colour}`,
        why: [cite(part, 'colour'), citeBrief('colour', machine.brief.colour!)],
        fixes: [
          replace(
            part.role,
            `the same in ${machine.brief.colour}`,
            (other) => other.facts.colour === machine.brief.colour,
          ),
        ],
      })),
}
