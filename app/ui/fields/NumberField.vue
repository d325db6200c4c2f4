<script setup lang="ts">
import type { FieldProps } from './fieldProps'

/**
 * A number. Empty is null: "not stated" where the schema allows it, a message where not; never 0. `per`: what is typed
 * is divided by it before it is kept (100: typed in percent, kept as a share).
 */
const props = withDefaults(
  defineProps<FieldProps & { min?: number; max?: number; step?: number | 'any'; per?: number }>(),
  { min: 0, step: 'any', per: 1, max: undefined },
)
const { value, problem } = useBoundField<number | null | undefined>(() => props.name)
// what is typed in percent is shown without the noise of binary fractions
const shown = computed(() =>
  value.value === null || value.value === undefined ? '' : Number((value.value * props.per).toPrecision(12)),
)
function type(event: Event) {
  const typed = (event.target as HTMLInputElement).value.trim()
  value.value = typed !== '' ? Number(typed) / props.per : props.absent ? undefined : null
}
</script>

<template>
  <FormField :label="label" :spoken="spoken" :bare="bare" :hint="hint" :problem="problem">
    <input
      :value="shown"
      type="number"
      class="field figures w-full"
      :min="min"
      :max="max"
      :step="step"
      :placeholder="placeholder"
      :disabled="disabled"
      @input="type"
    />
  </FormField>
</template>
