<script setup lang="ts">
import { partLabel } from '#core/parts/part'
import { fastestFor, weakestOf } from '#core/planning/buildQuestion'
import { isAsItIs, type BuildPlan } from '#core/planning/planBuild'
import { planChange, planSplit } from '#core/planning/planSplit'
import type { BuildView } from '#shared/builds/views'
import { useCall } from '~/data/useCall'
import { amount, percent } from '~/utils/show'
import { call } from '~/data/call'
import { useAskedPlan } from '../state/askedPlan'
import { noneWords, provenWords } from '../state/usePlan'

/** What the budget buys: the fastest machine within it and the next best, planned beside what is bought already. */
const { view } = defineProps<{ view: BuildView }>()
const { run, busy } = useAction()
const { data } = useCall('GET /api/builds/:id/plan', () => ({ id: view.id }))
const { found, searching, failure, search, stop, take } = useAskedPlan<number>(() => view.id)
const money = (sum: number | null) => amount(sum, view.currency)
/** Why nothing can be asked; empty where it can. */
const lacks = computed(() =>
  view.targets.length === 0
    ? 'Add a target to see where the money helps most.'
    : data.value?.within === null
      ? 'A part in the build has no price, so what is left is not known.'
      : '',
)
// asked again whenever offers or wishes have changed, and only then
watch(
  data,
  (plan) => {
    const within = plan?.within ?? null
    const question = plan && within !== null ? fastestFor(plan.question, within) : null
    if (question)
      void search(within!, () => Promise.resolve(JSON.parse(JSON.stringify(question)) as typeof question), {
        others: true,
      })
  },
  { immediate: true },
)
const names = (ids: readonly string[], plan: BuildPlan) =>
  plan.kept
    .filter(({ wayId }) => ids.includes(wayId))
    .map(({ part }) => partLabel(part))
    .join(', ')
const splits = computed(() => {
  const asked = found.value
  if (!asked || asked.plan.status === 'infeasible') return []
  return [asked.plan, ...asked.others.slice(0, 1)].map((plan) => {
    const split = planSplit(asked.question, plan)
    const partOf = (role: string) =>
      plan.kept.flatMap(({ part }) => (part.role === role ? [partLabel(part)] : [])).join(', ')
    return { split, weakest: weakestOf(asked.question, plan), cpu: partOf('cpu'), card: partOf('graphics') }
  })
})
const change = computed(() => {
  if (!found.value || found.value.plan.status === 'infeasible') return null
  const { question, plan } = found.value
  if (isAsItIs(question, plan)) return null
  const { out, into } = planChange(question, plan)
  return {
    out: out.map(({ text }) => text).join(', '),
    into: names(
      into.map(({ id }) => id),
      plan,
    ),
  }
})
/** Width of each share of the bar. */
const share = (value: number | null) =>
  `${(100 * Math.max(0, value ?? 0)) / Math.max(1, found.value!.about)}%`
async function takeIt() {
  if (busy.value) return
  let action = 0
  // what else it looks for is of the build as it was
  stop()
  await run(async () => (action = (await take('build')).action), {
    message: 'the machine within your budget is now your build',
    undo: () => call('POST /api/ledger/actions/:id/undo', { id: String(action) }),
  })
}
</script>

<template>
  <section class="border-l-4 border-info pl-4" aria-label="what this budget buys">
    <h2>What {{ money(view.budget) }} buys</h2>
    <p v-if="lacks" class="text-waiting">{{ lacks }}</p>
    <p v-else-if="failure" class="text-stop" role="alert">{{ failure }}</p>
    <p v-else-if="!found" class="text-soft" role="status">Calculating…</p>
    <p v-else-if="found.plan.status === 'infeasible'" class="text-waiting" data-test="budget-buys">
      {{ noneWords(found.plan, 'No complete machine is possible within the budget today.') }}
    </p>
    <template v-else>
      <div
        v-for="({ split, weakest, cpu, card }, index) in splits"
        :key="index"
        class="mt-1 grid grid-cols-[72px_minmax(160px,1fr)_2fr] items-center gap-3"
        :data-test="index === 0 ? 'budget-buys' : 'budget-next'"
      >
        <span class="text-soft">{{ index === 0 ? 'fastest' : 'next best' }}</span>
        <div
          class="flex h-[14px] overflow-hidden border border-line bg-paper"
          role="img"
          :aria-label="`platform ${money(split.platform)}, card ${money(split.card)}, PSU ${money(split.supply)}, left ${money(split.left)}`"
        >
          <span class="bg-series-1" :style="{ width: share(split.platform) }" /><span
            class="bg-series-2"
            :style="{ width: share(split.card) }"
          /><span class="bg-series-3" :style="{ width: share(split.supply) }" />
        </div>
        <p>
          <b>{{ cpu }}</b> platform <span class="figures">{{ money(split.platform) }}</span><template
            v-if="card"
          >
            + <b>{{ card }}</b> <span class="figures">{{ money(split.card) }}</span></template
          ><template v-if="split.supply > 0">
            + PSU <span class="figures">{{ money(split.supply) }}</span></template
          ><template v-if="weakest"
            >:
            <span class="tag" :class="weakest.ratio >= 1 ? 'tag-settled' : 'tag-waiting'"
              >{{ percent(weakest.ratio) }} of {{ weakest.name }}</span
            ></template
          >
          <span class="text-soft">{{ money(split.left) }} left</span>
        </p>
      </div>
      <p class="mt-1 text-soft">
        {{ provenWords(found.plan, found.question, found.seconds) }}
        <template v-if="!change">Your build is this machine already.</template>
        <template v-if="searching">Looking for the next best…</template>
      </p>
      <p v-if="change" class="mt-1 flex flex-wrap items-center gap-2">
        <span class="min-w-0"
          ><template v-if="change.out">Out: {{ change.out }}. </template
          ><template v-if="change.into">In: {{ change.into }}.</template></span
        ><button type="button" class="button" :disabled="busy" @click="takeIt">Take it</button>
      </p>
      <p class="mt-1 text-xs text-soft">
        <span class="text-series-1">■</span> platform <span class="text-series-2">■</span> graphics card
        <span class="text-series-3">■</span> PSU
      </p>
    </template>
  </section>
</template>
