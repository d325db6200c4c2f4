import { partLabel, type Part } from '../../../parts/part'
import { powerDraw } from '../../power/powerDraw'
import { isUsualRule, leastOverDraw, ratedNow, supplyRuleText, wattsWanted } from '../../power/supplySize'
import { cite, citeBrief, notTold, replace, type FitRule, type MachineRead, type Outcome } from '../rule'
import { drawKnown } from '../sums'

/**
 * Below the sustained draw it stops; below 1.15 times of it, or below a rule of the builder's, it needs another; below
 * the usual 1.5 times it is a hint. What draws and is not known counts nothing: then only what is certain is said.
 */
export const supplySize: FitRule = {
  id: 'supply-size',
  area: 'power',
  severity: 'needs',
  question: 'Does the PSU rating cover the load and your rule?',
  reads: [
    { role: 'supply', facts: ['ratedW', 'year'] },
    { role: 'cpu', facts: ['limitW'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('supply').length > 0 && machine.all('cpu').length > 0,
  check: (machine) => machine.all('supply').flatMap((supply) => judged(machine, supply)),
}

function judged(machine: MachineRead, supply: Part): Outcome[] {
  if (supply.facts.ratedW === undefined) return [notTold(supply, 'ratedW')]
  const { power, supplyRule, year } = machine.brief
  const { parts, unknown } = drawKnown(machine)
  const draw = powerDraw(parts, power)
  const wanted = wattsWanted(supplyRule, draw, parts, power)
  const now = ratedNow(supply, year, power)
  const least = leastOverDraw * draw.sustained
  const [severity, asks] =
    now < draw.sustained
      ? (['stops', draw.sustained] as const)
      : now < least
        ? (['needs', least] as const)
        : now < wanted
          ? ([isUsualRule(supplyRule, power) ? 'hints' : 'needs', wanted] as const)
          : ([null, 0] as const)
  if (unknown.length > 0 && severity !== 'stops') return [{ unknown }]
  if (severity === null) return []
  const enough = (part: Part) => ratedNow(part, year, power) >= asks
  return [
    {
      what:
        `${partLabel(supply)} is rated for ${Math.round(now)} ` +
        `W${now < supply.facts.ratedW ? ' at its age' : ''}; ${reasons[severity]} ` +
        `${Math.ceil(asks)} W ` +
        `(${severity === 'stops' ? 'all parts at their limits' : severity === 'needs' && asks === least ? `${leastOverDraw} × the sustained draw` : supplyRuleText(supplyRule, power)}, ` +
        `${Math.round(draw.sustained)} W)`,
      why: [cite(supply, 'ratedW'), citeBrief('PSU rating', `${Math.ceil(asks)} W`)],
      severity,
      fixes: [
        replace(
          'supply',
          `a ${Math.ceil(asks)} W PSU`,
          (part) => enough(part) && part.facts.supplyShape === supply.facts.supplyShape,
        ),
        replace(
          'supply',
          'one of another form factor',
          (part) => enough(part) && part.facts.supplyShape !== supply.facts.supplyShape,
        ),
      ],
    },
  ]
}

const reasons = { stops: 'the PC draws', needs: 'your rule asks for', hints: 'recommended' } as const
