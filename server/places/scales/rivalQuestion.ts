import { boughtFor } from '#core/comparison/components/boughtFor'
import { rateAt } from '#core/comparison/components/rateAt'
import { sizesOf } from '#core/comparison/components/compareComponents'
import { CoreError } from '#core/errors/coreError'
import { asRival, type BuildQuestion } from '#core/planning/buildQuestion'
import type { World } from '#server/readings/world'
import { buildPage } from '../builds/buildView'
import { planPage } from '../plan/planQuestion'
import { ownBudget } from './ownBudget'

/**
 * What a plan is asked so that it matches a rival: as fast in every target of which its rate is known, with as much
 * memory and drive, at the least cost; or the fastest that takes no more to own.
 *
 * @throws `unknown-rival`, `no-targets`, `no-rates`
 */
export function rivalQuestion(
  world: World,
  buildId: string,
  { goal, rivalId }: { readonly goal: 'match' | 'spend'; readonly rivalId: string },
  today: string,
): BuildQuestion {
  const view = buildPage(world, buildId, today)
  const { others, terms } = view.weighing
  const rival = others.find(({ machine }) => machine.id === rivalId)
  if (!rival) throw new CoreError('unknown-rival', {}, 'rivalId')
  if (view.targets.length === 0) throw new CoreError('no-targets', {}, 'targets')
  const { machine } = rival
  const { question } = planPage(world, buildId, today)
  const measure = {
    fps: view.targets.map((target) => rateAt(machine, target)),
    price: boughtFor(machine, terms.usualShipping),
    ...sizesOf(machine),
  }
  const asked = asRival(question, measure, goal)
  if (!asked) throw new CoreError('no-rates', { name: machine.name }, 'rivalId')
  if (goal === 'match') return asked
  const wishes = { ...asked.wishes, budget: null }
  return { ...asked, wishes, own: ownBudget(world, view, question, rivalId) }
}
