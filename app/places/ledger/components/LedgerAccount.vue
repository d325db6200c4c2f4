<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'
import { accountWorking, type AccountFigure } from '~/workings/ledgerWorkings'
import { amount, dayShown, signedAmount } from '~/utils/show'

/** The account beside every tab of the ledger: the same figures as on the receipt, by the same function. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const build = useBuild()
const worthWords = { parts: 'from its parts', machines: 'from PCs sold', own: 'your figure' } as const
const receipt = computed(() => build.view!.receipt)
const isToSell = computed(() => build.view!.houseRules.intent === 'sell' || build.view!.state === 'sold')
type Row = [AccountFigure, string, boolean]
const rows = computed(() => {
  const { account } = receipt.value
  const list: Row[] = [
    ['cashOut', 'spent', false],
    ['toPay', 'still to pay', false],
    ['payNow', 'total', true],
    ['cashIn', 'money in', false],
    ['toComeBack', 'refunds and rebates due', false],
    ['afterRebates', 'after rebates', true],
    ['lost', 'lost so far', false],
    ['left', `left of ${amount(receipt.value.budget, receipt.value.currency)}`, true],
  ]
  if (account.sale.amount !== 0) list.push(['sale', 'machine sold, net', false])
  list.push(
    ['cost', 'cost of the build', false],
    ['worthToday', `worth today, ${worthWords[build.view!.worthBasis]}`, false],
    // what is not to be sold makes no profit
    ...(isToSell.value ? [['profit', 'profit', true] satisfies Row] : []),
  )
  return list
})
const money = (value: number | null) => amount(value, receipt.value.currency)
</script>

<template>
  <div class="flex flex-col gap-4 self-start">
    <section class="sheet p-3" aria-label="summary">
      <h2>Summary</h2>
      <dl>
        <div
          v-for="[name, label, strong] in rows"
          :key="name"
          class="flex justify-between border-b border-line py-0.5"
        >
          <dt :class="strong ? 'font-semibold' : ''">{{ label }}</dt>
          <dd>
            <TheFigure
              :strong="strong"
              :data-figure="`account-${name}`"
              :text="money(receipt.account[name]?.amount ?? null)"
              :working="() => accountWorking(receipt, name, build.view!.worthBasis)"
            />
          </dd>
        </div>
        <div v-if="receipt.account.hours > 0" class="flex justify-between py-0.5">
          <dt>hours</dt>
          <dd class="figures">{{ receipt.account.hours }}</dd>
        </div>
      </dl>
    </section>
    <section v-if="ledger.compared.anyoneCanPay > 0" class="sheet p-3" aria-label="mine vs market">
      <h2>Mine vs market</h2>
      <dl>
        <div class="flex justify-between border-b border-line py-0.5">
          <dt>my price</dt>
          <dd class="figures">{{ money(ledger.compared.own) }}</dd>
        </div>
        <div class="flex justify-between border-b border-line py-0.5">
          <dt>market price</dt>
          <dd class="figures">{{ money(ledger.compared.anyoneCanPay) }}</dd>
        </div>
        <div class="flex justify-between py-0.5">
          <dt>difference</dt>
          <dd
            class="figures"
            :class="ledger.compared.own <= ledger.compared.anyoneCanPay ? 'text-settled' : 'text-stop'"
          >
            {{ signedAmount(ledger.compared.own - ledger.compared.anyoneCanPay, receipt.currency) }}
          </dd>
        </div>
      </dl>
    </section>
    <section class="sheet p-3" aria-label="next dates">
      <h2>Next dates</h2>
      <p v-for="each in ledger.deadlines.slice(0, 4)" :key="each.day + each.what" class="flex gap-3">
        <span class="figures w-24 shrink-0 text-xs text-soft">{{
          dayShown(each.day, build.view!.today)
        }}</span><span>{{ each.what }}</span>
      </p>
      <p v-if="ledger.deadlines.length === 0" class="text-soft">None.</p>
    </section>
  </div>
</template>
