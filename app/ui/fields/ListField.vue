<script setup lang="ts">
import { wordsOf } from '~/utils/wordsOf'
import type { FieldProps } from './fieldProps'

/** Several words, divided by commas. */
const props = defineProps<FieldProps>()
const { value, problem } = useBoundField<readonly string[] | undefined>(() => props.name)
function take(event: Event) {
  const words = wordsOf((event.target as HTMLInputElement).value)
  value.value = words.length === 0 && props.absent ? undefined : words
}
</script>

<template>
  <FormField :label="label" :spoken="spoken" :bare="bare" :hint="hint" :problem="problem">
    <input
      :value="(value ?? []).join(', ')"
      class="field w-full"
      :placeholder="placeholder ?? 'separate with commas'"
      @change="take"
    />
  </FormField>
</template>
