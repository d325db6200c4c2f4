<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { LogStretch } from '~/workers/frameLogProtocol'

/** Frame times over elapsed time: the shortest and longest of each slice as a band, stutters and pauses marked. Drag over a stretch to go into it. */
const { stretches, from, to, budgetMs, highestMs } = defineProps<{
  stretches: readonly LogStretch[]
  from: number
  to: number
  budgetMs: number
  highestMs: number
}>()
const emit = defineEmits<{ zoom: [from: number, to: number] }>()
const width = 1000
const height = 230
const left = 40
const right = 8
const span = width - left - right
const x = (ms: number) => left + ((ms - from) / Math.max(1, to - from)) * span
const y = (ms: number) => 10 + (1 - Math.min(ms, highestMs) / highestMs) * (height - 34)
const colours = ['var(--series-1)', 'var(--series-2)']
const bands = computed(() =>
  stretches.map(({ envelope }) => {
    const step = span / Math.max(1, envelope.length)
    return envelope
      .flatMap((slice, index) =>
        slice
          ? [
              `M${(left + (index + 0.5) * step).toFixed(1)},${y(slice.max).toFixed(1)}V${Math.max(y(slice.min), y(slice.max) + 1).toFixed(1)}`,
            ]
          : [],
      )
      .join('')
  }),
)
const ticks = computed(() => scaleLinear([from, to], [left, width - right]).ticks(8))
const levels = computed(() => scaleLinear([0, highestMs], [height - 24, 10]).ticks(5))
const svg = useTemplateRef<SVGSVGElement>('svg')
const drag = ref<{ a: number; b: number } | null>(null)
function momentOf(event: PointerEvent): number {
  const box = svg.value!.getBoundingClientRect()
  const at = ((event.clientX - box.left) / box.width) * width
  return from + ((Math.min(width - right, Math.max(left, at)) - left) / span) * (to - from)
}
function down(event: PointerEvent) {
  drag.value = { a: momentOf(event), b: momentOf(event) }
  svg.value!.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (drag.value) drag.value = { ...drag.value, b: momentOf(event) }
}
function up() {
  const chosen = drag.value
  drag.value = null
  if (chosen && Math.abs(chosen.b - chosen.a) > (to - from) / 200)
    emit('zoom', Math.min(chosen.a, chosen.b), Math.max(chosen.a, chosen.b))
}
const seconds = (ms: number) => (ms / 1000).toFixed(to - from < 8000 ? 2 : 0)
const summary = computed(() =>
  stretches
    .map(({ statistics, stutters }) =>
      statistics
        ? `${statistics.frames} frames, average ${statistics.averageFps?.toFixed(1)} frames a second, ${stutters.length} stutters`
        : 'no frames',
    )
    .join('; '),
)
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`0 0 ${width} ${height}`"
    class="w-full cursor-crosshair touch-none select-none"
    role="img"
    :aria-label="`frame times from ${seconds(from)} to ${seconds(to)} s: ${summary}`"
    data-test="trace"
    @pointerdown="down"
    @pointermove="move"
    @pointerup="up"
  >
    <g class="figures" font-size="11" fill="var(--soft)">
      <g v-for="level in levels" :key="level">
        <line :x1="left" :x2="width - right" :y1="y(level)" :y2="y(level)" stroke="var(--line)" />
        <text :x="left - 5" :y="y(level) + 4" text-anchor="end">{{ level }}</text>
      </g>
      <g v-for="tick in ticks" :key="tick">
        <text :x="x(tick)" :y="height - 6" text-anchor="middle">{{ seconds(tick) }} s</text>
      </g>
    </g>
    <path
      v-for="(band, index) in bands"
      :key="index"
      :d="band"
      :stroke="colours[index]"
      stroke-width="1.2"
      fill="none"
      :opacity="index === 0 ? 0.9 : 0.7"
    />
    <line
      :x1="left"
      :x2="width - right"
      :y1="y(budgetMs)"
      :y2="y(budgetMs)"
      stroke="var(--ink)"
      stroke-dasharray="5 4"
    />
    <template v-for="(each, index) in stretches" :key="index">
      <path
        v-for="stutter in each.stutters.slice(0, 300)"
        :key="stutter.at"
        :d="`M${x(stutter.at)},${y(stutter.ms) - 2} l-4,-7 h8 z`"
        :fill="index === 0 ? 'var(--stop)' : 'var(--series-2)'"
      />
      <line
        v-for="pause in each.pauses"
        :key="pause"
        :x1="x(pause)"
        :x2="x(pause)"
        y1="10"
        :y2="height - 24"
        stroke="var(--info)"
        stroke-dasharray="2 3"
      />
    </template>
    <rect
      v-if="drag"
      :x="Math.min(x(drag.a), x(drag.b))"
      y="10"
      :width="Math.abs(x(drag.b) - x(drag.a))"
      :height="height - 34"
      fill="var(--info)"
      opacity="0.18"
    />
  </svg>
</template>
