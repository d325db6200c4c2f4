<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { PriceView } from '#shared/prices/views'
import { newPathWorking, rhythmWorking, tippingWorking, usedPathWorking } from '~/workings/newOrUsedWorkings'
import { amount } from '~/utils/show'

/** New or used: both paths with what stands behind them, and the rhythm of the shops. */
const { view } = defineProps<{ view: PriceView }>()
const figures = computed(() => view.newOrUsed)
const cheapest = computed(() => view.offers[0])
const verdict = computed(() => {
  const { advice, byHouseRule, margin } = figures.value
  const by = margin === null ? '' : amount(Math.abs(margin), view.currency)
  if (byHouseRule && margin !== null)
    return `Buy new: your rule excludes a used ${roleNames[view.part.role]}, which costs ${by} more anyway.`
  if (byHouseRule)
    return `Your rule excludes a used ${roleNames[view.part.role]}, and no shop price is known.`
  if (advice === 'used') return `Buy used: new costs ${by} more, with fault risk and warranty counted.`
  if (advice === 'new')
    return `Buy new: used ${margin === 0 ? 'costs the same' : `costs ${by} more`} with fault risk and warranty counted.`
  if (advice === 'only-used') return 'Only used prices are known.'
  if (advice === 'only-new') return 'Only shop prices are known.'
  return 'Neither a street price nor a shop price is known.'
})
const rhythm = computed(() => cheapest.value?.rhythm ?? null)
const daysLeft = computed(() => view.newLater?.days ?? 0)
const saleAdvice = computed(() => {
  if (!rhythm.value) return ''
  if (rhythm.value.onSale) return 'It is on sale today.'
  if (rhythm.value.expectedWait === null) return 'No pattern of sales yet.'
  const days = Math.ceil(rhythm.value.expectedWait)
  return days <= daysLeft.value
    ? `Wait for the next sale: it is due in about ${days} days and you have ${daysLeft.value}.`
    : `Do not wait for a sale: the next is due in about ${days} days and you have only ${daysLeft.value}.`
})
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)_500px] gap-3 @max-3xl:grid-cols-[minmax(0,1fr)]">
    <div class="sheet p-3">
      <p class="text-[15px]">{{ verdict }}</p>
      <table class="ledger mt-2">
        <thead>
          <tr>
            <th><span class="sr-only">cost item</span></th>
            <th class="!text-right">used</th>
            <th class="!text-right">new</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>
              price<span class="block text-xs text-soft"
                >used: {{ view.patienceMark }} price; new: landed cost<template v-if="cheapest">
                  at {{ cheapest.sourceName }}</template
                ></span
              >
            </td>
            <td class="amount">{{ amount(figures.used?.price, view.currency) }}</td>
            <td class="amount">{{ amount(figures.fresh?.price, view.currency) }}</td>
          </tr>
          <tr>
            <td>fault loss / warranty value</td>
            <td class="amount">
              {{ figures.used ? `+${amount(figures.used.faultLoss, view.currency)}` : '—' }}
            </td>
            <td class="amount">
              {{ figures.fresh ? `−${amount(figures.fresh.warrantyValue, view.currency)}` : '—' }}
            </td>
          </tr>
          <tr class="font-semibold">
            <td>total</td>
            <td class="amount">
              <TheFigure
                v-if="figures.used"
                :text="amount(figures.used.total, view.currency)"
                :working="() => usedPathWorking(view.name, figures, view.currency)"
              /><template v-else>—</template>
            </td>
            <td class="amount">
              <TheFigure
                v-if="figures.fresh"
                :text="amount(figures.fresh.total, view.currency)"
                :working="() => newPathWorking(view.name, figures, view.currency)"
              /><template v-else>—</template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="figures.tippingUsedPrice !== null" class="mt-2 text-soft">
        Break-even at a used price of
        <TheFigure
          :text="amount(figures.tippingUsedPrice, view.currency)"
          :working="() => tippingWorking(view.name, figures, view.currency)"
        />: cheaper than that, buy used; otherwise buy new.
      </p>
      <table v-if="view.offers.length > 1" class="ledger mt-2">
        <thead>
          <tr>
            <th>shop</th>
            <th class="!text-right">price</th>
            <th class="!text-right">landed cost</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="offer in view.offers" :key="offer.sourceId">
            <td>{{ offer.sourceName }}</td>
            <td class="amount">{{ amount(offer.price, view.currency) }}</td>
            <td class="amount">{{ amount(offer.landed, view.currency) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="sheet p-3">
      <template v-if="cheapest && rhythm">
        <RhythmChart :offer="cheapest" :currency="view.currency" />
        <p class="mt-1">
          {{ saleAdvice }}
          <span v-if="rhythm.everyDays !== null" class="text-soft"
            >On sale every
            <TheFigure
              :text="`${Math.round(rhythm.everyDays)} days`"
              :working="() => rhythmWorking(view.name, cheapest!, view.currency)"
            />; the last sale began {{ rhythm.sinceLast }} days ago.</span
          >
        </p>
      </template>
      <p v-else class="text-soft">
        No shop price known: add one, import a CSV, or add a shop’s address in Sources.
      </p>
      <ShopPriceForm :part-id="view.partId" :currency="view.currency" :today="view.asOf" />
    </div>
  </div>
</template>
