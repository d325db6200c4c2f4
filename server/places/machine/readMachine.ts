import { buildRow } from '#server/context/findBuild'
import { assemblySheet } from '#core/machine/assembly/assemblySheet'
import { checkFit } from '#core/machine/fit/checkFit'
import { waysToMend } from '#core/machine/fit/fixes'
import { machinePlan } from '#core/machine/fit/plan'
import { partLabel, type Role } from '#core/parts/part'
import { powerSheet } from '#core/machine/power/powerSheet'
import type { FixProposed, MachineView } from '#shared/machine/views'
import { taken } from '#core/whatif/proposed'
import { whatIf } from '#server/whatif/whatIf'
import { changesOfFix, reasonOf } from './fix'
import { roomToGrow } from './roomToGrow'
import type { Queryable } from '#server/db/client'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import { buildPage } from '../builds/buildView'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { marketOf } from '#server/context/marketReadings'
import { partsAtTheirWays, suggested, type PartAtItsWay } from '#server/context/waysToGet'

const mostCandidates = 3

/**
 * The machine of a build: what fixes each finding at what price, its power, what it leaves room for, its plan and its
 * assembly.
 */
export const machinePage = reading('machine page', (world, buildId: string, today: string): MachineView => {
  const build = buildRow(world, buildId)
  const market = marketOf(world)
  const view = buildPage(world, buildId, today)
  const priced = partsAtTheirWays(suggested(world, build.id, view))
  const brief = fitBriefOf(market, build, today)
  const machine = { parts: view.parts, brief, settled: new Set(build.settled) }
  const { findings } = checkFit(machine)
  const rules = machineRules(market, build, today)
  const ways = Object.fromEntries(
    findings.map((finding) => [
      finding.key,
      waysToMend(finding, machine, priced, market.library).map((row): FixProposed => {
        // what has no price cannot be taken, and costs nobody knows what
        if (row.cost === null) return { ...row, changes: [], refused: null }
        const changes = changesOfFix(view, row, priced, reasonOf(finding))
        const { difference, refused } = whatIf(world, buildId, changes, today)
        return { ...row, changes, cost: difference?.payNow ?? null, refused: refused?.message ?? null }
      }),
    ]),
  )
  const costOf = (partId: string) =>
    view.choices.find((choice) => choice.parts.some((part) => part.id === partId))?.payNow
  return {
    ways,
    // what stops puts the parts themselves at risk, the rest what fixing it costs
    atRisk: Object.fromEntries(
      findings.map((finding) => {
        const fixing = ways[finding.key]!.flatMap((way) => way.cost ?? [])
        const parts = finding.severity === 'stops' ? finding.why.map(({ partId }) => costOf(partId)) : []
        const known = [
          ...parts.filter((cost) => cost !== undefined && cost !== null),
          ...(fixing.length === 0 ? [] : [Math.min(...fixing)]),
        ]
        return [finding.key, known.length === 0 ? null : Math.max(0, ...known)]
      }),
    ),
    candidates: view.emptyRoles.map((role) => ({
      role,
      options: sensible(role, machine, priced).flatMap(({ part, how, way }) => {
        const changes = [taken(way, '')]
        const price = whatIf(world, buildId, changes, today).difference?.payNow ?? null
        const named = { way: way.id, partId: part.id, name: partLabel(part), how: how ?? '' }
        return price === null ? [] : [{ ...named, price, changes }]
      }),
    })),
    power: powerSheet(view.parts, {
      power: market.assumptions.power,
      rule: rules.supplyRule,
      year: brief.year,
      fullHours: rules.fullHours,
      idleHours: rules.idleHours,
      tariff: rules.tariff,
    }),
    rules,
    room: roomToGrow(world, view, machine, priced, rules),
    plan: machinePlan(view.parts, findings, brief),
    assembly: assemblySheet(view.parts, findings),
    assembled: build.assembled,
  }
})

export async function machineView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<MachineView> {
  return machinePage(await useWorld(db), buildId, today)
}

/** The cheapest parts of a role with which nothing stops that did not stop before. */
function sensible(
  role: Role,
  machine: Parameters<typeof checkFit>[0],
  priced: readonly PartAtItsWay[],
): PartAtItsWay[] {
  const stops = (parts: typeof machine.parts) =>
    checkFit({ ...machine, parts }).findings.filter((finding) => finding.severity === 'stops').length
  const before = stops(machine.parts)
  const found: PartAtItsWay[] = []
  for (const each of priced
    .filter(({ part }) => part.role === role && part.facts.module !== 'laptop')
    .sort((a, b) => a.price - b.price)) {
    if (stops([...machine.parts, each.part]) > before) continue
    found.push(each)
    if (found.length === mostCandidates) break
  }
  return found
}
