<script setup lang="ts">
import type { MachineView } from '#shared/machine/views'
import { call } from '~/data/call'

/** The sheet of assembly for this very machine: to be printed, or ticked off; ticks stay until the line changes. */
const { buildId, steps, name, assembled } = defineProps<{
  buildId: string
  steps: MachineView['assembly']
  name: string
  assembled: readonly string[]
}>()
const { run } = useAction()
const ticked = ref<readonly string[]>(assembled)
watch(
  () => assembled,
  (lines) => (ticked.value = lines),
)
const doneIn = (lines: readonly string[]) => lines.filter((line) => ticked.value.includes(line)).length
const lines = computed(() => steps.flatMap((step) => step.lines))
const print = () => window.print()
function tick(line: string, isDone: boolean) {
  void run(async () => {
    const answer = await call('POST /api/builds/:id/machine/assembled', { id: buildId }, { line, isDone })
    ticked.value = answer.assembled
  })
}
</script>

<template>
  <section aria-label="assembly" class="max-w-[760px] print:max-w-none">
    <div class="flex items-center gap-3">
      <h2>Assembling {{ name }}</h2>
      <span class="text-soft print:hidden" data-test="assembled"
        ><span class="figures">{{ doneIn(lines) }}</span> of
        <span class="figures">{{ lines.length }}</span> done</span
      >
      <button type="button" class="button ml-auto print:hidden" @click="print">Print</button>
    </div>
    <ol class="mt-2">
      <li v-for="(step, index) in steps" :key="step.title" class="mb-3 break-inside-avoid">
        <h3 class="font-semibold">
          {{ index + 1 }}. {{ step.title }}
          <span
            v-if="step.lines.length > 0 && doneIn(step.lines) === step.lines.length"
            class="tag tag-settled"
            >done</span
          >
        </h3>
        <p
          v-for="point in step.tricky"
          :key="point"
          class="mt-1 border-l-4 border-waiting bg-waiting-ground px-3 py-1"
        >
          {{ point }}
        </p>
        <label v-for="line in step.lines" :key="line" class="mt-1 flex gap-2"
          ><input
            type="checkbox"
            class="mt-1"
            :checked="ticked.includes(line)"
            @change="tick(line, ($event.target as HTMLInputElement).checked)"
          /><span :class="ticked.includes(line) ? 'text-soft line-through' : ''">{{ line }}</span></label
        >
      </li>
    </ol>
  </section>
</template>
