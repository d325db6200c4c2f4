<script setup lang="ts">
import { openTarvinFile } from '../state/openFile'

/** A file that Tarvin wrote, pasted or dropped: opened from here. */
const { text } = defineProps<{ text: string }>()
const emit = defineEmits<{ opened: [path: string] }>()
const { run, busy } = useAction()
async function open() {
  await run(async () => emit('opened', await openTarvinFile(text, 'the pasted text')), {
    message: 'imported; existing entries were not changed',
  })
}
</script>

<template>
  <div class="px-5 py-4">
    <p>A file exported from Tarvin. Only what is missing is added; existing entries stay as they are.</p>
    <button type="button" class="button button-main mt-3" :disabled="busy" @click="open">Import</button>
    <pre class="figures mt-3 max-h-[50vh] overflow-auto text-xs whitespace-pre-wrap">{{
      text.slice(0, 4000)
    }}</pre>
  </div>
</template>
