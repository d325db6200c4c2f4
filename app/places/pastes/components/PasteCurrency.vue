<script setup lang="ts">
/** The currency that signs and bare figures of the paste mean; another one reads it again. */
const currency = defineModel<string>({ required: true })
const set = (event: Event) => (currency.value = (event.target as HTMLInputElement).value.trim().toUpperCase())
</script>

<template>
  <label class="text-soft"
    >in
    <input :value="currency" class="field figures w-16" aria-label="currency of the paste" @change="set" />
  </label>
</template>
