<script setup lang="ts">
import { feelings } from '#core/performance/model/throughput'
import { noises } from '#core/performance/runs/livingWithIt'
import { lowsCauses, runDrives } from '#core/performance/runs/run'

/** What the run was made under and what was read beside it; empty is "not noted". */
const { open } = defineProps<{ open: boolean }>()
const meters = [
  ['cpuUse', 'CPU usage, %'],
  ['cardUse', 'GPU usage, %'],
  ['videoMemoryGb', 'video memory used, GB'],
  ['cpuC', 'CPU temperature, °C'],
  ['cardC', 'GPU temperature, °C'],
  ['wallW', 'wall power, W'],
] as const
const causes = lowsCauses.map((cause) => [cause, cause.replace('-', ' ')] as const)
</script>

<template>
  <details :open="open">
    <summary class="font-semibold">
      Conditions and readings
      <span class="font-normal text-soft">runs under different conditions are never averaged</span>
    </summary>
    <div class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2">
      <TextField name="conditions.background" label="background programs" placeholder="none" class="w-44" />
      <NumberField
        name="conditions.ambientC"
        label="room temperature, °C"
        spoken="room temperature"
        :min="-50"
        class="w-20"
      />
      <ChoiceField name="conditions.sidePanel" label="side panel" none="not noted" :options="['on', 'off']" />
      <TextField name="conditions.gameVersion" label="game version" class="w-24" />
      <TextField
        name="conditions.driverVersion"
        label="driver version"
        spoken="driver version"
        class="w-24"
      />
      <NumberField
        name="conditions.capFps"
        label="fps cap"
        spoken="fps cap or screen refresh rate"
        class="w-24"
      />
      <NumberField
        name="conditions.memoryMts"
        label="memory speed, MT/s"
        spoken="memory speed"
        class="w-24"
      />
      <ChoiceField name="conditions.drive" label="installed on" none="not noted" :options="runDrives" />
      <NumberField
        v-for="[name, label] in meters"
        :key="name"
        :name="`readings.${name}`"
        :label="label"
        class="w-28"
      />
      <ChoiceField
        name="lowsCause"
        label="cause of bad lows"
        spoken="cause of bad lows"
        none="no bad lows"
        :options="causes"
      />
      <ChoiceField name="noise" label="noise" none="not noted" :options="noises" />
      <ChoiceField name="feeling" label="feel" spoken="how it felt" none="not noted" :options="feelings" />
    </div>
  </details>
</template>
