<script setup lang="ts">
import type { SaleRead } from '#core/reading/sales/saleRead'
import { conditions, manners } from '#core/reading/sales/soldRecord'

/** Past sales as they were understood, one a row; every cell can be changed. */
const { only, doubles } = defineProps<{
  /** Only what is doubtful is shown. */
  only: boolean
  /** Rows that are kept already. */
  doubles: ReadonlySet<SaleRead>
}>()
const rows = defineModel<SaleRead[]>({ required: true })
const emit = defineEmits<{ point: [index: number] }>()
/** More rows are not drawn; they are kept all the same. */
const mostRows = 200
const shown = computed(() =>
  rows.value.map((row, index) => ({ row, index })).filter(({ row }) => !only || isDoubtful(row)),
)
const isDoubtful = (row: SaleRead) => row.price === null || row.soldOn === null
const put = (row: SaleRead, field: 'price' | 'shipping' | 'soldOn', event: Event) =>
  Object.assign(row, { [field]: (event.target as HTMLInputElement).value.trim() || null })
</script>

<template>
  <table class="ledger mt-2">
    <thead>
      <tr>
        <th>title</th>
        <th class="!text-right">price</th>
        <th class="!text-right">shipping</th>
        <th>sold on</th>
        <th>sale type</th>
        <th>condition</th>
        <th><span class="sr-only">leave out</span></th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="{ row, index } in shown.slice(0, mostRows)"
        :key="index"
        :class="{ 'bg-waiting-ground': isDoubtful(row), 'text-soft': doubles.has(row) }"
        @mouseenter="emit('point', index)"
      >
        <td class="w-full max-w-0">
          <input
            v-model="(row as { title: string }).title"
            class="field w-full !border-transparent"
            :aria-label="`title ${index + 1}`"
          />
          <span v-if="doubles.has(row)" class="block px-2 text-xs">already saved</span>
        </td>
        <td>
          <input
            :value="row.price ?? ''"
            class="field figures w-20 text-right"
            :placeholder="row.price === null ? 'price?' : ''"
            :aria-label="`price ${index + 1}`"
            @change="put(row, 'price', $event)"
          />
        </td>
        <td>
          <input
            :value="row.shipping ?? ''"
            class="field figures w-16 text-right"
            placeholder="—"
            :aria-label="`shipping ${index + 1}`"
            @change="put(row, 'shipping', $event)"
          />
        </td>
        <td>
          <input
            :value="row.soldOn ?? ''"
            class="field figures w-28"
            placeholder="which day?"
            :aria-label="`sold on ${index + 1}`"
            @change="put(row, 'soldOn', $event)"
          />
        </td>
        <td>
          <select
            v-model="(row as { manner: unknown }).manner"
            class="field"
            :aria-label="`sale type ${index + 1}`"
          >
            <option v-for="each in manners" :key="each" :value="each">{{ each }}</option>
          </select>
        </td>
        <td>
          <select
            v-model="(row as { condition: unknown }).condition"
            class="field"
            :aria-label="`condition ${index + 1}`"
          >
            <option :value="null">used (not stated)</option>
            <option v-for="each in conditions" :key="each" :value="each">{{ each }}</option>
          </select>
        </td>
        <td>
          <button
            type="button"
            class="quiet-button"
            :aria-label="`leave out ${index + 1}`"
            @click="rows.splice(index, 1)"
          >
            ×
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>
