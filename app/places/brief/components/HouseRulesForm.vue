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
    <h2>House rules</h2>
    <div class="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2">
      <FormField class="flex flex-col" label="a fault at most, %" :problem="problemOf('houseRules.mostFault')"
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
        label="a seller is silent after, days"
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
        label="fetch a thing at most, km"
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
        :label="`a kilometre costs, ${currency}`"
        :problem="problemOf('houseRules.perKm')"
        ><input
          v-model="rules.perKm"
          inputmode="decimal"
          class="field figures w-24"
          aria-label="cost of a kilometre"
      /></FormField>
      <FormField
        class="flex flex-col"
        :label="`an hour of mine, ${currency}`"
        :problem="problemOf('houseRules.perHour')"
        ><input
          v-model="rules.perHour"
          inputmode="decimal"
          class="field figures w-24"
          aria-label="value of an hour"
      /></FormField>
      <FormField class="flex flex-col" label="a 1 % low is" :problem="problemOf('houseRules.lowMethod')"
        ><select v-model="rules.lowMethod" class="field" aria-label="definition of a low">
          <option value="percentile">the 99th percentile</option>
          <option value="worst-share">the mean of the worst 1 %</option>
        </select></FormField
      >
    </div>
    <FaultTable v-model="rules" :currency="currency" />
  </section>
</template>
