<script setup lang="ts" generic="T extends string">
/** Some of a known set, ticked; kept in the order of ticking. */
const props = defineProps<{ name: string; options: readonly (readonly [T, string])[] }>()
const { value } = useBoundField<T[]>(() => props.name)
const toggle = (each: T) =>
  (value.value = value.value.includes(each)
    ? value.value.filter((other) => other !== each)
    : [...value.value, each])
</script>

<template>
  <label v-for="[each, called] in options" :key="each" class="mr-4 inline-flex items-center gap-1"
    ><input type="checkbox" :checked="value.includes(each)" @change="toggle(each)" />{{ called }}</label
  >
</template>
