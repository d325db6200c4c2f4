<script setup lang="ts">
import type { BriefInput } from '#shared/brief/schemas'

/** What the fit check, the power sheet and the steps up go by. */
const rules = defineModel<BriefInput['houseRules']['machine']>({ required: true })
const { currency, problemOf } = defineProps<{
  currency: string
  problemOf: (path: string) => string | undefined
}>()
const orNull = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? null : Number(value)
}
const textOrNull = (event: Event) => (event.target as HTMLInputElement).value.trim() || null
const list = (event: Event) =>
  (event.target as HTMLInputElement).value
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '')
const at = (field: string) => problemOf(`houseRules.machine.${field}`)
const supply = {
  factor: 'a factor on the draw',
  twice: 'twice the draw',
  minimum: 'a minimum',
  maker: 'what the card’s maker asks',
} as const
</script>

<template>
  <section>
    <p class="mb-2 text-xs text-soft">Left empty, room and electricity are as in Settings.</p>
    <div class="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2">
      <FormField
        class="flex flex-col"
        label="size of the supply"
        :problem="at('supplyRule.factor') ?? at('supplyRule.watts')"
        ><span class="flex gap-1"
          ><select v-model="rules.supplyRule.kind" class="field" aria-label="rule for the size of the supply">
            <option v-for="(name, key) in supply" :key="key" :value="key">{{ name }}</option></select
          ><input
            v-if="rules.supplyRule.kind === 'factor'"
            v-model.number="rules.supplyRule.factor"
            type="number"
            min="1"
            step="0.1"
            class="field figures w-20"
            aria-label="factor on the draw" /><input
            v-if="rules.supplyRule.kind === 'minimum'"
            v-model.number="rules.supplyRule.watts"
            type="number"
            min="0"
            class="field figures w-24"
            aria-label="least watts by rule" /></span
      ></FormField>
      <FormField class="flex flex-col" label="room, °C" :problem="at('roomC')"
        ><input
          :value="rules.roomC ?? ''"
          type="number"
          placeholder="usual"
          class="field figures w-24"
          aria-label="room temperature"
          @input="rules.roomC = orNull($event)"
      /></FormField>
      <FormField class="flex flex-col" label="oldest CPU, year" :problem="at('oldestCpuYear')"
        ><input
          :value="rules.oldestCpuYear ?? ''"
          type="number"
          placeholder="any"
          class="field figures w-24"
          aria-label="oldest CPU year"
          @input="rules.oldestCpuYear = orNull($event)"
      /></FormField>
      <FormField class="flex flex-col" label="smallest drive, GB" :problem="at('smallestDriveGb')"
        ><input
          :value="rules.smallestDriveGb ?? ''"
          type="number"
          placeholder="any"
          class="field figures w-24"
          aria-label="smallest drive"
          @input="rules.smallestDriveGb = orNull($event)"
      /></FormField>
      <FormField class="flex flex-col" label="least supply, W" :problem="at('leastSupplyW')"
        ><input
          :value="rules.leastSupplyW ?? ''"
          type="number"
          placeholder="any"
          class="field figures w-24"
          aria-label="least watts of the supply"
          @input="rules.leastSupplyW = orNull($event)"
      /></FormField>
      <FormField class="flex flex-col" label="makes to avoid" :problem="at('avoidedMakes')"
        ><input
          :value="(rules.avoidedMakes ?? []).join(', ')"
          class="field w-44"
          placeholder="divided by commas"
          aria-label="makes to avoid"
          @change="rules.avoidedMakes = list($event)"
      /></FormField>
      <FormField class="flex flex-col" label="screen inputs" :problem="at('screenPlugs')"
        ><input
          :value="(rules.screenPlugs ?? []).join(', ')"
          class="field w-40"
          placeholder="HDMI, DisplayPort"
          aria-label="plugs of the screen"
          @change="rules.screenPlugs = list($event)"
      /></FormField>
      <FormField class="flex flex-col" label="colour" :problem="at('colour')"
        ><input
          :value="rules.colour ?? ''"
          class="field w-24"
          placeholder="any"
          aria-label="colour"
          @change="rules.colour = ($event.target as HTMLInputElement).value.trim() || null"
      /></FormField>
      <label class="inline-flex items-center gap-1"
        ><input v-model="rules.cablesHidden" type="checkbox" />cables hidden behind glass</label
      >
      <label class="inline-flex items-center gap-1"
        ><input v-model="rules.needsSecurityModule" type="checkbox" />the system asks for a security
        module</label
      >
      <FormField
        class="flex flex-col"
        label="a step is worth it from, % per 10"
        :problem="at('stepThreshold')"
        ><input
          v-model.number="rules.stepThreshold"
          type="number"
          min="0"
          step="0.1"
          class="field figures w-20"
          aria-label="threshold of a step"
      /></FormField>
      <FormField class="flex flex-col" :label="`electricity per kWh, ${currency}`" :problem="at('tariff')"
        ><input
          :value="rules.tariff ?? ''"
          inputmode="decimal"
          placeholder="usual"
          class="field figures w-24"
          aria-label="tariff"
          @input="rules.tariff = textOrNull($event)"
      /></FormField>
      <FormField
        class="flex flex-col"
        label="hours a day: full, idle"
        :problem="at('fullHours') ?? at('idleHours')"
        ><span class="flex gap-1"
          ><input
            v-model.number="rules.fullHours"
            type="number"
            min="0"
            max="24"
            step="0.5"
            class="field figures w-20"
            aria-label="hours at full load" /><input
            v-model.number="rules.idleHours"
            type="number"
            min="0"
            max="24"
            step="0.5"
            class="field figures w-20"
            aria-label="hours idle" /></span
      ></FormField>
    </div>
  </section>
</template>
