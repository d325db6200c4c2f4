<script setup lang="ts">
import type { AssumptionRow } from '../state/assumptionRows'

/** A group of assumptions: the figure in force in a field, its default beside it. An empty field takes it back. */
const { rows } = defineProps<{ rows: readonly AssumptionRow[] }>()
const emit = defineEmits<{ change: [row: AssumptionRow, value: number | null] }>()

function onChange(row: AssumptionRow, text: string) {
  const value = text.trim() === '' ? null : Number(text)
  if (value !== row.own) emit('change', row, value === row.byDefault ? null : value)
}
</script>

<template>
  <table class="ledger bg-sheet">
    <thead>
      <tr>
        <th>figure</th>
        <th class="!text-right">in force</th>
        <th>unit</th>
        <th class="!text-right">default</th>
        <th>what a change does</th>
        <th class="w-44">where the default is from</th>
        <th class="w-36"><span class="sr-only">yours</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key" :data-assumption="row.key">
        <td>{{ row.name }}</td>
        <td class="text-right">
          <input
            :value="row.own ?? row.byDefault"
            type="number"
            step="any"
            :min="row.min"
            :max="row.max"
            class="field figures w-24 text-right"
            :class="{ 'border-info!': row.own !== null }"
            :aria-label="`${row.name}, ${row.unit || 'number'}`"
            @change="onChange(row, ($event.target as HTMLInputElement).value)"
          />
        </td>
        <td class="text-soft">{{ row.unit }}</td>
        <td class="amount text-soft">{{ row.byDefault }}</td>
        <td class="text-soft">{{ row.moves }}</td>
        <td class="text-soft">{{ row.source }}</td>
        <td class="whitespace-nowrap">
          <template v-if="row.own !== null">
            <span class="tag tag-info">yours</span>
            <button type="button" class="quiet-button ml-2" @click="emit('change', row, null)">
              default
            </button>
          </template>
        </td>
      </tr>
    </tbody>
  </table>
</template>
