<script setup lang="ts">
import { Line } from 'vue-chartjs'
import { Chart, LinearScale, LineElement, PointElement, Tooltip, type ChartOptions } from 'chart.js'
import '~/ui/charts/hand'
import annotationPlugin from 'chartjs-plugin-annotation'
import { chartAxis } from './chartAxis'

Chart.register(LinearScale, PointElement, LineElement, Tooltip, annotationPlugin)

/** A line or stair over a linear axis, with levels and moments marked; its summary stands for it where it is not seen. */
export interface Level {
  readonly at: number
  readonly label: string
  readonly token: `--${string}`
}
const {
  points,
  summary,
  xTitle,
  yTitle,
  formatX,
  formatY,
  height = 150,
  stepped = false,
  token = '--info',
  yMin,
  yMax,
  levels = [],
  moments = [],
} = defineProps<{
  points: readonly { readonly x: number; readonly y: number }[]
  summary: string
  xTitle?: string
  yTitle?: string
  formatX: (value: number) => string
  formatY: (value: number) => string
  height?: number
  stepped?: boolean
  token?: `--${string}`
  yMin?: number
  yMax?: number
  levels?: readonly Level[]
  moments?: readonly Level[]
}>()
/** A click or drag along the axis: the value under the pointer. */
const emit = defineEmits<{ pick: [x: number] }>()
const colour = useTokens()
const chart = useTemplateRef<{ chart?: Chart }>('chart')

const data = computed(() => ({
  datasets: [
    {
      data: points.map((point) => ({ ...point })),
      stepped,
      borderColor: colour(token),
      borderWidth: 2,
      pointRadius: 0,
      pointHitRadius: 8,
    },
  ],
}))
const marked = (axis: 'x' | 'y') => (each: Level, index: number) => [
  `${axis}${index}`,
  {
    type: 'line' as const,
    ...(axis === 'x' ? { xMin: each.at, xMax: each.at } : { yMin: each.at, yMax: each.at }),
    borderColor: colour(each.token),
    borderWidth: 1.2,
    borderDash: [3, 3],
    label: {
      display: each.label !== '',
      content: each.label,
      position: 'start' as const,
      backgroundColor: `${colour('--sheet')}dd`,
      color: colour(each.token),
      padding: 2,
      yAdjust: axis === 'y' ? -8 : 0,
      font: { size: 11 },
    },
  },
]
const options = computed<ChartOptions<'line'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  scales: {
    x: {
      ...chartAxis(colour, { ...(xTitle ? { title: xTitle } : {}), format: formatX }),
      min: points[0]?.x ?? 0,
      max: points.at(-1)?.x ?? 1,
      grid: { display: false },
    },
    y: {
      ...chartAxis(colour, { ...(yTitle ? { title: yTitle } : {}), format: formatY }),
      ...(yMin === undefined ? {} : { min: yMin }),
      ...(yMax === undefined ? {} : { max: yMax }),
      grid: { color: colour('--line') },
    },
  },
  plugins: {
    legend: { display: false },
    tooltip: {
      intersect: false,
      callbacks: { title: () => '', label: ({ parsed }) => `${formatX(parsed.x!)}: ${formatY(parsed.y!)}` },
    },
    annotation: {
      annotations: Object.fromEntries([...levels.map(marked('y')), ...moments.map(marked('x'))]),
    },
  },
}))

let isDragging = false
function onPointer(event: PointerEvent) {
  if (event.type === 'pointerdown') isDragging = true
  if (!isDragging) return
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const value = chart.value?.chart?.scales.x?.getValueForPixel(event.clientX - box.left)
  if (value !== undefined) emit('pick', value)
}
</script>

<template>
  <div
    class="relative touch-none"
    :style="{ height: `${height}px` }"
    @pointerdown="onPointer"
    @pointermove="onPointer"
    @pointerup="isDragging = false"
    @pointerleave="isDragging = false"
  >
    <Line ref="chart" :data="data" :options="options" :aria-label="summary" />
  </div>
</template>
