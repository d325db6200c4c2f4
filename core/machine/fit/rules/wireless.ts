import { partLabel } from '../../../parts/part'
import { add, cite, citeBrief, replace, type FitRule } from '../rule'

export const wireless: FitRule = {
  id: 'wireless',
  area: 'connections',
  severity: 'needs',
  question: 'Is there wireless, where the brief asks for it?',
  reads: [{ role: 'motherboard', facts: ['wireless', 'socket'] }],
  concerns: (machine) => machine.brief.needs.includes('wireless'),
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => !board.facts.wireless && !machine.extra((facts) => facts.covers === 'wireless'))
      .map((board) => ({
        what: `The brief asks for wireless; ${partLabel(board)} has none`,
        why: [cite(board, 'wireless'), citeBrief('asks for', 'wireless')],
        fixes: [
          add('extra', 'a wireless stick or card', (part) => part.facts.covers === 'wireless'),
          replace(
            'motherboard',
            'a board with wireless',
            (part) => part.facts.socket === board.facts.socket && part.facts.wireless === true,
          ),
        ],
      })),
}
