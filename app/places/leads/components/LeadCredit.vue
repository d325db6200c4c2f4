<script setup lang="ts">
import type { LeadInput } from '#shared/leads/schemas'
import type { LibraryView } from '#shared/parts/views'

/** Credit at the till for an old thing of mine; it leaves when the order is paid. */
const { credit, things } = defineProps<{
  credit: LeadInput['tillCredit']
  things: LibraryView['shelf']
}>()
const emit = defineEmits<{ change: [credit: LeadInput['tillCredit']] }>()
</script>

<template>
  <fieldset>
    <label class="flex gap-2 text-xs text-soft"
      ><input
        type="checkbox"
        :checked="credit !== null"
        @change="emit('change', credit ? null : { amount: '', itemId: null })"
      />the seller takes an old part in trade now</label
    >
    <div v-if="credit" class="mt-1 flex flex-wrap items-start gap-2">
      <MoneyField name="tillCredit.amount" label="credit" spoken="credit at the till" class="w-24" />
      <ChoiceField
        name="tillCredit.itemId"
        label="for"
        spoken="part traded in"
        none="one not listed here"
        :options="things.map(({ id, name }) => [id, name] as const)"
        class="max-w-72"
      />
    </div>
  </fieldset>
</template>
