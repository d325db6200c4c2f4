import { findBuild, type BuildRow } from '#server/context/findBuild'
import { and, eq, isNull } from 'drizzle-orm'
import { groupBy } from '#core/collections/groupBy'
import { isTooCheap } from '#core/supply/risk/tooCheap'
import type { Condition } from '#core/reading/sales/soldRecord'
import { moneySize } from '#core/assumptions/moneySize'
import { rateTable } from '#core/money/rates'
import { partLabel, type Part, type Role } from '#core/parts/part'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { targetRatio } from '#core/performance/model/judgeTarget'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { slimming } from '#core/machine/upgrades/slimming'
import { stepsUp, type Step, type StepOption, type TargetReach } from '#core/machine/upgrades/stepsUp'
import { rankedRoles } from '#core/parts/indexOfPart'
import type { BuildView } from '#shared/builds/views'
import type { StepsView, StepView, ChoiceView } from '#shared/machine/views'
import type { Database } from '#server/db/client'
import { leads, leadThings } from '#server/db/schema/leads'
import { buildView } from '../builds/buildView'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { useMarket, type Market } from '#server/context/market'
import { houseRuleBreaches } from '#server/context/houseRuleBreaches'
import { warnBelow } from '../leads/readLeads'
import { anyonePrices, openNewOffers } from '#server/context/anyone'
import { faultsOf } from '#server/context/faults'
import { huntsNew } from '#server/context/readChoice'
import { huntFaultLoss } from '#core/supply/risk/huntFaultLoss'
import { pricedLibrary } from '#server/context/pricedLibrary'
import { keptParts, valuedLeads } from '#server/context/valuedLeads'

/** The next steps up of each role that can be ranked, from leads and street prices, within what is left; and what to swap where the build is over its budget. */
export async function stepsView(
  db: Database,
  buildId: string,
  today: string,
  only?: Role,
): Promise<StepsView> {
  return stepsOf(db, await buildView(db, buildId, today), only === undefined ? rankedRoles : [only])
}

/** The same of a build that has been read already, for some of the roles. */
export async function stepsOf(
  db: Database,
  view: BuildView,
  wanted: readonly Role[] = rankedRoles,
): Promise<StepsView> {
  const { today } = view
  const [build, market] = await Promise.all([findBuild(db, view.id), useMarket(db)])
  const priced = pricedLibrary(market, build, today)
  const faults = faultsOf(market, build, today)
  const options = [
    ...(await leadOptions(db, market, build, view, today)),
    ...priced.map(({ part, price }): StepOption => ({
      id: `street:${part.id}`,
      from: 'street',
      part,
      payNow: price,
      price:
        price +
        huntFaultLoss({
          role: part.role,
          condition: huntsNew(market, build, part, null, today) ? 'new' : 'used',
          itemWithTax: price,
          protection: 'none',
          assumptions: faults,
        }),
    })),
  ]
  const brief = fitBriefOf(market, build, today)
  const left = Math.max(0, view.receipt.left ?? 0)
  const reach = reachOf(view)
  const priceOf = (part: Part) => priced.find((each) => each.part.id === part.id)?.price ?? 0
  const { stepThreshold } = machineRules(market, build, today)
  const roles = rankedRoles
    .filter((role) => wanted.includes(role))
    .map((role) => {
      const part = view.parts.find((each) => each.role === role)
      const choice = part && view.choices.find((each) => each.parts.some((own) => own.id === part.id))
      const isAlone = choice?.parts.length === 1 && choice.kind !== 'item' && choice.payNow !== null
      const brings = part ? Math.round(market.assumptions.resale.replacedShare * priceOf(part)) : 0
      const cost = isAlone ? choice.expected! : brings
      const payNow = isAlone ? choice.payNow! : brings
      const at = part ? view.parts.indexOf(part) : -1
      const steps = stepsUp({
        role,
        others: view.parts.filter((_, index) => index !== at),
        present: part ? { part, cost, payNow } : null,
        options: options.filter(
          (option) => option.part.role === role && option.part.facts.module !== 'laptop',
        ),
        left,
        brief,
        settled: new Set(build.settled),
        reach,
        threshold: stepThreshold,
        unit: moneySize(build.currency),
      })
      return {
        role,
        present: part ? { name: partLabel(part), cost, choiceId: isAlone ? choice.id : null } : null,
        steps: steps.map(stepView),
      }
    })
  return {
    left,
    threshold: stepThreshold,
    roles,
    slimming: (view.receipt.left ?? 0) < 0 ? slim(view, options, brief, reach) : null,
  }
}

function stepView({ option, ...step }: Step): StepView {
  return {
    ...step,
    id: option.id,
    from: option.from,
    partId: option.part.id,
    name: partLabel(option.part),
    price: option.price,
    payNow: option.payNow,
  }
}

/** A lead that could fill a role, with its money as a choice of it would have it. */
export interface LeadOption extends StepOption, Pick<ChoiceView, 'rebatesExpected' | 'anyoneCanPay'> {
  readonly payNow: number
  readonly condition: Condition
}

/** Open leads with one thing kept, that no rule of the builder's speaks against; at their expected cost. */
export async function leadOptions(
  db: Database,
  market: Market,
  build: BuildRow,
  view: BuildView,
  today: string,
): Promise<LeadOption[]> {
  const table = rateTable(market.rates)
  // only what keeps one thing can take one role
  const kept = groupBy(
    await db
      .select({ leadId: leadThings.leadId, partId: leadThings.partId })
      .from(leadThings)
      .where(eq(leadThings.plan, 'keep')),
    (row) => row.leadId,
  )
  const open = (
    await db
      .select({ id: leads.id, currency: leads.currency, endsOn: leads.endsOn })
      .from(leads)
      .where(and(eq(leads.state, 'open'), isNull(leads.deletedAt), isNull(leads.vanishedOn)))
  ).filter(
    (row) =>
      table.find(today, row.currency, build.currency) !== null &&
      (row.endsOn === null || row.endsOn >= today) &&
      kept.get(row.id)?.length === 1 &&
      !view.choices.some((choice) => choice.leadId === row.id),
  )
  const library = new Map(market.library.map((part) => [part.id, part]))
  const offers = await openNewOffers(db)
  return (
    await valuedLeads(
      db,
      market,
      build,
      today,
      open.map((row) => row.id),
    )
  ).flatMap((valued): LeadOption[] => {
    const [part, ...others] = keptParts(valued, library)
    if (
      !part ||
      others.length > 0 ||
      valued.lead.condition === 'damaged' ||
      houseRuleBreaches(build.houseRules, valued, library).length > 0
    )
      return []
    // an ask far under the street is a warning, not a bargain
    if (isTooCheap(valued.value.ask, warnBelow(market, valued, today, build.currency))) return []
    return [
      {
        id: valued.lead.id,
        from: 'lead',
        part,
        price: valued.value.expectedAfterResale,
        payNow: valued.value.payNow,
        rebatesExpected: valued.value.rebatesExpected,
        anyoneCanPay:
          anyonePrices(
            market,
            build,
            [{ id: part.id, part, isNew: valued.lead.condition === 'new' }],
            offers,
            today,
          ).get(part.id) ?? null,
        condition: valued.lead.condition,
      },
    ]
  })
}

/** What a machine of these parts reaches of the build's targets. */
function reachOf(view: BuildView): (parts: readonly Part[]) => TargetReach[] {
  return (parts) => {
    const { machine } = frameMachineOf(parts)
    if (!machine) return []
    return view.targets.map((target) => ({
      name: `${target.workload} ${target.height}p ${target.preset}`,
      fps: estimateFrameRate(
        view.workloads.find((each) => each.id === target.workloadId)!,
        machine,
        target,
      ).averageFps,
      wanted: target.averageFps,
    }))
  }
}

function slim(
  view: BuildView,
  options: readonly StepOption[],
  brief: ReturnType<typeof fitBriefOf>,
  reach: ReturnType<typeof reachOf>,
): StepsView['slimming'] {
  const chosen = view.choices
    .filter((choice) => choice.parts.length === 1 && choice.scope !== 'test')
    .map((choice) => ({
      id: choice.id,
      part: view.parts.find((part) => part.id === choice.parts[0]!.id),
      cost: choice.payNow ?? 0,
      fixed: choice.kind === 'item',
    }))
  const rest = view.parts
    .filter((part) => !chosen.some((each) => each.part?.id === part.id))
    .map((part) => ({ id: `rest:${part.id}`, part, cost: 0, fixed: true }))
  const all = [...chosen.flatMap((each) => (each.part ? [{ ...each, part: each.part }] : [])), ...rest]
  const over = -(view.receipt.left ?? 0)
  const { swaps, stillOver } = slimming({
    chosen: all,
    options: options.filter((option) => option.part.facts.module !== 'laptop'),
    over,
    brief,
    worth: (parts) => worthOf(parts, reach(parts)),
  })
  return {
    over,
    stillOver,
    swaps: swaps.map((swap) => ({
      choiceId: swap.choiceId,
      out: partLabel(swap.out),
      id: swap.option.id,
      partId: swap.option.part.id,
      from: swap.option.from,
      name: partLabel(swap.option.part),
      saved: swap.saved,
      lost: swap.lost,
    })),
  }
}

/** Worth of a machine: how far it reaches its targets, less weight for memory and storage, which no target counts. */
function worthOf(parts: readonly Part[], reached: readonly TargetReach[]): number {
  const frames =
    reached.reduce(
      (sum, each) =>
        sum +
        Math.log(
          Math.min(
            2,
            targetRatio(
              { averageFps: each.fps, lowFps: each.fps },
              { averageFps: each.wanted, lowFps: null },
            ),
          ),
        ),
      0,
    ) / Math.max(1, reached.length)
  const gb = (role: Role) =>
    parts.filter((part) => part.role === role).reduce((sum, part) => sum + (part.facts.capacityGb ?? 0), 0)
  return Math.exp(
    frames + 0.1 * Math.log(Math.max(1, gb('memory'))) + 0.05 * Math.log(Math.max(1, gb('storage'))),
  )
}
