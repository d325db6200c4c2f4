<script setup lang="ts">
import { needNames } from '#core/parts/part'
import { missingFacts, unknownRival } from '#core/comparison/components/rivalFacts'
import type { LibraryView } from '#shared/parts/views'
import type { TierView } from '#shared/scales/views'
import type { RivalView } from '#shared/rivals/views'
import { request } from '~/utils/request'
import { amount } from '~/utils/show'

/** Rivals: prebuilts, consoles, configured machines and own older ones to weigh against. */
const { run } = useAction()
const session = useSession()
const library = shallowRef<LibraryView | null>(null)
const editing = useRouteState('edit')
const adding = ref(false)
const tiers = ref<readonly TierView[]>([])
const load = async () => {
  const [read, rows] = await Promise.all([
    request<LibraryView>('/api/library'),
    request<readonly TierView[]>('/api/rivals/tiers'),
  ])
  library.value = read
  tiers.value = rows
}
onMounted(() =>
  run(async () => {
    await session.load()
    await load()
  }),
)
useHead({ title: 'Rivals · Tarvin' })
const close = () => {
  adding.value = false
  editing.value = ''
}
async function saved(name: string) {
  close()
  await run(load, { message: `${name} can be weighed now` })
}
const setDeleted = async (id: string, deleted: boolean) => {
  await request(`/api/rivals/${id}`, { method: 'PATCH', body: { deleted } })
  await load()
}
const takeOut = (rival: RivalView) =>
  run(() => setDeleted(rival.id, true), {
    message: `${rival.name} is removed`,
    undo: () => setDeleted(rival.id, false),
  })
const { report, take: takeCsv } = useCsvImport(() => '/api/rivals/import', load)
/** How many facts its seller leaves open. */
const open = (rival: RivalView) =>
  rival.kind !== 'console' && rival.kind !== 'own'
    ? missingFacts({ ...unknownRival, ...rival.parts, cpuId: rival.cpuId, graphicsId: rival.graphicsId })
        .length +
      (rival.shippingStated ? 0 : 1) +
      (rival.warrantyMonths === null ? 1 : 0)
    : 0
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
    <table class="ledger mt-3">
      <thead>
        <tr>
          <th>rival</th>
          <th>kind</th>
          <th class="!text-right">price</th>
          <th class="!text-right">tax</th>
          <th>brings</th>
          <th>not stated</th>
          <th>note</th>
          <th><span class="sr-only">actions</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="rival in library?.rivals" :key="rival.id">
          <td>{{ rival.name }}</td>
          <td class="text-soft">{{ rival.kind }}</td>
          <td class="amount">{{ amount(rival.price, rival.currency) }} {{ rival.currency }}</td>
          <td class="amount">{{ rival.taxPercent }} %</td>
          <td>{{ rival.brings.map((need) => needNames[need]).join(', ') || '—' }}</td>
          <td class="text-waiting">
            {{ [...rival.notStated, ...(open(rival) > 0 ? [`${open(rival)} facts`] : [])].join(', ') }}
          </td>
          <td class="text-soft">{{ rival.note }}</td>
          <td class="text-right whitespace-nowrap">
            <button
              type="button"
              class="quiet-button"
              :aria-label="`change ${rival.name}`"
              @click="editing = rival.id"
            >
              change
            </button>
            <button
              type="button"
              class="quiet-button"
              :aria-label="`remove ${rival.name}`"
              @click="takeOut(rival)"
            >
              remove
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="library && library.rivals.length === 0" class="mt-4 text-soft">
      Nothing to weigh against yet. Add a machine by form, from the source of its page, or many by a CSV.
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
