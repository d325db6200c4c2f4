<script setup lang="ts">
import type { BenchView } from '#shared/bench/views'
import { percent, shortDate, signedPercent } from '~/utils/show'

/** Living with the machine as a judgement, and what was forecast beside what came. */
const { bench } = defineProps<{ bench: BenchView }>()
const tone = { well: 'tag-settled', watch: 'tag-waiting', bad: 'tag-stop', 'not known': 'tag-info' } as const
const words = { well: 'fine', watch: 'watch this', bad: 'poor', 'not known': 'not known' } as const
</script>

<template>
  <div class="grid grid-cols-2 gap-3 @max-4xl/place:grid-cols-1">
    <section class="sheet p-4" aria-label="everyday use">
      <h2>Everyday use</h2>
      <dl class="mt-1">
        <div
          v-for="each in bench.living"
          :key="each.topic"
          class="flex items-baseline gap-3 border-b border-line py-2"
          :data-living="each.topic"
        >
          <dt class="w-16 font-medium">{{ each.topic }}</dt>
          <dd class="flex-1">
            <span class="tag mr-2" :class="tone[each.verdict]">{{ words[each.verdict] }}</span>{{
              each.words
            }}
          </dd>
        </div>
      </dl>
    </section>
    <section class="sheet p-4" aria-label="forecast and result">
      <h2>
        Forecast and result <span class="font-normal text-soft">saved when CPU and card were paid for</span>
      </h2>
      <p v-if="bench.forecasts.length === 0" class="mt-2 text-soft">
        No forecast saved yet. When you pay for the CPU or the card, that day’s estimates are saved and
        compared with your first run at the same settings.
      </p>
      <table v-else class="ledger mt-1">
        <thead>
          <tr>
            <th>target</th>
            <th>saved</th>
            <th class="!text-right">forecast</th>
            <th class="!text-right">measured</th>
            <th class="!text-right">error</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in bench.forecasts" :key="each.id">
            <td>
              {{ each.workload }} <span class="text-xs text-soft">{{ each.settings }}</span>
            </td>
            <td class="figures text-xs">{{ shortDate(each.madeOn) }}</td>
            <td class="amount">
              {{ each.averageFps.toFixed(0) }}
              <span class="text-soft"
                >({{ each.range.low.toFixed(0) }}–{{ each.range.high.toFixed(0) }})</span
              >
            </td>
            <td class="amount">{{ each.kept ? each.kept.measured.toFixed(1) : 'no run yet' }}</td>
            <td class="amount" :class="each.kept ? (each.kept.inRange ? 'text-settled' : 'text-stop') : ''">
              {{
                each.kept
                  ? `${signedPercent(100 * each.kept.error)}${each.kept.inRange ? '' : ', outside the range'}`
                  : ''
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="each in bench.record" :key="each.workloadId" class="mt-2">
        {{ each.workload }}: median error
        <b class="figures">{{ signedPercent(100 * each.medianError) }}</b> over {{ each.count }}, within the
        range {{ percent(each.heldShare) }} of the time.
      </p>
    </section>
  </div>
</template>
