<script setup lang="ts">
/** A blank in the sentence of the brief, with its message beside it. */
const {
  name,
  label,
  width,
  placeholder = '',
  figures = false,
} = defineProps<{
  name: string
  label: string
  width: number
  placeholder?: string
  figures?: boolean
}>()
const { value, problem } = useBoundField<string>(() => name)
</script>

<template>
  <span class="inline-flex flex-col align-top leading-normal">
    <input
      v-model="value"
      class="field"
      :class="{ figures }"
      :style="{ width: `${width}px`, maxWidth: '86vw' }"
      :aria-label="label"
      :placeholder="placeholder"
      :aria-invalid="problem !== undefined"
    />
    <span v-if="problem" class="text-xs text-stop" role="alert">{{ problem }}</span>
  </span>
</template>
