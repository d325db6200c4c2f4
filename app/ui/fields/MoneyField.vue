<script setup lang="ts">
import type { FieldProps } from './fieldProps'

/**
 * An amount of money as a decimal text. Its currency is fixed (`currency`, shown in the label) or a second field of the
 * form beside it (`currencyName`). `optional`: an empty field is null, "not stated"; never 0.
 */
const props = defineProps<
  FieldProps & { optional?: boolean; currency?: string; currencyName?: string; currencySpoken?: string }
>()
const amount = useBoundField<string | null>(() => props.name)
const code = props.currencyName ? useBoundField<string>(() => props.currencyName!) : null
const shown = computed({
  get: () => amount.value.value ?? '',
  set: (typed: string) => (amount.value.value = props.optional && typed.trim() === '' ? null : typed.trim()),
})
const shownCode = computed({
  get: () => code?.value.value ?? '',
  set: (typed: string) => code && (code.value.value = typed.trim().toUpperCase()),
})
const problem = computed(() => amount.problem.value ?? code?.problem.value)
</script>

<template>
  <FormField
    :label="currency ? `${label}, ${currency}` : label"
    :spoken="spoken ?? (currency ? label : undefined)"
    :bare="bare"
    :hint="hint"
    :problem="problem"
  >
    <span class="flex gap-1"
      ><input
        v-model="shown"
        class="field figures w-full min-w-0"
        inputmode="decimal"
        :placeholder="placeholder"
        :disabled="disabled" /><input
        v-if="code"
        v-model="shownCode"
        class="field figures !w-16 shrink-0"
        maxlength="3"
        :aria-label="currencySpoken ?? 'currency'"
    /></span>
  </FormField>
</template>
