<script setup lang="ts">
import { formatAmount } from '#core/money/formatAmount'
import { partLabel } from '#core/parts/part'
import { countedFps } from '#core/performance/model/estimateFrameRate'
import { maybeSold, type BuildQuestion, type PlanWishes } from '#core/planning/buildQuestion'
import { isAsItIs, type BuildPlan } from '#core/planning/planBuild'
import type { CurvePoint } from '#core/planning/wishCosts'
import { noneReasonWords } from '#core/planning/whyNone'
import { noneWords, provenWords, usePlan } from '~/places/plan/state/usePlan'
import { useTakePlan } from '~/places/plan/state/useTakePlan'
import { planWorking } from '~/workings/planWorkings'

/** Plan: of every way to get each part, which set is the cheapest that does the job, and what does each wish cost? */
const build = useBuild()
const view = computed(() => build.view!)
const planning = usePlan(() => view.value.id)
const { question, plan, wishes, curve, curveOf, others, spends, reason, state, seconds, failure } = planning
const changing = ref(false)
onMounted(planning.load)
const money = (amount: number | null | undefined) =>
  amount === null || amount === undefined ? 'not known' : formatAmount(amount, view.value.currency)
const isPresent = computed(() => plan.value !== null && isAsItIs(question.value!, plan.value))
/** The present build is among what was looked through: where a proven plan costs more, the build misses a wish. */
const costsMore = computed(
  () =>
    plan.value?.status === 'optimal' &&
    plan.value.sold.length === 0 &&
    view.value.emptyRoles.length === 0 &&
    (plan.value.whole?.expected ?? 0) > (view.value.receipt.totals.expected ?? Infinity),
)
const purchases = computed(() => plan.value?.ways.filter(({ payNow }) => payNow > 0).length ?? 0)
const verdict = computed(() => {
  const found = plan.value
  if (!found || found.status === 'infeasible') return ''
  const things = found.kept.length
  const stays = found.ways.filter(({ isPresent, payNow }) => isPresent && payNow === 0).length
  const wait =
    found.waitDays === null
      ? 'one of them rarely comes up for sale'
      : found.waitDays === 0
        ? 'everything available today'
        : `everything here within ${Math.ceil(found.waitDays)} days in 8 of 10 cases`
  if (isUpgrade.value) return `${things - stays} new, ${stays} kept, ${wait}.`
  return `${things} parts in ${purchases.value} ${purchases.value === 1 ? 'purchase' : 'purchases'}, ${wait}.`
})
function set(some: Partial<BuildQuestion>) {
  void planning.ask({ ...question.value!, ...some })
}
const wish = (some: Partial<PlanWishes>) => set({ wishes: { ...question.value!.wishes, ...some } })
function pin(id: string) {
  const { pins } = question.value!
  set({ pins: pins.includes(id) ? pins.filter((each) => each !== id) : [...pins, id] })
}
/** An upgrade: what is mine may be sold, and the sum buys the most frames. */
const isUpgrade = computed(() => (question.value?.maySell ?? 0) > 0)
const maySell = computed(() => question.value?.ways.some(maybeSold) ?? false)
const before = computed(() =>
  view.value.targets.map(({ estimate }) => (estimate ? countedFps(estimate) : null)),
)
const rounded = (fps: number | null | undefined) =>
  fps === null || fps === undefined ? 'not known' : Math.round(fps)
const ban = (id: string) => set({ bans: [...question.value!.bans, id] })
function choose(point: CurvePoint) {
  if (curveOf.value === 'waiting') wish({ days: point.at, budget: null })
  else wish({ floors: question.value!.targets.map(({ averageFps }) => averageFps * point.at), budget: null })
}
const differs = (next: BuildPlan) =>
  next.ways
    .filter(({ id }) => !plan.value!.ways.some((way) => way.id === id))
    .map((way) =>
      next.kept
        .filter(({ wayId }) => wayId === way.id)
        .map(({ part }) => partLabel(part))
        .join(', '),
    )
    .join('; ')
const { take, busy } = useTakePlan(planning, () => view.value)
const bannedText = (id: string) => question.value!.ways.find((way) => way.id === id)?.text ?? id
usePlace('plan')
</script>

<template>
  <div class="px-5 py-4">
    <div class="flex flex-wrap items-baseline gap-3">
      <h1 class="text-[19px] font-semibold">Plan</h1>
      <template v-if="question">
        <PlanAsking
          :question="question"
          :view="view"
          @ask="planning.ask"
          @upgrade="changing = true"
          @start-over="planning.startOver"
        />
        <span class="text-soft">lowest expected total out of {{ question.ways.length }} options</span>
        <button type="button" class="button ml-auto" :aria-expanded="changing" @click="changing = !changing">
          Change wishes…</button
        ><button v-if="planning.asked.value" type="button" class="button" @click="planning.startOver">
          Start over
        </button>
      </template>
    </div>

    <p v-if="failure" class="mt-3 border-l-4 border-stop bg-stop-ground px-3 py-1.5" role="alert">
      {{ failure }}
    </p>
    <PlanWishForm
      v-if="question && changing"
      :question="question"
      class="mt-3"
      @change="wish"
      @sell="set({ maySell: $event })"
    />

    <div class="mt-3 border-l-4 border-settled py-1 pl-3" role="status" data-test="plan-verdict">
      <template v-if="state === 'loading'">Loading every option for each part…</template>
      <template v-else-if="state === 'solving'"
        >Calculating…
        <button type="button" class="button ml-2" @click="planning.cancel">Stop</button></template
      >
      <template v-else-if="state === 'cancelled'"
        >Stopped.
        <button type="button" class="button ml-2" @click="planning.ask(question!)">Continue</button></template
      >
      <template v-else-if="plan?.status === 'infeasible'"
        ><b>{{
          noneWords(
            plan,
            reason
              ? noneReasonWords(reason, planning.view.value?.leftOut ?? [])
              : 'No machine is possible with what is on offer.',
          )
        }}</b
        ><span v-if="maySell && !isUpgrade" class="block text-soft">
          Your own parts stay in. Allow some to be sold and a faster part may take their place.</span
        ></template
      >
      <template v-else-if="plan">
        <p>
          <b
            ><TheFigure
              strong
              :text="money(plan.cost)"
              :working="() => planWorking(plan!, question!)"
              data-figure="plan-expected"
            />
            expected total
            {{ plan.sold.length > 0 ? 'after selling the old parts' : 'for the parts planned here' }},
            <span>{{ money(plan.payNow) }}</span> total: {{ verdict }}</b
          >
        </p>
        <p v-if="plan.sold.length > 0" data-test="out-of-pocket">
          Sell {{ plan.sold.map(({ way }) => way.text).join(', ') }} for about
          <b class="figures">{{ money(plan.payNow! - plan.outOfPocket!) }}</b> and pay
          <b class="figures" data-figure="out-of-pocket">{{ money(plan.outOfPocket) }}</b> out of pocket.
        </p>
        <p v-if="isUpgrade && plan.fps" data-test="before-after">
          <template v-for="(target, at) in question!.targets" :key="target.name"
            ><template v-if="at > 0"> · </template>{{ target.name }}
            <span class="figures">{{ rounded(before[at]) }}</span> →
            <b class="figures">{{ Math.round(plan.fps[at]!) }}</b> fps</template
          >
        </p>
        <p class="text-soft">
          {{ provenWords(plan, question!, seconds) }}
          <template v-if="plan.whole"
            >Whole build after this plan: total
            <b class="figures text-ink" data-figure="receipt-pay-now">{{ money(plan.whole.payNow) }}</b>
            and {{ money(plan.whole.expected) }} expected total; today
            {{ money(view.receipt.totals.payNow) }} total and
            {{ money(view.receipt.totals.expected) }} expected total.<template v-if="costsMore">
              The plan costs more because your current build misses a wish.</template
            ></template
          >
        </p>
        <p v-if="plan.uncounted.length > 0" class="text-soft" data-test="uncounted">
          {{ plan.uncounted.join(', ') }} not counted in the days: no offer at that price.
        </p>
        <p v-if="isPresent" class="text-soft">Your build already matches this plan.</p>
        <p v-else class="mt-1 flex gap-2">
          <button type="button" class="button button-main" :disabled="busy" @click="take('build')">
            Use this plan</button
          ><button type="button" class="button" :disabled="busy" @click="take('variant')">
            Save as a variant
          </button>
        </p>
      </template>
    </div>

    <div
      v-if="question && plan && state !== 'loading' && state !== 'solving'"
      class="mt-4 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] items-start gap-4 @max-4xl/place:grid-cols-1"
    >
      <section v-if="plan.status !== 'infeasible'" class="sheet p-3" aria-label="what to buy">
        <PlanLines
          :plan="plan"
          :question="question"
          :others="others"
          @pin="pin"
          @ban="ban"
          @other="planning.findOther($event, differs)"
        />
        <p v-if="plan.fps" class="mt-2 text-soft">
          <template v-for="(target, at) in question.targets" :key="target.name"
            ><template v-if="at > 0"> · </template>{{ target.name }}
            <b class="figures text-ink">{{ Math.round(plan.fps[at]!) }}</b> fps, target
            {{ Math.round(target.averageFps)
            }}<template v-if="plan.lows && target.lowFps"
              >, 1 % low <b class="figures text-ink">{{ Math.round(plan.lows[at]!) }}</b>, target
              {{ Math.round(target.lowFps) }}</template
            ></template
          >
        </p>
        <ul v-if="plan.findings.length > 0" class="mt-2 text-xs text-soft">
          <li v-for="finding in plan.findings.slice(0, 6)" :key="finding.key">{{ finding.what }}</li>
        </ul>
        <details v-if="plan.unchecked.length > 0" class="mt-2 text-xs text-waiting" data-test="unchecked">
          <summary>
            {{ plan.unchecked.length }}
            {{ plan.unchecked.length === 1 ? 'fit check needs' : 'fit checks need' }} a fact: ask before you
            buy
          </summary>
          <ul class="mt-1 text-soft">
            <li v-for="what in plan.unchecked" :key="what">{{ what }}</li>
          </ul>
        </details>
      </section>
      <div class="space-y-4">
        <PlanCurve
          v-if="plan.status !== 'infeasible'"
          :points="curve"
          :question="question"
          :plan="plan"
          :of="curveOf"
          @choose="choose"
          @turn="planning.drawCurve"
        />
        <PlanSpends
          v-if="isUpgrade && plan.status !== 'infeasible'"
          :plans="spends"
          :question="question"
          :before="before"
          :is-done="state === 'done'"
        />
        <PlanWishes :plan="plan" :question="question" :costs="wishes" @ask="planning.ask" />
        <section v-if="question.bans.length > 0" class="sheet p-3" aria-label="banned">
          <h2>Banned</h2>
          <p v-for="id in question.bans" :key="id">
            {{ bannedText(id) }}
            <button
              type="button"
              class="quiet-button text-xs"
              @click="set({ bans: question.bans.filter((each) => each !== id) })"
            >
              allow again
            </button>
          </p>
        </section>
        <details v-if="(planning.view.value?.leftOut.length ?? 0) > 0" class="sheet p-3">
          <summary>{{ planning.view.value!.leftOut.length }} options left out</summary>
          <ul class="mt-1 text-xs text-soft">
            <li v-for="(each, at) in planning.view.value!.leftOut.slice(0, 40)" :key="at">
              {{ each.text }}: {{ each.why }}
            </li>
          </ul>
        </details>
      </div>
    </div>
  </div>
</template>
