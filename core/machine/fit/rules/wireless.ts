import { partLabel } from '../../../parts/part'
import { add, cite, citeBrief, replace, type FitRule } from '../rule'

export const wireless: FitRule = {
  id: 'wireless',
  area: 'connections',
  severity: 'needs',
  question: 'Is there Wi-Fi, if your brief asks for it?',
  reads: [{ role: 'motherboard', facts: ['wireless', 'socket'] }],
  concerns: (machine) => machine.brief.needs.includes('wireless'),
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => !board.facts.wireless && !machine.extra((facts) => facts.covers === 'wireless'))
      .map((board) => ({
        what: `Your brief asks for Wi-Fi; ${partLabel(board)} has none`,
        why: [cite(board, 'wireless'), citeBrief('requires', 'wireless')],
        fixes: [
          add('extra', 'a Wi-Fi stick or card', (part) => part.facts.covers === 'wireless'),
          replace(
            'motherboard',
            'a board with Wi-Fi',
            (part) => part.facts.socket === board.facts.socket && part.facts.wireless === true,
          ),
        ],
      })),
}
