import { partLabel } from '../../../parts/part'
import { byHand, cite, citeAll, replace, type FitRule } from '../rule'

export const firmwareLocked: FitRule = {
  id: 'firmware-locked',
  area: 'condition',
  severity: 'stops',
  question: 'Is the BIOS free of a password?',
  reads: [{ role: 'motherboard', facts: ['firmwareLocked', 'socket'] }],
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => board.facts.firmwareLocked === true)
      .map((board) => ({
        what: `The BIOS of ${partLabel(board)} is password-locked: you cannot change settings or boot another drive`,
        why: [cite(board, 'firmwareLocked'), citeAll([board], 'socket', board.facts.socket!)],
        fixes: [
          byHand(
            'ask the seller for the password, or clear it with the jumper',
            '15 minutes, if it works at all',
            { leavesOpen: 'on some boards clearing does not remove it' },
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
