<script setup lang="ts">
import { feelings } from '#core/performance/model/throughput'
import { noises } from '#core/performance/runs/livingWithIt'
import { lowsCauses, runDrives } from '#core/performance/runs/run'

/** What the run was made under and what was read beside it; empty is "not noted". */
const { open } = defineProps<{ open: boolean }>()
const meters = [
  ['cpuUse', 'CPU in use, %'],
  ['cardUse', 'card in use, %'],
  ['videoMemoryGb', 'video memory, GB'],
  ['cpuC', 'CPU, °C'],
  ['cardC', 'card, °C'],
  ['wallW', 'at the wall, W'],
] as const
const causes = lowsCauses.map((cause) => [cause, cause.replace('-', ' ')] as const)
</script>

<template>
  <details :open="open">
    <summary class="font-semibold">
      Conditions and readings
      <span class="font-normal text-soft">runs under unlike conditions are never averaged</span>
    </summary>
    <div class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2">
      <TextField
        name="conditions.background"
        label="other work in the background"
        placeholder="none"
        class="w-44"
      />
      <NumberField
        name="conditions.ambientC"
        label="room, °C"
        spoken="room temperature"
        :min="-50"
        class="w-20"
      />
      <ChoiceField name="conditions.sidePanel" label="side panel" none="not noted" :options="['on', 'off']" />
      <TextField name="conditions.gameVersion" label="game version" class="w-24" />
      <TextField name="conditions.driverVersion" label="driver" spoken="driver version" class="w-24" />
      <NumberField
        name="conditions.capFps"
        label="held at, fps"
        spoken="limiter or screen rate"
        class="w-24"
      />
      <NumberField
        name="conditions.memoryMts"
        label="memory at, MT/s"
        spoken="speed the memory ran at"
        class="w-24"
      />
      <ChoiceField name="conditions.drive" label="started from" none="not noted" :options="runDrives" />
      <NumberField
        v-for="[name, label] in meters"
        :key="name"
        :name="`readings.${name}`"
        :label="label"
        class="w-28"
      />
      <ChoiceField
        name="lowsCause"
        label="bad lows come from"
        spoken="cause of bad lows"
        none="no bad lows"
        :options="causes"
      />
      <ChoiceField name="noise" label="noise by ear" none="not noted" :options="noises" />
      <ChoiceField name="feeling" label="it felt" spoken="how it felt" none="not noted" :options="feelings" />
    </div>
  </details>
</template>
