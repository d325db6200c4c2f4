import { partLabel, type Part } from '../../../parts/part'
import { hasPlugs } from '../../power/cardFeeds'
import { powerDraw } from '../../power/powerDraw'
import { caseFlow, warmingInside } from '../../power/caseHeat'
import { cite, citeAll, notTold, replace, type FitRule } from '../rule'
import { drawKnown, fansOf } from '../sums'

/** Inside the case, °C: above the first it costs, above the second it needs more air. */
const limits = { costs: 45, needs: 60 } as const

/**
 * How warm it gets inside: 1.76 · (W − 60) / CFM above the room. Which way fans blow is not known, so the better of both
 * counts: all in one direction, and the supply drawing from the case.
 */
export const airflow: FitRule = {
  id: 'airflow',
  area: 'heat',
  severity: 'costs',
  question: 'Is the airflow enough for this room temperature?',
  reads: [
    { role: 'case', facts: ['fans', 'fanMm'] },
    { role: 'cpu', facts: ['limitW'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('case').length > 0 && machine.all('cpu').length > 0,
  check(machine) {
    const [chassis] = machine.all('case') as [Part]
    const { parts, unknown } = drawKnown(machine)
    const heat = powerDraw(parts, machine.brief.power).sustained
    const fans = fansOf(machine)
    if (fans === null) return heat <= 60 && unknown.length === 0 ? [] : [notTold(chassis, 'fans')]
    const flow = caseFlow(fans, machine.all('supply').length > 0)
    const inside = machine.brief.roomC + warmingInside(heat, flow)
    const isStill = fans.length === 0 && heat > 60
    if (inside <= limits.costs && !isStill) return unknown.length > 0 && fans.length < 2 ? [{ unknown }] : []
    const isGrave =
      (inside > limits.needs || isStill) && machine.all('graphics').some(({ facts }) => hasPlugs(facts))
    const count = fans.length === 1 ? '1 fan' : `${fans.length} fans`
    return [
      {
        what: isStill
          ? `No fan in ${partLabel(chassis)}, and the PC gives off ${Math.round(heat)} W of heat`
          : `${count} for ${Math.round(heat)} W: about ${Math.round(inside)} °C inside ` +
            `${partLabel(chassis)} in a ${machine.brief.roomC} °C room`,
        why: [
          cite(chassis, 'fans'),
          citeAll(
            [machine.all('graphics')[0] ?? machine.all('cpu')[0]!],
            'total heat',
            `${Math.round(heat)} W`,
          ),
        ] as const,
        ...(isGrave ? { severity: 'needs' as const } : {}),
        fixes: [
          replace(
            'case',
            'a case with more fans',
            (part) =>
              (part.facts.fans ?? 0) > fans.length &&
              (part.facts.boardSizes ?? []).some((size) => chassis.facts.boardSizes?.includes(size) === true),
            { leavesOpen: `${partLabel(chassis)} is left over` },
          ),
        ],
      },
    ]
  },
}
