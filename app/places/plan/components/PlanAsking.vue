<script setup lang="ts">
import { sizesOf } from '#core/comparison/components/compareComponents'
import { boughtFor } from '#core/comparison/components/boughtFor'
import { rateAt } from '#core/comparison/components/rateAt'
import { asRival, maybeSold, usuallySold, type BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildView } from '#shared/builds/views'

/** What a plan is asked for: its goal, whether what is mine may be sold for it, and which other machine it is measured by. */
const { question, view } = defineProps<{ question: BuildQuestion; view: BuildView }>()
const emit = defineEmits<{ ask: [question: BuildQuestion]; upgrade: []; startOver: [] }>()
const set = (some: Partial<BuildQuestion>) => emit('ask', { ...question, ...some })
const maySell = computed(() => question.ways.some(maybeSold))
function upgrade(on: boolean) {
  if (!on) return emit('startOver')
  emit('upgrade')
  const { wishes, targets } = question
  set({
    maySell: usuallySold,
    goal: targets.length > 0 ? 'fastest' : 'cheapest',
    wishes: { ...wishes, floors: wishes.floors.map(() => null) },
  })
}
/** Machines on the scales that a plan can be measured by. */
const measured = computed(() =>
  (['match', 'spend'] as const).flatMap((goal) =>
    view.weighing.others.flatMap(({ machine }) => {
      const rival = {
        fps: view.targets.map((target) => rateAt(machine, target)),
        price: boughtFor(machine, view.weighing.terms.usualShipping),
        ...sizesOf(machine),
      }
      const asked = asRival(question, rival, goal)
      if (!asked) return []
      const text = goal === 'match' ? `as fast as ${machine.name}` : `for the price of ${machine.name}`
      return [{ id: `${goal} ${machine.id}`, text, asked }]
    }),
  ),
)
function measureBy(event: Event) {
  const field = event.target as HTMLSelectElement
  const found = measured.value.find(({ id }) => id === field.value)
  field.value = ''
  if (found) emit('ask', found.asked)
}
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-3">
    <label
      ><span class="sr-only">goal</span>
      <select
        :value="question.goal"
        class="field"
        aria-label="goal of the plan"
        @change="set({ goal: ($event.target as HTMLSelectElement).value as BuildQuestion['goal'] })"
      >
        <option value="cheapest">
          {{ question.targets.length > 0 ? 'cheapest that reaches the targets' : 'cheapest that works' }}
        </option>
        <option v-if="question.targets.length > 0" value="fastest">fastest for the budget</option>
      </select></label
    >
    <label v-if="maySell" class="flex items-baseline gap-1.5"
      ><input
        type="checkbox"
        :checked="question.maySell > 0"
        @change="upgrade(($event.target as HTMLInputElement).checked)"
      />
      sell my parts to fund it</label
    >
    <select
      v-if="measured.length > 0"
      class="field w-44"
      aria-label="targets from another machine"
      @change="measureBy"
    >
      <option value="">match another machine…</option>
      <option v-for="each in measured" :key="each.id" :value="each.id">{{ each.text }}</option>
    </select>
  </div>
</template>
