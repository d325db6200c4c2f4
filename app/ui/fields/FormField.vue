<script setup lang="ts">
/** A labelled field with its message beside it. */
defineProps<{ label: string; problem?: string | undefined }>()
</script>

<template>
  <div class="min-w-0">
    <span class="text-xs text-soft">{{ label }}</span><slot />
    <p v-if="problem" class="text-xs text-stop" role="alert">{{ problem }}</p>
  </div>
</template>
