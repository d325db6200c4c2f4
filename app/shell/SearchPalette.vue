<script setup lang="ts">
import { Dialog, DialogPanel } from '@headlessui/vue'
import { roleNames } from '#core/parts/part'
import { searchIndex, type Found } from './searchIndex'
import { addressOfPlace, placeOf, placesOf, type PlaceKey } from '#shared/places'
import { read } from '~/data/read'

/** Finds a part, a lead, a build or a place; Ctrl+K. */
const open = useSearch()
const text = ref('')
const active = ref(0)
const entries = shallowRef<readonly Found[]>([])
const build = useBuild()
const session = useSession()
const index = computed(() => searchIndex(entries.value))
const found = computed(() => (text.value.trim() === '' ? entries.value.slice(0, 8) : index.value(text.value)))

const { run } = useAction()
watch(
  open,
  (isOpen) => {
    if (!isOpen) return
    text.value = ''
    active.value = 0
    void run(async () => (entries.value = await collect()))
  },
  { immediate: true },
)

async function collect(): Promise<Found[]> {
  const builds = session.view?.builds ?? []
  const id = build.view?.id ?? builds[0]?.id
  const own = id === undefined ? [] : placesOf('build').flatMap((key) => pagesOf(key, id))
  const found = [
    ...own,
    ...placesOf('house').flatMap((key) => pagesOf(key, '')),
    ...builds.map((each) => ({
      id: `build ${each.id}`,
      label: each.name,
      kind: 'build',
      to: addressOfPlace('machine', each.id),
    })),
  ]
  if (id === undefined) return found
  const [library, leads] = await Promise.all([
    read('GET /api/library'),
    read('GET /api/builds/:id/leads/titles', { id }),
  ])
  return [
    ...found,
    ...library.parts.map((part) => ({
      id: `part ${part.id}`,
      label: part.name.startsWith(part.make) ? part.name : `${part.make} ${part.name}`,
      kind: roleNames[part.role],
      to: `${addressOfPlace('prices', id)}?part=${part.id}`,
    })),
    ...leads.map((lead) => ({
      id: `lead ${lead.id}`,
      label: lead.title,
      kind: 'lead',
      to: `${addressOfPlace('leads', id)}?lead=${lead.id}`,
    })),
  ]
}

/** A place and each of its tabs. */
function pagesOf(key: PlaceKey, buildId: string): Found[] {
  const { name, tabs } = placeOf(key)
  return [
    { id: key, label: name, kind: 'place', to: addressOfPlace(key, buildId) },
    ...Object.entries(tabs?.names ?? {}).map(([tab, title]) => ({
      id: `${key} ${tab}`,
      label: `${name}: ${title}`,
      kind: 'place',
      to: addressOfPlace(key, buildId, tab),
    })),
  ]
}

function go(to: string | undefined) {
  if (!to) return
  open.value = false
  void navigateTo(to)
}
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="open = false">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel class="sheet fixed top-16 left-1/2 w-[520px] max-w-[92vw] -translate-x-1/2">
      <input
        v-model="text"
        class="w-full border-b border-line bg-transparent px-4 py-3 text-base outline-none"
        placeholder="Find a part, lead or place…"
        aria-label="find"
        @input="active = 0"
        @keydown.down.prevent="active = Math.min(active + 1, found.length - 1)"
        @keydown.up.prevent="active = Math.max(active - 1, 0)"
        @keydown.enter.prevent="go(found[active]?.to)"
      />
      <ul class="max-h-96 overflow-y-auto py-1">
        <li v-for="(each, i) in found" :key="each.id">
          <button
            type="button"
            class="flex w-full justify-between px-4 py-1.5 text-left"
            :class="{ 'bg-paper': i === active }"
            @click="go(each.to)"
          >
            <span class="truncate">{{ each.label }}</span><span
              class="pl-3 text-xs whitespace-nowrap text-soft"
              >{{ each.kind }}</span
            >
          </button>
        </li>
        <li v-if="found.length === 0" class="px-4 py-3 text-soft">Nothing found.</li>
      </ul>
    </DialogPanel>
  </Dialog>
</template>
