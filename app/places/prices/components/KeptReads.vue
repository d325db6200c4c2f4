<script setup lang="ts">
import { percentChange } from '#core/pricing/street/readHistory'
import type { PriceView } from '#shared/prices/views'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { amount, shortDate, signedPercent } from '~/utils/show'

/** Reads of the street price that were kept, and how it has moved since each. */
const { view } = defineProps<{ view: PriceView }>()
const { run } = useAction()
const ofPart = () => ({ id: useBuild().view!.id, part: view.partId })
const readOn = ref(view.asOf)
const readNote = ref('')
type Read = PriceView['reads'][number]
const columns: readonly Column<Read>[] = [
  { key: 'readOn', name: 'saved on', by: (read) => read.readOn },
  { key: 'patient', name: 'patient', isFigure: true, by: (read) => read.patient },
  { key: 'typical', name: 'typical', isFigure: true, by: (read) => read.typical },
  { key: 'hurried', name: 'quick', isFigure: true, by: (read) => read.hurried },
  { key: 'since', name: 'since', isFigure: true },
  { key: 'archive', name: 'archive', isSpoken: true },
]
const keepRead = () =>
  run(
    () =>
      call('POST /api/builds/:id/prices/parts/:part/reads', ofPart(), {
        readOn: readOn.value,
        note: readNote.value,
      }),
    { message: `price of ${readOn.value} saved` },
  )
const dropRead = (read: number) =>
  run(() => call('DELETE /api/prices/reads/:id', { id: String(read) }), {
    message: 'price archived',
    undo: () => call('POST /api/prices/reads/:id/restore', { id: String(read) }),
  })
</script>

<template>
  <section class="sheet p-3">
    <h2>Saved prices</h2>
    <DataTable
      v-if="view.reads.length > 0"
      :columns="columns"
      :rows="view.reads"
      :row-id="(read) => String(read.id)"
    >
      <template #readOn="{ row: read }">
        {{ shortDate(read.readOn) }}
        <span class="text-xs text-soft">{{ read.kept }}, {{ read.grade }}</span
        ><span v-if="read.note" class="block text-xs text-soft">{{ read.note }}</span>
      </template>
      <template #patient="{ row: read }">{{ amount(read.patient, view.currency) }}</template>
      <template #typical="{ row: read }"
        ><b>{{ amount(read.typical, view.currency) }}</b></template
      >
      <template #hurried="{ row: read }">{{ amount(read.hurried, view.currency) }}</template>
      <template #since="{ row: read }">{{
        view.marks ? signedPercent(percentChange(read.typical, view.marks.typical)) : '—'
      }}</template>
      <template #archive="{ row: read }">
        <button
          type="button"
          class="quiet-button text-xs"
          :aria-label="`archive the price of ${read.readOn}`"
          @click="dropRead(read.id)"
        >
          ×
        </button>
      </template>
    </DataTable>
    <p v-else class="text-soft">None yet. Save today’s price to compare it with the next one.</p>
    <form class="mt-2 flex flex-wrap gap-2" @submit.prevent="keepRead">
      <DateField v-model="readOn" label="date of the price" /><input
        v-model="readNote"
        class="field min-w-0 flex-1"
        placeholder="note"
        aria-label="note on the price"
      /><button type="submit" class="button">Save this price</button>
    </form>
  </section>
</template>
