<script setup lang="ts" generic="T">
/** What is read from the server, where it is there; until then that it is on its way. A failure stands in the frame. */
const { of, busy = 'Loading…' } = defineProps<{ of: T | null | undefined; busy?: string }>()
</script>

<template>
  <slot v-if="of !== null && of !== undefined" :data="of as NonNullable<T>" />
  <p v-else class="text-soft" role="status">{{ busy }}</p>
</template>
