<script setup lang="ts">
import { needNames } from '#core/parts/part'
import { missingFacts, unknownRival } from '#core/comparison/components/rivalFacts'
import type { RivalView } from '#shared/rivals/views'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { amount } from '~/utils/show'
import { useCall } from '~/data/useCall'
import { toast } from 'vue-sonner'

/** Rivals: prebuilts, consoles, configured machines and own older ones to weigh against. */
const { run } = useAction()
const session = useSession()
const { data: library } = useCall('GET /api/library')
const editing = useRouteState('edit')
const adding = ref(false)
const tiersAsked = useCall('GET /api/rivals/tiers')
const tiers = computed(() => tiersAsked.data.value ?? [])
usePlace('rivals')
const close = () => {
  adding.value = false
  editing.value = ''
}
function saved(name: string) {
  close()
  toast(`${name} can now be compared`)
}
const takeOut = ({ id, name }: RivalView) =>
  run(() => call('DELETE /api/rivals/:id', { id }), {
    message: `${name} removed`,
    undo: () => call('POST /api/rivals/:id/restore', { id }),
  })
const { report, take: takeCsv } = useCsvImport('POST /api/rivals/import', () => ({}))
/** How many facts its seller leaves open. */
const open = (rival: RivalView) =>
  rival.kind !== 'console' && rival.kind !== 'own'
    ? missingFacts({ ...unknownRival, ...rival.parts, cpuId: rival.cpuId, graphicsId: rival.graphicsId })
        .length +
      (rival.shippingStated ? 0 : 1) +
      (rival.warrantyMonths === null ? 1 : 0)
    : 0
const columns: readonly Column<RivalView>[] = [
  { key: 'rival', name: 'rival', by: (rival) => rival.name },
  { key: 'kind', name: 'kind', class: 'text-soft', by: (rival) => rival.kind },
  { key: 'price', name: 'price', isFigure: true, by: (rival) => rival.price },
  { key: 'tax', name: 'tax', isFigure: true, by: (rival) => rival.taxPercent },
  { key: 'brings', name: 'includes' },
  { key: 'unstated', name: 'not stated', class: 'text-waiting' },
  { key: 'note', name: 'note', class: 'text-soft' },
  { key: 'actions', name: 'actions', isSpoken: true, class: 'text-right whitespace-nowrap' },
]
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <div class="flex items-center gap-2">
      <h1>Rivals</h1>
      <label class="button ml-auto cursor-pointer"
        >Import CSV…<input
          type="file"
          accept=".csv,text/csv"
          class="sr-only"
          data-test="rivals-file"
          @change="takeCsv" /></label
      ><button type="button" class="button button-main" @click="adding = true">Add a rival</button>
    </div>
    <p v-if="report" class="mt-2" role="status" data-test="rivals-report">{{ report }}</p>
    <DataTable class="mt-3" :columns="columns" :rows="library?.rivals ?? []" :row-id="(rival) => rival.id">
      <template #price="{ row: rival }"
        >{{ amount(rival.price, rival.currency) }} {{ rival.currency }}</template
      >
      <template #tax="{ row: rival }">{{ rival.taxPercent }} %</template>
      <template #brings="{ row: rival }">{{
        rival.brings.map((need) => needNames[need]).join(', ') || '—'
      }}</template>
      <template #unstated="{ row: rival }">{{
        [...rival.notStated, ...(open(rival) > 0 ? [`${open(rival)} facts`] : [])].join(', ')
      }}</template>
      <template #note="{ row: rival }">{{ rival.note }}</template>
      <template #actions="{ row: rival }">
        <button
          type="button"
          class="quiet-button"
          :aria-label="`edit ${rival.name}`"
          @click="editing = rival.id"
        >
          edit
        </button>
        <button
          type="button"
          class="quiet-button"
          :aria-label="`remove ${rival.name}`"
          @click="takeOut(rival)"
        >
          remove
        </button>
      </template>
    </DataTable>
    <p v-if="library && library.rivals.length === 0" class="mt-4 text-soft">
      No rivals yet. Add a prebuilt or console by form or from a page’s source, or import many as CSV.
    </p>
    <TierTable v-if="tiers.length > 0" :tiers="tiers" />
    <RivalForm
      v-if="library && (adding || editing !== '')"
      :key="editing"
      :library="library"
      :today="session.view?.today ?? ''"
      :currency="session.view?.homeCurrency ?? ''"
      :editing="editing === '' ? null : editing"
      @close="close"
      @saved="saved"
    />
  </main>
</template>
