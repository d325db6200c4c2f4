import { partLabel } from '../../../parts/part'
import { powerDraw } from '../../power/powerDraw'
import { airflowW } from '../sums'
import { cite, citeAll, replace, type FitRule } from '../rule'

export const airflow: FitRule = {
  id: 'airflow',
  area: 'heat',
  severity: 'costs',
  question: 'Do the fans carry all the heat out, in this room?',
  reads: [
    { role: 'case', facts: ['fans'] },
    { role: 'cpu', facts: ['limitW'] },
  ],
  check: (machine) =>
    machine.all('case').flatMap((chassis) => {
      const heat = powerDraw(machine.parts, machine.brief.power).sustained
      const carries = airflowW(chassis.facts.fans!, machine.brief.roomC)
      if (carries >= heat || chassis.facts.fans === 0) return []
      return [
        {
          what: `${chassis.facts.fans} ${chassis.facts.fans === 1 ? 'fan carries' : 'fans carry'} ${Math.round(carries)} W out at ${machine.brief.roomC} °C; the machine makes ${Math.round(heat)} W`,
          why: [
            cite(chassis, 'fans'),
            citeAll(
              [machine.all('graphics')[0] ?? machine.all('cpu')[0]!],
              'heat of the whole machine',
              `${Math.round(heat)} W`,
            ),
          ] as const,
          fixes: [
            replace(
              'case',
              'a case with more fans',
              (part) =>
                airflowW(part.facts.fans ?? 0, machine.brief.roomC) >= heat &&
                (part.facts.boardSizes ?? []).some(
                  (size) => chassis.facts.boardSizes?.includes(size) === true,
                ),
              { leavesOpen: `${partLabel(chassis)} is left over` },
            ),
          ],
        },
      ]
    }),
}
