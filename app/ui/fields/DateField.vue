<script setup lang="ts" generic="T extends string | null">
import { VueDatePicker } from '@vuepic/vue-datepicker'
import '@vuepic/vue-datepicker/dist/main.css'
import { typedDate } from '~/utils/typedDate'

/**
 * A calendar date (`YYYY-MM-DD`), typed, pasted or picked; written the same way everywhere. Empty: null, where that is
 * allowed.
 */
const model = defineModel<T>({ required: true })
const { label, required = false } = defineProps<{ label: string; required?: boolean }>()

function set(value: unknown) {
  if (typeof value === 'string') model.value = value as T
  else if (!required) model.value = null as T
}
</script>

<template>
  <VueDatePicker
    :model-value="model || null"
    model-type="yyyy-MM-dd"
    class="date-field"
    auto-apply
    teleport
    :text-input="{
      format: typedDate,
      enterSubmit: true,
      tabSubmit: true,
      applyOnBlur: true,
      openMenu: 'open',
    }"
    :formats="{ input: 'd MMM yyyy' }"
    :time-config="{ enableTimePicker: false }"
    :week-start="1"
    placeholder="day month year"
    :aria-labels="{ input: label }"
    :input-attrs="{ clearable: !required, hideInputIcon: true, autocomplete: 'off' }"
    :ui="{ input: 'field figures' }"
    @update:model-value="set"
  />
</template>
