import { partLabel } from '../../../parts/part'
import { cite, citeBrief, replace, type FitRule } from '../rule'

export const oldestCpu: FitRule = {
  id: 'oldest-cpu',
  area: 'rules',
  severity: 'costs',
  question: 'Is the CPU new enough for your rule?',
  reads: [{ role: 'cpu', facts: ['year', 'socket'] }],
  concerns: (machine) => machine.brief.oldestCpuYear !== null,
  check: (machine) =>
    machine
      .all('cpu')
      .filter((cpu) => cpu.facts.year! < machine.brief.oldestCpuYear!)
      .map((cpu) => ({
        what: `${partLabel(cpu)} is from ${cpu.facts.year}; your rule asks for ${machine.brief.oldestCpuYear} or newer`,
        why: [cite(cpu, 'year'), citeBrief('oldest CPU allowed', String(machine.brief.oldestCpuYear))],
        fixes: [
          replace(
            'cpu',
            'a newer CPU for this board',
            (part) =>
              part.facts.socket === cpu.facts.socket &&
              (part.facts.year ?? 0) >= machine.brief.oldestCpuYear!,
          ),
        ],
      })),
}
