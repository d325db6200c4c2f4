<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { LeadInput } from '#shared/leads/schemas'
import { blankCode } from '../state/leadDraft'

/** A code at checkout: what it takes off, from what spend, until when. */
const { code } = defineProps<{ code: LeadInput['code'] }>()
const emit = defineEmits<{ change: [code: LeadInput['code']] }>()
</script>

<template>
  <fieldset>
    <label class="flex gap-2 text-xs text-soft"
      ><input
        type="checkbox"
        :checked="code !== null"
        @change="emit('change', code ? null : blankCode())"
      />coupon code</label
    >
    <div v-if="code" class="mt-1 flex flex-wrap items-start gap-x-2 gap-y-1">
      <TextField name="code.word" label="code" spoken="code" class="w-24" />
      <ChoiceField
        name="code.kind"
        label="discount type"
        spoken="discount type"
        :options="['percent', 'fixed']"
      />
      <MoneyField name="code.value" label="value" spoken="value of the code" class="w-20" />
      <MoneyField
        name="code.minSpend"
        optional
        label="minimum spend"
        spoken="minimum spend"
        placeholder="any"
        class="w-28"
      />
      <MoneyField
        name="code.cap"
        optional
        label="maximum discount"
        spoken="maximum discount"
        placeholder="any"
        class="w-20"
      />
      <DayField name="code.validFrom" label="from" spoken="code valid from" class="w-32" />
      <DayField name="code.validUntil" label="until" spoken="code valid until" class="w-32" />
      <ChoiceField
        name="code.role"
        label="applies to"
        spoken="what the code applies to"
        none="the order"
        :options="roleNames"
      />
      <TickField name="code.stackable" label="combinable" class="pt-5" />
      <TickField name="code.onlyThis" label="this lead only" class="pt-5" />
      <TickField name="code.once" label="single use" class="pt-5" />
    </div>
  </fieldset>
</template>
