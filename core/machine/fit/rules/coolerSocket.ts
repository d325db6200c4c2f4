import { compared } from '../../../parts/vocabularies'
import { partLabel } from '../../../parts/part'
import { cite, pairsOf, replace, type FitRule } from '../rule'

export const coolerSocket: FitRule = {
  id: 'cooler-socket',
  area: 'space',
  severity: 'stops',
  question: 'Does the cooler support the socket?',
  reads: [
    { role: 'cooler', facts: ['coolerSockets'] },
    { role: 'motherboard', facts: ['socket'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'cooler', 'motherboard')
      .filter(
        ([cooler, board]) =>
          !cooler.facts.coolerSockets!.some((socket) => compared(socket) === compared(board.facts.socket!)),
      )
      .map(([cooler, board]) => ({
        what: `${partLabel(cooler)} supports ${cooler.facts.coolerSockets!.join(', ')}, not ${board.facts.socket}`,
        why: [cite(cooler, 'coolerSockets'), cite(board, 'socket')],
        fixes: [
          replace(
            'cooler',
            `a cooler for ${board.facts.socket}`,
            (part) =>
              (part.facts.coolerSockets ?? []).includes(board.facts.socket!) &&
              (part.facts.coolerW ?? 0) >=
                Math.max(...machine.all('cpu').map((cpu) => cpu.facts.limitW ?? 0), 0),
          ),
        ],
      })),
}
