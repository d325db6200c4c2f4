<script setup lang="ts">
import type { FieldProps } from './fieldProps'

/** A line of text, or several (`rows`). `optional`: an empty field is null, "not stated"; `absent`: it is left out. */
const props = defineProps<FieldProps & { optional?: boolean; rows?: number }>()
const { value, problem } = useBoundField<string | null | undefined>(() => props.name)
const shown = computed({
  get: () => value.value ?? '',
  set: (typed: string) =>
    (value.value = typed.trim() !== '' ? typed : props.absent ? undefined : props.optional ? null : typed),
})
</script>

<template>
  <FormField :label="label" :spoken="spoken" :bare="bare" :hint="hint" :problem="problem">
    <textarea
      v-if="rows"
      v-model="shown"
      :rows="rows"
      class="field w-full"
      :placeholder="placeholder"
      :disabled="disabled"
    />
    <input v-else v-model="shown" class="field w-full" :placeholder="placeholder" :disabled="disabled" />
  </FormField>
</template>
