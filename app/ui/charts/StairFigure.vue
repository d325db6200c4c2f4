<script setup lang="ts">
import { placeTreads, type StairLevel, type Tread } from './stairs'

/** A staircase: the tread is money added, the rise what it brings. Surplus is hatched, doubtful dashed. */
const {
  treads,
  levels = [],
  height = 208,
  canPick = false,
} = defineProps<{
  treads: readonly Tread[]
  levels?: readonly StairLevel[]
  height?: number
  canPick?: boolean
}>()
const emit = defineEmits<{ pick: [id: string] }>()
const width = 1000
const hatch = useId()
const placed = computed(() => placeTreads(treads, levels, width, height))
const shownLevels = computed(() => levels.filter(({ at }) => placed.value.yOf(at) >= 8))
const fills = {
  plain: 'var(--info-ground)',
  good: 'var(--settled-ground)',
  selected: 'var(--settled-ground)',
  doubtful: 'var(--sheet)',
} as const
const strokes = {
  plain: 'var(--info)',
  good: 'var(--settled)',
  selected: 'var(--info)',
  doubtful: 'var(--soft)',
} as const
const fillOf = (look: Tread['look']) => (look === 'surplus' ? `url(#${hatch})` : fills[look])
const strokeOf = (tread: Tread) =>
  tread.isPresent ? 'var(--ink)' : tread.look === 'surplus' ? 'var(--info)' : strokes[tread.look]
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    class="w-full"
    :role="canPick ? 'group' : 'img'"
    :aria-label="`step chart: ${treads.map((tread) => tread.told).join('; ')}`"
  >
    <defs>
      <pattern :id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--sheet)" />
        <line x1="0" x2="0" y1="0" y2="6" stroke="var(--soft)" stroke-width="1.5" />
      </pattern>
    </defs>
    <g v-for="level in shownLevels" :key="level.at" font-size="11" fill="var(--soft)" class="figures">
      <line
        x1="44"
        :x2="width - 8"
        :y1="placed.yOf(level.at)"
        :y2="placed.yOf(level.at)"
        :stroke="level.isAim ? 'var(--settled)' : 'var(--line)'"
        :stroke-dasharray="level.isAim ? '4 3' : ''"
      />
      <text x="40" :y="placed.yOf(level.at) + 4" text-anchor="end">{{ level.label }}</text>
    </g>
    <g
      v-for="tread in placed.treads"
      :key="tread.id"
      :class="{ 'cursor-pointer': canPick }"
      :role="canPick ? 'button' : undefined"
      :tabindex="canPick ? 0 : undefined"
      :aria-label="canPick ? tread.told : undefined"
      @click="emit('pick', tread.id)"
      @keydown.enter="emit('pick', tread.id)"
    >
      <title>{{ tread.told }}</title>
      <rect
        :x="tread.x"
        :y="tread.y"
        :width="tread.width"
        :height="tread.height"
        :fill="fillOf(tread.look)"
        :stroke="strokeOf(tread)"
        :stroke-width="tread.isPresent ? 2.5 : 1"
        :stroke-dasharray="tread.look === 'doubtful' ? '3 3' : ''"
      />
      <text
        v-if="tread.hasRoom || tread.isPresent"
        :x="tread.hasRoom ? tread.x + 3 : tread.x + tread.width"
        :y="tread.y - 5"
        :text-anchor="tread.hasRoom ? 'start' : 'end'"
        :font-weight="tread.isPresent ? 650 : 400"
        font-size="11"
        fill="var(--ink)"
      >
        {{ tread.label }}
      </text>
      <text
        v-if="tread.hasRoom"
        :x="tread.x"
        :y="height - 8"
        font-size="11"
        fill="var(--soft)"
        class="figures"
      >
        {{ tread.foot }}
      </text>
    </g>
  </svg>
</template>
