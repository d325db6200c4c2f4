import type { Lack } from '../../machine/upgrades/drawLevel'
import { driveKind } from '../../parts/driveKind'
import { roleNames, type Part, type PartFacts, type Role } from '../../parts/part'
import type { WeighedComponent, WeighedMachine } from '../weighedMachine'

/** One figure of a role on both sides. */
export interface ComponentLine {
  readonly role: Role
  readonly name: string
  readonly own: string
  readonly other: string
  /** From the own machine's side. *Not stated*: the other is calculated as the cheapest plausible part. */
  readonly standing: 'better' | 'level' | 'worse' | 'not stated' | 'not there'
  /** The figure that decides. */
  readonly figure: string
}

interface Measure {
  readonly unit: string
  readonly fact: keyof PartFacts
  of(facts: PartFacts): number | undefined
  /** What stands for a figure that is none to be shown. */
  words?(value: number): string
}

const measure = (fact: keyof PartFacts, unit: string): Measure => ({
  fact,
  unit,
  of: (facts) => facts[fact] as number | undefined,
})

/** What decides in each role, weightiest first: the first that differs stands. */
const measures: Partial<Readonly<Record<Role, readonly Measure[]>>> = {
  cpu: [measure('cpuIndex', 'index')],
  graphics: [measure('graphicsIndex', 'index'), measure('vramGb', 'GB of video memory')],
  memory: [measure('capacityGb', 'GB'), measure('kitCount', 'modules'), measure('speedMts', 'MT/s')],
  storage: [
    {
      fact: 'interface',
      unit: 'kind of drive',
      // beside a figure of nothing no share can be told
      of: (facts) => {
        const kind = driveKind(facts)
        return kind === undefined ? undefined : kind + 1
      },
      words: (kind) => ['HDD', 'SATA', 'NVMe'][kind - 1]!,
    },
    measure('capacityGb', 'GB'),
  ],
  supply: [measure('ratedW', 'W')],
  motherboard: [measure('memorySlots', 'memory slots'), measure('m2Slots', 'M.2 slots')],
  cooler: [measure('coolerW', 'W')],
}
const levelShare = 0.03

/**
 * Component by component: better, level, worse or not stated, with the figure that decides. Roles that neither side
 * has are left out; several parts of a role count together.
 */
export function compareComponents(
  own: Pick<WeighedMachine, 'components'>,
  other: Pick<WeighedMachine, 'components'>,
): ComponentLine[] {
  if (own.components.length === 0 || other.components.length === 0) return []
  return (Object.keys(measures) as Role[]).flatMap((role): ComponentLine[] => {
    const [a, b] = [together(own.components, role), together(other.components, role)]
    if (!a && !b) return []
    const base = { role, name: roleNames[role], own: a?.label ?? 'none', other: b?.label ?? 'none' }
    if (!a || !b) return [{ ...base, standing: 'not there', figure: a ? 'only here' : 'only there' }]
    const decided = decide(role, a, b)
    if (b.state === 'missing') return [{ ...base, standing: 'not stated', figure: `counted as ${b.label}` }]
    return [{ ...base, ...decided }]
  })
}

function decide(
  role: Role,
  a: WeighedComponent,
  b: WeighedComponent,
): Pick<ComponentLine, 'standing' | 'figure'> {
  let notStated = ''
  for (const { unit, fact, of, words = String } of measures[role]!) {
    const [x, y] = [of(a.facts), of(b.facts)]
    if (x === undefined || y === undefined || y === 0) continue
    if (a.assumed?.includes(fact) || b.assumed?.includes(fact)) {
      notStated ||= `${unit} not stated`
      continue
    }
    if (Math.abs(x / y - 1) <= levelShare) continue
    const change = Math.round(100 * (x / y - 1))
    return {
      standing: x > y ? 'better' : 'worse',
      figure:
        unit === 'index'
          ? `${change > 0 ? '+' : '−'}${Math.abs(change)} %`
          : `${words(x)} vs ${words(y)} ${unit}`,
    }
  }
  return notStated === '' ? { standing: 'level', figure: '' } : { standing: 'not stated', figure: notStated }
}

/** Parts of a role as one: capacities and counts added up. */
function together(components: readonly WeighedComponent[], role: Role): WeighedComponent | undefined {
  const own = components.filter((each) => each.role === role)
  const [first] = own
  if (!first || own.length === 1) return first
  const sum = (of: (facts: PartFacts) => number | undefined) =>
    own.reduce((total, each) => total + (of(each.facts) ?? 0), 0)
  return {
    ...first,
    label: own.map((each) => each.label).join(' + '),
    facts: {
      ...first.facts,
      capacityGb: sum((facts) => facts.capacityGb),
      kitCount: sum((facts) => facts.kitCount ?? 1),
    },
  }
}

/** What memory and drives of a machine hold together, GB; left out where it has none, or nobody says. */
export function sizesOf({ components }: Pick<WeighedMachine, 'components'>): {
  readonly memoryGb?: number
  readonly driveGb?: number
} {
  const [memoryGb, driveGb] = (['memory', 'storage'] as const).map(
    (role) => together(components, role)?.facts.capacityGb,
  )
  return { ...(memoryGb && { memoryGb }), ...(driveGb && { driveGb }) }
}

/** Roles in which a machine is worse than another, with what would be in nothing worse. */
export function lacksBeside(
  worse: Pick<WeighedMachine, 'components'>,
  better: Pick<WeighedMachine, 'components'>,
): Lack[] {
  return compareComponents(worse, better).flatMap(({ role, standing, own }): Lack[] => {
    if (standing !== 'worse' && !(standing === 'not there' && own === 'none')) return []
    const wanted = together(better.components, role)!
    const isNoWorse = ({ facts, role: its }: Part) =>
      its === role &&
      facts.module !== 'laptop' &&
      measures[role]!.every(({ fact, of }) => {
        const least = wanted.assumed?.includes(fact) ? undefined : of(wanted.facts)
        return least === undefined || (of(facts) ?? 0) >= least * (1 - levelShare)
      })
    return [{ role, isNoWorse }]
  })
}
