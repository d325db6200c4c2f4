<script setup lang="ts">
import { formatAmount } from '#core/money/formatAmount'
import { partLabel, roleNames } from '#core/parts/part'
import { maybeSold, pinsOf, type BuildQuestion, type BuildWay } from '#core/planning/buildQuestion'
import type { BuildPlan } from '#core/planning/planBuild'
import type { OtherWay } from '../state/usePlan'

/** What to buy, in the order in which it is done: what is there, what is at hand, what waits. */
const { plan, question, others } = defineProps<{
  plan: BuildPlan
  question: BuildQuestion
  others: Readonly<Record<string, OtherWay>>
}>()
const emit = defineEmits<{ pin: [id: string]; ban: [id: string]; other: [id: string] }>()
const when = ({ isPresent, perDay, payNow }: BuildWay) =>
  perDay !== null ? 'as found' : !isPresent ? 'today' : payNow === 0 ? 'stays' : 'chosen'
const order = ['chosen', 'today', 'as found', 'stays']
const lines = computed(() =>
  plan.ways
    .map((way) => ({
      way,
      when: when(way),
      kept: plan.kept.filter(({ wayId }) => wayId === way.id).map(({ part }) => part),
    }))
    .sort(
      (a, b) =>
        order.indexOf(a.when) - order.indexOf(b.when) ||
        (orderOf(a.way.id)?.name ?? '').localeCompare(orderOf(b.way.id)?.name ?? '') ||
        b.way.payNow - a.way.payNow,
    ),
)
const wait = ({ perDay }: BuildWay) =>
  perDay === null ? '' : perDay > 0 ? `about every ${Math.max(1, Math.round(1 / perDay))} days` : 'seldom'
const money = (amount: number) => formatAmount(amount, question.currency)
/** The order that a way is paid in with others; its first line carries the word of it. */
const orderOf = (id: string) => plan.orders.find(({ wayIds }) => wayIds.includes(id))
const orderText = ({ name, wayIds, shipping, codes }: BuildPlan['orders'][number]) =>
  [
    wayIds.length === 1 ? `in your order at ${name}` : `${wayIds.length} parts in one order at ${name}`,
    shipping > 0 ? `shipping ${money(shipping)}, paid once` : 'no shipping',
    ...codes.map((code) => `code ${code}`),
    ...savedBy(wayIds),
  ].join(', ')
/** What an order saves against its things one by one. */
function savedBy(ids: readonly string[]): string[] {
  const of = (ways: readonly BuildWay[]) =>
    ways.reduce((sum, { id, payNow }) => sum + (ids.includes(id) ? payNow : 0), 0)
  const saved = of(question.ways) - of(plan.ways)
  return saved > 0 ? [`${money(saved)} less than bought separately`] : []
}
const isPinned = (id: string) => pinsOf(question).includes(id)
</script>

<template>
  <table class="ledger w-full">
    <thead>
      <tr>
        <th class="w-16">when</th>
        <th>part and source</th>
        <th class="amount">{{ question.currency }}</th>
        <th class="w-28 text-right">next best</th>
        <th class="w-16"><span class="sr-only">pin or ban</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ way, brings } in plan.sold" :key="way.id" :data-sold="way.id">
        <td class="figures text-xs">sell</td>
        <td>
          <b>{{ way.text }}</b>
          <div class="text-xs text-soft">moves to the shelf; expected sale price</div>
        </td>
        <td class="amount text-settled">−{{ money(brings) }}</td>
        <td />
        <td class="text-right text-xs whitespace-nowrap">
          <button
            type="button"
            class="quiet-button"
            :aria-label="`keep ${way.text}`"
            @click="emit('pin', way.id)"
          >
            keep
          </button>
        </td>
      </tr>
      <tr v-for="line in lines" :key="line.way.id" :data-way="line.way.id">
        <td class="figures text-xs">{{ line.when }}</td>
        <td>
          <b>{{ line.kept.map(partLabel).join(', ') || line.way.text }}</b>
          <div class="text-xs text-soft">
            {{ line.kept.map(({ role }) => roleNames[role]).join(', ') }} · {{ line.way.from
            }}<template v-if="wait(line.way)"> · {{ wait(line.way) }}</template>
          </div>
          <div v-if="orderOf(line.way.id)" class="text-xs text-soft" data-order>
            {{ orderText(orderOf(line.way.id)!) }}
          </div>
        </td>
        <td class="amount">{{ money(line.way.payNow) }}</td>
        <td class="text-right text-xs text-soft">
          <template v-if="others[line.way.id]">
            <span v-if="others[line.way.id]!.more !== null" class="figures text-ink"
              >+{{ money(others[line.way.id]!.more!) }}</span
            >
            <div>{{ others[line.way.id]!.text }}</div>
          </template>
          <button
            v-else-if="!isPinned(line.way.id)"
            type="button"
            class="quiet-button"
            @click="emit('other', line.way.id)"
          >
            find it
          </button>
        </td>
        <td class="text-right text-xs whitespace-nowrap">
          <button
            type="button"
            class="quiet-button"
            :aria-pressed="isPinned(line.way.id)"
            :aria-label="`${isPinned(line.way.id) ? 'unpin' : 'pin'} ${line.way.text}`"
            @click="emit('pin', line.way.id)"
          >
            {{ isPinned(line.way.id) ? 'pinned' : 'pin' }}
          </button>
          <button
            v-if="!isPinned(line.way.id) && (question.maySell > 0 || !maybeSold(line.way))"
            type="button"
            class="quiet-button ml-1"
            :aria-label="`never ${line.way.text}`"
            @click="emit('ban', line.way.id)"
          >
            ban
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>
