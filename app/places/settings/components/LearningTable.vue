<script setup lang="ts">
import { fewestOutcomes } from '#core/statistics/learnt'
import type { LearningView } from '#shared/settings/views'
import { adoptable } from '../state/adoptable'
import { percent } from '~/utils/show'

/** What was assumed beside the result; a learnt figure can take the place of the assumption. */
const { rows } = defineProps<{ rows: readonly LearningView[] }>()
const emit = defineEmits<{ adopt: [row: LearningView, value: number] }>()
</script>

<template>
  <table class="ledger bg-sheet">
    <thead>
      <tr>
        <th>outcome</th>
        <th class="!text-right">assumed</th>
        <th class="!text-right">yours</th>
        <th class="!text-right">90 % range</th>
        <th class="!text-right">cases</th>
        <th class="w-36"><span class="sr-only">use it</span></th>
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
          needs {{ fewestOutcomes }} cases; {{ fewestOutcomes - row.count }} to go
        </td>
        <td class="amount">{{ row.count }}</td>
        <td>
          <button
            v-if="adoptable(row) !== null"
            type="button"
            class="quiet-button"
            :aria-label="`use your track record for: ${row.name}`"
            @click="emit('adopt', row, adoptable(row)!)"
          >
            use it
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>
