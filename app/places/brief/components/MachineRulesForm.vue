<script setup lang="ts">
import type { BriefInput } from '#shared/brief/schemas'

/** What the fit check, the power sheet and the steps up go by. */
const { rules, currency } = defineProps<{
  rules: BriefInput['houseRules']['machine']
  currency: string
}>()
const supply = {
  factor: 'draw times a factor',
  twice: 'twice the draw',
  minimum: 'a minimum wattage',
  maker: 'the GPU maker’s recommendation',
}
/** Path, label, accessible name, what an empty field means. */
const limits = [
  ['roomC', 'room temperature, °C', 'room temperature', 'usual'],
  ['oldestCpuYear', 'oldest CPU allowed, year', 'oldest CPU year', 'any'],
  ['smallestDriveGb', 'minimum drive size, GB', 'minimum drive size', 'any'],
  ['leastSupplyW', 'minimum PSU, W', 'minimum PSU wattage', 'any'],
] as const
</script>

<template>
  <section>
    <p class="mb-2 text-xs text-soft">
      If left empty, room temperature and electricity price come from Settings.
    </p>
    <div class="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2">
      <ChoiceField
        name="houseRules.machine.supplyRule.kind"
        label="PSU sizing"
        spoken="PSU sizing rule"
        :options="supply"
      />
      <NumberField
        v-if="rules.supplyRule.kind === 'factor'"
        name="houseRules.machine.supplyRule.factor"
        label="factor"
        spoken="factor on the power draw"
        :min="1"
        :step="0.1"
        class="w-20"
      />
      <NumberField
        v-if="rules.supplyRule.kind === 'minimum'"
        name="houseRules.machine.supplyRule.watts"
        label="watts"
        spoken="minimum watts of the rule"
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
      <ListField name="houseRules.machine.avoidedMakes" label="brands to avoid" class="w-44" />
      <ListField
        name="houseRules.machine.screenPlugs"
        label="monitor inputs"
        spoken="inputs of the monitor"
        placeholder="HDMI, DisplayPort"
        class="w-40"
      />
      <TextField name="houseRules.machine.colour" optional label="colour" placeholder="any" class="w-24" />
      <TickField name="houseRules.machine.cablesHidden" label="hidden cables behind glass" />
      <TickField name="houseRules.machine.needsSecurityModule" label="TPM required by the OS" />
      <NumberField
        name="houseRules.machine.stepThreshold"
        label="upgrade worth it from, % per 10"
        spoken="threshold for an upgrade"
        class="w-52"
      />
      <MoneyField
        name="houseRules.machine.tariff"
        optional
        :currency="currency"
        label="electricity per kWh"
        spoken="tariff"
        placeholder="from Settings"
        class="w-40"
      />
      <NumberField
        name="houseRules.machine.fullHours"
        label="hours per day, full load"
        spoken="hours per day at full load"
        :max="24"
        :step="0.5"
        class="w-28"
      />
      <NumberField
        name="houseRules.machine.idleHours"
        label="hours per day idle"
        spoken="hours idle"
        :max="24"
        :step="0.5"
        class="w-28"
      />
    </div>
  </section>
</template>
