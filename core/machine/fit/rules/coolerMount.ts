import { partLabel } from '../../../parts/part'
import { add, cite, pairsOf, replace, type FitRule } from '../rule'

export const coolerMount: FitRule = {
  id: 'cooler-mount',
  area: 'condition',
  severity: 'stops',
  question: 'Is the cooler’s mounting kit included?',
  reads: [
    { role: 'cooler', facts: ['mountIncluded'] },
    { role: 'motherboard', facts: ['socket'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cooler', 'motherboard')
      .filter(
        ([cooler]) =>
          cooler.facts.mountIncluded === false && !machine.extra((facts) => facts.fixes === 'mount'),
      )
      .map(([cooler, board]) => ({
        what: `${partLabel(cooler)} has no mounting kit: it cannot be fixed to ${partLabel(board)}`,
        why: [cite(cooler, 'mountIncluded'), cite(board, 'socket')],
        fixes: [
          add('extra', 'a mounting kit', (part) => part.facts.fixes === 'mount'),
          replace(
            'cooler',
            'another cooler',
            (part) =>
              part.facts.mountIncluded !== false &&
              (part.facts.coolerSockets ?? []).includes(board.facts.socket!),
          ),
        ],
      })),
}
