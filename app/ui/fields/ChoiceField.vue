<script setup lang="ts">
import type { FieldProps } from './fieldProps'

/** One of a known set: a list of words, or pairs of value and what it is called. `none`: what an unset value (null) is called. */
const props = defineProps<
  FieldProps & {
    options: readonly string[] | Readonly<Record<string, string>> | readonly (readonly [string, string])[]
    none?: string
  }
>()
const { value, problem } = useBoundField<string | null | undefined>(() => props.name)
const pairs = computed(() => {
  const { options } = props
  if (!Array.isArray(options)) return Object.entries(options)
  return (options as readonly (string | readonly [string, string])[]).map((each) =>
    typeof each === 'string' ? ([each, each] as const) : each,
  )
})
const shown = computed({
  get: () => value.value ?? '',
  set: (chosen: string) =>
    (value.value = chosen !== '' || props.none === undefined ? chosen : props.absent ? undefined : null),
})
</script>

<template>
  <FormField :label="label" :spoken="spoken" :bare="bare" :hint="hint" :problem="problem">
    <select v-model="shown" class="field w-full" :disabled="disabled">
      <option v-if="none !== undefined" value="">{{ none }}</option>
      <option v-else-if="placeholder && shown === ''" value="" disabled>{{ placeholder }}</option>
      <option v-for="[each, called] in pairs" :key="each" :value="each">{{ called }}</option>
    </select>
  </FormField>
</template>
