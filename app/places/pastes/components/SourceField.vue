<script setup lang="ts">
/** Where something was found or sold: a source that is known, or the name of a new one. */
const { label, sources } = defineProps<{ label: string; sources: readonly { readonly name: string }[] }>()
const source = defineModel<string>({ required: true })
const list = useId()
</script>

<template>
  <label class="text-soft"
    >{{ label }}
    <input v-model="source" class="field w-40" :list="list" placeholder="choose" :aria-label="label" />
    <datalist :id="list">
      <option v-for="each in sources" :key="each.name" :value="each.name" /></datalist
  ></label>
</template>
