import type { Change } from '#core/whatif/change'
import { coreRoles, type Role } from '#core/parts/part'
import { CoreError } from '#core/errors/coreError'
import { marketOf } from '#server/context/marketReadings'
import { reading } from '#server/readings/reading'
import type { World } from '#server/readings/world'
import { whatIf } from '#server/whatif/whatIf'
import type { BuildView } from '#shared/builds/views'
import type { Outcome } from '#shared/whatif/views'
import { buildPage } from '../builds/buildView'
import { choicesBeside } from './presentWays'

/** The build without all that a plan decides about: what a plan adds to it is what the plan costs. */
export const emptied = reading(
  'build without a plan',
  (world, buildId: string, today: string): Outcome => {
    const view = buildPage(world, buildId, today)
    const changes = goneChoices(world, view, []).map((choice): Change => ({ kind: 'remove', choice }))
    const { after, refused } = whatIf(world, buildId, changes, today)
    if (!after) throw new CoreError('not-as-planned', { why: refused!.message }, refused!.path)
    return after
  },
  { most: 100 },
)

export const libraryOf = (world: World) => new Map(marketOf(world).library.map((part) => [part.id, part]))

/** Choices of the present build that a plan of these ways does without. */
export function goneChoices(world: World, view: BuildView, ids: readonly string[]): string[] {
  const beside = choicesBeside(view, libraryOf(world))
  return view.choices
    .filter(
      (choice) =>
        choice.item === null &&
        choice.paidOn === null &&
        choice.scope !== 'test' &&
        !beside.has(choice.id) &&
        choice.parts.some(({ role }) => isPlanned(role)) &&
        !ids.includes(`choice:${choice.id}`),
    )
    .map(({ id }) => id)
}

const isPlanned = (role: Role) => ([...coreRoles, 'donor'] as readonly Role[]).includes(role)
