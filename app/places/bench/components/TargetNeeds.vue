<script setup lang="ts">
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { percent, signedAmount } from '~/utils/show'

/**
 * What each target needs: index, what the next part up brings, the cheapest change that gets there, the measurement
 * that would help most.
 */
const { view, bench } = defineProps<{ view: BuildView; bench: BenchView }>()
const rows = computed(() =>
  bench.targets.map((needs) => ({ needs, target: view.targets.find((target) => target.id === needs.id)! })),
)
const index = (needed: number | null, have: number) =>
  needed === null ? 'no part is fast enough' : `${Math.ceil(needed)} / ${Math.round(have)}`
</script>

<template>
  <section class="sheet p-4" aria-label="what the targets need">
    <h2>
      What the targets need
      <span class="font-normal text-soft">index needed / index you have, with the other part unchanged</span>
    </h2>
    <table class="ledger mt-1">
      <thead>
        <tr>
          <th>target</th>
          <th>card</th>
          <th>CPU</th>
          <th>next card up</th>
          <th>next CPU up</th>
          <th>cheapest fix</th>
          <th>best next measurement</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ needs, target } in rows" :key="needs.id" :data-needs="target.workloadId">
          <td class="whitespace-nowrap">{{ target.workload }}</td>
          <td
            class="figures whitespace-nowrap"
            :class="
              needs.graphicsNeeded === null || needs.graphicsNeeded > bench.machine!.graphicsIndex
                ? 'text-stop'
                : ''
            "
          >
            {{ index(needs.graphicsNeeded, bench.machine!.graphicsIndex) }}
          </td>
          <td
            class="figures whitespace-nowrap"
            :class="needs.cpuNeeded === null || needs.cpuNeeded > bench.machine!.cpuIndex ? 'text-stop' : ''"
          >
            {{ index(needs.cpuNeeded, bench.machine!.cpuIndex) }}
          </td>
          <td>
            <template v-if="needs.nextCard"
              >{{ needs.nextCard.name }} <b class="figures">+{{ percent(needs.nextCard.gain) }}</b></template
            ><template v-else>—</template>
          </td>
          <td>
            <template v-if="needs.nextCpu"
              >{{ needs.nextCpu.name }} <b class="figures">+{{ percent(needs.nextCpu.gain) }}</b></template
            ><template v-else>none for this board</template>
          </td>
          <td>
            <span v-if="target.verdict === 'met'" class="text-settled">met already</span
            ><template v-else-if="needs.change"
              >{{ needs.change.name }},
              <span class="figures">{{ signedAmount(needs.change.more, view.currency) }}</span>, reaches
              {{ Math.round(needs.change.fps) }} fps</template
            ><span v-else class="text-waiting">{{
              target.verdict === 'narrow'
                ? 'nothing within what is left; a measurement may settle it'
                : 'nothing within what is left'
            }}</span>
          </td>
          <td class="text-xs">
            {{ needs.measure.settings.height }}p {{ needs.measure.settings.preset }}: narrows ±{{
              percent(needs.measure.halfWidthNow, 1)
            }}
            to ±{{ percent(needs.measure.halfWidthAfter, 1) }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
