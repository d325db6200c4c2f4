<script setup lang="ts">
import { toDecimal } from '#core/money/decimal'
import { gapByStep } from '#core/comparison/adjustments/likeForLike'
import { likeForLikeSteps } from '#core/comparison/adjustments/adjustments'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'
import { costWorking, stepWorking } from '~/workings/weighingWorkings'
import { amount, signedAmount } from '~/utils/show'
import type { SettingsChange } from '../state/settings'

/** What it takes to own: the same steps held against every machine, each switchable, each figure open to the builder's own. */
const { view, machines, against } = defineProps<{
  view: BuildView
  machines: readonly WeighedView[]
  against: WeighedView | null
}>()
const emit = defineEmits<{
  change: [change: SettingsChange]
  edit: [machine: string, step: string, amount: string | null]
}>()
const writing = ref(false)
const currency = computed(() => view.currency)
const off = computed(() => new Set(view.weighing.settings.off))
const steps = computed(() =>
  likeForLikeSteps.filter((rule) =>
    machines.some((each) => each.cost.steps.some((step) => step.id === rule.id)),
  ),
)
const stepOf = (each: WeighedView, id: string) => each.cost.steps.find((step) => step.id === id)
const gaps = computed(() => (against ? gapByStep(view.weighing.own.cost, against.cost) : []))
const soFar = (id: string) => gaps.value.find((gap) => gap.id === id)
const series = ['bg-series-1', 'bg-series-2', 'bg-series-3', 'bg-series-4']
const wholePercent = (value: number) =>
  `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(0)} %`
function toggle(id: string) {
  emit('change', {
    off: off.value.has(id) ? [...off.value].filter((each) => each !== id) : [...off.value, id],
  })
}
function write(machine: string, step: string, event: Event) {
  const { value } = event.target as HTMLInputElement
  emit('edit', machine, step, value.trim() === '' ? null : value.trim())
}
const typed = (each: WeighedView, id: string) => {
  const own = view.weighing.settings.edits[each.machine.id]?.[id]
  return own === undefined ? '' : toDecimal(own, currency.value)
}
</script>

<template>
  <section class="sheet p-3" aria-label="cost of ownership">
    <div class="flex items-baseline gap-2">
      <h2>
        Cost of ownership
        <span class="font-normal text-soft">{{ currency }}; untick a step to leave it out</span>
      </h2>
      <button
        type="button"
        class="quiet-button ml-auto text-xs"
        :aria-pressed="writing"
        @click="writing = !writing"
      >
        {{ writing ? 'done' : 'Edit figures' }}
      </button>
    </div>
    <table class="ledger mt-1 text-[13px] [&_td]:!py-px [&_td+td]:!pl-1.5 [&_th]:!py-0.5">
      <thead>
        <tr>
          <th>step</th>
          <th
            v-for="(each, index) in machines"
            :key="each.machine.id"
            class="!text-right !font-semibold !text-ink"
          >
            <span class="block h-1" :class="series[index]" aria-hidden="true" />{{ each.machine.name }}
          </th>
          <th v-if="against" class="!text-right">running difference</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="rule in steps" :key="rule.id" :class="{ 'text-soft': off.has(rule.id) }">
          <td>
            <label class="whitespace-nowrap"
              ><input
                type="checkbox"
                class="mr-1.5"
                :checked="!off.has(rule.id)"
                :aria-label="`count ${rule.label}`"
                @change="toggle(rule.id)"
              />{{ rule.label }}</label
            >
          </td>
          <td
            v-for="each in machines"
            :key="each.machine.id"
            class="amount"
            :data-step="`${rule.id} ${each.machine.id}`"
          >
            <input
              v-if="writing"
              class="field figures !min-h-0 w-24 !py-0 text-right"
              inputmode="decimal"
              :value="typed(each, rule.id)"
              :placeholder="
                stepOf(each, rule.id)
                  ? amount(stepOf(each, rule.id)!.calculated ?? stepOf(each, rule.id)!.amount, currency)
                  : '—'
              "
              :aria-label="`your figure: ${rule.label} for ${each.machine.name}`"
              @change="write(each.machine.id, rule.id, $event)"
            />
            <template v-else-if="stepOf(each, rule.id) && !stepOf(each, rule.id)!.isOff"
              ><TheFigure
                :text="amount(stepOf(each, rule.id)!.amount, currency)"
                :working="() => stepWorking(each, stepOf(each, rule.id)!, currency)"
              /><span v-if="stepOf(each, rule.id)!.from === 'own'" class="text-info" title="your figure"
                >*</span
              ></template
            ><template v-else>—</template>
          </td>
          <td v-if="against" class="amount text-xs text-soft">
            {{ soFar(rule.id) ? signedAmount(soFar(rule.id)!.soFar, currency) : ''
            }}<span v-if="soFar(rule.id)?.percent != null" class="ml-0.5 inline-block min-w-10">{{
              wholePercent(soFar(rule.id)!.percent!)
            }}</span>
          </td>
        </tr>
        <tr class="border-t-2 border-ink font-semibold">
          <td>like for like</td>
          <td v-for="each in machines" :key="each.machine.id" class="amount">
            <TheFigure
              :text="amount(each.cost.total, currency)"
              :working="() => costWorking(each, currency)"
              :data-cost="each.machine.id"
            />
          </td>
          <td v-if="against" class="amount text-xs">
            {{ signedAmount(against.cost.total - view.weighing.own.cost.total, currency)
            }}<span v-if="gaps.at(-1)?.percent != null" class="ml-0.5 inline-block min-w-10">{{
              wholePercent(gaps.at(-1)!.percent!)
            }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p
      v-if="view.receipt.totals.unknownStreet > 0 && view.weighing.settings.basis === 'anyone'"
      class="mt-2 text-waiting"
    >
      {{ view.receipt.totals.unknownStreet }} parts of the build have no street price; they are counted at
      what you pay.
    </p>
  </section>
</template>
