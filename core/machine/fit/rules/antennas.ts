import { partLabel } from '../../../parts/part'
import { byHand, cite, citeBrief, type FitRule } from '../rule'

/** Wireless from a donor often comes without its antennas: it then reaches across the table. */
export const antennas: FitRule = {
  id: 'antennas',
  area: 'condition',
  severity: 'needs',
  question: 'Are the antennas of the wireless there?',
  reads: [],
  concerns: (machine) => machine.brief.needs.includes('wireless') && wirelessOf(machine.parts).length > 0,
  check: (machine) =>
    wirelessOf(machine.parts)
      .filter(({ facts }) => facts.antennasIncluded === false)
      .map((part) => ({
        what: `The wireless of ${partLabel(part)} comes without antennas: it reaches no further than the table`,
        why: [cite(part, 'antennasIncluded'), citeBrief('asks for', 'wireless')],
        fixes: [
          byHand('screw two antennas on', 'five minutes, a pair for little', { leavesOpen: 'their price' }),
        ],
      })),
}

const wirelessOf = (parts: Parameters<FitRule['check']>[0]['parts']) =>
  parts.filter(({ facts }) => facts.wireless === true || facts.covers === 'wireless')
