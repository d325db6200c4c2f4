<script setup lang="ts">
import type { Working } from '~/workings/working'

/** An underlined figure; a click opens its working. */
const {
  text,
  working,
  strong = false,
} = defineProps<{ text: string; working: () => Working; strong?: boolean }>()
const sheet = useWorkingSheet()
</script>

<template>
  <button
    type="button"
    class="figures underline decoration-soft decoration-dotted underline-offset-[3px] hover:decoration-ink"
    :class="{ 'font-semibold': strong }"
    :title="`${text}: show the working`"
    @click.stop="sheet.open(working())"
  >
    {{ text }}
  </button>
</template>
