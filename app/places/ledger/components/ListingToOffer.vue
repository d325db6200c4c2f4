<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { request } from '~/utils/request'

/** The text for a listing of the machine, made from what is in it; changed here before it is copied. */
const build = useBuild()
const text = ref('')
const failed = ref('')
async function load() {
  failed.value = ''
  try {
    text.value = (await request<{ text: string }>(`/api/builds/${build.view!.id}/listing-text`)).text
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error)
  }
}
onMounted(load)
const { copy, copied, isSupported } = useClipboard({ legacy: true })
</script>

<template>
  <section class="sheet p-3" aria-label="text for a listing">
    <h2>Text for a listing</h2>
    <p class="text-soft">
      Parts as found, speed and known faults; nothing about cost. “Text for a buyer” from the brief comes
      first.
    </p>
    <p v-if="failed" class="text-stop" role="alert">{{ failed }}</p>
    <textarea
      v-model="text"
      class="field figures mt-2 w-full text-xs"
      rows="12"
      aria-label="text for a listing"
    ></textarea>
    <p class="mt-1 flex gap-2">
      <button type="button" class="button" :disabled="!isSupported" @click="copy(text)">
        {{ copied ? 'Copied' : 'Copy' }}</button><button type="button" class="quiet-button" @click="load">
        rewrite
      </button>
    </p>
  </section>
</template>
