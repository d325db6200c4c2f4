<script setup lang="ts">
import { isAsItIs } from '#core/planning/planBuild'
import { severityNames } from '#core/machine/fit/finding'
import { partLabel, roleNames } from '#core/parts/part'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'
import { amount } from '~/utils/show'
import { noneWords, provenWords } from '~/places/plan/state/usePlan'
import { useAskedPlan } from '~/places/plan/state/askedPlan'
import { read } from '~/data/read'

/** The cheapest machine that matches a rival, and the fastest that takes no more to own; saved as a variant. */
const { view, against } = defineProps<{ view: BuildView; against: WeighedView }>()
const { run, busy } = useAction()
const { found, searching, failure, search, stop, take } = useAskedPlan<{
  readonly goal: 'match' | 'spend'
  readonly rivalName: string
}>(() => view.id)
function ask(goal: 'match' | 'spend') {
  const { id, name } = against.machine
  const question = () => read('GET /api/builds/:id/scales/question', { id: view.id, goal, rivalId: id })
  void search({ goal, rivalName: name }, question, { rivalId: id })
}
watch(
  () => against.machine.id,
  () => {
    stop()
    found.value = null
  },
)
const money = (sum: number | null) => amount(sum, view.currency)
const lines = computed(() =>
  found.value!.plan.ways.map((way) => ({
    ...way,
    kept: found.value!.plan.kept.filter(({ wayId }) => wayId === way.id).map(({ part }) => part),
  })),
)
const isPresent = computed(() => isAsItIs(found.value!.question, found.value!.plan))
const targets = computed(() =>
  found.value!.question.targets.map((target, at) => ({
    ...target,
    rival: found.value!.about.goal === 'match' ? (found.value!.question.wishes.floors[at] ?? null) : null,
    fps: found.value!.plan.fps?.[at] ?? null,
  })),
)
const noneThere = computed(() =>
  found.value!.about.goal === 'match'
    ? `Nothing on offer reaches ${found.value!.about.rivalName} in every target.`
    : `Nothing on offer makes a complete machine for the price of ${found.value!.about.rivalName}.`,
)
const name = computed(() =>
  (found.value?.about.goal === 'match'
    ? `${view.name}, matching ${found.value.about.rivalName}`
    : `${view.name}, same money as ${found.value?.about.rivalName ?? ''}`
  ).slice(0, 80),
)
async function open() {
  if (busy.value) return
  await run(async () => navigateTo(`/b/${(await take('variant', name.value)).buildId}/machine?mode=chosen`), {
    message: 'opened as a variant',
  })
}
</script>

<template>
  <section class="sheet p-4" aria-label="match and spend">
    <div class="flex flex-wrap items-center gap-3">
      <h2>Compared with {{ against.machine.name }}</h2>
      <button type="button" class="button button-main" :disabled="searching" @click="ask('match')">
        Match it</button
      ><button type="button" class="button button-main" :disabled="searching" @click="ask('spend')">
        Spend the same</button
      ><template v-if="searching"
        ><span role="status">Calculating…</span
        ><button type="button" class="quiet-button" @click="stop">stop</button></template
      >
    </div>
    <p class="mt-1 text-soft">
      Match it: the cheapest machine as fast as this one in every target, with as much memory and storage.
      Spend the same: the fastest machine that costs no more to own. Your own parts stay in.
    </p>
    <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
    <template v-if="found">
      <p v-if="found.plan.status === 'infeasible'" class="mt-3 text-waiting" data-test="match-answer">
        {{ noneWords(found.plan, noneThere) }}
      </p>
      <template v-else>
        <p class="mt-3 text-[15px]" data-test="match-answer">
          {{
            found.about.goal === 'match'
              ? `Cheapest match for ${found.about.rivalName}:`
              : `Fastest for the cost of ${found.about.rivalName}:`
          }}
          <b class="figures">{{ money(found.plan.cost) }}</b> {{ view.currency }} expected total,
          <span class="figures">{{ money(found.plan.payNow) }}</span> total<template v-if="found.plan.toOwn"
            >; <span class="figures" data-test="to-own">{{ money(found.plan.toOwn.own) }}</span> to own,
            against <span class="figures">{{ money(found.plan.toOwn.rival) }}</span></template
          >.
        </p>
        <p class="text-soft">
          {{ provenWords(found.plan, found.question, found.seconds) }}
          <template v-if="isPresent">Your build is this machine already.</template
          ><template v-else-if="found.plan.whole"
            >Whole build with it: total
            <b class="figures text-ink" data-test="match-total">{{ money(found.plan.whole.payNow) }}</b>,
            today {{ money(view.receipt.totals.payNow) }}.</template
          >
        </p>
        <div class="mt-2 grid grid-cols-[minmax(0,1fr)_360px] gap-4 @max-4xl/place:grid-cols-1">
          <table class="ledger self-start">
            <thead>
              <tr>
                <th>role</th>
                <th>part</th>
                <th>from</th>
                <th class="!text-right">total</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="line in lines" :key="line.id">
                <td class="text-soft">{{ line.kept.map(({ role }) => roleNames[role]).join(', ') }}</td>
                <td>
                  {{ line.kept.map(partLabel).join(', ') }}
                  <span v-if="line.kept.length < line.partIds.length" class="text-soft"
                    >out of {{ line.text }}</span
                  >
                </td>
                <td class="text-soft">{{ line.from }}</td>
                <td class="amount">{{ money(line.payNow) }}</td>
              </tr>
              <tr class="border-t-2 border-ink font-semibold">
                <td colspan="3">total</td>
                <td class="amount">{{ money(found.plan.payNow) }}</td>
              </tr>
            </tbody>
          </table>
          <div>
            <table class="ledger">
              <thead>
                <tr>
                  <th>target</th>
                  <th class="!text-right">target fps</th>
                  <th v-if="found.about.goal === 'match'" class="!text-right">rival fps</th>
                  <th class="!text-right">this fps</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="target in targets" :key="target.name">
                  <td>{{ target.name }}</td>
                  <td class="amount">{{ target.averageFps }}</td>
                  <td v-if="found.about.goal === 'match'" class="amount">
                    {{ target.rival === null ? 'not known' : Math.round(target.rival) }}
                  </td>
                  <td
                    class="amount"
                    :class="(target.fps ?? 0) >= target.averageFps ? 'text-settled' : 'text-waiting'"
                  >
                    {{ target.fps === null ? 'not known' : Math.round(target.fps) }}
                  </td>
                </tr>
              </tbody>
            </table>
            <p v-for="finding in found.plan.findings.slice(0, 5)" :key="finding.key" class="mt-1 text-soft">
              {{ severityNames[finding.severity] }}: {{ finding.what }}
            </p>
            <button
              v-if="!isPresent"
              type="button"
              class="button button-main mt-3"
              :disabled="busy"
              @click="open"
            >
              Save as a variant
            </button>
          </div>
        </div>
      </template>
    </template>
  </section>
</template>
