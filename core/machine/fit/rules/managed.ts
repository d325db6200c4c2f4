import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

/** Machines of a firm stay enrolled until the firm lets them go, whatever drive is in them. */
export const managed: FitRule = {
  id: 'managed',
  area: 'condition',
  severity: 'needs',
  question: 'Has the firm that it came from let it go?',
  reads: [{ role: 'motherboard', facts: ['managed'] }],
  concerns: (machine) => machine.all('motherboard').some(({ facts }) => facts.managed !== undefined),
  check: (machine) =>
    machine
      .all('motherboard')
      .filter(({ facts }) => facts.managed === true)
      .map((board) => ({
        what: `${partLabel(board)} is still managed by a firm: it can lock itself once it is online`,
        why: [cite(board, 'managed'), citeAll([board], 'let go', 'no')],
        fixes: [
          byHand('have the seller let it go first', 'a message, before it is paid', {
            leavesOpen: 'who resells for a firm often cannot',
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
