<script setup lang="ts">
import { Scatter } from 'vue-chartjs'
import { Chart, LinearScale, PointElement, Tooltip, type ChartOptions, type TooltipItem } from 'chart.js'
import annotationPlugin from 'chartjs-plugin-annotation'
import { inUnits } from '#core/money/formatAmount'
import { dateOfDay, dayNumber } from '#core/time/calendarDate'
import type { PriceView, RecordView } from '#shared/views'
import { amount, shortDate } from '~/utils/show'
import { reasonNames } from './triage'

Chart.register(LinearScale, PointElement, Tooltip, annotationPlugin)

/** What it sold for: dots over time, shape by manner of sale, hollow when left out, with the band of the marks. */
const { view, height = 250 } = defineProps<{ view: PriceView; height?: number }>()
const emit = defineEmits<{ pick: [id: number] }>()

const shapes = { auction: 'rectRot', fixed: 'circle', local: 'triangle' } as const
const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
// Left-out records stand at their own price where it is in this currency; others have no place on the scale.
const plotted = computed(() => view.records.filter((record) => record.reason !== 'outside-window' && (record.unitPrice !== null || record.currency === view.currency)))
/** A round number a little above twice the hurried mark: dearer things are lots and slips. */
const ceiling = computed(() => {
  const top = Math.max(view.marks ? view.marks.hurried * 2.2 : 0, (view.newPrice ?? 0) * 1.08)
  const units = inUnits(top, view.currency)
  const step = 10 ** Math.floor(Math.log10(Math.max(units, 10))) / 2
  return Math.ceil(units / step) * step || undefined
})
const units = (value: number) => inUnits(value, view.currency)
/** A record that counts stands at its unit price, one left out at what was paid for all of it. */
const priceOf = (record: RecordView) => units(record.unitPrice ?? record.price + record.shipping)

const data = computed(() => ({
  datasets: (['fixed', 'auction', 'local'] as const).flatMap((manner) => [true, false].map((kept) => {
    const records = plotted.value.filter((record) => record.manner === manner && (record.reason === null) === kept)
    return {
      label: `${manner}${kept ? '' : ', left out'}`,
      data: records.map((record) => ({ x: dayNumber(record.soldOn), y: priceOf(record), record })),
      pointStyle: shapes[manner], radius: 4, hoverRadius: 6,
      backgroundColor: kept ? colour('--series-1') : 'transparent', borderColor: kept ? colour('--series-1') : colour('--soft'), borderWidth: 1,
    }
  })),
}))

const options = computed<ChartOptions<'scatter'>>(() => ({
  responsive: true, maintainAspectRatio: false, animation: false,
  onClick: (_event, elements) => {
    const hit = elements[0]
    if (hit) emit('pick', recordAt(hit.datasetIndex, hit.index).id)
  },
  scales: {
    x: { type: 'linear', min: dayNumber(view.asOf) - view.query.windowDays, max: dayNumber(view.asOf) + 1, ticks: { maxTicksLimit: 7, color: colour('--soft'), callback: (day) => shortDate(dateOfDay(Math.round(Number(day)))) }, grid: { display: false } },
    y: { min: 0, ...(ceiling.value ? { max: ceiling.value } : {}), ticks: { color: colour('--soft'), maxTicksLimit: 6 }, grid: { color: colour('--line') }, title: { display: true, text: `${view.currency} each`, color: colour('--soft') } },
  },
  plugins: {
    legend: { display: false },
    tooltip: { callbacks: { label: (item: TooltipItem<'scatter'>) => tip(recordAt(item.datasetIndex, item.dataIndex)) } },
    annotation: { annotations: annotations.value },
  },
}))

function recordAt(dataset: number, index: number): RecordView {
  return (data.value.datasets[dataset]!.data[index] as unknown as { record: RecordView }).record
}
function tip(record: RecordView): string[] {
  return [record.title, `${amount(record.unitPrice ?? record.price + record.shipping, view.currency)} · ${shortDate(record.soldOn)} · ${record.manner}`, record.reason ? `left out: ${reasonNames[record.reason]}, ${record.detail}` : 'counts']
}
const annotations = computed(() => ({
  ...(view.marks ? {
    band: { type: 'box' as const, yMin: units(view.marks.patient), yMax: units(view.marks.hurried), backgroundColor: `${colour('--series-1')}22`, borderWidth: 0, drawTime: 'beforeDatasetsDraw' as const },
    typical: { type: 'line' as const, yMin: units(view.marks.typical), yMax: units(view.marks.typical), borderColor: colour('--series-1'), borderWidth: 2 },
  } : {}),
  ...(view.newPrice !== null ? { fresh: { type: 'line' as const, yMin: units(view.newPrice), yMax: units(view.newPrice), borderColor: colour('--ink'), borderWidth: 1.5, borderDash: [3, 3], label: { display: true, content: `new ${amount(view.newPrice, view.currency)}`, position: 'end' as const, backgroundColor: 'transparent', color: colour('--ink'), yAdjust: -8, font: { size: 11 } } } } : {}),
}))
const summary = computed(() => `${view.kept} comps of ${plotted.value.length} records over ${view.query.windowDays} days${view.marks ? `, typical ${amount(view.marks.typical, view.currency)} ${view.currency}` : ''}`)
</script>

<template>
  <figure>
    <figcaption class="flex flex-wrap items-baseline gap-x-3 text-soft"><b class="text-ink">What it sold for</b><span>● fixed price ◆ auction ▲ local · hollow: left out</span><span class="sr-only">{{ summary }}</span></figcaption>
    <div :style="{ height: `${height}px` }"><ClientOnly><Scatter :data="data" :options="options" :aria-label="summary" /></ClientOnly></div>
  </figure>
</template>
