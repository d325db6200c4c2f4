<script setup lang="ts">
import type { ItemView } from '#shared/ledger/views'
import type { Column } from '~/ui/tables/column'
import { amount, shortDate } from '~/utils/show'

/** Everything that is mine or was, wherever it is, with what may be done with it. */
const { items, currency } = defineProps<{ items: readonly ItemView[]; currency: string }>()
const open = ref<string | null>(null)
const goneWords = {
  cancelled: 'cancelled',
  missing: 'did not arrive',
  returned: 'returned',
  sold: 'sold',
  'sold-with-machine': 'sold with the PC',
  'traded-in': 'traded in',
  'written-off': 'written off',
  split: 'split',
} as const
function where(item: ItemView): string {
  if (item.isHandedOn) return 'handed over'
  if (item.place === 'ordered') return 'ordered'
  if (item.place === 'returning') return 'being returned'
  if (item.place === 'shelf') return 'shelf'
  if (item.place === 'gone')
    return `${goneWords[item.goneBecause ?? 'written-off']}${item.leftOn ? ` ${shortDate(item.leftOn)}` : ''}`
  return item.isBuiltIn ? 'in the build' : 'assigned, not installed'
}
const stateTone = {
  unseen: 'tag-info',
  works: 'tag-settled',
  faulty: 'tag-waiting',
  dead: 'tag-stop',
} as const
const stateWords = {
  unseen: 'not inspected yet',
  works: 'works',
  faulty: 'works with faults',
  dead: 'dead',
} as const
const isOver = (item: ItemView) => item.place === 'gone' || item.isHandedOn
const sorted = computed(() => [...items].sort((a, b) => Number(isOver(a)) - Number(isOver(b))))
const columns: readonly Column<ItemView>[] = [
  { key: 'thing', name: 'part', by: (item) => item.name },
  { key: 'where', name: 'location', by: where },
  { key: 'state', name: 'state', by: (item) => stateWords[item.state] },
  { key: 'cost', name: 'cost', isFigure: true, isLargestFirst: true, by: (item) => item.cost },
  {
    key: 'worth',
    name: 'worth today',
    class: '@max-2xl/place:hidden',
    isFigure: true,
    isLargestFirst: true,
    by: (item) => (isOver(item) ? null : item.worthToday),
  },
  { key: 'steps', name: 'actions', isSpoken: true, class: 'text-right' },
]
</script>

<template>
  <section class="sheet p-3" aria-label="items">
    <h2>Items <span class="font-normal text-soft">everything you own, wherever it is</span></h2>
    <DataTable
      v-if="items.length > 0"
      class="mt-1"
      :columns="columns"
      :rows="sorted"
      :row-id="(item) => item.id"
      :row-class="(item) => (isOver(item) ? 'text-soft' : '')"
      :row-data="(item) => ({ 'data-item': item.name })"
      :open="open"
    >
      <template #thing="{ row: item }">
        <b class="font-medium">{{ item.name }}</b>
        <span v-if="item.listedAs" class="tag tag-info">listed as {{ item.listedAs }}</span>
        <span class="block text-xs text-soft">
          {{ item.source ?? 'owned before'
          }}<template v-if="item.paidOn">, {{ shortDate(item.paidOn) }}</template
          ><template v-if="item.note">; {{ item.note }}</template
          ><template v-if="item.returnBy && !isOver(item)"
            >; returnable until {{ shortDate(item.returnBy) }}</template
          >
        </span>
      </template>
      <template #state="{ row: item }">
        <span class="tag" :class="stateTone[item.state]">{{ stateWords[item.state] }}</span>
      </template>
      <template #cost="{ row: item }"
        >{{ amount(item.cost, currency)
        }}<span v-if="item.remaining !== item.cost" class="block text-xs text-soft"
          >{{ amount(item.remaining, currency) }} cost left</span
        ></template
      >
      <template #worth="{ row: item }">
        <template v-if="item.place === 'returning'"
          >{{ amount(item.expectedBack, currency) }} refund due</template
        ><template v-else-if="item.goneBecause === 'sold'">{{ amount(item.soldFor, currency) }} net</template
        ><template v-else-if="isOver(item) || item.state === 'dead'">—</template
        ><template v-else>{{ amount(item.worthToday, currency) }}</template>
      </template>
      <template #steps="{ row: item }">
        <button
          v-if="!item.isHandedOn && (item.place !== 'gone' || item.goneBecause === 'sold')"
          type="button"
          class="quiet-button"
          :aria-expanded="open === item.id"
          @click="open = open === item.id ? null : item.id"
        >
          {{ item.place === 'ordered' ? 'arrived…' : 'actions…' }}
        </button>
      </template>
      <template #below="{ row: item }">
        <ItemSteps :item="item" :currency="currency" @done="open = null" />
      </template>
    </DataTable>
    <p v-else class="mt-1 text-soft">
      You own nothing in this build yet. Pay an order above, or use a part from the shelf in Machine.
    </p>
  </section>
</template>
