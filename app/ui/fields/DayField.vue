<script setup lang="ts">
import type { FieldProps } from './fieldProps'

/** A calendar date in a form; empty is null, "not stated". */
const props = defineProps<FieldProps>()
const { value, problem } = useBoundField<string | null>(() => props.name)
</script>

<template>
  <FormField :label="label" :bare="bare" :hint="hint" :problem="problem">
    <DateField v-model="value" :label="spoken ?? label" />
  </FormField>
</template>
