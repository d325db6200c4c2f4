<script setup lang="ts">
import { equivalentOf } from '#core/comparison/components/consoleModes'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'

/** A console's fixed modes against what the build holds at the same resolution and rate. */
const { view, against } = defineProps<{ view: BuildView; against: WeighedView }>()
const inside = computed(() => equivalentOf(against.equivalents))
const tone = { better: 'tag-settled', level: 'tag-info', worse: 'tag-stop' } as const
const sureWords = { well: 'well known', fairly: 'fairly certain', hardly: 'uncertain' } as const
</script>

<template>
  <section
    v-if="against.comparison && against.comparison.modes.length > 0"
    class="sheet p-3"
    aria-label="fixed modes"
  >
    <h2>
      Fixed modes of {{ against.machine.name }}
      <span class="font-normal text-soft"
        >highest preset at which {{ view.name }} holds the same fps; left out of every mean</span
      >
    </h2>
    <table class="ledger mt-1">
      <thead>
        <tr>
          <th>mode</th>
          <th>the build manages</th>
          <th>likely preset</th>
          <th>certainty</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="mode in against.comparison.modes"
          :key="`${mode.workloadId} ${mode.height}`"
          :data-mode="mode.workloadId"
        >
          <td>{{ mode.workload }} {{ mode.height }}p at {{ mode.fps ?? `${mode.lowFps} low` }}</td>
          <td>
            <template v-if="mode.heldAt"
              >{{ mode.heldAt }}, {{ Math.round(mode.heldFps!) }} fps<span
                v-if="!mode.surely"
                class="text-waiting"
              >
                only just</span
              ></template
            ><span v-else class="text-stop">no preset</span>
          </td>
          <td>
            <template v-if="mode.bracket"
              >{{
                mode.bracket.from === mode.bracket.to
                  ? mode.bracket.from
                  : `${mode.bracket.from} to ${mode.bracket.to}`
              }}
              <span class="text-xs text-soft">{{ sureWords[mode.bracket.sure] }}</span></template
            ><span v-else class="text-soft">no equivalent entered yet</span>
          </td>
          <td>
            <span class="tag" :class="tone[mode.standing]">{{ mode.standing }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="inside" class="mt-1 text-xs text-soft">
      Treated as a card with index {{ inside.machine.graphicsIndex }} ({{ inside.range.low }} to
      {{ inside.range.high }}) and a CPU with index {{ inside.machine.cpuIndex }}, the median of
      {{ inside.proposals }} opinions:
      {{ against.equivalents.map((each) => `${each.by}, ${each.saidOn}`).join('; ') }}.
    </p>
  </section>
</template>
