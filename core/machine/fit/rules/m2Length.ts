import { partLabel, type Part } from '../../../parts/part'
import { byHand, cite, notTold, pairsOf, replace, type Clash, type FitRule, type Outcome } from '../rule'
import { isM2 } from '../sums'

/** An M.2 card that is longer than the board has a screw for hangs loose, or does not go in at all. */
export const m2Length: FitRule = {
  id: 'm2-length',
  area: 'connections',
  severity: 'needs',
  question: 'Does the M.2 drive’s length fit the board?',
  reads: [
    { role: 'storage', facts: ['m2LengthMm'] },
    { role: 'motherboard', facts: ['m2LongestMm'] },
  ],
  tellsUnknown: true,
  concerns: (machine) =>
    machine.all('motherboard').length > 0 &&
    machine.all('storage').some((drive) => isM2(drive) && drive.facts.m2LengthMm !== undefined),
  check: (machine) =>
    pairsOf(machine, 'storage', 'motherboard').flatMap(([drive, board]): Outcome[] => {
      const { m2LengthMm: length = 0 } = drive.facts
      const { m2LongestMm: longest } = board.facts
      if (!isM2(drive) || length <= Math.min(longest ?? usualMm, usualMm)) return []
      if (longest === undefined) return [notTold(board, 'm2LongestMm')]
      return length > longest ? [tooLong(drive, board)] : []
    }),
}

const tooLong = (drive: Part, board: Part): Clash => ({
  what: `${partLabel(drive)} is ${drive.facts.m2LengthMm} mm long; ${partLabel(board)} takes ${board.facts.m2LongestMm} mm`,
  why: [cite(drive, 'm2LengthMm'), cite(board, 'm2LongestMm')],
  fixes: [
    replace(
      'storage',
      `a drive of ${board.facts.m2LongestMm} mm`,
      ({ facts }) =>
        facts.interface === drive.facts.interface &&
        (facts.m2LengthMm ?? Infinity) <= board.facts.m2LongestMm! &&
        (facts.capacityGb ?? 0) >= (drive.facts.capacityGb ?? 0),
    ),
    byHand('secure it with a pad where nothing is in the way', 'ten minutes', {
      leavesOpen: 'only if no board component is in the way',
    }),
  ],
})

/** What every board with such a slot holds, mm. */
const usualMm = 80
