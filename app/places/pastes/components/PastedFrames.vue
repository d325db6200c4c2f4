<script setup lang="ts">
import { useLogToRead } from '~/places/bench/state/logToRead'

/** A frame-time log: read where runs are. */
const { text, buildId } = defineProps<{ text: string; buildId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const log = useLogToRead()
async function toBench() {
  log.value = new File([text], 'pasted log.csv', { type: 'text/csv' })
  emit('close')
  await navigateTo(`/b/${buildId}/bench?mode=frames`)
}
</script>

<template>
  <div class="px-5 py-4">
    <p>
      A frame-time log of {{ text.trim().split('\n').length }} lines. Open it in Bench to view it or save it
      as a run.
    </p>
    <p v-if="buildId === null" class="mt-2 text-waiting">Create a build first: each run belongs to one.</p>
    <button v-else type="button" class="button button-main mt-3" @click="toBench">Open in Bench</button>
    <pre class="figures mt-3 max-h-[50vh] overflow-auto text-xs whitespace-pre-wrap">{{
      text.slice(0, 2000)
    }}</pre>
  </div>
</template>
