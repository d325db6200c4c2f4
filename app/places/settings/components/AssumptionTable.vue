<script setup lang="ts">
import type { LearningView } from '#shared/settings/views'
import { percent } from '~/utils/show'
import { adoptable } from '../state/adoptable'
import type { AssumptionRow } from '../state/assumptionRows'

/** A group of assumptions: the figure in force in a field, its default beside it. An empty field takes it back. */
const { rows, learning } = defineProps<{
  rows: readonly AssumptionRow[]
  /** What came of the figures, by their keys. */
  learning: ReadonlyMap<string, LearningView>
}>()
const emit = defineEmits<{
  change: [row: AssumptionRow, value: number | null]
  adopt: [row: LearningView, value: number]
}>()
/** What came of a figure, once there is something to say. */
function learntOf({ key }: AssumptionRow) {
  const row = learning.get(key)
  return row?.learnt ? { row, learnt: row.learnt, figure: adoptable(row) } : null
}

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
        <th class="!text-right">value used</th>
        <th>unit</th>
        <th class="!text-right">default</th>
        <th>effect of a change</th>
        <th class="w-44">source of the default</th>
        <th class="w-36"><span class="sr-only">yours</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key" :data-assumption="row.key">
        <td>
          {{ row.name
          }}<span v-if="learntOf(row)" class="block text-xs text-soft" :data-came="row.key"
            >{{ percent(learntOf(row)!.learnt.value, 1) }} in {{ learntOf(row)!.row.count }} of your
            cases<template v-if="learntOf(row)!.figure !== null"
              >:
              <button
                type="button"
                class="quiet-button"
                @click="emit('adopt', learntOf(row)!.row, learntOf(row)!.figure!)"
              >
                use it
              </button></template
            ></span
          >
        </td>
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
