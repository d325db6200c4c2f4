<script setup lang="ts">
import { anyoneText, leftWorking, totalWorking } from '~/workings/receiptWorkings'
import { amount, signedAmount } from '~/utils/show'

/** The receipt along the foot of every place of a build; a click or R unrolls it as a slip. */
defineProps<{ open: boolean }>()
const emit = defineEmits<{ toggle: [] }>()
const build = useBuild()
const receipt = computed(() => build.view!.receipt)
const figures = computed(() =>
  (['payNow', 'afterRebates', 'expected'] as const).map((name) => ({
    name,
    label: { payNow: 'total', afterRebates: 'after rebates', expected: 'expected' }[name],
    value: receipt.value.totals[name],
  })),
)
</script>

<template>
  <footer
    class="flex h-[46px] shrink-0 items-center gap-6 overflow-hidden border-t border-ink bg-sheet px-4"
    aria-label="receipt"
  >
    <div
      v-for="figure in figures"
      :key="figure.name"
      class="leading-tight"
      :class="{ 'max-sm:hidden': figure.name !== 'payNow' }"
    >
      <div class="text-[11px] text-soft">{{ figure.label }}</div>
      <TheFigure
        :text="amount(figure.value, receipt.currency)"
        :working="() => totalWorking(receipt, figure.name)"
        strong
        :data-figure="figure.name"
      />
    </div>
    <BudgetBar class="max-lg:hidden" :receipt="receipt" />
    <div class="leading-tight">
      <div class="text-[11px] text-soft">
        {{ (receipt.left ?? 0) < 0 ? 'over' : 'left of' }}
        {{ amount(receipt.budget, receipt.currency).replace(/\.00$/, '')
        }}<template v-if="receipt.budgetScope !== 'everything'">, {{ receipt.budgetScope }}</template>
      </div>
      <TheFigure
        :text="amount(receipt.left, receipt.currency)"
        :working="() => leftWorking(receipt)"
        strong
        :class="
          receipt.state === 'within'
            ? 'text-settled'
            : receipt.state === 'stretch'
              ? 'text-waiting'
              : 'text-stop'
        "
        data-figure="left"
      />
    </div>
    <div class="leading-tight max-md:hidden">
      <div class="text-[11px] text-soft">market price</div>
      <TheFigure
        :text="anyoneText(receipt)"
        :working="() => totalWorking(receipt, 'anyoneCanPay')"
        data-figure="anyone"
      />
    </div>
    <div class="ml-auto flex items-center gap-4">
      <span v-if="build.isCalculating" class="text-xs text-soft" role="status">Calculating…</span>
      <span
        v-else-if="build.lastChange"
        class="figures max-w-72 truncate text-xs text-waiting max-xl:hidden"
        role="status"
        >{{ signedAmount(build.lastChange.difference, receipt.currency) }} {{ build.lastChange.label }}</span
      >
      <button type="button" class="flex items-center gap-1" :aria-expanded="open" @click="emit('toggle')">
        Receipt <span class="key">R</span>
      </button>
    </div>
  </footer>
</template>
