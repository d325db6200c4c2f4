<script setup lang="ts">
import type { Part } from '#core/parts/part'
import type { LeadInput } from '#shared/leads/schemas'

/** The parts in a lead, each kept, resold or discarded; more are added by typing their name. */
const { things, parts, problem } = defineProps<{
  things: LeadInput['things']
  parts: readonly Part[]
  problem?: string | undefined
}>()
const emit = defineEmits<{ append: [thing: LeadInput['things'][number]]; remove: [index: number] }>()
const nameOf = (id: string) => parts.find((part) => part.id === id)?.name ?? id
</script>

<template>
  <fieldset>
    <legend class="text-xs text-soft">
      parts in it <span v-if="problem" class="text-stop" role="alert">{{ problem }}</span>
    </legend>
    <div v-for="(thing, index) in things" :key="index" class="mt-1 flex items-center gap-2">
      <span class="min-w-0 flex-1 truncate">{{ nameOf(thing.partId) }}</span>
      <NumberField
        bare
        :name="`things[${index}].quantity`"
        label="quantity"
        :min="1"
        :step="1"
        class="w-16"
      /><ChoiceField
        bare
        :name="`things[${index}].plan`"
        label="plan"
        :options="['keep', 'resell', 'discard']"
      /><button type="button" class="quiet-button" @click="emit('remove', index)">remove</button>
    </div>
    <PartPicker
      :parts="parts"
      label="add a part"
      placeholder="type a part's name to add it"
      class="mt-1"
      @pick="emit('append', { partId: $event.id, quantity: 1, plan: 'keep' })"
    />
  </fieldset>
</template>
