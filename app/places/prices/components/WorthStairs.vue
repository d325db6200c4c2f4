<script setup lang="ts">
import type { WorthRow, WorthView } from '#shared/prices/views'
import { amount, percent } from '~/utils/show'

/** The staircase of a role: tread is money added, rise is what it brings. Surplus treads are hatched. */
const { worth, currency, selected } = defineProps<{ worth: WorthView; currency: string; selected: string }>()
const emit = defineEmits<{ select: [partId: string] }>()
const width = 960
const height = 208
const steps = computed(() =>
  worth.rows.filter((row) => row.step !== null).sort((a, b) => a.price! - b.price!),
)
const worthOf = (row: WorthRow) => (worth.byTargets ? row.targetRatio! : row.index)
const top = computed(() => Math.max(...steps.value.map(worthOf), worth.byTargets ? 1 : 0) * 1.08)
const dearest = computed(() => Math.max(...steps.value.map((row) => row.price!)) * 1.06)
const x = (price: number) => 44 + (price / dearest.value) * (width - 60)
const y = (value: number) => height - 24 - (value / top.value) * (height - 48)
/** Without the make, and without the size that every title of the role has. */
const shortName = (row: WorthRow) => row.name.replace(/^\S+ /, '').replace(/ \d+ GB$/, '')
/** A label has its place where the next tread leaves it room. */
const hasRoom = (index: number) =>
  index === steps.value.length - 1 || x(steps.value[index + 1]!.price!) - x(steps.value[index]!.price!) > 74
const endOf = (index: number) =>
  index + 1 < steps.value.length ? x(steps.value[index + 1]!.price!) : width - 8
const marks = computed(() =>
  worth.byTargets
    ? [0.5, 1, 1.5, 2].filter((mark) => mark < top.value)
    : [50, 100, 150, 200].filter((mark) => mark < top.value),
)
const summary = computed(() =>
  steps.value.map((row) => `${row.name} ${amount(row.price, currency)}`).join(', '),
)
</script>

<template>
  <figure>
    <figcaption class="text-soft">
      <b class="text-ink">Steps worth taking</b> each tread costs its money more and brings its rise
      {{ worth.byTargets ? 'in your weakest target' : `in ${worth.unit}` }}; hatched: more than your targets
      need
    </figcaption>
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      class="w-full"
      role="group"
      :aria-label="`staircase: ${summary}`"
    >
      <defs>
        <pattern
          id="surplus"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="6" height="6" fill="var(--sheet)" />
          <line x1="0" x2="0" y1="0" y2="6" stroke="var(--soft)" stroke-width="1.5" />
        </pattern>
      </defs>
      <g v-for="mark in marks" :key="mark">
        <line
          x1="44"
          :x2="width - 8"
          :y1="y(mark)"
          :y2="y(mark)"
          :stroke="worth.byTargets && mark === 1 ? 'var(--settled)' : 'var(--line)'"
          :stroke-dasharray="worth.byTargets && mark === 1 ? '4 3' : ''"
        />
        <text x="40" :y="y(mark) + 4" text-anchor="end" font-size="11" fill="var(--soft)" class="figures">
          {{ worth.byTargets ? percent(mark) : mark }}
        </text>
      </g>
      <g
        v-for="(row, index) in steps"
        :key="row.partId"
        class="cursor-pointer"
        role="button"
        tabindex="0"
        :aria-label="`${row.name}, ${amount(row.price, currency)}`"
        @click="emit('select', row.partId)"
        @keydown.enter="emit('select', row.partId)"
      >
        <title>{{ row.name }}, {{ amount(row.price, currency) }} {{ row.way }}</title>
        <rect
          :x="x(row.price!)"
          :y="y(worthOf(row))"
          :width="Math.max(2, endOf(index) - x(row.price!))"
          :height="Math.max(1, height - 24 - y(worthOf(row)))"
          :fill="
            row.step!.surplus
              ? 'url(#surplus)'
              : row.partId === selected
                ? 'var(--settled-ground)'
                : 'var(--info-ground)'
          "
          :stroke="row.inBuild ? 'var(--ink)' : 'var(--info)'"
          :stroke-width="row.inBuild ? 2.5 : 1"
        />
        <text
          v-if="row.inBuild"
          :x="(x(row.price!) + endOf(index)) / 2"
          :y="y(worthOf(row)) - 5"
          text-anchor="end"
          font-size="12"
          font-weight="650"
          fill="var(--ink)"
        >
          {{ shortName(row) }}
        </text>
        <text
          v-else-if="hasRoom(index)"
          :x="x(row.price!) + 4"
          :y="y(worthOf(row)) + 14"
          font-size="11"
          fill="var(--ink)"
          :stroke="row.step!.surplus ? 'var(--sheet)' : 'none'"
          stroke-width="4"
          paint-order="stroke"
        >
          {{ shortName(row) }}
        </text>
        <text
          v-if="hasRoom(index)"
          :x="x(row.price!)"
          :y="height - 8"
          font-size="11"
          fill="var(--soft)"
          class="figures"
        >
          {{ amount(row.price, currency) }}
        </text>
      </g>
    </svg>
  </figure>
</template>
