import { partLabel } from '../../../parts/part'
import { cite, citeBrief, replace, type FitRule } from '../rule'

export const oldestCpu: FitRule = {
  id: 'oldest-cpu',
  area: 'rules',
  severity: 'costs',
  question: 'Is the CPU as young as your rule asks for?',
  reads: [{ role: 'cpu', facts: ['year', 'socket'] }],
  concerns: (machine) => machine.brief.oldestCpuYear !== null,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => cpu.facts.year! < machine.brief.oldestCpuYear!)
      .map((cpu) => ({
        what: `${partLabel(cpu)} is of ${cpu.facts.year}; your rule asks for ${machine.brief.oldestCpuYear} or later`,
        why: [cite(cpu, 'year'), citeBrief('oldest CPU', String(machine.brief.oldestCpuYear))],
        fixes: [
          replace(
            'cpu',
            'a younger CPU for this board',
            (part) =>
              part.facts.socket === cpu.facts.socket &&
              (part.facts.year ?? 0) >= machine.brief.oldestCpuYear!,
          ),
        ],
      })),
}
