<script setup lang="ts">
import { beforeAfter } from '#core/performance/runs/beforeAfter'
import type { BenchView, RunView } from '#shared/bench/views'
import { signedPercent } from '~/utils/show'

/** One machine's runs against another's: same settings only, unlike conditions flagged and left out of the means. */
const { bench } = defineProps<{ bench: BenchView }>()
const before = useRouteState('before', bench.machines[1]?.pair ?? '')
const after = useRouteState('after', bench.machines[0]?.pair ?? '')
const of = (pair: string) =>
  bench.runs
    .filter((run) => run.pair === pair && run.excluded === null)
    .slice()
    .reverse()
const asCore = (run: RunView) => ({ ...run, machine: null, lowsCause: run.lowsCause })
const compared = computed(() => beforeAfter(of(before.value).map(asCore), of(after.value).map(asCore)))
const name = (id: string) => bench.runs.find((run) => run.workloadId === id)?.workload ?? id
const ratio = (value: number | null) => (value === null ? '—' : signedPercent(100 * (value - 1)))
</script>

<template>
  <section class="sheet p-4" aria-label="before and after">
    <div class="flex flex-wrap items-center gap-2">
      <h2>Before and after</h2>
      <select v-model="before" class="field max-w-80" aria-label="before">
        <option v-for="each in bench.machines" :key="each.pair" :value="each.pair">
          {{ each.name }} ({{ each.runs }})
        </option>
      </select>
      to
      <select v-model="after" class="field max-w-80" aria-label="after">
        <option v-for="each in bench.machines" :key="each.pair" :value="each.pair">
          {{ each.name }} ({{ each.runs }})
        </option>
      </select>
      <button type="button" class="quiet-button" @click="[before, after] = [after, before]">Swap</button>
    </div>
    <p v-if="compared.pairs.length === 0" class="mt-3 text-soft">
      No two runs of these share the same settings. {{ compared.alone }} runs have no counterpart.
    </p>
    <template v-else>
      <p class="mt-3 text-[15px]">
        <template v-if="compared.meanRatio !== null"
          ><b class="figures">{{ ratio(compared.meanRatio) }}</b> average fps, geometric mean over
          {{ compared.counted }} matching pairs<template v-if="compared.meanLowRatio !== null"
            >, <b class="figures">{{ ratio(compared.meanLowRatio) }}</b> in the 1 % lows</template
          >.</template
        ><template v-else>No pair under the same conditions, so there is no mean.</template
        ><span v-if="compared.alone > 0" class="text-soft">
          {{ compared.alone }} runs have no counterpart at the same settings.</span
        >
      </p>
      <table class="ledger mt-2">
        <thead>
          <tr>
            <th>workload</th>
            <th>at</th>
            <th class="!text-right">before</th>
            <th class="!text-right">after</th>
            <th class="!text-right">change</th>
            <th class="!text-right">1 % low</th>
            <th>conditions</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(pair, index) in compared.pairs"
            :key="index"
            :class="{ 'text-soft': pair.differs.length > 0 }"
          >
            <td>
              {{ name(pair.workloadId)
              }}<span v-if="pair.scene" class="text-xs text-soft"> · {{ pair.scene }}</span>
            </td>
            <td>
              {{ pair.settings.height }}p {{ pair.settings.preset
              }}<template v-if="pair.settings.upscaling"> · {{ pair.settings.upscaling }}</template>
            </td>
            <td class="amount">{{ pair.before.toFixed(1) }}</td>
            <td class="amount">{{ pair.after.toFixed(1) }}</td>
            <td class="amount">{{ ratio(pair.ratio) }}</td>
            <td class="amount">{{ ratio(pair.lowRatio) }}</td>
            <td :class="pair.differs.length > 0 ? 'text-waiting' : ''">
              {{
                pair.differs.length > 0
                  ? `different conditions, left out: ${pair.differs.join('; ')}`
                  : 'same conditions as far as noted'
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>
