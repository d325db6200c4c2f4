<script setup lang="ts">
import { formatAmount } from '#core/money/formatAmount'
import type { BuildQuestion, WishName } from '#core/planning/buildQuestion'
import { wishNames, without } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import type { WishCost } from '#core/planning/wishCosts'

/** What each wish costs, the others kept; one of them given up by a click. */
const { plan, question, costs } = defineProps<{
  plan: BuildPlan
  question: BuildQuestion
  costs: readonly WishCost[]
}>()
const emit = defineEmits<{ ask: [question: BuildQuestion] }>()
const money = (amount: number) => formatAmount(amount, question.currency)
const names = computed(() => wishNames(question.wishes))
const costOf = (name: WishName) => costs.find((each) => each.name === name)
const most = computed(() => Math.max(1, ...costs.map(({ cost }) => cost ?? 0)))
const isImpossible = computed(() => plan.status === 'infeasible')
function wordsOf(name: WishName): string {
  const { wishes, targets } = question
  const at = /^floors\[(\d+)\]$/.exec(name)
  if (at) return `${Math.round(wishes.floors[Number(at[1])]!)} fps in ${targets[Number(at[1])]!.name}`
  if (name === 'budget')
    return question.maySell > 0
      ? `${money(wishes.budget!)} out of pocket at most`
      : `pay ${money(wishes.budget!)} at most for these, within the stretch`
  if (name === 'days') return `all here within ${wishes.days} days, in 8 of 10 cases`
  if (name === 'memoryGb') return `${wishes.memoryGb} GB of memory`
  if (name === 'driveGb') return `a drive of ${wishes.driveGb} GB`
  return `a supply of ${wishes.supplyFactor} × the draw`
}
function drop(name: WishName) {
  emit('ask', { ...question, wishes: without(question.wishes, name) })
}
const unasked = computed(() => names.value.filter((name) => !costOf(name)).length)
</script>

<template>
  <section class="sheet p-3" aria-label="what each wish costs">
    <h2>What each wish costs</h2>
    <p v-if="isImpossible" class="text-stop">
      No machine meets them all. Give one up that makes one possible:
    </p>
    <table class="ledger mt-1 w-full">
      <tbody>
        <tr v-for="name in names" :key="name" :data-wish="name">
          <td>{{ wordsOf(name) }}</td>
          <td class="w-28">
            <div
              v-if="costOf(name)?.cost"
              class="h-2.5 bg-waiting"
              :style="{ width: `${(100 * costOf(name)!.cost!) / most}%` }"
            />
          </td>
          <td class="amount">
            <template v-if="!costOf(name)"><span class="text-soft">…</span></template>
            <template v-else-if="costOf(name)!.cost !== null">{{ money(costOf(name)!.cost!) }}</template>
            <template v-else-if="costOf(name)!.without"
              >then {{ money(costOf(name)!.without!.cost!) }}</template
            >
            <template v-else><span class="text-soft">alone no help</span></template>
          </td>
          <td class="w-16 text-right">
            <button
              type="button"
              class="quiet-button text-xs"
              :aria-label="`without: ${wordsOf(name)}`"
              @click="drop(name)"
            >
              without
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-1 text-xs text-soft">
      {{
        unasked > 0
          ? `${unasked} more being tried`
          : 'Each with the others kept: they do not add up. One of 0.00 is held by another.'
      }}
    </p>
  </section>
</template>
