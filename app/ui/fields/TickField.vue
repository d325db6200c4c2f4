<script setup lang="ts">
import type { FieldProps } from './fieldProps'

/** A yes or no. */
const props = defineProps<FieldProps>()
const { value } = useBoundField<boolean>(() => props.name)
</script>

<template>
  <label class="inline-flex items-center gap-1"
    ><input v-model="value" type="checkbox" :aria-label="spoken" :disabled="disabled" />{{ label }}</label
  >
</template>
