<script setup lang="ts">
import type { FieldProps } from './fieldProps'

/** Yes, no, or not known: left out where it is not known. */
const props = defineProps<FieldProps>()
const { value, problem } = useBoundField<boolean | undefined>(() => props.name)
const shown = computed({
  get: () => (value.value === undefined ? '' : value.value ? 'yes' : 'no'),
  set: (chosen: string) => (value.value = chosen === '' ? undefined : chosen === 'yes'),
})
</script>

<template>
  <FormField :label="label" :spoken="spoken" :bare="bare" :hint="hint" :problem="problem">
    <select v-model="shown" class="field w-full" :disabled="disabled">
      <option value="">{{ placeholder ?? 'not known' }}</option>
      <option>yes</option>
      <option>no</option>
    </select>
  </FormField>
</template>
