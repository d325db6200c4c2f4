<script setup lang="ts">
import { Line } from 'vue-chartjs'
import { Chart, Filler, LinearScale, LineElement, PointElement, type ChartOptions } from 'chart.js'
import '~/ui/charts/hand'
import annotationPlugin from 'chartjs-plugin-annotation'
import zoomPlugin from 'chartjs-plugin-zoom'
import { chartAxis } from '~/ui/charts/chartAxis'
import type { LogStretch } from '~/workers/frameLogProtocol'

Chart.register(LinearScale, PointElement, LineElement, Filler, annotationPlugin, zoomPlugin)

/**
 * Frame times over elapsed time: the shortest and longest of each slice as a band, stutters and pauses marked. Drag
 * over a stretch to go into it.
 */
const { stretches, from, to, budgetMs, highestMs } = defineProps<{
  stretches: readonly LogStretch[]
  from: number
  to: number
  budgetMs: number
  highestMs: number
}>()
const emit = defineEmits<{ zoom: [from: number, to: number] }>()
const colour = useTokens()
const tokens = ['--series-1', '--series-2'] as const
const mostStutters = 300

/** The band of a log: its longest frames, filled down to its shortest, a point for each slice of the time shown. */
function bandOf({ envelope }: LogStretch, index: number) {
  const step = (to - from) / Math.max(1, envelope.length)
  const edge = (end: 'min' | 'max') =>
    envelope.map((slice, at) => ({
      x: from + (at + 0.5) * step,
      y: slice ? Math.min(slice[end], highestMs) : Number.NaN,
    }))
  const look = {
    borderColor: colour(tokens[index]!),
    backgroundColor: `${colour(tokens[index]!)}99`,
    borderWidth: 1,
    pointRadius: 0,
  }
  return [
    { ...look, data: edge('max'), fill: '+1' as const },
    { ...look, data: edge('min') },
  ]
}
const stuttersOf = ({ stutters }: LogStretch, index: number) => ({
  data: stutters.slice(0, mostStutters).map(({ at, ms }) => ({ x: at, y: Math.min(ms, highestMs) })),
  showLine: false,
  pointStyle: 'triangle' as const,
  pointRotation: 180,
  pointRadius: 5,
  backgroundColor: index === 0 ? colour('--stop') : colour('--series-2'),
  borderWidth: 0,
})
const data = computed(() => ({ datasets: [...stretches.flatMap(bandOf), ...stretches.map(stuttersOf)] }))
const seconds = (ms: number) => `${(ms / 1000).toFixed(to - from < 8000 ? 2 : 0)} s`
const options = computed<ChartOptions<'line'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  parsing: false,
  normalized: true,
  events: [],
  scales: {
    x: { ...chartAxis(colour, { format: seconds, most: 9 }), min: from, max: to, grid: { display: false } },
    y: { ...chartAxis(colour, {}), min: 0, max: highestMs, grid: { color: colour('--line') } },
  },
  plugins: {
    legend: { display: false },
    annotation: {
      annotations: Object.fromEntries([
        [
          'budget',
          { type: 'line', yMin: budgetMs, yMax: budgetMs, borderColor: colour('--ink'), borderDash: [5, 4] },
        ],
        ...stretches.flatMap(({ pauses }, index) =>
          pauses.map((at) => [
            `pause ${index} ${at}`,
            { type: 'line', xMin: at, xMax: at, borderColor: colour('--info'), borderDash: [2, 3] },
          ]),
        ),
      ]),
    },
    zoom: {
      zoom: {
        mode: 'x',
        drag: { enabled: true, threshold: 8, backgroundColor: `${colour('--info')}33` },
        onZoom: ({ chart }) => {
          const { min, max } = chart.scales.x!
          emit('zoom', min, max)
        },
      },
    },
  },
}))
const summary = computed(() =>
  stretches
    .map(({ statistics, stutters }) =>
      statistics
        ? `${statistics.frames} frames, average ${statistics.averageFps?.toFixed(1)} fps, ${stutters.length} stutters`
        : 'no frames',
    )
    .join('; '),
)
</script>

<template>
  <div class="relative h-[230px] cursor-crosshair touch-none select-none" data-test="trace">
    <Line
      :data="data"
      :options="options"
      role="img"
      :aria-label="`frame times from ${seconds(from)} to ${seconds(to)}: ${summary}`"
    />
  </div>
</template>
