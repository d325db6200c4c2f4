<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { useCall } from '~/data/useCall'

/** The text for a listing of the machine, made from what is in it; changed here before it is copied. */
const build = useBuild()
const asked = useCall('GET /api/builds/:id/listing-text', () => ({ id: build.view!.id }))
const text = ref('')
watch(asked.data, (read) => read && text.value === '' && (text.value = read.text), { immediate: true })
const load = () => (text.value = asked.data.value?.text ?? '')
const { copy, copied, isSupported } = useClipboard({ legacy: true })
</script>

<template>
  <section class="sheet p-3" aria-label="text for a listing">
    <h2>Text for a listing</h2>
    <p class="text-soft">
      Parts as found, speed and known faults; nothing about cost. “Text for a buyer” from the brief comes
      first.
    </p>
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
