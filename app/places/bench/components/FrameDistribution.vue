<script setup lang="ts">
import { Bar } from 'vue-chartjs'
import { BarElement, Chart, LinearScale, type ChartOptions } from 'chart.js'
import '~/ui/charts/hand'
import annotationPlugin from 'chartjs-plugin-annotation'
import { chartAxis } from '~/ui/charts/chartAxis'
import type { LogStretch } from '~/workers/frameLogProtocol'

Chart.register(LinearScale, BarElement, annotationPlugin)

/** How many frames took how long, a log beside the other. */
const { stretches, budgetMs, highestMs } = defineProps<{
  stretches: readonly LogStretch[]
  budgetMs: number
  highestMs: number
}>()
const colour = useTokens()
const tokens = ['--series-1', '--series-2'] as const
const data = computed(() => ({
  datasets: stretches.map(({ distribution }, index) => ({
    data: distribution.map((bin) => ({ x: (bin.from + Math.min(bin.to, highestMs)) / 2, y: bin.count })),
    backgroundColor: colour(tokens[index]!),
    barPercentage: 1,
    categoryPercentage: 0.92,
  })),
}))
const options = computed<ChartOptions<'bar'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  parsing: false,
  events: [],
  scales: {
    x: {
      ...chartAxis(colour, { title: 'ms per frame', format: (ms) => ms.toFixed(0) }),
      min: 0,
      max: highestMs,
      grid: { display: false },
    },
    y: { ...chartAxis(colour, { title: 'frames', most: 4 }), min: 0, grid: { color: colour('--line') } },
  },
  plugins: {
    legend: { display: false },
    annotation: {
      annotations: {
        budget: {
          type: 'line',
          xMin: budgetMs,
          xMax: budgetMs,
          borderColor: colour('--ink'),
          borderDash: [4, 3],
          label: {
            display: true,
            content: budgetMs.toFixed(1),
            position: 'start',
            backgroundColor: `${colour('--sheet')}dd`,
            color: colour('--ink'),
            font: { size: 11 },
            padding: 2,
          },
        },
      },
    },
  },
}))
</script>

<template>
  <figure class="sheet self-start p-3">
    <figcaption class="text-[13px] font-semibold">
      Distribution <span class="font-normal text-soft">frames by frame time; dashed: target frame rate</span>
    </figcaption>
    <div class="relative h-[190px]">
      <Bar
        :data="data as never"
        :options="options"
        role="img"
        aria-label="distribution of frame times; see the table for the figures"
      />
    </div>
  </figure>
</template>
