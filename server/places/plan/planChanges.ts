import { CoreError } from '#core/errors/coreError'
import type { Change } from '#core/whatif/change'
import { taken } from '#core/whatif/proposed'
import { buildRow } from '#server/context/findBuild'
import { waysOf } from '#server/context/waysToGet'
import type { World } from '#server/readings/world'
import { newIn } from '#server/whatif/whatIf'
import type { PlanInput } from '#shared/plan/schemas'
import { buildPage } from '../builds/buildView'
import { goneChoices, libraryOf } from './planBasis'
import { presentWays } from './presentWays'

const isOwnRow = ({ rows }: World, buildId: string, id: string) =>
  rows.items.one('id', id) !== undefined || rows.choices.one('id', id)?.buildId === buildId

/** What taking a plan is made of. Of a lot what the plan does without stays out of the machine. */
export function changesOfPlan(
  world: World,
  buildId: string,
  { ways: ids, sold, without }: PlanInput,
  today: string,
): { readonly changes: readonly Change[]; readonly lineOf: ReadonlyMap<string, string> } {
  const build = buildRow(world, buildId)
  const view = buildPage(world, buildId, today)
  const chosen = new Set(view.choices.map(({ leadId }) => leadId))
  const ways = waysOf(world, build.id, today, chosen)
  const gone = goneChoices(world, view, ids).map((choice): Change => ({ kind: 'remove', choice }))
  const leave = sold.map((id, index): Change => {
    const item = view.choices.find((choice) => id === `choice:${choice.id}`)?.item
    if (!item || item.place !== 'build') throw new CoreError('no-thing', { id }, `sold[${index}]`)
    return { kind: 'sell', item: item.id }
  })
  const patience = build.houseRules.patience ?? 'typical'
  const changes = [...gone, ...leave]
  /** Line of the receipt that a way comes to stand on. */
  const lineOf = new Map<string, string>()
  const presentOf = (id: string) => view.choices.find((choice) => id === `choice:${choice.id}`)
  const isOut = (id: string, part: string) => without.some((each) => each.way === id && each.part === part)
  /** What of a way of the build stays out today, and a plan may bring in. */
  const leftOutOf = new Map(presentWays(view, libraryOf(world)).map(({ way }) => [way.id, way.leftOut ?? []]))
  // what a present lot does without is out before something else takes its place
  const inTurn = [...ids.entries()].sort(([, a], [, b]) => Number(!presentOf(a)) - Number(!presentOf(b)))
  for (const [index, id] of inTurn) {
    const present = presentOf(id)
    const outOf = (line: string, alreadyOut: readonly string[] = []) =>
      without
        .filter(({ way, part }) => way === id && !alreadyOut.includes(part))
        .forEach(({ part }) => changes.push({ kind: 'leave-out', line, part }))
    if (present) {
      const before = changes.length
      const leftOut = leftOutOf.get(id) ?? []
      for (const part of new Set(leftOut))
        if (!isOut(id, part)) changes.push({ kind: 'bring-in', line: present.id, part })
      outOf(present.id, leftOut)
      const isCopied = changes.length > before && !isOwnRow(world, buildId, present.id)
      lineOf.set(id, isCopied ? newIn(buildId, before) : present.id)
    } else {
      const way = ways.find((each) => each.id === id)
      if (!way) throw new CoreError('planned-way-gone', { id }, `ways[${index}]`)
      changes.push(taken(way, 'from the plan', patience))
      const isMoved = way.itemId !== null && build.variantOf === null
      lineOf.set(id, isMoved ? way.itemId : newIn(buildId, changes.length - 1))
      outOf(isMoved ? way.itemId : `new:${changes.length - 1}`)
    }
  }
  return { changes, lineOf }
}
