<script setup lang="ts">
/** A blank in the sentence of the brief, with its message beside it. */
const {
  label,
  width,
  problem,
  placeholder = '',
  figures = false,
} = defineProps<{
  label: string
  width: number
  problem?: string | undefined
  placeholder?: string
  figures?: boolean
}>()
const model = defineModel<string>({ required: true })
</script>

<template>
  <span class="inline-flex flex-col align-top leading-normal">
    <input
      v-model="model"
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
