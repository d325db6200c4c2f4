<script setup lang="ts">
import { Dialog, DialogPanel } from '@headlessui/vue'
import { useEventListener } from '@vueuse/core'
import { roleNames } from '#core/parts/part'
import { call } from '~/data/call'
import { searchIndex, type Found } from './searchIndex'

/** Finds a part, a lead, a build or a place; Ctrl+K. */
const open = ref(false)
const text = ref('')
const active = ref(0)
const entries = shallowRef<readonly Found[]>([])
const build = useBuild()
const session = useSession()
const index = computed(() => searchIndex(entries.value))
const found = computed(() => (text.value.trim() === '' ? entries.value.slice(0, 8) : index.value(text.value)))

async function show() {
  open.value = true
  text.value = ''
  active.value = 0
  entries.value = await collect()
}

async function collect(): Promise<Found[]> {
  const id = build.view?.id ?? session.view?.builds[0]?.id
  const places = id
    ? ['brief', 'prices', 'leads', 'machine', 'bench', 'plan', 'scales'].map((place) => ({
        id: place,
        label: place[0]!.toUpperCase() + place.slice(1),
        kind: 'place',
        to: `/b/${id}/${place}`,
      }))
    : []
  const builds = (session.view?.builds ?? []).map((each) => ({
    id: each.id,
    label: each.name,
    kind: 'build',
    to: `/b/${each.id}/machine`,
  }))
  if (!id) return builds
  const [library, { leads }] = await Promise.all([
    call('GET /api/library'),
    call('GET /api/builds/:id/leads', { id }),
  ])
  return [
    ...places,
    ...builds,
    ...library.parts.map((part) => ({
      id: part.id,
      label: part.name.startsWith(part.make) ? part.name : `${part.make} ${part.name}`,
      kind: roleNames[part.role],
      to: `/b/${id}/prices?part=${part.id}`,
    })),
    ...leads.map((lead) => ({
      id: lead.id,
      label: lead.title,
      kind: 'lead',
      to: `/b/${id}/leads?lead=${lead.id}`,
    })),
  ]
}

function go(to: string | undefined) {
  if (!to) return
  open.value = false
  void navigateTo(to)
}

useEventListener(document, 'open-search', () => void show())
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return
  event.preventDefault()
  void show()
})
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
