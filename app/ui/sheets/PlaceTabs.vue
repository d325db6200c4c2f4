<script setup lang="ts">
import { placeOf, type PlaceKey } from '#shared/places'

/** The tabs of a place beside its heading. */
const current = defineModel<string>({ required: true })
const { place } = defineProps<{ place: PlaceKey }>()
defineSlots<{ default?(): unknown }>()
const tabs = computed(() => placeOf(place).tabs?.names ?? {})
</script>

<template>
  <div class="mb-3 flex flex-wrap items-center gap-2 print:hidden">
    <h1 class="mr-2">{{ placeOf(place).name }}</h1>
    <button
      v-for="(name, key) in tabs"
      :key="key"
      type="button"
      class="button !py-0.5"
      :class="{ 'button-main': current === key }"
      :aria-pressed="current === key"
      @click="current = String(key)"
    >
      {{ name }}
    </button>
    <slot />
  </div>
</template>
