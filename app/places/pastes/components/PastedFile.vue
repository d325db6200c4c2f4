<script setup lang="ts">
import { openTarvinFile } from '../state/openFile'
import type { Pasted } from '../state/preview'

/** A file that Tarvin wrote, pasted or dropped: opened from here. */
const { paste } = defineProps<{ paste: Pasted<'file'> }>()
const emit = defineEmits<{ done: [path: string] }>()
const { run, busy } = useAction()
async function open() {
  await run(async () => emit('done', await openTarvinFile(paste.text, 'the pasted text')), {
    message: 'imported; existing entries were not changed',
  })
}
</script>

<template>
  <div class="px-5 py-4">
    <p>A file exported from Tarvin. Only what is missing is added; existing entries stay as they are.</p>
    <button type="button" class="button button-main mt-3" :disabled="busy" @click="open">Import</button>
    <OriginalText :text="paste.text" />
  </div>
</template>
