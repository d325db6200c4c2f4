<script setup lang="ts">
import { Line } from 'vue-chartjs'
import {
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js'
import '~/ui/charts/hand'
import { toDecimal } from '#core/money/decimal'
import { formatAmount } from '#core/money/formatAmount'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { CurvePoint } from '#core/planning/wishCosts'
import type { BuildPlan } from '#core/planning/planBuild'

Chart.register(LinearScale, PointElement, LineElement, Tooltip)

/** A trade-off as a curve of plans, each point one that can be taken. */
const { points, question, plan, of } = defineProps<{
  points: readonly CurvePoint[]
  question: BuildQuestion
  plan: BuildPlan
  of: 'waiting' | 'frames'
}>()
const emit = defineEmits<{ choose: [point: CurvePoint]; turn: [of: 'waiting' | 'frames'] }>()
const colour = useTokens()
const major = (amount: number) => Number(toDecimal(amount, question.currency))
const data = computed<ChartData<'line', { x: number; y: number }[]>>(() => ({
  datasets: [
    {
      data: points.map(({ at, plan: each }) => ({
        x: of === 'waiting' ? at : Math.round(100 * at),
        y: major(each.cost!),
      })),
      borderColor: colour('--series-1'),
      borderWidth: 2,
      pointRadius: points.map(({ plan: each }) => (each.cost === plan.cost ? 7 : 4)),
      pointHoverRadius: 7,
      pointBackgroundColor: points.map(({ plan: each }) =>
        each.cost === plan.cost ? colour('--settled') : colour('--sheet'),
      ),
      pointBorderColor: colour('--settled'),
      pointBorderWidth: 2,
    },
  ],
}))
const options = computed<ChartOptions<'line'>>(() => ({
  animation: false,
  maintainAspectRatio: false,
  onClick: (_, elements) => {
    const point = points[elements[0]?.index ?? -1]
    if (point) emit('choose', point)
  },
  plugins: {
    legend: { display: false },
    tooltip: {
      callbacks: {
        title: ([item]) =>
          of === 'waiting' ? `within ${item!.parsed.x} days` : `${item!.parsed.x} % of target fps`,
        label: (item) =>
          `expected total ${formatAmount(points[item.dataIndex]!.plan.cost!, question.currency)}`,
      },
    },
  },
  scales: {
    x: {
      type: 'linear',
      title: { display: true, text: of === 'waiting' ? 'days until everything is here' : '% of target fps' },
    },
    y: { title: { display: true, text: question.currency } },
  },
}))
</script>

<template>
  <section class="sheet p-3" aria-label="trade-off">
    <div class="flex items-baseline gap-2">
      <h2>{{ of === 'waiting' ? 'Time or money' : 'Fps for the money' }}</h2>
      <button
        v-if="question.targets.length > 0"
        type="button"
        class="quiet-button ml-auto text-xs"
        @click="emit('turn', of === 'waiting' ? 'frames' : 'waiting')"
      >
        {{ of === 'waiting' ? 'show fps' : 'show time' }}
      </button>
    </div>
    <div class="mt-1 h-44">
      <Line v-if="points.length > 1" :data="data" :options="options" aria-label="cost of each plan" />
      <p v-else class="text-soft">calculating…</p>
    </div>
    <p class="text-xs text-soft">Each point is a plan; click one to use it.</p>
  </section>
</template>
