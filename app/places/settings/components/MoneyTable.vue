<script setup lang="ts">
import type { MoneyRow } from '../state/assumptionRows'

/** Assumptions in money, stated in the home currency and converted by the dated rate where another is needed. */
const { rows, currency } = defineProps<{ rows: readonly MoneyRow[]; currency: string }>()
const emit = defineEmits<{ change: [row: MoneyRow, amount: string | null] }>()

function onChange(row: MoneyRow, text: string) {
  const amount = text.trim()
  emit('change', row, amount === '' || amount === row.byDefault ? null : amount)
}
</script>

<template>
  <table class="ledger bg-sheet">
    <thead>
      <tr>
        <th>figure</th>
        <th class="!text-right">value used</th>
        <th>unit</th>
        <th class="!text-right">default, {{ currency }}</th>
        <th>effect of a change</th>
        <th class="w-36"><span class="sr-only">yours</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key" :data-assumption="`money.${row.key}`">
        <td>{{ row.name }}</td>
        <td class="text-right">
          <input
            :value="row.own?.amount ?? row.byDefault"
            inputmode="decimal"
            class="field figures w-28 text-right"
            :class="{ 'border-info!': row.own !== null }"
            :aria-label="`${row.name}, ${row.own?.currency ?? currency}`"
            @change="onChange(row, ($event.target as HTMLInputElement).value)"
          />
        </td>
        <td class="whitespace-nowrap text-soft">
          {{ row.own?.currency ?? currency }}{{ row.per === '' ? '' : ` per ${row.per}` }}
        </td>
        <td class="amount text-soft">{{ row.byDefault }}</td>
        <td class="text-soft">{{ row.moves }}</td>
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
