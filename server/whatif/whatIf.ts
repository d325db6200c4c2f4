import { receiptDifference } from '#core/whatif/difference'
import type { Change } from '#core/whatif/change'
import { CoreError } from '#core/errors/coreError'
import { targetName } from '#core/performance/model/targetName'
import { choicesOf } from '#server/context/choicesOf'
import { buildRow } from '#server/context/findBuild'
import { buildReading } from '#server/context/readBuild'
import { leadsValued } from '#server/context/valuedLeads'
import { NotFoundError } from '#server/errors/notFoundError'
import type { World } from '#server/readings/world'
import type { Outcome, WhatIf } from '#shared/whatif/views'
import { editsOf } from './editsOf'

/**
 * What changes of a build would come to: receipt, account, frames, findings and waits before and after, by exactly what
 * the screens read. Nothing is written, and nobody else sees it. What is not possible is told as `refused`.
 */
export function whatIf(world: World, buildId: string, changes: readonly Change[], today: string): WhatIf {
  const before = outcomeOf(world, buildId, today)
  try {
    return compared(before, outcomeOf(changed(world, buildId, changes, today), buildId, today))
  } catch (error) {
    if (!(error instanceof CoreError || error instanceof NotFoundError)) throw error
    const { message } = error
    const refused =
      error instanceof CoreError
        ? { code: error.code, message, path: error.path ?? '' }
        : { code: 'not-found', message, path: '' }
    const nothing = { after: null, difference: null, comes: [], goes: [], frames: [] }
    return { before, ...nothing, refused }
  }
}

/** The world as changes of a build would have it. */
export const changed = (world: World, buildId: string, changes: readonly Change[], today: string): World =>
  world.with(
    editsOf(world, buildId, changes, {
      today,
      now: `${today}T00:00:00Z`,
      idOf: (change) => newIn(buildId, change),
    }),
  )

/** Id of the choice that a change of that number makes where it is only asked for: the same each time. */
export const newIn = (buildId: string, change: number): string => `new-${change}-${buildId}`.slice(0, 120)

function compared(before: Outcome, after: Outcome): WhatIf {
  const isIn = ({ findings }: Outcome, key: string) => findings.some((each) => each.key === key)
  return {
    before,
    after,
    difference: {
      ...receiptDifference(before.receipt, after.receipt),
      leftovers: after.leftovers - before.leftovers,
    },
    comes: after.findings.filter(({ key }) => !isIn(before, key)),
    goes: before.findings.filter(({ key }) => !isIn(after, key)),
    frames: after.targets.map((target, index) => ({
      name: targetName(target),
      before: before.targets[index]?.estimate?.averageFps ?? null,
      after: target.estimate?.averageFps ?? null,
    })),
    refused: null,
  }
}

function outcomeOf(world: World, buildId: string, today: string): Outcome {
  const { view } = buildReading(world, buildId, today)
  const build = buildRow(world, buildId)
  const leads = choicesOf(world, build).flatMap(({ leadId, voidBecause }) =>
    leadId !== null && voidBecause === null ? [leadId] : [],
  )
  return {
    receipt: view.receipt,
    account: view.receipt.account,
    targets: view.targets,
    findings: view.fit.findings,
    cannotCheck: view.fit.cannotCheck,
    emptyRoles: view.emptyRoles,
    waits: view.hunts,
    carts: view.carts,
    leftovers: leadsValued(world, build, today, leads).reduce(
      (sum, { value }) => sum + value.expected - value.expectedAfterResale,
      0,
    ),
  }
}
