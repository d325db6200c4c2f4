<script setup lang="ts">
import { Scatter } from 'vue-chartjs'
import {
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
  type Plugin,
} from 'chart.js'
import '~/ui/charts/hand'
import { inUnits } from '#core/money/formatAmount'
import type { ValueStep } from '#core/performance/model/frameValue'
import { chartAxis } from '~/ui/charts/chartAxis'
import { amount } from '~/utils/show'

Chart.register(LinearScale, PointElement, LineElement, Tooltip)

/** Frames by cost: what nothing beats is joined as stairs; builds and rivals carry their names. */
const { steps, currency } = defineProps<{ steps: readonly ValueStep[]; currency: string }>()
const colour = useTokens()
const kinds = [
  { kind: 'build', token: '--series-1', style: 'circle', radius: 6 },
  { kind: 'rival', token: '--series-2', style: 'rectRot', radius: 7 },
] as const
const pointOf = (step: ValueStep) => ({ x: inUnits(step.cost, currency), y: step.frames })
const listed = computed(() => kinds.map(({ kind }) => steps.filter((step) => step.kind === kind)))
const data = computed(() => ({
  datasets: [
    ...kinds.map(({ token, style, radius }, index) => ({
      data: listed.value[index]!.map(pointOf),
      backgroundColor: colour(token),
      borderColor: colour(token),
      pointStyle: style,
      radius,
      hoverRadius: radius + 2,
    })),
    {
      data: steps.filter((step) => step.beatenBy === null).map(pointOf),
      showLine: true,
      stepped: true,
      radius: 0,
      hoverRadius: 0,
      pointHitRadius: 0,
      borderColor: colour('--soft'),
      borderWidth: 1.5,
    },
  ],
}))
/** Names of the builds and rivals beside their marks; at the right edge to the left of them. */
const names: Plugin<'scatter'> = {
  id: 'names',
  afterDatasetsDraw({ ctx, scales, chartArea }) {
    ctx.save()
    ctx.font = '600 12px "Instrument Sans Variable", sans-serif'
    ctx.lineWidth = 4
    ctx.strokeStyle = colour('--sheet')
    for (const { kind, token } of kinds)
      for (const step of steps.filter((each) => each.kind === kind)) {
        const x = scales.x!.getPixelForValue(inUnits(step.cost, currency))
        const isLate = x > chartArea.right - 180
        const y = scales.y!.getPixelForValue(step.frames) + 15
        ctx.textAlign = isLate ? 'right' : 'left'
        ctx.fillStyle = colour(token)
        ctx.strokeText(step.name, x + (isLate ? -10 : 10), y)
        ctx.fillText(step.name, x + (isLate ? -10 : 10), y)
      }
    ctx.restore()
  },
}
const options = computed<ChartOptions<'scatter'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  scales: {
    x: { ...chartAxis(colour, { title: currency, most: 9 }), min: 0, grid: { display: false } },
    y: { ...chartAxis(colour, { title: 'fps' }), min: 0, grid: { color: colour('--line') } },
  },
  plugins: {
    legend: { display: false },
    tooltip: {
      callbacks: {
        label: ({ datasetIndex, dataIndex }) => {
          const step = listed.value[datasetIndex]?.[dataIndex]
          return step ? `${step.name}: ${step.frames.toFixed(0)} fps for ${amount(step.cost, currency)}` : ''
        },
      },
    },
  },
}))
</script>

<template>
  <div class="relative h-[270px]">
    <Scatter
      :data="data"
      :options="options"
      :plugins="[names]"
      role="img"
      aria-label="fps by cost; see the table below for the figures"
    />
  </div>
</template>
