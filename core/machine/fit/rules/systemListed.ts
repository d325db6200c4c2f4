import { partLabel } from '../../../parts/part'
import { byHand, cite, citeBrief, replace, type FitRule } from '../rule'

export const systemListed: FitRule = {
  id: 'system-listed',
  area: 'platform',
  severity: 'costs',
  question: 'Is the CPU on the OS support list?',
  reads: [{ role: 'cpu', facts: ['systemListed', 'socket'] }],
  concerns: (machine) => machine.brief.needsSecurityModule,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => !cpu.facts.systemListed)
      .map((cpu) => ({
        what: `${partLabel(cpu)} is not on the OS support list: updates are not guaranteed`,
        why: [cite(cpu, 'systemListed'), citeBrief('operating system', 'has a CPU support list')],
        fixes: [
          replace(
            'cpu',
            'a supported CPU',
            (part) => part.facts.socket === cpu.facts.socket && part.facts.systemListed === true,
          ),
          byHand('use an OS without a support list', 'install another OS', {
            leavesOpen: 'fewer programs run on it',
          }),
        ],
      })),
}
