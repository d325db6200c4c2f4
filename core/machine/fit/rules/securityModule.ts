import { partLabel } from '../../../parts/part'
import { byHand, cite, citeBrief, replace, type FitRule } from '../rule'

export const securityModule: FitRule = {
  id: 'security-module',
  area: 'platform',
  severity: 'needs',
  question: 'Has the board the security module the operating system asks for?',
  reads: [{ role: 'motherboard', facts: ['securityModule', 'socket'] }],
  concerns: (machine) => machine.brief.needsSecurityModule,
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => !board.facts.securityModule)
      .map((board) => ({
        what: `${partLabel(board)} has no security module, which the operating system asks for`,
        why: [cite(board, 'securityModule'), citeBrief('operating system', 'asks for a security module')],
        fixes: [
          replace(
            'motherboard',
            'a board with one',
            (part) => part.facts.socket === board.facts.socket && part.facts.securityModule === true,
          ),
          byHand('take a system that does not ask', 'install another one', {
            leavesOpen: 'fewer programs run on it',
          }),
        ],
      })),
}
