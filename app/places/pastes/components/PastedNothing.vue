<script setup lang="ts">
import type { Pasted } from '../state/preview'

/** Text that no kind of paste speaks for: what was seen in it, and the text. */
const { paste } = defineProps<{ paste: Pasted<'nothing'> }>()
</script>

<template>
  <div class="px-5 py-4">
    <p class="text-waiting">{{ paste.read }}</p>
    <OriginalText :text="paste.text" />
  </div>
</template>
