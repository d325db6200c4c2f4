<script setup lang="ts" generic="Key extends string">
/** The tabs of a place beside its heading: three to five, each worth opening. */
const current = defineModel<string>({ required: true })
const { title, tabs } = defineProps<{
  title: string
  tabs: readonly (readonly [key: Key, name: string])[]
}>()
defineSlots<{ default?(): unknown }>()
</script>

<template>
  <div class="mb-3 flex flex-wrap items-center gap-2 print:hidden">
    <h1 class="mr-2">{{ title }}</h1>
    <button
      v-for="[key, name] in tabs"
      :key="key"
      type="button"
      class="button !py-0.5"
      :class="{ 'button-main': current === key }"
      :aria-pressed="current === key"
      @click="current = key"
    >
      {{ name }}
    </button>
    <slot />
  </div>
</template>
