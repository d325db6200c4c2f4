<script setup lang="ts">
import type { WeighedView } from '#shared/views'
import { costWorking, stepWorking } from '~/workings/weighingWorkings'
import { amount } from '~/utils/show'

/** What it takes to own: the same steps held against every machine, side by side. */
const { machines, currency, unknownStreet } = defineProps<{ machines: readonly WeighedView[]; currency: string; unknownStreet: number }>()
const steps = computed(() => {
  const seen = new Map<string, string>()
  for (const each of machines) for (const step of each.cost.steps) seen.set(step.id, step.label)
  const order = ['price', 'tax', 'shipping']
  return [...seen].sort(([a], [b]) => (order.indexOf(a) + 1 || 99) - (order.indexOf(b) + 1 || 99))
})
const stepOf = (each: WeighedView, id: string) => each.cost.steps.find((step) => step.id === id)
const series = ['text-series-1', 'text-series-2', 'text-series-3', 'text-series-4']
const longest = computed(() => Math.max(...machines.map((each) => each.cost.total), 1))
</script>

<template>
  <section class="sheet p-4" aria-label="what it takes to own">
    <h2>What it takes to own <span class="font-normal text-soft">{{ currency }}</span></h2>
    <table class="ledger mt-1">
      <thead><tr><th /><th v-for="(each, index) in machines" :key="each.machine.id" class="!text-right !font-semibold" :class="series[index]">{{ each.machine.name }}</th></tr></thead>
      <tbody>
        <tr v-for="[id, label] in steps" :key="id"><td>{{ label }}</td><td v-for="each in machines" :key="each.machine.id" class="amount"><TheFigure v-if="stepOf(each, id)" :text="amount(stepOf(each, id)!.amount, currency)" :working="() => stepWorking(each, stepOf(each, id)!, currency)" /><template v-else>—</template></td></tr>
        <tr class="border-t-2 border-ink font-semibold"><td>like for like</td><td v-for="each in machines" :key="each.machine.id" class="amount"><TheFigure :text="amount(each.cost.total, currency)" :working="() => costWorking(each, currency)" :data-cost="each.machine.id" /></td></tr>
      </tbody>
    </table>
    <div v-for="(each, index) in machines" :key="each.machine.id" class="mt-1.5 flex items-center gap-2 text-xs"><span class="w-32 truncate text-soft">{{ each.machine.name }}</span><span class="h-2.5" :class="series[index]" :style="{ width: `${(55 * each.cost.total) / longest}%`, background: 'currentColor' }" /></div>
    <p v-if="unknownStreet > 0" class="mt-3 text-waiting">{{ unknownStreet }} of the build's things have no street price and are left out of its price.</p>
  </section>
</template>
