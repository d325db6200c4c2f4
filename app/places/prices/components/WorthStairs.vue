<script setup lang="ts">
import type { WorthRow, WorthView } from '#shared/prices/views'
import type { Tread } from '~/ui/charts/stairs'
import { amount, percent } from '~/utils/show'

/** The staircase of a role: tread is money added, rise is what it brings. Surplus treads are hatched. */
const { worth, currency, selected } = defineProps<{ worth: WorthView; currency: string; selected: string }>()
const emit = defineEmits<{ select: [partId: string] }>()
/** Without the make, and without the size that every title of the role has. */
const shortName = (row: WorthRow) => row.name.replace(/^\S+ /, '').replace(/ \d+ GB$/, '')
const treads = computed<Tread[]>(() =>
  worth.rows
    .filter((row) => row.step !== null)
    .map((row) => ({
      id: row.partId,
      at: row.price!,
      rise: worth.byTargets ? row.targetRatio! : row.index,
      label: shortName(row),
      foot: amount(row.price, currency),
      told: `${row.name}, ${amount(row.price, currency)} ${row.way}`,
      look: row.step!.surplus ? 'surplus' : row.partId === selected ? 'selected' : 'plain',
      isPresent: row.inBuild,
    })),
)
const levels = computed(() =>
  worth.byTargets
    ? [0.5, 1, 1.5, 2].map((at) => ({ at, label: percent(at), isAim: at === 1 }))
    : [50, 100, 150, 200].map((at) => ({ at, label: String(at) })),
)
</script>

<template>
  <figure>
    <figcaption class="text-soft">
      <b class="text-ink">Upgrades worth paying for</b> across: price added; up: gain
      {{ worth.byTargets ? 'in your weakest target' : `in ${worth.unit}` }}; hatched: more than your targets
      need
    </figcaption>
    <StairFigure :treads="treads" :levels="levels" can-pick @pick="emit('select', $event)" />
  </figure>
</template>
