import { partLabel } from '../../../parts/part'
import { add, byHand, cite, pairsOf, type FitRule } from '../rule'

export const frontUsb: FitRule = {
  id: 'front-usb',
  area: 'connections',
  severity: 'hints',
  question: 'Is there a header for the front USB-C port?',
  reads: [
    { role: 'case', facts: ['frontUsbC'] },
    { role: 'motherboard', facts: ['frontUsbC'] },
  ],
  concerns: (machine) => machine.all('case').some((chassis) => chassis.facts.frontUsbC === true),
  check: (machine) =>
    pairsOf(machine, 'case', 'motherboard')
      .filter(
        ([, board]) => !board.facts.frontUsbC && !machine.extra((facts) => facts.fixes === 'front-usb-c'),
      )
      .map(([chassis, board]) => ({
        what: `${partLabel(board)} has no header for the front USB-C of ${partLabel(chassis)}: the port will not work`,
        why: [cite(chassis, 'frontUsbC'), cite(board, 'frontUsbC')],
        fixes: [
          byHand('leave the port unconnected', 'none'),
          add('extra', 'a header adapter', (part) => part.facts.fixes === 'front-usb-c'),
        ],
      })),
}
