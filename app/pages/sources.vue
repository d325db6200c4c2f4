<script setup lang="ts">
import type { LibraryView } from '#shared/parts/views'
import { sourceKindNames, type SourceInput } from '#shared/sources/schemas'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { amount } from '~/utils/show'
import { useCall } from '~/data/useCall'
import { read } from '~/data/read'
import { stateTag } from '#shared/text/stateTag'
import { toast } from 'vue-sonner'

/** Sources: where leads and records come from, what is asked there on a schedule, and their tax, shipping and protection. */
const { run } = useAction()
const session = useSession()
const { data: library } = useCall('GET /api/library')
const adding = ref(false)
const changing = shallowRef<{ source: SourceInput; tag: string | undefined } | null>(null)
usePlace('sources')
/** Opens a source as it is saved now, so that what another tab saved meanwhile is told and not overwritten. */
const change = (id: string) =>
  run(async () => {
    const source = await read('GET /api/sources/:id', { id })
    adding.value = false
    changing.value = { source, tag: stateTag(source) }
  })
async function remove(id: string, name: string) {
  let was: SourceInput
  await run(
    async () => {
      was = await read('GET /api/sources/:id', { id })
      await call('DELETE /api/sources/:id', { id })
    },
    {
      message: `${name} removed`,
      undo: async () => {
        await call('PUT /api/sources', {}, was, { was: 'new' })
      },
    },
  )
}
function saved(name: string) {
  adding.value = false
  changing.value = null
  toast(`${name} saved`)
}
type SourceView = LibraryView['sources'][number]
const columns: readonly Column<SourceView>[] = [
  { key: 'source', name: 'source', by: (source) => source.name },
  {
    key: 'kind',
    name: 'kind',
    class: 'text-soft',
    by: (source) => sourceKindNames[source.kind as keyof typeof sourceKindNames],
  },
  { key: 'tax', name: 'tax', isFigure: true, by: (source) => source.taxPercent },
  { key: 'shipping', name: 'shipping', class: 'figures' },
  { key: 'protection', name: 'protection', by: (source) => source.protection },
  { key: 'note', name: 'note', class: 'text-soft' },
  { key: 'actions', name: 'actions', isSpoken: true, class: 'text-right text-xs whitespace-nowrap' },
]
const shippingText = ({ shippingKind, shippingAmount, shippingFreeFrom, currency }: SourceView) =>
  (shippingKind === 'none'
    ? '—'
    : `${amount(shippingAmount, currency)} ${currency} ${shippingKind.replace('-', ' ')}`) +
  (shippingFreeFrom === null ? '' : `, free from ${amount(shippingFreeFrom, currency)}`)
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <div class="flex items-center">
      <h1>Sources</h1>
      <button type="button" class="button ml-auto" @click="((adding = !adding), (changing = null))">
        Add a source
      </button>
    </div>
    <SourceForm v-if="adding" :currency="session.view?.homeCurrency ?? ''" @saved="saved" />
    <SourceForm
      v-if="changing"
      :key="changing.source.id"
      :currency="changing.source.currency"
      :source="changing.source"
      :tag="changing.tag"
      @saved="saved"
    />
    <ConnectorTable v-if="library && library.sources.length > 0" class="mt-4" :sources="library.sources" />
    <h2 class="mt-6 !text-base">Terms</h2>
    <DataTable
      class="mt-2 bg-sheet"
      :columns="columns"
      :rows="library?.sources ?? []"
      :row-id="(source) => source.id"
    >
      <template #tax="{ row: source }">{{ source.taxPercent }} %</template>
      <template #shipping="{ row: source }">{{ shippingText(source) }}</template>
      <template #note="{ row: source }">{{ source.note }}</template>
      <template #actions="{ row: source }">
        <button
          type="button"
          class="quiet-button"
          :aria-label="`edit ${source.name}`"
          @click="change(source.id)"
        >
          edit
        </button>
        <button
          type="button"
          class="quiet-button ml-1"
          :aria-label="`remove ${source.name}`"
          @click="remove(source.id, source.name)"
        >
          remove
        </button>
      </template>
    </DataTable>
    <p v-if="library && library.sources.length === 0" class="mt-4 text-soft">
      No sources yet. Every lead needs one: add it here, or open a library file on Builds.
    </p>
  </main>
</template>
