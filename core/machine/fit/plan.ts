import { partLabel, type Part, type Role } from '../../parts/part'
import { powerDraw } from '../power/powerDraw'
import { leadLoads } from '../power/powerSheet'
import { ratedNow } from '../power/supplySize'
import type { FitBrief, Finding } from './finding'
import { heatFactor } from './sums'

/** What kind of thing runs between two plates. */
export type LineKind = 'power' | 'data' | 'space' | 'heat'

/** A plate: a role with what fills it. */
export interface Plate {
  readonly role: Role
  readonly names: readonly string[]
}

/** A line between two plates that clash, or that runs near its limit. */
export interface PlanLine {
  readonly from: Role
  readonly to: Role
  readonly kind: LineKind
  readonly state: 'clash' | 'near'
  readonly text: string
  readonly findingKey: string | null
}

/** Near: more than this share of the limit. */
export const nearShare = 0.85

const kinds: Readonly<Record<string, LineKind>> = {
  'card-leads': 'power',
  'cpu-leads': 'power',
  'adapter-load': 'power',
  'slot-power': 'power',
  'supply-age': 'power',
  'supply-twelve': 'power',
  'supply-leads': 'power',
  'sata-leads': 'power',
  'main-plug': 'power',
  'supply-size': 'power',
  'supply-peak': 'power',
  'board-feeds-cpu': 'power',
  'least-supply': 'power',
  'card-cables': 'power',
  'fan-current': 'power',
  'board-size': 'space',
  'card-height': 'space',
  'card-beside-radiator': 'space',
  'cooler-bolted': 'space',
  'card-length': 'space',
  'card-thickness': 'space',
  'card-low-profile': 'space',
  'low-bracket': 'space',
  'cooler-height': 'space',
  'cooler-over-memory': 'space',
  'radiator-place': 'space',
  'drive-bays': 'space',
  'small-drive-mount': 'space',
  'supply-shape': 'space',
  'supply-length': 'space',
  'slots-covered': 'space',
  'cooler-capacity': 'heat',
  airflow: 'heat',
  'no-cooler': 'heat',
  'cooler-socket': 'space',
  'cooler-mount': 'space',
}

/** The machine as plates with only those lines drawn that clash or run near their limit; computed from parts and findings. */
export function machinePlan(
  parts: readonly Part[],
  findings: readonly Finding[],
  { year, roomC, power }: Pick<FitBrief, 'year' | 'roomC' | 'power'>,
): { readonly plates: readonly Plate[]; readonly lines: readonly PlanLine[] } {
  const roles = [...new Set(parts.map((part) => part.role))]
  const plates = roles.map((role) => ({
    role,
    names: parts.filter((part) => part.role === role).map(partLabel),
  }))
  const clashes = findings.flatMap((finding): PlanLine[] => {
    const [a, b] = finding.why
    if (a.role === 'brief' || b.role === 'brief') return []
    return [
      {
        from: a.role,
        to: b.role,
        kind: kinds[finding.ruleId] ?? 'data',
        state: 'clash',
        text: finding.what,
        findingKey: finding.key,
      },
    ]
  })
  const near = nearLines(parts, { year, roomC, power }).filter(
    (line) =>
      !clashes.some((clash) => clash.from === line.from && clash.to === line.to && clash.kind === line.kind),
  )
  return { plates, lines: [...clashes, ...near] }
}

function nearLines(
  parts: readonly Part[],
  { year, roomC, power }: Pick<FitBrief, 'year' | 'roomC' | 'power'>,
): PlanLine[] {
  const one = (role: Role) => parts.find((part) => part.role === role)
  const [supply, card, chassis, cooler, cpu] = [
    one('supply'),
    one('graphics'),
    one('case'),
    one('cooler'),
    one('cpu'),
  ]
  const lines: PlanLine[] = []
  const near = (
    from: Role,
    to: Role,
    kind: LineKind,
    load: number | undefined,
    limit: number | undefined,
    unit: string,
    what: string,
  ) => {
    if (load === undefined || limit === undefined || limit <= 0 || load > limit || load < nearShare * limit)
      return
    lines.push({
      from,
      to,
      kind,
      state: 'near',
      text: `${what}: ${Math.round(load)} of ${Math.round(limit)} ${unit}`,
      findingKey: null,
    })
  }
  if (supply?.facts.ratedW !== undefined && card)
    near(
      'supply',
      'graphics',
      'power',
      powerDraw(parts, power).peak,
      ratedNow(supply, year, power),
      'W',
      'power spikes',
    )
  if (card && supply)
    for (const lead of leadLoads(parts).filter((each) => each.what !== 'PCIe slot of the card'))
      near('supply', 'graphics', 'power', lead.loadW, lead.limitW, 'W', lead.what)
  near('graphics', 'case', 'space', card?.facts.lengthMm, chassis?.facts.maxCardMm, 'mm', 'card length')
  near('cooler', 'case', 'space', cooler?.facts.heightMm, chassis?.facts.maxCoolerMm, 'mm', 'cooler height')
  near(
    'cpu',
    'cooler',
    'heat',
    cpu?.facts.limitW,
    cooler?.facts.coolerW === undefined ? undefined : cooler.facts.coolerW * heatFactor(roomC),
    'W',
    'CPU heat',
  )
  return lines
}
