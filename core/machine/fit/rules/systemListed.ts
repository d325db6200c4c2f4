import { partLabel } from '../../../parts/part'
import { byHand, cite, citeBrief, replace, type FitRule } from '../rule'

export const systemListed: FitRule = {
  id: 'system-listed',
  area: 'platform',
  severity: 'costs',
  question: 'Is the CPU on the list of the operating system?',
  reads: [{ role: 'cpu', facts: ['systemListed', 'socket'] }],
  concerns: (machine) => machine.brief.needsSecurityModule,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => !cpu.facts.systemListed)
      .map((cpu) => ({
        what: `${partLabel(cpu)} is not on the list of the operating system: no promise of updates`,
        why: [cite(cpu, 'systemListed'), citeBrief('operating system', 'keeps a list of CPUs')],
        fixes: [
          replace(
            'cpu',
            'a CPU on the list',
            (part) => part.facts.socket === cpu.facts.socket && part.facts.systemListed === true,
          ),
          byHand('take a system without a list', 'install another one', {
            leavesOpen: 'fewer programs run on it',
          }),
        ],
      })),
}
