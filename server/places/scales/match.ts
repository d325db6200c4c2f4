import { targetName } from '#core/performance/model/targetName'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { CoreError } from '#core/errors/coreError'
import { checkFit } from '#core/machine/fit/checkFit'
import type { Condition } from '#core/reading/sales/soldRecord'
import { coreRoles, partLabel, type Part } from '#core/parts/part'
import { countedFps, estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { frameMachineOf, machinePair } from '#core/performance/model/machineOf'
import { enteredPrice } from '#core/comparison/adjustments/enteredPrice'
import { leastOfPart } from '#core/comparison/adjustments/leastOfPart'
import { likeForLike } from '#core/comparison/adjustments/likeForLike'
import { isTakeable } from '#core/supply/ways/way'
import { rateAt } from '#core/comparison/components/rateAt'
import type { WeighedMachine } from '#core/comparison/weighedMachine'
import type { Change } from '#core/whatif/change'
import { taken } from '#core/whatif/proposed'
import {
  matchSearch,
  type SearchAnswer,
  type SearchOption,
  type SearchProblem,
} from '#core/planning/matchSearch'
import type { BuildView } from '#shared/builds/views'
import type { ChoiceView } from '#shared/machine/views'
import type { MatchView } from '#shared/scales/views'
import type { Database } from '#server/db/client'
import { useWorld } from '#server/readings/useWorld'
import { carryOut } from '#server/whatif/carryOut'
import { buildPage, buildView } from '../builds/buildView'
import { fitBriefOf } from '#server/context/fitBrief'
import { useMarket } from '#server/context/market'
import { suggested, suggestedWays, wayWords } from '#server/context/waysToGet'
import { measuredWatts, usePerformance } from '#server/context/performance'
import { insertVariant } from '../builds/variants'
import { broughtBy, componentOf, conditionIn, entered as enteredOf, wattsOf } from './weighedMachines'
import type { Scales } from '#server/context/buildToWeigh'

/** How long a search may take before it answers with the best so far, ms. */
const mostTime = 2600

export interface MatchContext {
  readonly view: BuildView
  readonly problem: Omit<SearchProblem, 'isTimeUp'>
  readonly rivalName: string
  readonly options: ReadonlyMap<string, MatchOption>
  readonly budget: number | null
}

/**
 * A way to fill a role, with its money as a choice of it would have it. `price` is the expected cost: risk counted,
 * what comes along sold on.
 */
interface MatchOption extends Pick<ChoiceView, 'rebatesExpected' | 'anyoneCanPay'> {
  readonly payNow: number
  readonly id: string
  readonly part: Part
  readonly price: number
  readonly condition: Condition
  readonly isOwned: boolean
  readonly how: string
}

/**
 * *Match it*: the cheapest machine of single leads, street prices and what the build has already that reaches the rival in
 * every target. *Spend the same*: the most frames for a machine that on the scales costs no more to own than the rival.
 */
export async function findMatch(
  context: MatchContext,
  clock: () => number,
  onProgress: (share: number) => Promise<boolean>,
): Promise<MatchView | 'cancelled'> {
  const began = clock()
  const search = matchSearch({ ...context.problem, isTimeUp: () => clock() - began > mostTime })
  for (;;) {
    const step = search.next()
    if (step.done) return matchView(step.value, context, clock() - began)
    if (!(await onProgress(step.value.share))) return 'cancelled'
  }
}

/**
 * What a search is to look through, and for what. Throws `unknown-rival`, `no-targets` and `no-rates` before anything
 * is searched.
 */
export async function matchContext(
  db: Database,
  buildId: string,
  { goal, rivalId }: { goal: 'match' | 'spend'; rivalId: string },
  today: string,
): Promise<MatchContext> {
  const build = await findBuild(db, buildId)
  const [view, market, performance] = await Promise.all([
    buildView(db, buildId, today),
    useMarket(db),
    usePerformance(db),
  ])
  const rival = view.weighing.others.find((other) => other.machine.id === rivalId)
  if (!rival) throw new CoreError('unknown-rival', {}, 'rival')
  if (view.targets.length === 0) throw new CoreError('no-targets', {}, 'targets')
  const options = await matchOptions(db, build, view, { market, performance, today })
  const frames = (parts: readonly Part[]) => {
    const { machine } = frameMachineOf(parts)
    return (
      machine &&
      view.targets.map((target) =>
        countedFps(
          estimateFrameRate(
            view.workloads.find((each) => each.id === target.workloadId)!,
            machine,
            target,
          ),
        ),
      )
    )
  }
  const context = {
    view,
    rivalName: rival.machine.name,
    options: new Map(options.map((option) => [option.id, option])),
  }
  const brief = fitBriefOf(market, build, today)
  if (goal === 'match') {
    const floor = view.targets.map((target) => rateAt(rival.machine, target))
    if (floor.every((each) => each === null))
      throw new CoreError('no-rates', { name: rival.machine.name }, 'rival')
    return {
      ...context,
      budget: null,
      problem: {
        options: options.map(({ id, part, price }) => ({ id, part, cost: price })),
        brief,
        frames,
        goal: { kind: 'match', floor: floor.map((each) => each ?? 0) },
      },
    }
  }
  const weighed = scalesOf(build, view, context.options, { market, performance, today })
  return {
    ...context,
    budget: rival.cost.total,
    problem: {
      options: options.map(weighed.leastOf),
      brief,
      frames,
      goal: {
        kind: 'spend',
        budget: rival.cost.total - weighed.besides,
        total: (chosen) => weighed.totalOf(chosen) - weighed.besides,
      },
    },
  }
}

/** Everything that can fill a role: what the build has in single choices, and every way to get a part. */
async function matchOptions(
  db: Database,
  build: BuildRow,
  view: BuildView,
  { market }: Scales,
): Promise<MatchOption[]> {
  const library = new Map(market.library.map((part) => [part.id, part]))
  const chosen = view.choices
    .filter((choice) => choice.scope === 'core' && choice.parts.length === 1)
    .flatMap((choice): MatchOption[] => {
      const part =
        view.parts.find((each) => each.id === choice.parts[0]!.id) ?? library.get(choice.parts[0]!.id)
      // what has no price is no way to anything
      return part && choice.expected !== null && choice.payNow !== null
        ? [
            {
              ...choice,
              id: `choice:${choice.id}`,
              part,
              price: choice.expected,
              payNow: choice.payNow,
              isOwned: choice.kind === 'item' && choice.paidOn === null,
              how: 'already in the build',
              condition: conditionIn(
                build,
                part.role,
                choice.kind === 'item' && choice.paidOn === null ? 'used' : choice.condition,
              ),
            },
          ]
        : []
    })
  const ways = (await suggestedWays(db, build, view)).filter(isTakeable)
  return [
    ...chosen,
    ...ways.map((way): MatchOption => ({
      ...way,
      price: way.expected,
      rebatesExpected: way.payNow - way.afterRebates,
      isOwned: way.kind === 'item',
      how: wayWords(way),
    })),
  ]
}

/** What a found machine costs on the scales, in whole, and the least that each option adds to that. */
function scalesOf(build: BuildRow, view: BuildView, options: MatchContext['options'], scales: Scales) {
  const { terms, settings, own } = view.weighing
  const kept = view.choices.filter(
    (choice) => choice.scope !== 'test' && choice.parts.every((part) => !isCore(part.role)),
  )
  const keptParts = kept.flatMap((choice) =>
    choice.parts.flatMap((part) => scales.market.library.find((each) => each.id === part.id) ?? []),
  )
  const keptPrice = kept.reduce((sum, choice) => sum + enteredPrice(enteredOf(choice), settings.basis), 0)
  const keptComponents = keptParts.map((part) =>
    componentOf(
      part,
      conditionIn(
        build,
        part.role,
        kept.find((choice) => choice.parts.some((each) => each.id === part.id))!.condition,
      ),
      build.currency,
      scales,
    ),
  )
  const entered = (option: MatchOption) => enteredPrice(option, settings.basis)
  const component = (option: MatchOption) =>
    componentOf(option.part, option.condition, build.currency, scales, option.payNow)
  const costOf = (change: Partial<WeighedMachine>) => likeForLike({ ...own.machine, ...change }, terms).total
  return {
    // the least that is there whatever is chosen: no energy, and every need that a part could cover is covered
    besides: costOf({
      price: keptPrice,
      components: keptComponents,
      watts: null,
      brings: [...broughtBy(keptParts), 'wireless'],
    }),
    leastOf: ({ id, part }: SearchOptionId): SearchOption => ({
      id,
      part,
      cost: leastOfPart(part, component(options.get(id)!), entered(options.get(id)!), terms),
    }),
    totalOf: (chosen: readonly SearchOption[]) => {
      const parts = [...keptParts, ...chosen.map((option) => option.part)]
      const found = chosen.map((option) => options.get(option.id)!)
      return costOf({
        price: keptPrice + found.reduce((sum, option) => sum + entered(option), 0),
        components: [...keptComponents, ...found.map(component)],
        brings: broughtBy(parts),
        watts: wattsOf(parts, build, scales, measuredWatts(scales.performance, machinePair(parts))),
      })
    },
  }
}

type SearchOptionId = Pick<SearchOption, 'id' | 'part'>

const coreRoleSet: ReadonlySet<string> = new Set([...coreRoles, 'donor'])
const isCore = (role: string) => coreRoleSet.has(role)

function matchView(
  { found, gap, isComplete, checked }: SearchAnswer,
  { view, problem, options, budget, rivalName }: MatchContext,
  tookMs: number,
): MatchView {
  const parts = found?.options.map((option) => option.part) ?? []
  const chosen = found?.options.map((option) => options.get(option.id)!) ?? []
  const sum = (of: (option: MatchOption) => number) => chosen.reduce((total, option) => total + of(option), 0)
  const { goal } = problem
  return {
    goal: goal.kind,
    rivalName,
    isComplete,
    gap,
    checked,
    tookMs,
    budget,
    found: found && {
      options: chosen.map(({ id, part, payNow, how }) => ({
        id,
        partId: part.id,
        name: partLabel(part),
        role: part.role,
        payNow,
        how,
      })),
      price: sum((option) => option.price),
      payNow: sum((option) => option.payNow),
      toOwn: goal.kind === 'spend' ? goal.total!(found.options) + budget! - goal.budget : null,
      targets: view.targets.map((target, index) => ({
        name: targetName(target),
        fps: found.frames[index]!,
        wanted: target.averageFps,
        floor: goal.kind === 'match' ? goal.floor[index]! : null,
      })),
      findings: checkFit({ parts, brief: problem.brief }).findings.map(({ severity, what }) => ({
        severity,
        what,
      })),
      againstOwn:
        sum((option) => option.price) -
        (view.receipt.byScope.find(({ scope }) => scope === 'core')!.totals.expected ?? 0),
    },
  }
}

/**
 * Opens a machine that was found as a variant of the build: just what was found, by the ways it was found; what makes
 * it ready to use stays.
 */
export async function openAsVariant(
  db: Database,
  buildId: string,
  { name, options }: { name: string; options: readonly { id: string }[] },
  today: string,
): Promise<string> {
  const world = await useWorld(db)
  const view = buildPage(world, buildId, today)
  const ways = suggested(world, buildId, view)
  const wanted = new Set(options.map((option) => option.id))
  const added = options.flatMap(({ id }, index) => {
    if (view.choices.some((choice) => id === `choice:${choice.id}`)) return []
    const way = ways.find((each) => each.id === id)
    if (!way) throw new CoreError('option-gone', { id }, `options[${index}].id`)
    return [taken(way, 'found by the search')]
  })
  const gone = view.choices
    .filter((choice) => choice.parts.some(({ role }) => isCore(role)) && !wanted.has(`choice:${choice.id}`))
    .map(({ id }): Change => ({ kind: 'remove', choice: id }))
  return db.transaction(async (tx) => {
    const id = await insertVariant(tx, buildId, name, today)
    await carryOut(tx, id, [...gone, ...added], { today, text: `${name} opened`, path: 'options' })
    return id
  })
}
