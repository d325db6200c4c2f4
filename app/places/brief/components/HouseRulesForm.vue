<script setup lang="ts">
/** The builder's own policies beyond what the sentence says. */
const { currency } = defineProps<{ currency: string }>()
</script>

<template>
  <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
    <NumberField
      name="houseRules.mostFault"
      label="highest fault risk, %"
      spoken="a fault at most, percent"
      :max="100"
      :per="100"
      placeholder="any"
      class="w-32"
    />
    <NumberField
      name="houseRules.answerDays"
      label="seller silent after, days"
      spoken="days until a seller is silent"
      :min="1"
      :step="1"
      class="w-36"
    />
    <NumberField
      name="houseRules.pickupKm"
      label="maximum pickup distance, km"
      spoken="fetch at most, kilometres"
      :min="1"
      placeholder="any"
      class="w-44"
    />
    <MoneyField
      name="houseRules.perKm"
      :currency="currency"
      label="cost per km"
      spoken="cost of a kilometre"
      class="w-28"
    />
    <MoneyField
      name="houseRules.perHour"
      :currency="currency"
      label="your hour"
      spoken="value of an hour"
      class="w-28"
    />
  </div>
</template>
