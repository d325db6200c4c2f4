import { and, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/coreError'
import { checkFit } from '#core/fit/checkFit'
import { partLabel, type Part } from '#core/parts/part'
import { estimateFrameRate } from '#core/performance/estimateFrameRate'
import { frameMachineOf } from '#core/performance/machineOf'
import { faultProbability } from '#core/sourcing/faultRisk'
import { outlaySteps } from '#core/weighing/steps'
import { matchSearch, type SearchAnswer, type SearchOption, type SearchProblem } from '#core/weighing/matchSearch'
import type { BuildView, MatchView } from '#shared/views'
import type { Database } from '../db/client'
import { builds, choices, leads } from '../db/schema'
import { NotFoundError } from '../http/errors'
import { assertReckonable } from './assertReckonable'
import { buildView } from './buildView'
import { fitBriefOf } from './fitBrief'
import { newId } from './ids'
import { useMarket } from './market'
import { pricedLibrary } from './pricedLibrary'
import { leadOptions } from './stepsView'
import { insertVariant } from './variants'

/** How long a search may take before it answers with the best so far, ms. */
const mostTime = 2600

export interface MatchContext {
  readonly view: BuildView
  readonly problem: Omit<SearchProblem, 'isTimeUp'>
  readonly rivalName: string
  /** What the options are expected to cost, and what is paid for them now, minor units. */
  readonly prices: ReadonlyMap<string, { readonly price: number; readonly payNow: number }>
  readonly budget: number | null
}

/**
 * *Match it*: the cheapest machine at street prices and leads that reaches the rival in every target. *Spend the same*: the
 * most frames for the rival's like-for-like cost; a part then counts with what it is like for like: price, own fault cost, less
 * the value left of it.
 */
export async function findMatch(context: MatchContext, clock: () => number, onProgress: (share: number) => Promise<boolean>): Promise<MatchView | 'cancelled'> {
  const began = clock()
  const search = matchSearch({ ...context.problem, isTimeUp: () => clock() - began > mostTime })
  for (;;) {
    const step = search.next()
    if (step.done) return matchView(step.value, context, clock() - began)
    if (!(await onProgress(step.value.share))) return 'cancelled'
  }
}

/** What a search is to look through, and for what. Throws `unknown-rival`, `no-targets` and `no-rates` before anything is searched. */
export async function matchContext(db: Database, buildId: string, { goal, rivalId }: { goal: 'match' | 'spend'; rivalId: string }, today: string): Promise<MatchContext> {
  const [build] = await db.select().from(builds).where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
  if (!build) throw new NotFoundError(`there is no build "${buildId}"`)
  const [view, market] = await Promise.all([buildView(db, buildId, today), useMarket(db)])
  const rival = view.weighing.others.find((other) => other.machine.id === rivalId)
  if (!rival) throw new CoreError('unknown-rival', 'this machine is not on the scales', 'rival')
  if (view.targets.length === 0) throw new CoreError('no-targets', 'the brief has no targets, so nothing can be matched', 'targets')
  const options = [...await leadOptions(db, market, build, view, today), ...pricedLibrary(market, build, today).map(({ part, price }) => ({ id: `street:${part.id}`, part, price, payNow: price }))]
  const { terms } = view.weighing
  const frames = (parts: readonly Part[]) => {
    const { machine } = frameMachineOf(parts)
    return machine && view.targets.map((target) => estimateFrameRate(view.workloads.find((each) => each.id === target.workloadId)!, machine, target).averageFps)
  }
  const brief = fitBriefOf(build, today)
  if (goal === 'match') {
    const floor = view.targets.map((target) => rateAt(rival.machine, target))
    if (floor.every((each) => each === null)) throw new CoreError('no-rates', `nothing is known of ${rival.machine.name} at the settings of the targets, so nobody can say what matches it`, 'rival')
    return { view, rivalName: rival.machine.name, prices: pricesOf(options), budget: null, problem: { options: options.map(({ id, part, price }) => ({ id, part, cost: price })), brief, frames, goal: { kind: 'match', floor: floor.map((each) => each ?? 0) } } }
  }
  // what a part is like for like: its price, own faults over the years, less what is left of it
  const likeForLikeOf = (part: Part, price: number) => Math.round(price + faultProbability(part.role, 'used', terms.faults) * price * terms.years - terms.wholeFactor * price * (terms.keeps[part.role] ?? terms.keeps.whole) ** terms.years)
  const own = view.weighing.own.cost
  const beside = own.steps.filter((step) => step.id === 'energy' || (outlaySteps.has(step.id) && step.id !== 'price')).reduce((sum, step) => sum + step.amount, 0)
  const budget = rival.cost.total - beside
  return { view, rivalName: rival.machine.name, prices: pricesOf(options), budget, problem: { options: options.map(({ id, part, price }) => ({ id, part, cost: likeForLikeOf(part, price) })), brief, frames, goal: { kind: 'spend', budget } } }
}

function pricesOf(options: readonly { id: string; price: number; payNow: number }[]): MatchContext['prices'] {
  return new Map(options.map(({ id, price, payNow }) => [id, { price, payNow }]))
}

function rateAt({ rates, modes }: BuildView['weighing']['own']['machine'], target: BuildView['targets'][number]): number | null {
  const same = rates.find((rate) => rate.workloadId === target.workloadId && rate.settings === `${target.width}x${target.height} ${target.preset}`)
  const mode = modes.find((each) => each.workloadId === target.workloadId && each.width === target.width && each.height === target.height)
  return same?.averageFps ?? mode?.fps ?? null
}

function matchView({ found, gap, isComplete, checked }: SearchAnswer, { view, problem, prices, budget, rivalName }: MatchContext, tookMs: number): MatchView {
  const parts = found?.options.map((option) => option.part) ?? []
  const priceOf = (option: SearchOption) => prices.get(option.id)!
  const total = found?.options.reduce((sum, option) => sum + priceOf(option).price, 0) ?? 0
  return {
    goal: problem.goal.kind, rivalName, isComplete, gap, checked, tookMs, budget,
    found: found && {
      options: found.options.map((option) => ({ id: option.id, partId: option.part.id, name: partLabel(option.part), role: option.part.role, payNow: priceOf(option).payNow, from: option.id.startsWith('street:') ? 'street' : 'lead' })),
      price: total, payNow: found.options.reduce((sum, option) => sum + priceOf(option).payNow, 0),
      targets: view.targets.map((target, index) => ({ name: `${target.workload} ${target.height}p ${target.preset}`, fps: found.frames[index]!, wanted: target.averageFps, floor: problem.goal.kind === 'match' ? problem.goal.floor[index]! : null })),
      findings: checkFit({ parts, brief: problem.brief }).findings.map(({ severity, what }) => ({ severity, what })),
      againstOwn: total - view.receipt.byScope.find(({ scope }) => scope === 'core')!.totals.anyoneCanPay,
    },
  }
}

/** Opens a machine that was found as a variant of the build: its own parts in the place of those of the build, what makes it ready to use stays. */
export async function openAsVariant(db: Database, buildId: string, { name, options }: { name: string; options: readonly { id: string; partId: string }[] }, today: string): Promise<string> {
  const view = await buildView(db, buildId, today)
  await assertKnown(db, options)
  const wanted = new Set(options.map((option) => option.partId))
  return db.transaction(async (tx) => {
    const id = await insertVariant(tx, buildId, name, today)
    const roles = new Set(['cpu', 'motherboard', 'memory', 'graphics', 'storage', 'supply', 'case', 'cooler', 'donor'])
    // a choice stays where all of it is wanted, or where nothing of it is a core part
    const stays = view.choices.filter((choice) => choice.parts.every((part) => !roles.has(part.role)) || (choice.parts.length > 0 && choice.parts.every((part) => wanted.has(part.id))))
    const kept = new Set(stays.flatMap((choice) => choice.parts.map((part) => part.id)))
    await tx.update(builds).set({ dropped: view.choices.filter((choice) => !stays.includes(choice)).map((choice) => choice.id) }).where(eq(builds.id, id))
    let position = 100
    for (const option of options.filter((each) => !kept.has(each.partId))) {
      const isLead = !option.id.startsWith('street:')
      await tx.insert(choices).values({ id: newId('choice'), buildId: id, position: position++, kind: isLead ? 'lead' : 'hunt', leadId: isLead ? option.id : null, partId: isLead ? null : option.partId, scope: 'core', reason: 'found by the search' })
    }
    await assertReckonable(tx, id, today, 'options')
    return id
  })
}

/** Every option names a part of the library, and a lead that is there. */
async function assertKnown(db: Database, options: readonly { id: string; partId: string }[]): Promise<void> {
  const { library } = await useMarket(db)
  for (const [index, { id, partId }] of options.entries()) {
    if (!library.some((part) => part.id === partId)) throw new CoreError('unknown-part', `"${partId}" is not in the parts library`, `options[${index}].partId`)
    if (id.startsWith('street:')) continue
    const [lead] = await db.select({ id: leads.id }).from(leads).where(and(eq(leads.id, id), isNull(leads.deletedAt)))
    if (!lead) throw new CoreError('unknown-lead', `there is no lead "${id}"`, `options[${index}].id`)
  }
}
