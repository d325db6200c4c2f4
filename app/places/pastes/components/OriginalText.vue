<script setup lang="ts">
/** The beginning of the text as it was copied. */
const { text } = defineProps<{ text: string }>()
</script>

<template>
  <pre class="figures mt-3 max-h-[50vh] overflow-auto text-xs whitespace-pre-wrap">{{
    text.slice(0, 4000)
  }}</pre>
</template>
