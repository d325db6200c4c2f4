<script setup lang="ts">
import { severityNames } from '#core/machine/fit/finding'
import { roleNames } from '#core/parts/part'
import type { BuildView } from '#shared/builds/views'
import type { MatchView, WeighedView } from '#shared/scales/views'
import { streamOf, call } from '~/data/call'
import { amount, percent, signedAmount } from '~/utils/show'

/** The cheapest machine that matches a rival, and the best for its money; found by search, opened as a variant. */
const { view, against } = defineProps<{ view: BuildView; against: WeighedView }>()
const { run } = useAction()
const found = shallowRef<MatchView | null>(null)
const progress = ref<number | null>(null)
const stopper = shallowRef<AbortController | null>(null)
const failed = ref('')
watch(
  () => against.machine.id,
  () => (found.value = null),
)
async function search(goal: 'match' | 'spend') {
  stopper.value?.abort()
  const own = new AbortController()
  stopper.value = own
  progress.value = 0
  failed.value = ''
  try {
    found.value = await streamOf<MatchView>(
      'POST /api/builds/:id/scales/match',
      { id: view.id },
      { goal, rivalId: against.machine.id },
      (done, total) => (progress.value = done / total),
      own.signal,
    )
  } catch (error) {
    if (!own.signal.aborted) failed.value = error instanceof Error ? error.message : String(error)
  } finally {
    if (stopper.value === own) progress.value = null
  }
}
function stop() {
  stopper.value?.abort()
  progress.value = null
}
onScopeDispose(stop)
const name = computed(() =>
  (found.value?.goal === 'match'
    ? `${view.name}, matching ${found.value.rivalName}`
    : `${view.name}, same money as ${found.value?.rivalName ?? ''}`
  ).slice(0, 80),
)
const open = () =>
  run(
    async () => {
      const { id } = await call(
        'POST /api/builds/:id/variants/found',
        { id: view.id },
        {
          name: name.value,
          options: found.value!.found!.options.map(({ id: option }) => ({ id: option })),
        },
      )
      await navigateTo(`/b/${id}/machine?mode=chosen`)
    },
    { message: 'opened as a variant' },
  )
</script>

<template>
  <section class="sheet p-4" aria-label="match and spend">
    <div class="flex flex-wrap items-center gap-3">
      <h2>Compared with {{ against.machine.name }}</h2>
      <button type="button" class="button button-main" :disabled="progress !== null" @click="search('match')">
        Match it</button
      ><button
        type="button"
        class="button button-main"
        :disabled="progress !== null"
        @click="search('spend')"
      >
        Spend the same</button
      ><template v-if="progress !== null"
        ><progress :value="progress" max="1" aria-label="calculating" /><button
          type="button"
          class="quiet-button"
          @click="stop"
        >
          stop
        </button></template
      >
    </div>
    <p class="mt-1 text-soft">
      Match it: the cheapest machine that reaches the rival in every target, from your build, shelf, single
      leads, shop prices and hunts. Spend the same: the fastest machine that costs no more to own. Both pass
      the whole fit check and your rules. For lots, donors and combined orders use
      <NuxtLink :to="`/b/${view.id}/plan`" class="underline">Plan</NuxtLink>, with the same rival as target.
    </p>
    <p v-if="failed" class="mt-2 text-stop" role="alert">{{ failed }}</p>
    <template v-if="found">
      <p v-if="!found.found" class="mt-3 text-waiting" data-test="match-answer">
        {{
          found.goal === 'match'
            ? `No combination of your library and current leads reaches ${found.rivalName} in every target.`
            : `No complete machine is possible for the price of ${found.rivalName}.`
        }}<template v-if="!found.isComplete"> Time ran out before every combination was checked.</template>
      </p>
      <template v-else>
        <p class="mt-3 text-[15px]" data-test="match-answer">
          <template v-if="found.goal === 'match'"
            >Cheapest match for {{ found.rivalName }}:
            <b class="figures">{{ amount(found.found.price, view.currency) }}</b>
            {{ view.currency }} expected total,
            <span class="figures">{{ amount(found.found.payNow, view.currency) }}</span> total</template
          ><template v-else
            >Fastest for the price of {{ found.rivalName }}:
            <b class="figures">{{ amount(found.found.price, view.currency) }}</b>
            {{ view.currency }} expected total,
            <span class="figures">{{ amount(found.found.payNow, view.currency) }}</span> total;
            <span class="figures" data-test="to-own">{{ amount(found.found.toOwn, view.currency) }}</span> to
            own, against <span class="figures">{{ amount(found.budget, view.currency) }}</span></template
          >, <span class="figures">{{ signedAmount(found.found.againstOwn, view.currency) }}</span> for
          {{ view.name }}’s own core machine.
        </p>
        <p class="text-soft">
          {{
            found.isComplete
              ? 'Proven: no better combination exists.'
              : `Time ran out: up to ${percent(found.gap ?? 0, 1)} from the best possible.`
          }}
          {{ found.checked.toLocaleString('en') }} complete
          {{ found.checked === 1 ? 'machine' : 'machines' }} checked in
          {{ (found.tookMs / 1000).toFixed(1) }} s.
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
              <tr v-for="option in found.found.options" :key="option.id">
                <td class="text-soft">{{ roleNames[option.role] }}</td>
                <td>{{ option.name }}</td>
                <td class="text-soft">{{ option.how }}</td>
                <td class="amount">{{ amount(option.payNow, view.currency) }}</td>
              </tr>
              <tr class="border-t-2 border-ink font-semibold">
                <td colspan="3">total</td>
                <td class="amount" data-test="match-total">
                  {{ amount(found.found.payNow, view.currency) }}
                </td>
              </tr>
            </tbody>
          </table>
          <div>
            <table class="ledger">
              <thead>
                <tr>
                  <th>target</th>
                  <th class="!text-right">target fps</th>
                  <th v-if="found.goal === 'match'" class="!text-right">rival fps</th>
                  <th class="!text-right">this fps</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="target in found.found.targets" :key="target.name">
                  <td>{{ target.name }}</td>
                  <td class="amount">{{ target.wanted }}</td>
                  <td v-if="found.goal === 'match'" class="amount">
                    {{ target.floor ? Math.round(target.floor) : 'not known' }}
                  </td>
                  <td class="amount" :class="target.fps >= target.wanted ? 'text-settled' : 'text-waiting'">
                    {{ Math.round(target.fps) }}
                  </td>
                </tr>
              </tbody>
            </table>
            <p v-for="finding in found.found.findings.slice(0, 5)" :key="finding.what" class="mt-1 text-soft">
              {{ severityNames[finding.severity] }}: {{ finding.what }}
            </p>
            <button type="button" class="button button-main mt-3" @click="open">Save as a variant</button>
          </div>
        </div>
      </template>
    </template>
  </section>
</template>
