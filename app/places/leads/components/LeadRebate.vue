<script setup lang="ts">
import type { Part } from '#core/parts/part'
import type { LeadInput } from '#shared/leads/schemas'
import { blankRebate } from '../state/leadDraft'

/** Money that comes back on a claim: how much, by when, with which proof. */
const { rebate, parts, today } = defineProps<{
  rebate: LeadInput['rebate']
  parts: readonly Part[]
  today: string
}>()
const emit = defineEmits<{ change: [rebate: LeadInput['rebate']] }>()
</script>

<template>
  <fieldset>
    <label class="flex gap-2 text-xs text-soft"
      ><input
        type="checkbox"
        :checked="rebate !== null"
        @change="emit('change', rebate ? null : blankRebate(today))"
      />a rebate to claim</label
    >
    <div v-if="rebate" class="mt-1 flex flex-wrap items-start gap-x-2 gap-y-1">
      <ChoiceField
        name="rebate.kind"
        label="kind"
        spoken="kind of rebate"
        :options="['mail-in', 'online', 'trade-in']"
      />
      <MoneyField name="rebate.amount" label="amount" spoken="amount of the rebate" class="w-20" />
      <DayField name="rebate.claimBy" label="claim by" class="w-32" />
      <TextField name="rebate.proof" label="proof needed" class="w-32" />
      <DayField name="rebate.expectedBy" label="here by" spoken="rebate expected by" class="w-32" />
      <TextField name="rebate.campaign" label="campaign" class="w-28" />
      <NumberField
        name="rebate.perHousehold"
        label="per household"
        spoken="limit per household"
        :min="1"
        :step="1"
        placeholder="any"
        class="w-24"
      />
      <ChoiceField
        v-if="rebate.kind === 'trade-in'"
        name="rebate.tradedPartId"
        label="for the old"
        spoken="part traded in"
        none="not said"
        :options="parts.map(({ id, name }) => [id, name] as const)"
        class="max-w-56"
      />
    </div>
  </fieldset>
</template>
