<script setup lang="ts">
import { placeOf, type PlaceKey } from '#shared/places'

/** The keys of a place along its foot; what one of them does just now may be said instead. */
const { place, now = {} } = defineProps<{ place: PlaceKey; now?: Readonly<Record<string, string>> }>()
const keys = computed(() => {
  const { '↓': down, '↑': _up, ...letters } = placeOf(place).keys ?? {}
  return { ...(down ? { '↑↓': 'move' } : {}), ...letters, ...now }
})
</script>

<template>
  <div class="flex flex-wrap gap-x-4 border-t border-line px-4 py-1 text-xs text-soft max-md:hidden">
    <span v-for="(does, key) in keys" :key="key" class="whitespace-nowrap"
      ><span class="key">{{ key }}</span> {{ does }}</span
    >
  </div>
</template>
