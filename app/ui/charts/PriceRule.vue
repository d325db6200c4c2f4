<script setup lang="ts">
import { formatAmount, formatWhole } from '#core/money/formatAmount'
import { ruleScale, type RulePoints } from './priceRule'

/**
 * The price rule: what is known about one price on one scale. Shapes carry the meaning: band = street, bar = typical,
 * flag = ask, upward wedge below = landed cost or aim, end bar = new price.
 */
const {
  points,
  currency,
  size = 'small',
  room = 520,
} = defineProps<{ points: RulePoints; currency: string; size?: 'small' | 'large'; room?: number }>()

const width = computed(() => (size === 'small' ? 180 : room))
/** Without an ask there is no flag to make room for. */
const height = computed(() => (size === 'small' ? 24 : points.ask === undefined ? 64 : 92))
const axis = computed(() => (size === 'small' ? 13 : points.ask === undefined ? 30 : 42))
const half = computed(() => (size === 'small' ? 5 : 9))
const scale = computed(() => ruleScale(points, width.value, size === 'small' ? 4 : 34))
const marks = computed(() => points.marks)
const ticks = computed(() => (size === 'large' ? (scale.value?.ticks ?? []) : []))
const whole = (value: number) => formatWhole(value, currency)
const summary = computed(() =>
  [
    marks.value
      ? `street price ${formatAmount(marks.value.patient, currency)} to ` +
        `${formatAmount(marks.value.hurried, currency)}, typical ` +
        `${formatAmount(marks.value.typical, currency)}`
      : 'no street price',
    points.ask !== undefined ? `asking ${formatAmount(points.ask, currency)}` : '',
    points.landed !== undefined ? `landed ${formatAmount(points.landed, currency)}` : '',
    points.own !== undefined && points.own !== null
      ? `your figure ${formatAmount(points.own, currency)}`
      : '',
    points.fresh !== undefined && points.fresh !== null ? `new ${formatAmount(points.fresh, currency)}` : '',
  ]
    .filter((part) => part !== '')
    .join(', '),
)
/** How wide the flag of the ask is; to the left of its pole where it would reach over the edge. */
const figureWidth = 7.3
const flag = computed(() => {
  const wide = `asking ${whole(points.ask ?? 0)}`.length * figureWidth + 14
  return (scale.value?.at(points.ask ?? 0) ?? 0) + wide > width.value ? -wide : wide
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    :height="height"
    class="block w-full"
    role="img"
    :aria-label="summary"
    preserveAspectRatio="xMidYMid meet"
  >
    <title>{{ summary }}</title>
    <template v-if="scale">
      <line x1="0" :x2="width" :y1="axis" :y2="axis" stroke="var(--line)" />
      <g v-for="tick in ticks" :key="tick" class="figures">
        <line :x1="scale.at(tick)" :x2="scale.at(tick)" :y1="axis - 3" :y2="axis + 3" stroke="var(--soft)" />
        <text :x="scale.at(tick)" :y="height - 3" text-anchor="middle" font-size="11" fill="var(--soft)">
          {{ whole(tick) }}
        </text>
      </g>
      <template v-if="marks">
        <rect
          :x="scale.at(marks.patient)"
          :width="Math.max(2, scale.at(marks.hurried) - scale.at(marks.patient))"
          :y="axis - half"
          :height="half * 2"
          fill="var(--settled-ground)"
          stroke="var(--settled)"
        />
        <line
          :x1="scale.at(marks.typical)"
          :x2="scale.at(marks.typical)"
          :y1="axis - half - 2"
          :y2="axis + half + 2"
          stroke="var(--settled)"
          stroke-width="2.5"
        />
      </template>
      <g v-if="points.fresh !== undefined && points.fresh !== null">
        <line
          :x1="scale.at(points.fresh)"
          :x2="scale.at(points.fresh)"
          :y1="axis - half - 4"
          :y2="axis + half + 4"
          stroke="var(--rule)"
          :stroke-width="size === 'small' ? 2 : 3"
        />
        <text
          v-if="size === 'large'"
          :x="scale.at(points.fresh)"
          :y="axis - half - 9"
          text-anchor="end"
          font-size="12"
          fill="var(--ink)"
        >
          new {{ whole(points.fresh) }}
        </text>
      </g>
      <g v-if="points.ask !== undefined">
        <line
          :x1="scale.at(points.ask)"
          :x2="scale.at(points.ask)"
          :y1="axis + half"
          :y2="size === 'small' ? 2 : 10"
          stroke="var(--waiting)"
          stroke-width="1.5"
        />
        <path
          v-if="size === 'small'"
          :d="`M${scale.at(points.ask)},2 h9 l-3,3 3,3 h-9 z`"
          fill="var(--waiting)"
        />
        <g v-else>
          <path
            :d="`M${scale.at(points.ask)},8 h${flag} l${flag < 0 ? 5 : -5},8 ${flag < 0 ? -5 : 5},8 h${-flag} z`"
            fill="var(--waiting-ground)"
            stroke="var(--waiting)"
          />
          <text
            :x="scale.at(points.ask) + (flag < 0 ? -5 : 5)"
            :text-anchor="flag < 0 ? 'end' : 'start'"
            y="20"
            font-size="12"
            fill="var(--waiting)"
            class="figures"
          >
            asking {{ whole(points.ask) }}
          </text>
        </g>
      </g>
      <g v-if="size === 'large' && points.own !== undefined && points.own !== null">
        <path :d="`M${scale.at(points.own)},${axis - half - 1} l-4,-6 h8 z`" fill="var(--info)" />
        <text
          :x="scale.at(points.own)"
          :y="axis - half - 10"
          text-anchor="middle"
          font-size="12"
          fill="var(--info)"
        >
          yours {{ whole(points.own) }}
        </text>
      </g>
      <g v-if="points.landed !== undefined">
        <path :d="`M${scale.at(points.landed)},${axis + half + 1} l-4.5,7 h9 z`" fill="var(--info)" />
        <text
          v-if="size === 'large'"
          :x="scale.at(points.landed)"
          :y="axis + half + 21"
          text-anchor="middle"
          font-size="12"
          fill="var(--info)"
        >
          landed {{ whole(points.landed) }}
        </text>
      </g>
    </template>
  </svg>
</template>
