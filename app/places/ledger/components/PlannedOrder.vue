<script setup lang="ts">
import type { PlannedOrderView } from '#shared/ledger/views'
import { amount } from '~/utils/show'

/** An order still to be paid, line by line as the shop's cart has it; paid whole, or one line of it. */
const { order } = defineProps<{ order: PlannedOrderView }>()
const build = useBuild()
const { step, busy } = useLedgerStep()
const money = (value: number) => amount(value, order.currency)
const pay = (choiceIds: string[], what: string) =>
  step(
    'POST /api/ledger/orders/pay',
    {},
    { choiceIds, day: build.view!.today },
    `${what} paid and booked in the ledger`,
    what,
  )
const payAll = () =>
  pay(
    order.lines.map((line) => line.choiceId),
    order.lines.length === 1 ? order.lines[0]!.label : `the order at ${order.source}`,
  )
const group = (choiceId: string, isApart: boolean) =>
  step(
    'POST /api/ledger/orders/group',
    {},
    { choiceIds: [choiceId], group: isApart ? choiceId.slice(0, 60) : null },
    isApart ? 'split into its own order' : 'combined into one order again',
  )
const others = computed(() => [
  ...new Set(order.lines.filter((line) => !line.isOwn).map((line) => line.build)),
])
</script>

<template>
  <section class="sheet p-3" :aria-label="`order at ${order.source}`">
    <div class="flex flex-wrap items-baseline gap-2">
      <h2>{{ order.source }}</h2>
      <span class="tag tag-waiting">still to pay</span>
      <span v-if="others.length > 0" class="text-xs text-soft">one order with {{ others.join(', ') }}</span>
      <button type="button" class="button button-main ml-auto" :disabled="busy" @click="payAll">
        Pay order, {{ money(order.total) }} {{ order.currency }}
      </button>
    </div>
    <table class="ledger mt-1">
      <tbody>
        <tr v-for="line in order.lines" :key="line.choiceId">
          <td class="w-full">
            {{ line.label
            }}<span v-if="!line.isOwn" class="block text-xs text-soft">for {{ line.build }}</span>
          </td>
          <td class="amount">{{ money(line.price) }}</td>
          <td class="amount text-soft">{{ money(line.share) }}</td>
          <td class="text-xs whitespace-nowrap">
            <template v-if="line.alone">
              <button type="button" class="quiet-button" @click="pay([line.choiceId], line.label)">
                pay this only, {{ money(line.alone.this) }}</button
              ><span class="block text-soft"
                >the {{ order.lines.length > 2 ? 'others then cost' : 'other then costs' }}
                {{ money(line.alone.others) }}</span
              >
              <button
                v-if="order.isShop"
                type="button"
                class="quiet-button"
                @click="group(line.choiceId, true)"
              >
                order separately
              </button>
            </template>
            <button
              v-if="line.isApart"
              type="button"
              class="quiet-button"
              @click="group(line.choiceId, false)"
            >
              combine again
            </button>
          </td>
        </tr>
        <tr v-for="charge in order.steps" :key="charge.label" class="text-soft">
          <td>{{ charge.label }}</td>
          <td class="amount">{{ money(charge.amount) }}</td>
          <td />
          <td />
        </tr>
        <tr v-if="order.lines.length + order.steps.length > 1" class="font-semibold">
          <td>as in the shop’s cart</td>
          <td class="amount">{{ money(order.total) }}</td>
          <td class="amount">{{ money(order.total) }}</td>
          <td />
        </tr>
      </tbody>
    </table>
    <p v-if="order.saved > 0 || order.freeShippingGap !== null" class="mt-1 text-xs text-soft">
      <template v-if="order.saved > 0">{{ money(order.saved) }} less than ordering separately. </template
      ><template v-if="order.freeShippingGap !== null"
        >Spend {{ money(order.freeShippingGap) }} more for free shipping.</template
      >
    </p>
  </section>
</template>
