import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

/** Machines of a firm stay enrolled until the firm lets them go, whatever drive is in them. */
export const managed: FitRule = {
  id: 'managed',
  area: 'condition',
  severity: 'needs',
  question: 'Has the company removed its remote management?',
  reads: [{ role: 'motherboard', facts: ['managed'] }],
  concerns: (machine) => machine.all('motherboard').some(({ facts }) => facts.managed !== undefined),
  check: (machine) =>
    machine
      .all('motherboard')
      .filter(({ facts }) => facts.managed === true)
      .map((board) => ({
        what: `${partLabel(board)} is still managed by a company: it can lock itself once online`,
        why: [cite(board, 'managed'), citeAll([board], 'released', 'no')],
        fixes: [
          byHand('ask the seller to have it released', 'one message before you pay', {
            leavesOpen: 'company resellers often cannot do this',
          }),
          replace(
            'motherboard',
            'another board',
            ({ facts }) =>
              facts.socket === board.facts.socket &&
              facts.managed !== true &&
              facts.formFactor === board.facts.formFactor,
          ),
        ],
      })),
}
