import { CoreError } from '#core/errors/coreError'
import { countedFps } from '#core/performance/model/estimateFrameRate'
import type { PlanCarriedOut, PlannedOrder } from '#core/planning/planBuild'
import type { Change } from '#core/whatif/change'
import { receiptDifference } from '#core/whatif/difference'
import type { World } from '#server/readings/world'
import { changed, whatIf } from '#server/whatif/whatIf'
import type { PlanPriceInput } from '#shared/plan/schemas'
import type { Outcome } from '#shared/whatif/views'
import { buildPage } from '../builds/buildView'
import { emptied } from './planBasis'
import { changesOfPlan } from './planChanges'

/** What a plan comes to where it is carried out: receipt, carts, frames, findings and waits as the screens would show them. */
export function planCarriedOut(
  world: World,
  buildId: string,
  { rivalId, ...plan }: PlanPriceInput,
  today: string,
): PlanCarriedOut {
  const { changes, lineOf } = changesOfPlan(world, buildId, plan, today)
  const { after, refused } = whatIf(world, buildId, changes, today)
  if (!after) throw new CoreError('not-as-planned', { why: refused!.message }, refused!.path)
  const basis = emptied(world, buildId, today)
  const { payNow, expected } = receiptDifference(basis.receipt, after.receipt)
  // what is paid, or mine, costs a plan nothing more
  const lines = new Map(after.receipt.groups.toBuy.map((line) => [line.id, line]))
  const estimates = after.targets.map(({ estimate }) => estimate)
  const isKnown = estimates.length > 0 && estimates.every((estimate) => estimate !== null)
  return {
    cost: expected === null ? null : expected - after.leftovers + basis.leftovers,
    payNow,
    ways: [...lineOf].map(([id, line]) => ({
      id,
      payNow: lines.get(line)?.payNow ?? 0,
      expected: lines.get(line)?.expected ?? 0,
    })),
    orders: ordersOf(after, lineOf),
    fps: isKnown ? estimates.map((estimate) => countedFps(estimate!)) : null,
    lows: isKnown ? estimates.map((estimate) => estimate!.lowFps) : null,
    waitDays: after.waits === null ? 0 : after.waits.daysForMost,
    uncounted: after.waits?.uncounted ?? [],
    findings: after.findings.map(({ key, ruleId, severity, what, why }) => ({
      key,
      ruleId,
      severity,
      what,
      why,
    })),
    unchecked: after.cannotCheck.map(({ what }) => what),
    whole: { payNow: after.receipt.totals.payNow, expected: after.receipt.totals.expected },
    ...(rivalId && { toOwn: toOwn(world, buildId, changes, rivalId, today) }),
  }
}

/** What it and a machine beside it take to own, on one list of steps. */
function toOwn(
  world: World,
  buildId: string,
  changes: readonly Change[],
  rivalId: string,
  today: string,
): NonNullable<PlanCarriedOut['toOwn']> {
  const { own, others } = buildPage(changed(world, buildId, changes, today), buildId, today).weighing
  const rival = others.find(({ machine }) => machine.id === rivalId)
  if (!rival) throw new CoreError('unknown-rival', {}, 'rivalId')
  return { own: own.cost.total, rival: rival.cost.total }
}

/** Carts that ways of the plan lie in with something else. */
function ordersOf({ carts }: Outcome, lineOf: ReadonlyMap<string, string>): PlannedOrder[] {
  return carts.flatMap(({ source, lines, steps, total }): PlannedOrder[] => {
    const wayIds = [...lineOf].flatMap(([id, line]) =>
      lines.some(({ choiceId }) => choiceId === line) ? [id] : [],
    )
    if (wayIds.length === 0 || lines.length < 2) return []
    return [
      {
        name: source,
        wayIds,
        payNow: total,
        shipping: steps.find(({ label }) => label === 'shipping')?.amount ?? 0,
        codes: steps.flatMap(({ label }) => /^code (.+)$/.exec(label)?.[1] ?? []),
      },
    ]
  })
}
