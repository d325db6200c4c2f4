import { proxy, wrap } from 'comlink'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import { idsOf } from '~/places/plan/state/usePlan'
import { call } from '~/data/call'
import { read } from '~/data/read'
import PlanWorkerFile from '~/workers/plan.worker?worker'
import type { PlanWorker } from '~/workers/planProtocol'

/** A machine found beside a rival. */
export interface RivalPlan {
  readonly goal: 'match' | 'spend'
  readonly rivalName: string
  readonly question: BuildQuestion
  readonly plan: BuildPlan
  readonly seconds: number
}

/**
 * The machine that matches a rival, or the fastest that takes no more to own: planned in a worker as any plan is, what
 * it finds carried out by the server. A new search ends the one under way.
 */
export function useRivalPlan(buildId: () => string) {
  const found = shallowRef<RivalPlan | null>(null)
  const searching = ref(false)
  const failure = ref('')
  let worker: Worker | null = null
  let round = 0

  function stop() {
    round += 1
    worker?.terminate()
    worker = null
    searching.value = false
  }

  async function search(goal: RivalPlan['goal'], rival: { readonly id: string; readonly name: string }) {
    stop()
    const own = round
    const id = buildId()
    searching.value = true
    failure.value = ''
    const began = performance.now()
    try {
      const question = await read('GET /api/builds/:id/scales/question', { id, goal, rivalId: rival.id })
      if (own !== round) return
      worker = new PlanWorkerFile()
      const plan = await wrap<PlanWorker>(worker).plan(
        question,
        proxy((plan) => call('POST /api/builds/:id/plan/price', { id }, { ...plan, rivalId: rival.id })),
      )
      if (own !== round) return
      const seconds = (performance.now() - began) / 1000
      found.value = { goal, rivalName: rival.name, question, plan, seconds }
    } catch (error) {
      if (own === round) failure.value = error instanceof Error ? error.message : String(error)
    } finally {
      if (own === round) stop()
    }
  }

  /** Answers the id of the variant. */
  async function save(name: string): Promise<string> {
    const { plan, question } = found.value!
    const present = question.ways.flatMap((way) => (way.isPresent ? [way.id] : []))
    const body = { into: 'variant' as const, name, present, ...idsOf(plan) }
    return (await call('POST /api/builds/:id/plan/take', { id: buildId() }, body)).buildId
  }

  onScopeDispose(stop)
  return { found, searching, failure, search, stop, save }
}
