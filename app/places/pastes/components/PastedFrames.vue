<script setup lang="ts">
import { useLogToRead } from '~/places/bench/state/logToRead'
import type { Pasted } from '../state/preview'

/** A frame-time log: read where runs are. */
const { paste } = defineProps<{ paste: Pasted<'frames'> }>()
const emit = defineEmits<{ done: [path: string] }>()
const log = useLogToRead()
function toBench() {
  log.value = new File([paste.text], 'pasted log.csv', { type: 'text/csv' })
  emit('done', `/b/${paste.buildId}/bench?mode=frames`)
}
</script>

<template>
  <div class="px-5 py-4">
    <p>
      A frame-time log of {{ paste.text.trim().split('\n').length }} lines. Open it in Bench to view it or
      save it as a run.
    </p>
    <p v-if="paste.buildId === null" class="mt-2 text-waiting">
      Create a build first: each run belongs to one.
    </p>
    <button v-else type="button" class="button button-main mt-3" @click="toBench">Open in Bench</button>
    <OriginalText :text="paste.text" />
  </div>
</template>
