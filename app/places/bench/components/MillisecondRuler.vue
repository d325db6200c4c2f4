<script setup lang="ts">
import type { BuildView } from '#shared/builds/views'
import type { TargetView } from '#shared/bench/views'
import { estimateWorking } from '~/workings/benchWorkings'

/** One workload's millisecond ruler: the CPU's time above it, the card's below, a notch at the target's frame time. */
const { target, view } = defineProps<{ target: TargetView; view: BuildView }>()
const estimate = computed(() => target.estimate!)
const budget = computed(() => 1000 / target.averageFps)
const end = computed(
  () =>
    Math.max(estimate.value.cpuMs, estimate.value.graphicsMs, estimate.value.frameMs, budget.value) * 1.12,
)
const x = (ms: number) => 8 + (ms / end.value) * 264
const step = computed(() => (end.value > 24 ? 5 : end.value > 10 ? 2 : 1))
const ticks = computed(() =>
  Array.from({ length: Math.floor(end.value / step.value) + 1 }, (_, index) => index * step.value),
)
</script>

<template>
  <figure class="sheet p-3">
    <figcaption>
      <b>{{ target.workload }}</b>
      <TheFigure
        class="float-right"
        :text="`${estimate.frameMs.toFixed(1)} ms`"
        :working="() => estimateWorking(view, target)"
      />
    </figcaption>
    <svg
      viewBox="0 0 280 96"
      class="mt-1 w-full"
      role="img"
      :aria-label="`${target.workload}: CPU ${estimate.cpuMs.toFixed(1)} ms, card ${estimate.graphicsMs.toFixed(1)} ms, the target allows ${budget.toFixed(1)} ms`"
    >
      <rect
        x="8"
        y="16"
        :width="x(estimate.cpuMs) - 8"
        height="16"
        fill="var(--info-ground)"
        stroke="var(--info)"
      />
      <text x="12" y="28" font-size="11" fill="var(--info)">CPU {{ estimate.cpuMs.toFixed(1) }}</text>
      <line x1="8" x2="276" y1="42" y2="42" stroke="var(--ink)" />
      <g v-for="tick in ticks" :key="tick">
        <line :x1="x(tick)" :x2="x(tick)" y1="38" y2="46" stroke="var(--ink)" />
      </g>
      <rect
        x="8"
        y="52"
        :width="x(estimate.graphicsMs) - 8"
        height="16"
        fill="var(--settled-ground)"
        stroke="var(--settled)"
      />
      <text x="12" y="64" font-size="11" fill="var(--settled)">
        card {{ estimate.graphicsMs.toFixed(1) }}
      </text>
      <path
        :d="`M${x(budget)},4 l-4,-4 h8 z M${x(budget)},4 V76`"
        stroke="var(--ink)"
        fill="var(--ink)"
        stroke-width="1.5"
      />
      <g class="figures">
        <text
          v-for="tick in ticks"
          :key="tick"
          :x="x(tick)"
          y="90"
          text-anchor="middle"
          font-size="10"
          fill="var(--soft)"
        >
          {{ tick }}
        </text>
      </g>
    </svg>
    <p class="text-xs text-soft">
      ms per frame; the notch marks {{ budget.toFixed(1) }} ms for {{ target.averageFps }} fps
    </p>
  </figure>
</template>
