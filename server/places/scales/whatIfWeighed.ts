import type { Change } from '#core/whatif/change'
import type { World } from '#server/readings/world'
import { changed, whatIf } from '#server/whatif/whatIf'
import type { WhatIf } from '#shared/whatif/views'
import { buildPage } from '../builds/buildView'

/** What changes come to; where what a build is weighed by is one of them, how it is weighed before and after as well. */
export function whatIfWeighed(
  world: World,
  buildId: string,
  changes: readonly Change[],
  today: string,
): WhatIf {
  const found = whatIf(world, buildId, changes, today)
  if (found.refused || !changes.some(({ kind }) => kind === 'weigh')) return found
  const weighed = (of: World) => buildPage(of, buildId, today).weighing
  return {
    ...found,
    weighing: { before: weighed(world), after: weighed(changed(world, buildId, changes, today)) },
  }
}
