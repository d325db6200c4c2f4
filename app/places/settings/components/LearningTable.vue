<script setup lang="ts">
import { findAssumption } from '#core/assumptions/assumptions'
import { fewestOutcomes } from '#core/statistics/learnt'
import type { LearningView } from '#shared/settings/views'
import { percent } from '~/utils/show'

/** What was assumed beside what came of it; a learnt figure can take the place of the assumption. */
const { rows } = defineProps<{ rows: readonly LearningView[] }>()
const emit = defineEmits<{ adopt: [row: LearningView, value: number] }>()
/** A figure is taken over within what its assumption allows, in whole tenths of a percent. */
function adopted({ key, learnt }: LearningView): number | null {
  const assumption = key === null || learnt === null ? undefined : findAssumption(key)
  if (!assumption || !learnt) return null
  const tenths = Math.round(learnt.value * 1000) / 1000
  return Math.min(assumption.max, Math.max(assumption.min, tenths))
}
const canAdopt = (row: LearningView) => {
  const value = adopted(row)
  return value !== null && value !== row.foreseen
}
</script>

<template>
  <table class="ledger bg-sheet">
    <thead>
      <tr>
        <th>what came</th>
        <th class="!text-right">assumed</th>
        <th class="!text-right">yours</th>
        <th class="!text-right">90 % range</th>
        <th class="!text-right">outcomes</th>
        <th class="w-36"><span class="sr-only">take it over</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.id" :data-learnt="row.id">
        <td>{{ row.name }}</td>
        <td class="amount text-soft">{{ row.foreseen === null ? '—' : percent(row.foreseen, 1) }}</td>
        <template v-if="row.learnt">
          <td class="amount font-semibold">{{ percent(row.learnt.value, 1) }}</td>
          <td class="amount">{{ percent(row.learnt.low, 1) }} to {{ percent(row.learnt.high, 1) }}</td>
        </template>
        <td v-else colspan="2" class="text-right text-soft">
          from {{ fewestOutcomes }} outcomes on; {{ fewestOutcomes - row.count }} to go
        </td>
        <td class="amount">{{ row.count }}</td>
        <td>
          <button
            v-if="canAdopt(row)"
            type="button"
            class="quiet-button"
            :aria-label="`use what came of: ${row.name}`"
            @click="emit('adopt', row, adopted(row)!)"
          >
            use it
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>
