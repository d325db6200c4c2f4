import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

export const firmwareLocked: FitRule = {
  id: 'firmware-locked',
  area: 'condition',
  severity: 'stops',
  question: 'Is the firmware free of a password?',
  reads: [{ role: 'motherboard', facts: ['firmwareLocked', 'socket'] }],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => board.facts.firmwareLocked === true)
      .map((board) => ({
        what: `The firmware of ${partLabel(board)} is locked by a password: no setting can be changed, no drive be started from`,
        why: [cite(board, 'firmwareLocked'), citeAll([board], 'socket', board.facts.socket!)],
        fixes: [
          byHand(
            'ask the seller for the password, or clear it by the jumper',
            'a quarter of an hour, if it works at all',
            { leavesOpen: 'some makers keep it elsewhere' },
          ),
          replace(
            'motherboard',
            'another board',
            (part) =>
              part.facts.socket === board.facts.socket &&
              part.facts.firmwareLocked !== true &&
              part.facts.formFactor === board.facts.formFactor,
          ),
        ],
      })),
}
