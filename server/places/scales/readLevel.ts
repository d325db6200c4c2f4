import { lacksBeside } from '#core/comparison/components/compareComponents'
import { drawLevel, inTurn, type LevelStep } from '#core/machine/upgrades/drawLevel'
import { CoreError } from '#core/errors/coreError'
import { partLabel, roleNames } from '#core/parts/part'
import type { Change } from '#core/whatif/change'
import { buildRow } from '#server/context/findBuild'
import { fitBriefOf } from '#server/context/fitBrief'
import { marketOf } from '#server/context/marketReadings'
import { partsAtTheirWays, suggested } from '#server/context/waysToGet'
import type { World } from '#server/readings/world'
import { whatIf } from '#server/whatif/whatIf'
import type { LevelNeed, LevelView } from '#shared/scales/views'
import { buildPage } from '../builds/buildView'
import { changesOfFix } from '../machine/fix'
import { asPart } from './weighedMachines'

/**
 * What it would take to draw each of two machines level with the other: the build by what its total then is, a rival by
 * what the parts cost.
 *
 * @throws `unknown-rival`
 */
export function levelOf(world: World, buildId: string, rivalId: string, today: string): LevelView {
  const view = buildPage(world, buildId, today)
  const build = buildRow(world, buildId)
  const { own, others } = view.weighing
  const rival = others.find(({ machine }) => machine.id === rivalId)?.machine
  if (!rival) throw new CoreError('unknown-rival', {}, 'rivalId')
  const priced = partsAtTheirWays(suggested(world, buildId, view))
  const brief = fitBriefOf(marketOf(world), build, today)
  const settled = new Set(build.settled)
  const mine = drawLevel({ parts: view.parts, brief, settled }, lacksBeside(own.machine, rival), priced)
  const its = drawLevel(
    { parts: rival.components.map(asPart), brief },
    lacksBeside(rival, own.machine),
    priced,
  )
  const taking: Change[] = []
  const totals = mine.map(({ taken }) => {
    if (taken) taking.push(...changesOfFix(view, taken, priced, ''))
    return whatIf(world, buildId, taking, today).difference?.payNow ?? null
  })
  const costs = inTurn(totals)
  return {
    own: mine.map((step, at) => needOf(step, costs[at]!)),
    other: its.map((step) => needOf(step, step.taken?.cost ?? null)),
  }

  function needOf({ role, taken }: LevelStep, price: number | null): LevelNeed {
    if (!taken) return { name: roleNames[role], price: null }
    const parts = taken.parts.map(({ id }) => partLabel(priced.find(({ part }) => part.id === id)!.part))
    return { name: parts.join(' with '), price }
  }
}
