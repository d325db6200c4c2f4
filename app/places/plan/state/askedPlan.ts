import { proxy, wrap } from 'comlink'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import type { PlanTaken } from '#shared/plan/views'
import { idsOf } from './usePlan'
import { call } from '~/data/call'
import PlanWorkerFile from '~/workers/plan.worker?worker'
import type { PlanWorker } from '~/workers/planProtocol'

/** What one question found. */
export interface AskedPlan<About> {
  /** What it was asked for. */
  readonly about: About
  readonly question: BuildQuestion
  readonly plan: BuildPlan
  readonly seconds: number
  /** Other ways to spend the same, as they are found. */
  readonly others: readonly BuildPlan[]
}

/**
 * One question to the engine of the plan: solved in a worker, what it finds carried out by the server. A new search ends
 * the one under way.
 */
export function useAskedPlan<About>(buildId: () => string) {
  const found = shallowRef<AskedPlan<About> | null>(null)
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

  async function search(
    about: About,
    ask: () => Promise<BuildQuestion>,
    { rivalId, others = false }: { readonly rivalId?: string; readonly others?: boolean } = {},
  ) {
    stop()
    const own = round
    const id = buildId()
    searching.value = true
    failure.value = ''
    const began = performance.now()
    try {
      const question = await ask()
      if (own !== round) return
      worker = new PlanWorkerFile()
      const remote = wrap<PlanWorker>(worker)
      const plan = await remote.plan(
        question,
        proxy((plan) =>
          call('POST /api/builds/:id/plan/price', { id }, rivalId ? { ...plan, rivalId } : plan),
        ),
      )
      if (own !== round) return
      const seconds = (performance.now() - began) / 1000
      found.value = { about, question, plan, seconds, others: [] }
      if (others && plan.status !== 'infeasible')
        await remote.otherSpends(
          proxy((other: BuildPlan) => {
            if (own === round) found.value = { ...found.value!, others: [...found.value!.others, other] }
          }),
        )
    } catch (error) {
      if (own === round) failure.value = error instanceof Error ? error.message : String(error)
    } finally {
      if (own === round) stop()
    }
  }

  /** Takes what was found, into the build or as a variant of a name. */
  function take(into: 'build' | 'variant', name = ''): Promise<PlanTaken> {
    const { plan, question } = found.value!
    const present = question.ways.flatMap((way) => (way.isPresent ? [way.id] : []))
    return call('POST /api/builds/:id/plan/take', { id: buildId() }, { into, name, present, ...idsOf(plan) })
  }

  onScopeDispose(stop)
  return { found, searching, failure, search, stop, take }
}
