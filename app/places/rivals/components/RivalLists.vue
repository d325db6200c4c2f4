<script setup lang="ts">
import type { Workload } from '#core/performance/model/workload'
import type { RivalInput } from '#shared/rivals/schemas'
import { sizeOptions, sizeText, sizeFrom } from '~/utils/screenSizes'

/** The lists of a rival: stated results, proposed equivalents, wanted things it brings besides. */
const { values, workloads, today } = defineProps<{
  values: RivalInput
  workloads: readonly Workload[]
  today: string
}>()
const emit = defineEmits<{
  append: [list: 'rates' | 'equivalents' | 'extras', item: unknown]
  remove: [list: 'rates' | 'equivalents' | 'extras', index: number]
  assign: [some: Partial<RivalInput>]
}>()
const named = computed(() => workloads.map(({ id, name }) => [id, name] as const))
const presetsOf = (id: string) => Object.keys(workloads.find((each) => each.id === id)?.presets ?? {})
const blankRate = (workloadId: string) => ({
  workloadId,
  width: 1920,
  height: 1080,
  preset: null,
  averageFps: 60,
  lowFps: null,
  note: '',
})
const blankEquivalent = () => ({
  by: '',
  saidOn: today,
  cpuIndex: 100,
  threads: 16,
  graphicsIndex: 100,
  videoMemoryGb: 10,
})
const setSize = (index: number, size: string) =>
  emit('assign', {
    rates: values.rates.map((rate, at) => (at === index ? { ...rate, ...sizeFrom(size) } : rate)),
  })
</script>

<template>
  <div v-for="(extra, index) in values.extras" :key="`extra${index}`" class="mt-2 flex items-center gap-2">
    also included
    <TextField bare :name="`extras[${index}].label`" :label="`extra ${index + 1}`" class="w-44" /> worth
    <MoneyField bare :name="`extras[${index}].worth`" :label="`value of extra ${index + 1}`" class="w-24" />
    <button type="button" class="quiet-button" @click="emit('remove', 'extras', index)">remove</button>
  </div>
  <div
    v-for="(rate, index) in values.rates"
    :key="`rate${index}`"
    class="mt-2 flex flex-wrap items-center gap-2"
  >
    <ChoiceField
      bare
      :name="`rates[${index}].workloadId`"
      :label="`workload of result ${index + 1}`"
      :options="named"
    />
    <select
      class="field"
      :value="sizeText(rate)"
      :aria-label="`resolution of result ${index + 1}`"
      @change="setSize(index, ($event.target as HTMLSelectElement).value)"
    >
      <option v-for="[size, called] in sizeOptions(rate)" :key="size" :value="size">{{ called }}</option>
    </select>
    <ChoiceField
      bare
      :name="`rates[${index}].preset`"
      :label="`preset of result ${index + 1}`"
      none="its own mode"
      :options="presetsOf(rate.workloadId)"
    />
    <NumberField
      bare
      :name="`rates[${index}].averageFps`"
      :label="`average of result ${index + 1}`"
      class="w-20"
    />
    fps, 1 % low
    <NumberField
      bare
      :name="`rates[${index}].lowFps`"
      :label="`1 % low of result ${index + 1}`"
      class="w-20"
    />
    <button type="button" class="quiet-button" @click="emit('remove', 'rates', index)">remove</button>
  </div>
  <div
    v-for="(each, index) in values.equivalents"
    :key="`equal${index}`"
    class="mt-2 flex flex-wrap items-center gap-2"
  >
    <TextField
      bare
      :name="`equivalents[${index}].by`"
      :label="`source of equivalent ${index + 1}`"
      placeholder="who says so"
      class="w-36"
    />
    on <DayField bare :name="`equivalents[${index}].saidOn`" :label="`date of equivalent ${index + 1}`" />
    <template
      v-for="[fact, called, unit] in [
        ['cpuIndex', 'CPU index', ''],
        ['threads', 'threads', ''],
        ['graphicsIndex', 'graphics index', ''],
        ['videoMemoryGb', 'video memory', 'GB'],
      ] as const"
      :key="fact"
    >
      {{ called }}
      <NumberField
        bare
        :name="`equivalents[${index}].${fact}`"
        :label="`${called} of equivalent ${index + 1}`"
        class="w-20"
      />
      {{ unit }}
    </template>
    <button type="button" class="quiet-button" @click="emit('remove', 'equivalents', index)">remove</button>
  </div>
  <div class="mt-2 flex gap-2">
    <button
      v-if="workloads.length > 0"
      type="button"
      class="button"
      @click="emit('append', 'rates', blankRate(workloads[0]!.id))"
    >
      Add a measured result</button
    ><button
      v-if="values.kind === 'console'"
      type="button"
      class="button"
      @click="emit('append', 'equivalents', blankEquivalent())"
    >
      Add an equivalent PC</button
    ><button type="button" class="button" @click="emit('append', 'extras', { label: '', worth: '0' })">
      Add an included extra
    </button>
  </div>
</template>
