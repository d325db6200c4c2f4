<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { formatAmount } from '#core/money/formatAmount'
import type { BuildQuestion, WishName } from '#core/planning/buildQuestion'
import { wishNames, without } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import { whereToSave } from '#core/planning/whereToSave'
import { wishWords } from '#core/planning/wishWords'
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
const wordsOf = (name: WishName) => wishWords(question, name)
function drop(name: WishName) {
  emit('ask', { ...question, wishes: without(question.wishes, name) })
}
const { copy, copied } = useClipboard({ legacy: true })
const savings = computed(() => whereToSave(question, plan, costs))
const unasked = computed(() => names.value.filter((name) => !costOf(name)).length)
</script>

<template>
  <section class="sheet p-3" aria-label="cost of each wish">
    <h2>Cost of each wish</h2>
    <p v-if="isImpossible" class="text-stop">
      No machine meets all wishes. Dropping one of these makes it possible:
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
            <template v-else-if="costOf(name)!.between"
              >{{ money(costOf(name)!.between!.least) }} to {{ money(costOf(name)!.between!.most) }}</template
            >
            <template v-else-if="costOf(name)!.without"
              >then {{ money(costOf(name)!.without!.cost!) }}</template
            >
            <template v-else><span class="text-soft">not enough by itself</span></template>
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
          ? `${unasked} more being checked`
          : 'Savings from dropping one wish and keeping the others; they do not add up. ' +
            '0.00 means another wish forces the same cost.'
      }}
    </p>
    <div
      v-if="unasked === 0 && savings.length > 0"
      class="mt-3 border-t border-line pt-2"
      aria-label="where to save"
    >
      <h2>Where to save</h2>
      <p v-for="sentence in savings" :key="sentence" class="mt-1">{{ sentence }}</p>
      <button type="button" class="quiet-button mt-1" @click="copy(savings.join('\n'))">
        {{ copied ? 'copied' : 'copy it' }}
      </button>
    </div>
  </section>
</template>
