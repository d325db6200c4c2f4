<script setup lang="ts">
import { partLabel } from '#core/parts/part'
import { rivalFactNames } from '#core/comparison/components/rivalFacts'
import type { LibraryView } from '#shared/parts/views'

/** What is in the rival, as far as its seller says. */
const { library } = defineProps<{ library: LibraryView }>()
const ofRole = (role: string) =>
  library.parts.filter((part) => part.role === role).map((part) => [part.id, partLabel(part)] as const)
const numbers = [
  ['memoryGb', 'GB'],
  ['memoryModules', ''],
  ['memoryMts', 'MT/s'],
  ['storageGb', 'GB'],
  ['supplyW', 'W'],
] as const
const drives = { nvme: 'NVMe', sata: 'SATA', hdd: 'HDD' }
</script>

<template>
  <fieldset>
    <legend class="font-semibold">
      Its parts
      <span class="font-normal text-soft"
        >empty = not stated: becomes a question for the seller and counts as the cheapest plausible part until
        answered</span
      >
    </legend>
    <div class="mt-1 flex flex-wrap items-end gap-x-3 gap-y-2">
      <ChoiceField
        name="cpuId"
        label="CPU"
        spoken="CPU of the rival"
        none="not stated"
        :options="ofRole('cpu')"
        class="w-52"
      />
      <ChoiceField
        name="graphicsId"
        label="graphics card"
        spoken="card of the rival"
        none="not stated"
        :options="ofRole('graphics')"
        class="w-52"
      />
      <NumberField
        v-for="[fact, unit] in numbers"
        :key="fact"
        :name="`parts.${fact}`"
        :label="unit ? `${rivalFactNames[fact].name}, ${unit}` : rivalFactNames[fact].name"
        :spoken="rivalFactNames[fact].name"
        placeholder="not stated"
        class="w-32"
      />
      <ChoiceField name="parts.storageKind" label="drive type" none="not stated" :options="drives" />
      <TextField name="parts.supplyMake" optional label="PSU brand" placeholder="not stated" class="w-32" />
    </div>
  </fieldset>
</template>
