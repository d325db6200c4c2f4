<script setup lang="ts">
import { Scatter } from 'vue-chartjs'
import {
  Chart,
  LinearScale,
  PointElement,
  LineElement,
  Tooltip,
  type ChartOptions,
  type Plugin,
  type TooltipItem,
} from 'chart.js'
import '~/ui/charts/hand'
import annotationPlugin from 'chartjs-plugin-annotation'
import { minorPerUnit } from '#core/money/currencies'
import { inUnits } from '#core/money/formatAmount'
import { trendLine } from '#core/pricing/trend/trendLine'
import { histogram } from '#core/statistics/histogram'
import { dateOfDay, daysBetween, dayNumber } from '#core/time/calendarDate'
import type { PriceView, RecordView } from '#shared/prices/views'
import { amount, shortDate } from '~/utils/show'
import { dotAnnotations, priceCeiling } from '../state/dotsFigure'
import type { Brush } from '../state/brush'
import { reasonNames } from '../state/triage'

Chart.register(LinearScale, PointElement, LineElement, Tooltip, annotationPlugin)

/**
 * What it sold for: dots over time, shape by sale type, hollow when left out, with the band of the marks, the
 * trend where it is real, the builder's own figure; beside it the spread of the comps. Dragging marks a region.
 */
const {
  view,
  height = 250,
  brush = null,
} = defineProps<{ view: PriceView; height?: number; brush?: Brush | null }>()
const emit = defineEmits<{ pick: [id: number]; brush: [region: Brush] }>()

const shapes = { auction: 'rectRot', fixed: 'circle', local: 'triangle' } as const
const spreadWidth = 84
const colour = useTokens()
const units = (value: number) => inUnits(value, view.currency)
const perUnit = computed(() => minorPerUnit(view.currency))
// Left-out records stand at their own price where it is in this currency; others have no place on the scale.
const plotted = computed(() =>
  view.records.filter(
    (record) =>
      record.reason !== 'outside-window' && (record.unitPrice !== null || record.currency === view.currency),
  ),
)
const comps = computed(() => view.records.filter((record) => record.unitPrice !== null))
const ceiling = computed(() => priceCeiling(view))
/** A record that counts stands at its unit price, one left out at what was paid for all of it. */
const priceOf = (record: RecordView) => units(record.unitPrice ?? record.price + record.shipping)
const above = computed(() =>
  ceiling.value === undefined ? 0 : plotted.value.filter((record) => priceOf(record) > ceiling.value!).length,
)
const many = computed(() => plotted.value.length > 2000)

const line = computed(() => {
  const ages = [view.query.windowDays - 1, 0]
  const steps = Array.from({ length: 13 }, (_, i) => Math.round(ages[0]! - (ages[0]! * i) / 12))
  return trendLine(
    view.trend,
    view.marks?.typical ?? 0,
    comps.value.map((record) => ({ age: daysBetween(record.soldOn, view.asOf), weight: record.weight! })),
    steps,
  )
})

const data = computed(() => ({
  datasets: [
    ...(['fixed', 'auction', 'local'] as const).flatMap((manner) =>
      [true, false].map((kept) => {
        const records = plotted.value.filter(
          (record) => record.manner === manner && (record.reason === null) === kept,
        )
        return {
          label: `${manner}${kept ? '' : ', left out'}`,
          records,
          data: records.map((record) => ({ x: dayNumber(record.soldOn), y: priceOf(record) })),
          pointStyle: many.value ? ('circle' as const) : shapes[manner],
          radius: many.value ? 2 : 4,
          hoverRadius: 6,
          backgroundColor: kept ? colour('--series-1') : 'transparent',
          borderColor: kept ? colour('--series-1') : colour('--soft'),
          borderWidth: many.value && kept ? 0 : 1,
        }
      }),
    ),
    {
      label: 'trend',
      records: [],
      data: line.value.map(({ age, price }) => ({ x: dayNumber(view.asOf) - age, y: units(price) })),
      showLine: true,
      radius: 0,
      hoverRadius: 0,
      pointHitRadius: 0,
      borderColor: colour('--series-4'),
      borderWidth: 2,
      borderDash: [6, 3],
      backgroundColor: 'transparent',
    },
  ],
}))

/** The spread of the comps, drawn against the same price scale at the right edge. */
const spread: Plugin<'scatter'> = {
  id: 'spread',
  afterDatasetsDraw(chart) {
    const { x, y } = chart.scales
    if (!x || !y) return
    const bins = histogram(
      comps.value.map((record) => units(record.unitPrice!)),
      0,
      Number(y.max),
      24,
    )
    const most = Math.max(1, ...bins.map((bin) => bin.count))
    const { ctx } = chart
    ctx.save()
    ctx.fillStyle = colour('--series-1')
    ctx.globalAlpha = 0.55
    for (const bin of bins.filter((each) => each.count > 0)) {
      const top = y.getPixelForValue(bin.to)
      ctx.fillRect(
        x.right + 8,
        top + 1,
        (bin.count / most) * (spreadWidth - 14),
        Math.max(1, y.getPixelForValue(bin.from) - top - 2),
      )
    }
    ctx.restore()
  },
}

const options = computed<ChartOptions<'scatter'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  normalized: true,
  layout: { padding: { right: spreadWidth } },
  onClick: (_event, elements) => {
    const record = elements[0] && recordAt(elements[0].datasetIndex, elements[0].index)
    if (record) emit('pick', record.id)
  },
  scales: {
    x: {
      type: 'linear',
      min: dayNumber(view.asOf) - view.query.windowDays,
      max: dayNumber(view.asOf) + 1,
      ticks: {
        maxTicksLimit: 7,
        color: colour('--soft'),
        callback: (day) => shortDate(dateOfDay(Math.round(Number(day)))),
      },
      grid: { display: false },
    },
    y: {
      min: 0,
      ...(ceiling.value ? { max: ceiling.value } : {}),
      ticks: { color: colour('--soft'), maxTicksLimit: 6 },
      grid: { color: colour('--line') },
      title: { display: true, text: `${view.currency} each`, color: colour('--soft') },
    },
  },
  plugins: {
    legend: { display: false },
    tooltip: {
      callbacks: {
        label: (item: TooltipItem<'scatter'>) => tip(recordAt(item.datasetIndex, item.dataIndex)),
      },
    },
    annotation: { annotations: annotations.value },
  },
}))

function recordAt(dataset: number, index: number): RecordView | undefined {
  return data.value.datasets[dataset]?.records[index]
}
function tip(record: RecordView | undefined): string[] {
  if (!record) return []
  return [
    record.title,
    `${amount(record.unitPrice ?? record.price + record.shipping, view.currency)} · ` +
      `${shortDate(record.soldOn)} · ${record.manner}`,
    record.reason ? `left out: ${reasonNames[record.reason]}, ${record.detail}` : 'counts',
  ]
}
const annotations = computed(() => dotAnnotations(view, brush, colour))
const summary = computed(
  () =>
    `${view.kept} comps of ${plotted.value.length} records over ${view.query.windowDays} ` +
    `days${view.marks ? `, typical ${amount(view.marks.typical, view.currency)} ${view.currency}, patient ${amount(view.marks.patient, view.currency)}, quick ${amount(view.marks.hurried, view.currency)}` : ''}`,
)

const chartRef = useTemplateRef<{ chart: Chart<'scatter'> }>('chart')
const { dragged, down, move, up } = useRegionDrag(
  () => chartRef.value?.chart,
  () => perUnit.value,
  (region) => emit('brush', region),
)
</script>

<template>
  <figure>
    <figcaption class="flex flex-wrap items-baseline gap-x-3 text-soft">
      <b class="text-ink">What it sold for</b
      ><span
        >● fixed price ◆ auction ▲ local · hollow: left out<template v-if="line.length > 0">
          · dashed: trend</template
        ></span
      ><span class="ml-auto text-xs"
        ><template v-if="above > 0">{{ above }} higher prices not drawn · </template>drag to select an
        area</span
      ><span class="sr-only">{{ summary }}. See Clean up for the same data as a table.</span>
    </figcaption>
    <div
      class="relative touch-none select-none"
      :style="{ height: `${height}px` }"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointerleave="up"
    >
      <ClientOnly
        ><Scatter
          ref="chart"
          :data="data"
          :options="options"
          :plugins="[spread]"
          :aria-label="summary" /></ClientOnly
      ><span
        v-if="dragged"
        class="pointer-events-none absolute border border-info bg-info/15"
        :style="dragged"
      />
    </div>
  </figure>
</template>
