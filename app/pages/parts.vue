<script setup lang="ts">
import { factKinds, factsOfRole, factText } from '#core/parts/facts'
import { partLabel, roleNames, roles, type Part, type Role } from '#core/parts/part'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'
import { toast } from 'vue-sonner'

/** Parts: the library behind all builds. Search, filter, compare, add, change, copy; JSON in and out. */
const { run } = useAction()
const { data: library } = useCall('GET /api/library')
const role = useRouteState('role')
const search = useRouteState('q')
const unknownOnly = useRouteState('unknown')
const order = useRouteState('by')
const editing = ref<{ part: Part | null; copying: boolean } | null>(null)
const picked = ref<readonly string[]>([])
const comparing = ref(false)
usePlace('parts')
const session = useSession()
/** Past sales that are kept while the library has no part they could be of. */
const waiting = computed(() => (library.value?.parts.length === 0 ? (session.view?.soldRecords ?? 0) : 0))
const words = computed(() =>
  search.value
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== ''),
)
const unknownOf = (part: Part) =>
  factsOfRole(part.role).filter(
    (key) => part.facts[key] === undefined && key !== 'colour' && key !== 'covers' && key !== 'contains',
  )
const textOf = (part: Part) =>
  `${partLabel(part)} ${roleNames[part.role]} ${factsOfRole(part.role)
    .map((key) =>
      part.facts[key] === undefined ? '' : `${factKinds[key].name} ${factText(part.facts, key)}`,
    )
    .join(' ')}`.toLowerCase()
const shown = computed(() =>
  (library.value?.parts ?? []).filter(
    (part) =>
      (role.value === '' || part.role === role.value) &&
      words.value.every((word) => textOf(part).includes(word)) &&
      (unknownOnly.value === '' || unknownOf(part).length > 0),
  ),
)
const factsText = (part: Part) =>
  factsOfRole(part.role)
    .filter((key) => part.facts[key] !== undefined)
    .map((key) => `${factKinds[key].name} ${factText(part.facts, key)}`)
    .join(' · ')
const columns: readonly Column<Part>[] = [
  { key: 'compare', name: 'compare', isSpoken: true },
  { key: 'part', name: 'part', class: 'min-w-40', by: partLabel },
  { key: 'role', name: 'role', class: 'whitespace-nowrap text-soft', by: (part) => roleNames[part.role] },
  { key: 'facts', name: 'specs', class: 'text-xs text-soft' },
  {
    key: 'unknown',
    name: 'not known',
    class: 'text-xs',
    isLargestFirst: true,
    by: (part) => unknownOf(part).length,
  },
  { key: 'actions', name: 'actions', isSpoken: true, class: 'whitespace-nowrap' },
]
const pick = (id: string) =>
  (picked.value = picked.value.includes(id)
    ? picked.value.filter((each) => each !== id)
    : [...picked.value, id].slice(-4))
const compared = computed(() =>
  picked.value.flatMap((id) => library.value?.parts.find((part) => part.id === id) ?? []),
)
function done() {
  editing.value = null
  toast('part saved in the library')
}
async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  await run(
    async () => {
      const text = await file.text()
      let body: unknown
      try {
        body = JSON.parse(text)
      } catch {
        throw new Error(`${file.name} is not JSON; choose a library file that Export made`)
      }
      await call('POST /api/library/import', {}, body as never)
    },
    { message: `${file.name} imported; existing parts were not changed` },
  )
}
const isRole = (each: string): each is Role => (roles as readonly string[]).includes(each)
</script>

<template>
  <main class="mx-auto h-full max-w-[1180px] overflow-y-auto px-6 py-5">
    <div class="flex flex-wrap items-center gap-2">
      <h1 class="mr-1">Parts</h1>
      <select v-model="role" class="field" aria-label="role">
        <option value="">all {{ library?.parts.length ?? 0 }}</option>
        <option v-for="each in roles" :key="each" :value="each">{{ roleNames[each] }}</option></select
      ><input
        v-model="search"
        class="field w-64"
        placeholder="name, socket or any spec"
        aria-label="name"
      /><label class="inline-flex items-center gap-1 text-soft"
        ><input
          type="checkbox"
          :checked="unknownOnly !== ''"
          @change="unknownOnly = unknownOnly === '' ? 'yes' : ''"
        />with missing specs</label
      >
      <button v-if="compared.length >= 2" type="button" class="button" @click="comparing = true">
        Compare {{ compared.length }}
      </button>
      <span class="ml-auto flex gap-2"
        ><label class="button cursor-pointer"
          >Open a file…<input
            type="file"
            accept=".json,application/json"
            class="sr-only"
            @change="openFile" /></label
        ><a class="button" :href="`/api/library/export${isRole(role) ? `?role=${role}` : ''}`" download
          >Export JSON</a
        ><button type="button" class="button button-main" @click="editing = { part: null, copying: false }">
          Add a part
        </button></span
      >
    </div>
    <PartForm
      v-if="editing && library"
      :key="`${editing.part?.id}-${editing.copying}`"
      :from="editing.part"
      :copying="editing.copying"
      :library="library"
      @done="done"
      @close="editing = null"
    />
    <PartCompare v-if="comparing && compared.length >= 2" :parts="compared" @close="comparing = false" />
    <DataTable
      v-model:order="order"
      class="mt-3 bg-sheet"
      sticky-head
      :columns="columns"
      :rows="shown"
      :row-id="(part) => part.id"
    >
      <template #compare="{ row: part }">
        <input
          type="checkbox"
          :checked="picked.includes(part.id)"
          :aria-label="`compare ${partLabel(part)}`"
          @change="pick(part.id)"
        />
      </template>
      <template #facts="{ row: part }">
        <span class="line-clamp-2" :title="factsText(part)">{{ factsText(part) }}</span>
      </template>
      <template #unknown="{ row: part }">
        <span
          class="text-waiting"
          :title="
            unknownOf(part)
              .map((key) => factKinds[key].name)
              .join(', ')
          "
          >{{ unknownOf(part).length || '' }}</span
        >
      </template>
      <template #actions="{ row: part }">
        <button
          type="button"
          class="quiet-button mr-2"
          :aria-label="`edit ${partLabel(part)}`"
          @click="editing = { part, copying: false }"
        >
          edit</button
        ><button
          type="button"
          class="quiet-button"
          :aria-label="`copy ${partLabel(part)} and edit`"
          @click="editing = { part, copying: true }"
        >
          copy
        </button>
      </template>
    </DataTable>
    <p v-if="waiting > 0" class="mt-4 text-waiting">
      {{ waiting.toLocaleString('en') }} past {{ waiting === 1 ? 'sale has' : 'sales have' }} no part yet: add
      the part to see its street price.
    </p>
    <p v-else-if="library && shown.length === 0" class="mt-4 text-soft">
      No parts match. Open a library file or add a part.
    </p>
  </main>
</template>
