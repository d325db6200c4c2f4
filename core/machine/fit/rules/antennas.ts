import { partLabel } from '../../../parts/part'
import { byHand, cite, citeBrief, type FitRule } from '../rule'

/** Wireless from a donor often comes without its antennas: it then reaches across the table. */
export const antennas: FitRule = {
  id: 'antennas',
  area: 'condition',
  severity: 'needs',
  question: 'Are the Wi-Fi antennas included?',
  reads: [],
  concerns: (machine) => machine.brief.needs.includes('wireless') && wirelessOf(machine.parts).length > 0,
  check: (machine) =>
    wirelessOf(machine.parts)
      .filter(({ facts }) => facts.antennasIncluded === false)
      .map((part) => ({
        what: `The Wi-Fi of ${partLabel(part)} has no antennas: expect almost no range`,
        why: [cite(part, 'antennasIncluded'), citeBrief('requires', 'wireless')],
        fixes: [
          byHand('add two antennas', 'five minutes; a pair is cheap', {
            leavesOpen: 'the price of the antennas',
          }),
        ],
      })),
}

const wirelessOf = (parts: Parameters<FitRule['check']>[0]['parts']) =>
  parts.filter(({ facts }) => facts.wireless === true || facts.covers === 'wireless')
