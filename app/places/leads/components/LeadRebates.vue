<script setup lang="ts">
import type { Part } from '#core/parts/part'
import type { LeadInput } from '#shared/leads/schemas'
import { blankRebate } from '../state/leadDraft'

/** Money that comes back on claims: how much, by when, with which proof, and how likely it is. */
const { rebates, parts, today } = defineProps<{
  rebates: LeadInput['rebates']
  parts: readonly Part[]
  today: string
}>()
const emit = defineEmits<{ append: [rebate: LeadInput['rebates'][number]]; remove: [index: number] }>()
const spoken = (index: number, what: string) => (index === 0 ? what : `${what}, rebate ${index + 1}`)
</script>

<template>
  <fieldset>
    <div
      v-for="(rebate, index) in rebates"
      :key="index"
      class="mb-2 flex flex-wrap items-start gap-x-2 gap-y-1"
    >
      <ChoiceField
        :name="`rebates[${index}].kind`"
        label="kind"
        :spoken="spoken(index, 'kind of rebate')"
        :options="['mail-in', 'online', 'trade-in']"
      />
      <MoneyField
        :name="`rebates[${index}].amount`"
        label="amount"
        :spoken="spoken(index, 'amount of the rebate')"
        class="w-20"
      />
      <DayField
        :name="`rebates[${index}].claimBy`"
        label="claim by"
        :spoken="spoken(index, 'claim by')"
        class="w-32"
      />
      <NumberField
        :name="`rebates[${index}].chance`"
        label="chance, %"
        :spoken="spoken(index, 'chance of the rebate')"
        :min="0"
        :max="1"
        :per="100"
        :step="5"
        class="w-24"
      />
      <TextField
        :name="`rebates[${index}].proof`"
        label="proof needed"
        :spoken="spoken(index, 'proof needed')"
        class="w-32"
      />
      <DayField
        :name="`rebates[${index}].expectedBy`"
        label="expected by"
        :spoken="spoken(index, 'rebate expected by')"
        class="w-32"
      />
      <TextField
        :name="`rebates[${index}].campaign`"
        label="campaign"
        :spoken="spoken(index, 'campaign')"
        class="w-28"
      />
      <NumberField
        :name="`rebates[${index}].perHousehold`"
        label="per household"
        :spoken="spoken(index, 'limit per household')"
        :min="1"
        :step="1"
        placeholder="any"
        class="w-24"
      />
      <ChoiceField
        v-if="rebate.kind === 'trade-in'"
        :name="`rebates[${index}].tradedPartId`"
        label="for the old"
        :spoken="spoken(index, 'part traded in')"
        none="not stated"
        :options="parts.map(({ id, name }) => [id, name] as const)"
        class="max-w-56"
      /><button
        type="button"
        class="quiet-button mt-5"
        :aria-label="`remove rebate ${index + 1}`"
        @click="emit('remove', index)"
      >
        remove
      </button>
    </div>
    <button type="button" class="quiet-button" @click="emit('append', blankRebate(today))">
      {{ rebates.length === 0 ? 'add a rebate or later credit' : 'add another rebate' }}
    </button>
  </fieldset>
</template>
