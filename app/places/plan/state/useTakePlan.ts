import type { BuildView } from '#shared/builds/views'
import type { PlanTaken } from '#shared/plan/views'
import { call } from '~/data/call'
import { idsOf, type usePlan } from './usePlan'

/** Takes the plan that is shown, into the build with one undo, or as a variant. */
export function useTakePlan(
  { plan, view: asked, load, startOver }: ReturnType<typeof usePlan>,
  view: () => BuildView,
) {
  const { run, busy } = useAction()

  async function take(into: 'build' | 'variant') {
    if (busy.value) return
    let taken: PlanTaken | null = null
    const { id, name } = view()
    const undo = async () => {
      await call('POST /api/ledger/actions/:id/undo', { id: String(taken!.action) })
      await load()
    }
    const done = await run(
      async () => {
        const body = {
          into,
          name: `${name}, planned`,
          ...idsOf(plan.value!),
          present: asked.value!.present,
        }
        taken = await call('POST /api/builds/:id/plan/take', { id }, body)
      },
      into === 'build' ? { message: 'the plan is now your build', undo } : { message: 'saved as a variant' },
    )
    // a build that was changed meanwhile is planned again beside what it is now
    if (!done) return void load()
    if (into === 'variant') await navigateTo(`/b/${(taken as PlanTaken | null)!.buildId}/machine`)
    else await startOver()
  }
  return { take, busy }
}
