import { budgetScopes } from '#core/ledger/account'
import { scopes } from '#core/ledger/scopes'
import { budgetForPlan, maybeSold, type BuildQuestion, type BuildWay } from '#core/planning/buildQuestion'
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
import { waysInOrders, type LeadWay } from './planOrders'

const isCore = (role: Role): boolean => (coreRoles as readonly Role[]).includes(role)

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
  const { ways, orders } = waysInOrders({ world, build, today }, [...present, ...takeable])
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
    fixed: besides(view.parts, new Set(present.flatMap(({ way }) => way.partIds))),
    orders,
    targets: view.targets.map(
      ({ workload, workloadId, width, height, preset, upscaling, frameGeneration, averageFps }) => ({
        name: `${workload} at ${height}p`,
        workloadId,
        settings: { width, height, preset, upscaling, frameGeneration },
        averageFps,
      }),
    ),
    workloads: performance.workloads,
    brief: fitBriefOf(market, build, today),
    wishes: {
      floors: view.targets.map(({ averageFps }) => averageFps),
      budget: budgetForPlan(
        view.receipt.left,
        view.receipt,
        present.filter(({ isCovered, isBought }) => isCovered && !isBought).map(({ way }) => way.payNow),
      ),
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
      ...(view.receipt.left === null
        ? [
            {
              text: 'the budget',
              why: 'a part in the build has no price, so what is left is not known',
            },
          ]
        : []),
      ...offered.filter(({ why }) => why !== '').map(({ way, why }) => ({ text: way.text, why })),
    ],
    present: present.map(({ way }) => way.id),
  }
})

export async function planQuestion(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<PlanView> {
  return planPage(await useWorld(db), buildId, today)
}

/** Parts of the machine that no way of the question stands for: of two equal ones the second. */
function besides(parts: readonly Part[], planned: ReadonlySet<string>): Part[] {
  const seen = new Set<string>()
  return parts.filter(({ id, role }) => {
    const isFirst = planned.has(id) && !seen.has(id)
    seen.add(id)
    return !isFirst || !isCore(role)
  })
}

/** Asked for where neither the brief nor the present machine says a size; the builder changes it on the page. */
const [usualMemoryGb, usualDriveGb] = [16, 480]

function largest(view: BuildView, role: Role): number | null {
  const sizes = view.parts.flatMap((part) =>
    part.role === role && part.facts.capacityGb !== undefined ? [part.facts.capacityGb] : [],
  )
  return sizes.length === 0 ? null : Math.max(...sizes)
}

interface PresentWay extends LeadWay {
  readonly choiceId: string
  readonly isBought: boolean
  readonly isCovered: boolean
}

/**
 * What the build has already, each as a way: bought things stay, the rest may be planned otherwise. Of several drives
 * or kits of memory the plan decides about the largest; the others are in the machine whatever is planned.
 */
export function presentWays(view: BuildView, library: ReadonlyMap<string, Part>): PresentWay[] {
  const all = everyWay(view, library)
  const beside = new Set(
    (['memory', 'storage'] as const).flatMap((role) => besideLargest(all, role, library)),
  )
  return all.filter((each) => !beside.has(each))
}

/** Choices of drives and memory beside the largest: no plan touches them. */
export function choicesBeside(view: BuildView, library: ReadonlyMap<string, Part>): Set<string> {
  const decided = new Set(presentWays(view, library).map(({ choiceId }) => choiceId))
  return new Set(everyWay(view, library).flatMap(({ choiceId }) => (decided.has(choiceId) ? [] : [choiceId])))
}

function besideLargest(
  all: readonly PresentWay[],
  role: Role,
  library: ReadonlyMap<string, Part>,
): PresentWay[] {
  const sizeOf = ({ way }: PresentWay) => library.get(way.partIds[0]!)?.facts.capacityGb ?? 0
  return all
    .filter(({ way }) => way.partIds.every((id) => library.get(id)?.role === role))
    .sort((a, b) => Number(b.isBought) - Number(a.isBought) || sizeOf(b) - sizeOf(a))
    .slice(1)
}

function everyWay(view: BuildView, library: ReadonlyMap<string, Part>): PresentWay[] {
  return view.choices.flatMap((choice) => {
    const ids = unfold(
      choice.parts.flatMap(({ id }) => library.get(id) ?? view.parts.find((part) => part.id === id) ?? []),
      library,
    )
      .filter((part) => isCore(part.role) && !choice.leftOut.includes(part.id))
      .map(({ id }) => id)
    if (ids.length === 0 || choice.voidBecause !== null || choice.scope === 'test') return []
    const isBought = choice.item !== null || choice.paidOn !== null
    if (!isBought && (choice.payNow === null || choice.expected === null)) return []
    return [
      {
        choiceId: choice.id,
        isBought,
        leadId: isBought ? null : choice.leadId,
        isCovered: scopes.indexOf(choice.scope) <= budgetScopes.indexOf(view.budgetScope),
        way: {
          id: `choice:${choice.id}`,
          text: choice.label,
          from: choice.item
            ? 'in the build, owned'
            : isBought
              ? 'in the build, bought'
              : `in the build: ${choice.source}`,
          url: '',
          source: null,
          partIds: [...new Set(ids)],
          payNow: isBought ? 0 : choice.payNow!,
          expected: isBought ? 0 : choice.expected!,
          perDay: choice.kind === 'hunt' ? rateOf(choice.expectedWait) : null,
          isPresent: true,
          ...resaleOf(choice, ids),
        },
      },
    ]
  })
}

/** What a single thing of mine, whole and at its place, brings net when it is sold; of others that is not asked. */
function resaleOf({ item }: BuildView['choices'][number], ids: readonly string[]): Pick<BuildWay, 'resale'> {
  const isWhole = item?.place === 'build' && item.state !== 'dead' && item.state !== 'faulty'
  return isWhole && ids.length === 1 && item.worthToday !== null ? { resale: item.worthToday } : {}
}

/** Chances a day of a hunt that takes so long; null where it ends on any day. */
const rateOf = (expectedWait: number | null) =>
  expectedWait === null ? 0 : expectedWait === 0 ? null : 1 / expectedWait

/** A donor is what is in it; one of which that is not known stands as itself and fills no role. */
function unfold(parts: readonly Part[], library: ReadonlyMap<string, Part>): Part[] {
  return parts.flatMap((part) =>
    part.role === 'donor' && part.facts.contains
      ? part.facts.contains.flatMap((id) => library.get(id) ?? [])
      : [part],
  )
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
  const ids = [...new Set(parts.filter((part) => isCore(part.role)).map(({ id }) => id))]
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
