import { partLabel } from '../../../parts/part'
import { byHand, cite, citeBrief, replace, type FitRule } from '../rule'

export const securityModule: FitRule = {
  id: 'security-module',
  area: 'platform',
  severity: 'needs',
  question: 'Does the board have the TPM the OS requires?',
  reads: [{ role: 'motherboard', facts: ['securityModule', 'socket'] }],
  concerns: (machine) => machine.brief.needsSecurityModule,
  check: (machine) =>
    machine
      .all('motherboard')
      .filter((board) => !board.facts.securityModule)
      .map((board) => ({
        what: `${partLabel(board)} has no TPM, which the OS requires`,
        why: [cite(board, 'securityModule'), citeBrief('operating system', 'requires a TPM')],
        fixes: [
          replace(
            'motherboard',
            'a board with a TPM',
            (part) => part.facts.socket === board.facts.socket && part.facts.securityModule === true,
          ),
          byHand('use an OS that does not need it', 'install another OS', {
            leavesOpen: 'fewer programs run on it',
          }),
        ],
      })),
}
