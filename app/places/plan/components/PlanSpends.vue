<script setup lang="ts">
import { formatAmount } from '#core/money/formatAmount'
import { partLabel } from '#core/parts/part'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'

/** Other ways to spend the same sum, each with what it brings. */
const { plans, question, before, isDone } = defineProps<{
  plans: readonly BuildPlan[]
  question: BuildQuestion
  before: readonly (number | null)[]
  isDone: boolean
}>()
const money = (amount: number) => formatAmount(amount, question.currency)
const newIn = (plan: BuildPlan) =>
  plan.kept
    .filter(({ wayId }) => !plan.ways.find(({ id }) => id === wayId)!.isPresent)
    .map(({ part }) => partLabel(part))
    .join(', ')
const frames = (plan: BuildPlan) =>
  question.targets.map(({ name }, at) => ({
    name,
    from: before[at] === null || before[at] === undefined ? null : Math.round(before[at]),
    to: plan.fps ? Math.round(plan.fps[at]!) : null,
  }))
</script>

<template>
  <section class="sheet p-3" aria-label="other ways to spend this budget">
    <h2>Other ways to spend this budget</h2>
    <p v-if="plans.length === 0" class="text-soft">
      {{ isDone ? 'Nothing else on offer is faster for that budget.' : 'searching…' }}
    </p>
    <table v-else class="ledger mt-1 w-full">
      <tbody>
        <tr v-for="(plan, at) in plans" :key="at">
          <td>
            {{ newIn(plan) || 'no new parts' }}
            <div v-if="plan.sold.length > 0" class="text-xs text-soft">
              sold: {{ plan.sold.map(({ way }) => way.text).join(', ') }}
            </div>
            <div class="text-xs text-soft">
              <template v-for="(each, index) in frames(plan)" :key="each.name"
                ><template v-if="index > 0"> · </template>{{ each.name }} {{ each.from ?? 'not known' }} →
                <b class="figures text-ink">{{ each.to ?? 'not known' }}</b> fps</template
              >
            </div>
          </td>
          <td class="amount">{{ money(plan.outOfPocket!) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
