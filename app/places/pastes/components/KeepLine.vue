<script setup lang="ts">
/** The button that keeps what was understood, with what it still waits for. */
const {
  busy,
  isReady,
  why = '',
} = defineProps<{
  busy: boolean
  isReady: boolean
  /** What is missing. */
  why?: string
}>()
const emit = defineEmits<{ keep: [] }>()
</script>

<template>
  <div class="mt-4 flex flex-wrap items-center gap-3">
    <button type="button" class="button button-main" :disabled="busy || !isReady" @click="emit('keep')">
      <slot /></button
    ><span class="text-soft">{{ isReady ? 'nothing is saved yet; one undo reverts it all' : why }}</span>
  </div>
</template>
