<script setup lang="ts">
import { addDays } from '#core/time/calendarDate'
import type { OfferView } from '#shared/prices/views'
import { amount, monthOf } from '~/utils/show'

/** A shop's price over the days known as a stair, with its usual price and its sale floor. */
const { offer, currency } = defineProps<{ offer: OfferView; currency: string }>()
const rhythm = computed(() => offer.rhythm!)
const points = computed(() => rhythm.value.daily.map((y, x) => ({ x, y })))
const dayAt = (index: number) => monthOf(addDays(rhythm.value.firstDay, Math.round(index)))
const levels = computed(() => {
  const { usual, floor } = rhythm.value
  const mark = (at: number, word: string, token: '--soft' | '--settled') => ({
    at,
    label: `${word} ${amount(at, currency)}`,
    token,
  })
  return [
    mark(usual, 'usual', '--soft'),
    ...(floor !== null && floor < usual ? [mark(floor, 'floor', '--settled' as const)] : []),
  ]
})
const summary = computed(
  () =>
    `${offer.sourceName}: usual ${amount(rhythm.value.usual, currency)}, lowest ` +
    `${amount(rhythm.value.floor, currency)}, ${rhythm.value.sales.length} sales since ` +
    `${rhythm.value.firstDay}`,
)
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ offer.sourceName }}</b> <span class="text-soft">{{ currency }} before tax and shipping</span>
    </figcaption>
    <LineFigure
      stepped
      token="--series-2"
      :points="points"
      :summary="summary"
      :format-x="dayAt"
      :format-y="(price) => amount(Math.round(price), currency)"
      :levels="levels"
    />
    <details class="text-xs text-soft">
      <summary>{{ rhythm.sales.length }} sales as a table</summary>
      <table class="ledger">
        <thead>
          <tr>
            <th>from</th>
            <th>to</th>
            <th>lowest</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="sale in [...rhythm.sales].reverse()" :key="sale.from">
            <td class="figures">{{ sale.from }}</td>
            <td class="figures">{{ sale.to }}</td>
            <td class="figures">{{ amount(sale.lowest, currency) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>
