<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { isTypingInto, textOfFile, usePastedText } from '../state/usePaste'

/** Paste or drop, from anywhere: Ctrl+V outside a field, a file dropped on the page, or the button for both. */
const text = usePastedText()
const { run } = useAction()
const input = useTemplateRef<HTMLInputElement>('file')
const take = (pasted: string) => (text.value = pasted)
const takeFile = (file: File | undefined) => file && run(async () => take(await textOfFile(file)))
useEventListener(document, 'paste', (event) => {
  if (isTypingInto(event.target) || text.value !== null) return
  const pasted = event.clipboardData?.getData('text/plain') ?? ''
  if (pasted.trim() === '') return
  event.preventDefault()
  take(pasted)
})
useEventListener(document, 'dragover', (event) => event.preventDefault())
// on the window: a place that takes files of its own, as Bench does, has had its say before
useEventListener(window, 'drop', (event) => {
  if (event.defaultPrevented) return
  event.preventDefault()
  const dropped = event.dataTransfer?.getData('text/plain')
  if (dropped) take(dropped)
  else void takeFile(event.dataTransfer?.files[0])
})
/** From the clipboard where the browser lets the page look, else a file. */
async function fromClipboard() {
  try {
    const pasted = await navigator.clipboard.readText()
    if (pasted.trim() !== '') return take(pasted)
  } catch {
    // not allowed: a file can still be chosen
  }
  input.value?.click()
}
</script>

<template>
  <button type="button" class="button !py-0.5 whitespace-nowrap" @click="fromClipboard">
    Paste<span class="max-sm:hidden"> or drop</span>
  </button>
  <input ref="file" type="file" hidden @change="takeFile(($event.target as HTMLInputElement).files?.[0])" />
</template>
