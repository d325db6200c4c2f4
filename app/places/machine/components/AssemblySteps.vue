<script setup lang="ts">
import type { MachineView } from '#shared/machine/views'

/** The sheet of assembly for this very machine: to be printed and ticked off. */
const { steps, name } = defineProps<{ steps: MachineView['assembly']; name: string }>()
const print = () => window.print()
</script>

<template>
  <section aria-label="assembly" class="max-w-[760px] print:max-w-none">
    <div class="flex items-center">
      <h2>Putting {{ name }} together</h2>
      <button type="button" class="button ml-auto print:hidden" @click="print">Print</button>
    </div>
    <ol class="mt-2">
      <li v-for="(step, index) in steps" :key="step.title" class="mb-3 break-inside-avoid">
        <h3 class="font-semibold">{{ index + 1 }}. {{ step.title }}</h3>
        <p
          v-for="point in step.tricky"
          :key="point"
          class="mt-1 border-l-4 border-waiting bg-waiting-ground px-3 py-1"
        >
          {{ point }}
        </p>
        <label v-for="line in step.lines" :key="line" class="mt-1 flex gap-2"
          ><input type="checkbox" class="mt-1" />{{ line }}</label
        >
      </li>
    </ol>
  </section>
</template>
