import { maybeSold, type BuildQuestion } from '#core/planning/buildQuestion'
import { chancesPerDay } from '#core/pricing/patience/patience'
import { coreRoles, partLabel, type Part, type Role } from '#core/parts/part'
import type { Way } from '#core/supply/ways/way'
import { daysBetween } from '#core/time/calendarDate'
import { buildRow, type BuildRow } from '#server/context/findBuild'
import { fitBriefOf } from '#server/context/fitBrief'
import { readStreetPrice } from '#server/context/market'
import { marketOf } from '#server/context/marketReadings'
import type { Market } from '#server/context/marketState'
import { waysOf, wayWords } from '#server/context/waysToGet'
import { performanceOf } from '#server/context/performance'
import type { Queryable } from '#server/db/client'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { BuildView } from '#shared/builds/views'
import type { PlanView } from '#shared/plan/views'
import { buildPage } from '../builds/buildView'
import { emptied } from './planBasis'
import { waysInOrders, type LeadWay } from './planOrders'
import { isCore, onePiece, presentWays, rateOf, unfold } from './presentWays'

/** Everything the plan of a build is worked out from: every way to get each part, what is there, what is wished. */
export const planPage = reading('plan page', (world, buildId: string, today: string): PlanView => {
  const build = buildRow(world, buildId)
  const view = buildPage(world, buildId, today)
  const market = marketOf(world)
  const performance = performanceOf(world)
  const library = new Map(market.library.map((part) => [part.id, part]))
  const present = presentWays(view, library)
  const chosen = new Set(view.choices.map(({ leadId }) => leadId))
  const all = waysOf(world, build.id, today, chosen)
  const offered = all.flatMap((way) => offeredWay(way, { market, build, today, library }))
  const takeable = offered.filter(({ why }) => why === '')
  const { ways, orders, trips } = waysInOrders({ world, build, today }, [...present, ...takeable])
  const basis = emptied(world, buildId, today).receipt.left
  const inQuestion = new Set(ways.flatMap(({ partIds }) => partIds))
  const parts = [
    ...new Map([...market.library, ...view.parts].map((part) => [part.id, part])).values(),
  ].filter((part) => inQuestion.has(part.id) && isCore(part.role))
  const question: BuildQuestion = {
    currency: build.currency,
    goal: 'cheapest',
    // a card or a CPU with graphics of its own, a cooler or one in the CPU's box: the engine knows who stands in
    roles: coreRoles,
    parts,
    ways,
    fixed: besides(
      view.parts,
      present.flatMap(({ pieces }) => pieces),
    ),
    settled: build.settled,
    otherWaits: otherWaits(view, new Set(present.map(({ choiceId }) => choiceId))),
    orders,
    trips,
    targets: view.targets.map(
      ({ workload, workloadId, width, height, preset, upscaling, frameGeneration, averageFps, lowFps }) => ({
        name: `${workload} at ${height}p`,
        workloadId,
        settings: { width, height, preset, upscaling, frameGeneration },
        averageFps,
        lowFps,
      }),
    ),
    workloads: performance.workloads,
    brief: fitBriefOf(market, build, today),
    wishes: {
      floors: view.targets.map(({ averageFps }) => averageFps),
      // what is left where nothing that the plan decides about is chosen, and the stretch
      budget: basis === null ? null : basis + view.stretch - view.budget,
      days: build.wantedBy === null ? null : Math.max(0, daysBetween(today, build.wantedBy)),
      memoryGb: largest(view, 'memory') ?? usualMemoryGb,
      driveGb: build.houseRules.machine?.smallestDriveGb ?? largest(view, 'storage') ?? usualDriveGb,
      supplyFactor: market.assumptions.power.supplyFactor,
    },
    pins: present.filter(({ isBought, way }) => isBought && !maybeSold(way)).map(({ way }) => way.id),
    maySell: 0,
    bans: [],
  }
  return {
    question,
    leftOut: [
      ...(basis === null
        ? [
            {
              text: 'the budget',
              why: 'a part in the build has no price, so what is left is not known',
              roles: [],
            },
          ]
        : []),
      ...offered
        .filter(({ why }) => why !== '')
        .map(({ way, why }) => ({
          text: way.text,
          why,
          roles: way.partIds.flatMap((id) => library.get(id)?.role ?? []),
        })),
    ],
    present: present.map(({ way }) => way.id),
    within: basis,
  }
})

export async function planQuestion(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<PlanView> {
  return planPage(await useWorld(db), buildId, today)
}

/** Parts of the machine that no way of the question stands for, piece by piece. */
function besides(parts: readonly Part[], planned: readonly string[]): Part[] {
  const left = [...planned]
  return parts.filter(({ id }) => {
    const at = left.indexOf(id)
    if (at >= 0) left.splice(at, 1)
    return at < 0
  })
}

/** Chances a day of the hunts that the plan leaves as they are. */
const otherWaits = ({ choices }: BuildView, decided: ReadonlySet<string>): number[] =>
  choices.flatMap(({ id, kind, expectedWait }) =>
    kind === 'hunt' && expectedWait !== null && expectedWait > 0 && !decided.has(id)
      ? [rateOf(expectedWait)!]
      : [],
  )

/** Asked for where neither the brief nor the present machine says a size; the builder changes it on the page. */
const [usualMemoryGb, usualDriveGb] = [16, 480]

function largest(view: BuildView, role: Role): number | null {
  const sizes = view.parts.flatMap((part) =>
    part.role === role && part.facts.capacityGb !== undefined ? [part.facts.capacityGb] : [],
  )
  return sizes.length === 0 ? null : Math.max(...sizes)
}

interface Offer {
  readonly market: Market
  readonly build: BuildRow
  readonly today: string
  readonly library: ReadonlyMap<string, Part>
}

/** A way as the plan sees it, and why it is left out; empty where it is not. */
function offeredWay(way: Way, { market, build, today, library }: Offer): (LeadWay & { why: string })[] {
  const parts = unfold([way.part, ...way.others], library)
  const core = parts.filter((part) => isCore(part.role)).map(({ id }) => id)
  const ids = onePiece(core, library)
  if (ids.length === 0 && way.part.role !== 'donor') return []
  const perDay =
    way.kind === 'hunt'
      ? chancesPerDay(readStreetPrice(market, way.part.id, today, build.currency).flow, way.payNow)
      : null
  const why =
    way.breaks[0] ??
    (way.doubt === '' ? (ids.length === 0 ? 'the donor’s contents are not known' : '') : way.doubt)
  return [
    {
      why,
      leadId: way.leadId,
      way: {
        id: way.id,
        text: [way.part, ...way.others].map(partLabel).join(' + '),
        from: way.mark === null ? wayWords(way) : `a hunt, used, ${way.mark}`,
        url: way.url,
        source: null,
        partIds: ids,
        payNow: way.payNow,
        expected: way.expected,
        perDay,
        isPresent: false,
      },
    },
  ]
}
