<script setup lang="ts">
import type { BuildQuestion, PlanWishes } from '#core/planning/buildQuestion'
import { minorDigits } from '#core/money/currencies'
import { leastFactor } from '#core/planning/planProblem'

/** The wishes of a plan as fields; an emptied one is not wished for, nonsense is refused and left as it was. */
const { question } = defineProps<{ question: BuildQuestion }>()
const emit = defineEmits<{ change: [wishes: Partial<PlanWishes>]; sell: [most: number] }>()
const fields = [
  ['memoryGb', 'minimum memory, GB'],
  ['driveGb', 'minimum drive size, GB'],
  ['days', 'everything here within, days'],
  ['supplyFactor', 'PSU headroom factor'],
] as const
/** Least that each wish may be; below it says nothing. */
const least = { memoryGb: 1, driveGb: 1, days: 0, supplyFactor: leastFactor } as const
const unit = computed(() => 10 ** minorDigits(question.currency))
const refused = ref('')
/** The figure of a field: null where it is emptied; undefined, and said why, where it is no figure for it. */
function figureOf(event: Event, from: number): number | null | undefined {
  const { value, validity } = event.target as HTMLInputElement
  refused.value = ''
  if (value.trim() === '' && !validity.badInput) return null
  const figure = Number(value)
  if (Number.isFinite(figure) && figure >= from && !validity.badInput) return figure
  refused.value = `must be ${from} or more; not changed`
  return undefined
}
function amountWish(name: keyof typeof least, event: Event) {
  const figure = figureOf(event, least[name])
  if (figure !== undefined) emit('change', { [name]: figure })
}
function budgetWish(event: Event) {
  const figure = figureOf(event, 0)
  if (figure === undefined) return
  emit('change', { budget: figure === null ? null : Math.round(figure * unit.value) })
}
function sellWish(event: Event) {
  const figure = figureOf(event, 1)
  if (figure) emit('sell', Math.round(figure))
}
function floorWish(at: number, event: Event) {
  const figure = figureOf(event, 1)
  if (figure === undefined) return
  emit('change', { floors: question.wishes.floors.map((floor, index) => (index === at ? figure : floor)) })
}
</script>

<template>
  <div class="sheet flex flex-wrap items-end gap-4 p-3" role="group" aria-label="wishes">
    <label class="text-xs text-soft"
      >{{ question.maySell > 0 ? 'maximum out of pocket' : 'maximum total' }}, {{ question.currency
      }}<input
        type="number"
        min="0"
        step="any"
        placeholder="any"
        class="field figures block w-28"
        :value="question.wishes.budget === null ? '' : question.wishes.budget / unit"
        @change="budgetWish" /></label
    ><label v-if="question.maySell > 0" class="text-xs text-soft"
      >parts to sell, at most<input
        type="number"
        min="1"
        step="1"
        class="field figures block w-24"
        :value="question.maySell"
        @change="sellWish" /></label
    ><label v-for="[name, label] in fields" :key="name" class="text-xs text-soft"
      >{{ label
      }}<input
        type="number"
        :min="least[name]"
        step="any"
        placeholder="any"
        class="field figures block w-24"
        :value="question.wishes[name] ?? ''"
        @change="amountWish(name, $event)" /></label
    ><label v-for="(target, at) in question.targets" :key="target.name" class="text-xs text-soft"
      >fps in {{ target.name
      }}<input
        type="number"
        min="1"
        step="any"
        class="field figures block w-24"
        :value="question.wishes.floors[at] ?? ''"
        @change="floorWish(at, $event)"
    /></label>
    <p v-if="refused" class="w-full text-stop" role="alert">{{ refused }}</p>
  </div>
</template>
