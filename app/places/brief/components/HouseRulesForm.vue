<script setup lang="ts">
import type { BriefInput } from '#shared/brief/schemas'

/** The builder's own policies beyond what the sentence says. */
const rules = defineModel<BriefInput['houseRules']>({ required: true })
const { currency, problemOf } = defineProps<{
  currency: string
  problemOf: (path: string) => string | undefined
}>()
const orNull = (event: Event, scale = 1) => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? null : Number(value) / scale
}
</script>

<template>
  <section>
    <div class="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2">
      <FormField
        class="flex flex-col"
        label="highest fault risk, %"
        :problem="problemOf('houseRules.mostFault')"
        ><input
          :value="
            rules.mostFault === null || rules.mostFault === undefined
              ? ''
              : Math.round(rules.mostFault * 1000) / 10
          "
          type="number"
          min="0"
          max="100"
          step="any"
          placeholder="any"
          class="field figures w-24"
          aria-label="a fault at most, percent"
          @input="rules.mostFault = orNull($event, 100)"
      /></FormField>
      <FormField
        class="flex flex-col"
        label="seller silent after, days"
        :problem="problemOf('houseRules.answerDays')"
        ><input
          v-model.number="rules.answerDays"
          type="number"
          min="1"
          class="field figures w-24"
          aria-label="days until a seller is silent"
      /></FormField>
      <FormField
        class="flex flex-col"
        label="maximum pickup distance, km"
        :problem="problemOf('houseRules.pickupKm')"
        ><input
          :value="rules.pickupKm ?? ''"
          type="number"
          min="1"
          placeholder="any"
          class="field figures w-24"
          aria-label="fetch at most, kilometres"
          @input="rules.pickupKm = orNull($event)"
      /></FormField>
      <FormField
        class="flex flex-col"
        :label="`cost per km, ${currency}`"
        :problem="problemOf('houseRules.perKm')"
        ><input
          v-model="rules.perKm"
          inputmode="decimal"
          class="field figures w-24"
          aria-label="cost of a kilometre"
      /></FormField>
      <FormField
        class="flex flex-col"
        :label="`your hour, ${currency}`"
        :problem="problemOf('houseRules.perHour')"
        ><input
          v-model="rules.perHour"
          inputmode="decimal"
          class="field figures w-24"
          aria-label="value of an hour"
      /></FormField>
    </div>
  </section>
</template>
