<script setup lang="ts">
import type { BriefInput } from '#shared/brief/schemas'

/** What the fit check, the power sheet and the steps up go by. */
const { rules, currency } = defineProps<{
  rules: BriefInput['houseRules']['machine']
  currency: string
}>()
const supply = {
  factor: 'a factor on the draw',
  twice: 'twice the draw',
  minimum: 'a minimum',
  maker: 'what the card’s maker asks',
}
/** Path, label, accessible name, what an empty field means. */
const limits = [
  ['roomC', 'room, °C', 'room temperature', 'usual'],
  ['oldestCpuYear', 'oldest CPU, year', 'oldest CPU year', 'any'],
  ['smallestDriveGb', 'smallest drive, GB', 'smallest drive', 'any'],
  ['leastSupplyW', 'least supply, W', 'least watts of the supply', 'any'],
] as const
</script>

<template>
  <section>
    <p class="mb-2 text-xs text-soft">Left empty, room and electricity are as in Settings.</p>
    <div class="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2">
      <ChoiceField
        name="houseRules.machine.supplyRule.kind"
        label="size of the supply"
        spoken="rule for the size of the supply"
        :options="supply"
      />
      <NumberField
        v-if="rules.supplyRule.kind === 'factor'"
        name="houseRules.machine.supplyRule.factor"
        label="factor"
        spoken="factor on the draw"
        :min="1"
        :step="0.1"
        class="w-20"
      />
      <NumberField
        v-if="rules.supplyRule.kind === 'minimum'"
        name="houseRules.machine.supplyRule.watts"
        label="watts"
        spoken="least watts by rule"
        class="w-24"
      />
      <NumberField
        v-for="[fact, label, spoken, empty] in limits"
        :key="fact"
        :name="`houseRules.machine.${fact}`"
        :label="label"
        :spoken="spoken"
        :placeholder="empty"
        class="w-28"
      />
      <ListField name="houseRules.machine.avoidedMakes" label="makes to avoid" class="w-44" />
      <ListField
        name="houseRules.machine.screenPlugs"
        label="screen inputs"
        spoken="plugs of the screen"
        placeholder="HDMI, DisplayPort"
        class="w-40"
      />
      <TextField name="houseRules.machine.colour" optional label="colour" placeholder="any" class="w-24" />
      <TickField name="houseRules.machine.cablesHidden" label="cables hidden behind glass" />
      <TickField
        name="houseRules.machine.needsSecurityModule"
        label="the system asks for a security module"
      />
      <NumberField
        name="houseRules.machine.stepThreshold"
        label="a step is worth it from, % per 10"
        spoken="threshold of a step"
        class="w-52"
      />
      <MoneyField
        name="houseRules.machine.tariff"
        optional
        :currency="currency"
        label="electricity per kWh"
        spoken="tariff"
        placeholder="usual"
        class="w-40"
      />
      <NumberField
        name="houseRules.machine.fullHours"
        label="hours a day: full"
        spoken="hours at full load"
        :max="24"
        :step="0.5"
        class="w-28"
      />
      <NumberField
        name="houseRules.machine.idleHours"
        label="hours a day: idle"
        spoken="hours idle"
        :max="24"
        :step="0.5"
        class="w-28"
      />
    </div>
  </section>
</template>
