<script setup lang="ts">
/** A group of rules, folded: one line says what is set. It opens by itself where one of its fields has a problem. */
const {
  title,
  summary,
  hasProblem = false,
} = defineProps<{
  title: string
  summary: string
  hasProblem?: boolean
}>()
const isOpen = ref(false)
watch(
  () => hasProblem,
  (has) => (isOpen.value ||= has),
  { immediate: true },
)
</script>

<template>
  <details
    :open="isOpen"
    class="sheet px-3 py-2"
    @toggle="isOpen = ($event.target as HTMLDetailsElement).open"
  >
    <summary>
      <span class="font-semibold">{{ title }}</span> <span class="ml-2 text-soft">{{ summary }}</span>
    </summary>
    <div class="mt-3 mb-1"><slot /></div>
  </details>
</template>
