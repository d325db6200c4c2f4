import { proxy, wrap, type Remote } from 'comlink'
import { useSessionStorage, StorageSerializers } from '@vueuse/core'
import { askedAgain, type BuildQuestion, type PlanAsk } from '#core/planning/buildQuestion'
import type { BuildPlan, PlanIds } from '#core/planning/planBuild'
import type { CurvePoint, WishCost } from '#core/planning/wishCosts'
import type { NoneReason } from '#core/planning/whyNone'
import type { PlanView } from '#shared/plan/views'
import { call } from '~/data/call'
import { useFailures } from '~/data/failures'
import PlanWorkerFile from '~/workers/plan.worker?worker'
import type { PlanWorker } from '~/workers/planProtocol'
import { read } from '~/data/read'
import { amount } from '~/utils/show'

/** Another way for a line of the plan: what it costs more, and which plan that is. */
export interface OtherWay {
  readonly more: number | null
  readonly text: string
}

/** A plan as the server is told it. */
export const idsOf = ({ ways, sold, without }: BuildPlan): PlanIds => ({
  ways: ways.map(({ id }) => id),
  sold: sold.map(({ way }) => way.id),
  without,
})

/** How far a plan is known to be the best, in a sentence. */
export function provenWords(
  { status, bound }: BuildPlan,
  { goal, currency }: BuildQuestion,
  seconds: number,
): string {
  if (status === 'optimal')
    return `Proven: nothing on offer ${goal === 'fastest' ? 'is faster for that money' : 'does it for less'} (${seconds.toFixed(1)} s).`
  if (bound === null) return 'Best one found; a faster one may exist.'
  return `Best one found; none costs less than ${amount(Math.ceil(bound), currency)}.`
}

/** What is said where no plan was found: that there is none, or that none was found in time. */
export const noneWords = ({ bound }: BuildPlan, none: string): string =>
  bound === null ? none : 'No such machine was found in time. One may exist.'

/**
 * The plan of a build: asked for, solved in a worker, its wishes priced one after the other, its curve drawn. A new
 * question ends what is under way.
 */
export function usePlan(buildId: () => string) {
  const view = shallowRef<PlanView | null>(null)
  const question = shallowRef<BuildQuestion | null>(null)
  const plan = shallowRef<BuildPlan | null>(null)
  const wishes = shallowRef<readonly WishCost[]>([])
  const curve = shallowRef<readonly CurvePoint[]>([])
  const curveOf = ref<'waiting' | 'frames'>('waiting')
  const others = ref<Record<string, OtherWay>>({})
  /** Other ways to spend the same, where things of mine may be sold. */
  const spends = shallowRef<readonly BuildPlan[]>([])
  /** Why there is no plan. */
  const reason = shallowRef<NoneReason | null>(null)
  const state = ref<'loading' | 'solving' | 'pricing' | 'done' | 'cancelled'>('loading')
  const seconds = ref(0)
  const failure = ref('')
  /** What was asked outlives a reload; it is forgotten by starting over, and once a plan is taken. */
  const asked = useSessionStorage<PlanAsk | null>(`tarvin-plan-${buildId()}`, null, {
    serializer: StorageSerializers.object,
  })
  let remote: Remote<PlanWorker> | null = null
  let file: Worker | null = null
  let round = 0
  const failures = useFailures()
  const mine = Symbol('plan')

  function end() {
    file?.terminate()
    file = null
    remote = null
  }

  function fresh(): Remote<PlanWorker> {
    end()
    file = new PlanWorkerFile()
    return (remote = wrap<PlanWorker>(file))
  }

  async function load() {
    failure.value = ''
    state.value = 'loading'
    try {
      view.value = await read('GET /api/builds/:id/plan', { id: buildId() })
      failures.note(mine, null)
    } catch (error) {
      failures.note(mine, { error: error as Error, retry: load })
      return
    }
    await solve(askedAgain(view.value.question, asked.value))
  }

  /** Asks again, and remembers what. */
  function ask(next: BuildQuestion) {
    const { goal, wishes, pins, bans, maySell } = next
    asked.value = { goal, wishes, pins, bans, maySell }
    return solve(next)
  }

  /** As if nothing had been asked. */
  function startOver() {
    asked.value = null
    return load()
  }

  async function solve(next: BuildQuestion) {
    const own = (round += 1)
    question.value = next
    wishes.value = []
    curve.value = []
    others.value = {}
    spends.value = []
    reason.value = null
    state.value = 'solving'
    const began = performance.now()
    try {
      const worker = fresh()
      // what is reactive cannot be handed to a worker
      const asking = JSON.parse(JSON.stringify(next)) as BuildQuestion
      const found = await worker.plan(asking, carriedOut)
      if (own !== round) return
      plan.value = found
      seconds.value = (performance.now() - began) / 1000
      reason.value = found.status === 'infeasible' && found.bound === null ? await worker.whyNone() : null
      if (own !== round) return
      state.value = 'pricing'
      await worker.wishes(
        proxy((cost: WishCost) => {
          if (own === round) wishes.value = [...wishes.value, cost]
        }),
      )
      if (own !== round) return
      if (next.maySell > 0)
        await worker.otherSpends(
          proxy((other: BuildPlan) => {
            if (own === round) spends.value = [...spends.value, other]
          }),
        )
      if (own !== round) return
      await drawCurve(curveOf.value)
      if (own === round) state.value = 'done'
    } catch (error) {
      if (own !== round) return
      failure.value = error instanceof Error ? error.message : String(error)
      state.value = 'cancelled'
    }
  }

  /** Every plan that is shown was carried out by the server, where nobody else sees it. */
  const carriedOut = proxy((plan: PlanIds) =>
    call('POST /api/builds/:id/plan/price', { id: buildId() }, plan),
  )

  async function drawCurve(of: 'waiting' | 'frames') {
    curveOf.value = of
    curve.value = []
    const own = round
    await remote?.curve(
      of,
      proxy((point: CurvePoint) => {
        if (own === round && curveOf.value === of) curve.value = [...curve.value, point]
      }),
    )
  }

  async function findOther(wayId: string, text: (next: BuildPlan) => string) {
    const own = round
    const next = await remote?.nextBest(wayId)
    if (own !== round) return
    others.value = {
      ...others.value,
      [wayId]: next ? { more: next.more, text: text(next.plan) } : { more: null, text: 'no alternative' },
    }
  }

  function cancel() {
    round += 1
    end()
    state.value = 'cancelled'
  }

  onBeforeUnmount(() => {
    end()
    failures.note(mine, null)
  })
  return {
    view,
    question,
    plan,
    wishes,
    curve,
    curveOf,
    others,
    spends,
    reason,
    state,
    seconds,
    failure,
    load,
    asked,
    ask,
    startOver,
    drawCurve,
    findOther,
    cancel,
  }
}
