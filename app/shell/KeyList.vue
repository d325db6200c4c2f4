<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { commonKeys, placeOf, places, type PlaceKey } from '#shared/places'

/** The keys of the place that is open, and a switch for those that are single letters; `?` opens it. */
const open = ref(false)
const route = useRoute()
const areOn = useSingleKeys()
const place = computed(() =>
  (Object.keys(places) as PlaceKey[]).find(
    (key) => route.path === places[key].path || route.path.endsWith(`/${places[key].path}`),
  ),
)
const lists = computed(() => [
  ...(place.value && placeOf(place.value).keys
    ? [[placeOf(place.value).name, placeOf(place.value).keys!] as const]
    : []),
  ['Everywhere', commonKeys] as const,
])
useKeys({ '?': () => (open.value = true) })
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="open = false">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel class="sheet fixed top-16 left-1/2 w-[420px] max-w-[92vw] -translate-x-1/2 p-4">
      <DialogTitle as="h2">Keys</DialogTitle>
      <template v-for="[name, keys] in lists" :key="name">
        <h3 class="mt-3 font-semibold">{{ name }}</h3>
        <dl class="mt-1 grid grid-cols-[64px_1fr] gap-y-1">
          <template v-for="(does, key) in keys" :key="key">
            <dt>
              <span class="key">{{ key }}</span>
            </dt>
            <dd>{{ does }}</dd>
          </template>
        </dl>
      </template>
      <label class="mt-4 flex items-center gap-2"
        ><input v-model="areOn" type="checkbox" /> single letters are keys</label
      >
      <button type="button" class="button mt-3" @click="open = false">Close</button>
    </DialogPanel>
  </Dialog>
</template>
