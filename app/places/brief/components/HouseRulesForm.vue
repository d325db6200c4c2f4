<script setup lang="ts">
/** The builder's own policies beyond what the sentence says. */
const { currency } = defineProps<{ currency: string }>()
</script>

<template>
  <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
    <NumberField
      name="houseRules.mostFault"
      label="maximum fault risk, %"
      spoken="maximum fault risk in percent"
      :max="100"
      :per="100"
      placeholder="any"
      class="w-32"
    />
    <NumberField
      name="houseRules.answerDays"
      label="no reply after, days"
      spoken="days until a seller counts as silent"
      :min="1"
      :step="1"
      class="w-36"
    />
    <NumberField
      name="houseRules.pickupKm"
      label="maximum pickup distance, km"
      spoken="maximum pickup distance in kilometres"
      :min="1"
      placeholder="any"
      class="w-44"
    />
    <MoneyField
      name="houseRules.perKm"
      :currency="currency"
      label="cost per km"
      spoken="cost per kilometre"
      class="w-28"
    />
    <MoneyField
      name="houseRules.perHour"
      :currency="currency"
      label="value of your time per hour"
      spoken="value of your time per hour"
      class="w-28"
    />
  </div>
</template>
