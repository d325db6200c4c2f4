<script setup lang="ts">
import { entryKinds } from '#core/ledger/ledger'
import type { LedgerView } from '#shared/ledger/views'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { amount, shortDate, signedAmount } from '~/utils/show'

/** The dated entries, newest first, and one more by hand. Nothing is ever removed. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const build = useBuild()
const { run } = useAction()
const entry = reactive({
  kind: 'fee' as 'fee' | 'travel' | 'hours' | 'sold' | 'refunded',
  day: build.view!.today,
  amount: '',
  hours: 1,
  text: '',
})
const add = () =>
  run(
    async () => {
      await call(
        'POST /api/builds/:id/ledger',
        { id: build.view!.id },
        {
          ...entry,
          amount: entry.kind === 'hours' ? '0' : entry.amount,
          hours: entry.kind === 'hours' ? entry.hours : 0,
        },
      )
      Object.assign(entry, { amount: '', text: '' })
    },
    { message: 'entered' },
  )
const reverse = (id: string) =>
  run(() => call('POST /api/ledger/entries/:id/reverse', { id }), { message: 'reversed by a new entry' })
type Entry = LedgerView['entries'][number]
const corrected = computed(() => new Set(ledger.entries.flatMap((each) => each.correctsId ?? [])))
const canReverse = (each: Entry) =>
  !each.isOfAction && each.correctsId === null && !corrected.value.has(each.id)
const isOut = (each: Entry) => each.standing === null || corrected.value.has(each.id)
const columns: readonly Column<Entry>[] = [
  { key: 'day', name: 'date', class: 'figures text-xs whitespace-nowrap', by: (each) => each.day },
  { key: 'what', name: 'description', by: (each) => entryKinds[each.kind] },
  { key: 'cash', name: 'cash', isFigure: true, by: (each) => each.cash },
  // runs on from entry to entry: sorted by anything else it would say nothing
  { key: 'standing', name: 'status', class: 'text-soft max-md:hidden', isFigure: true },
  { key: 'undo', name: 'undo', isSpoken: true, class: 'text-right' },
]
</script>

<template>
  <section class="sheet self-start p-3" aria-label="entries">
    <h2>
      Entries
      <span class="font-normal text-soft">entries are never deleted; undone entries are not counted</span>
    </h2>
    <DataTable
      v-if="ledger.entries.length > 0"
      class="mt-1"
      :columns="columns"
      :rows="ledger.entries"
      :row-id="(each) => each.id"
      :row-class="(each) => (isOut(each) ? 'text-soft' : '')"
    >
      <template #day="{ row: each }">{{ shortDate(each.day) }}</template>
      <template #what="{ row: each }">
        <span :class="{ 'line-through': each.standing === null }">{{ each.text }}</span><span
          class="block text-xs text-soft"
          >{{ entryKinds[each.kind] }}<template v-if="each.hours !== 0">, {{ each.hours }} h</template
          ><template v-if="each.standing === null">, undone</template></span
        >
      </template>
      <template #cash="{ row: each }">
        <span :class="{ 'text-settled': each.cash > 0 }">{{
          each.cash === 0 ? '' : signedAmount(each.cash, ledger.currency)
        }}</span>
      </template>
      <template #standing="{ row: each }">{{ amount(each.standing, ledger.currency) }}</template>
      <template #undo="{ row: each }">
        <button v-if="canReverse(each)" type="button" class="quiet-button text-xs" @click="reverse(each.id)">
          undo
        </button>
      </template>
    </DataTable>
    <p v-else class="mt-1 text-soft">No entries yet. Pay an order or add one here.</p>
    <form class="mt-3 flex flex-wrap gap-2" @submit.prevent="add">
      <select v-model="entry.kind" class="field" aria-label="kind of entry">
        <option value="fee">fee</option>
        <option value="travel">travel</option>
        <option value="hours">hours</option>
        <option value="sold">sold</option>
        <option value="refunded">refunded</option>
      </select>
      <DateField v-model="entry.day" label="date of the entry" /><input
        v-if="entry.kind === 'hours'"
        v-model.number="entry.hours"
        type="number"
        min="0"
        step="0.25"
        class="field figures w-20"
        aria-label="hours"
      /><input
        v-else
        v-model="entry.amount"
        class="field figures w-24"
        inputmode="decimal"
        placeholder="0.00"
        aria-label="amount of the entry"
      />
      <input
        v-model="entry.text"
        class="field min-w-0 flex-1"
        placeholder="description"
        aria-label="description"
      /><button type="submit" class="button" :disabled="entry.text.trim() === ''">Add entry</button>
    </form>
    <h2 class="mt-4">Actions</h2>
    <ol>
      <li
        v-for="(each, index) in ledger.actions.slice(0, 12)"
        :key="each.id"
        class="flex items-baseline gap-2"
        :class="{ 'text-soft line-through': each.isUndone }"
      >
        <span class="figures w-14 shrink-0 text-xs text-soft">{{ shortDate(each.day) }}</span><span
          class="flex-1"
          >{{ each.text }}</span
        ><button
          v-if="!each.isUndone && index < 8"
          type="button"
          class="quiet-button text-xs"
          @click="
            run(() => call('POST /api/ledger/actions/:id/undo', { id: String(each.id) }), {
              message: `undone: ${each.text}`,
            })
          "
        >
          undo
        </button>
      </li>
    </ol>
    <p v-if="ledger.actions.length === 0" class="text-soft">Nothing yet.</p>
  </section>
</template>
