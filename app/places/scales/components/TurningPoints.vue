<script setup lang="ts">
import { waitFor } from '#core/comparison/tipping/waiting'
import { verdictText } from '#core/comparison/verdict/verdict'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'
import { amount, signedAmount } from '~/utils/show'
import { cardCost, turnings, withCard, type Turning } from '../state/turning'

/** At which figure the verdict turns; a small chart for the two nearest; a card that is not sold yet. */
const { view, against } = defineProps<{ view: BuildView; against: WeighedView }>()
const list = computed(() => turnings(view, against))
const money = (value: number) => amount(Math.round(value), view.currency)
const show = (turning: Turning, value: number) =>
  turning.unit === 'money'
    ? money(value)
    : turning.unit === 'tariff'
      ? toDecimalPlaces(value)
      : `${value.toFixed(1)} ${turning.unit}`
/** A price of a kWh: told to a tenth of what the currency knows. */
const toDecimalPlaces = (value: number) =>
  `${amount(Math.trunc(value), view.currency)}${Math.round((value % 1) * 10)}`
const winnerName = { own: view.name, other: against.machine.name, depends: 'neither wins' }
/** What the other machine costs more, like for like, along the range of a figure. */
function gaps(turning: Turning) {
  const { from, to } = turning.range
  return Array.from({ length: 61 }, (_, index) => {
    const x = from + ((to - from) * index) / 60
    const { own, other } = turning.weighedAt(x)
    return { x, y: other.total - own.total }
  })
}
/** The other machine first, and the build after one, two … years. */
const waits = computed(() => {
  const { terms, own } = view.weighing
  if (against.machine.kind === 'build') return []
  const after = Array.from({ length: Math.ceil(terms.years) - 1 }, (_, at) => at + 1)
  return after.map((years) => ({ years, wait: waitFor(own.machine, against.machine, terms, years) }))
})
const moments = ({ now, point }: Turning) => [
  { at: now, label: 'today', token: '--ink' as const },
  ...[point.below, point.above].flatMap((turn) =>
    turn ? [{ at: turn.value, label: 'changes at', token: '--stop' as const }] : [],
  ),
]
const charts = computed(() => list.value.slice(0, 2).map((turning) => ({ turning, points: gaps(turning) })))
const card = reactive({
  name: 'a future card',
  price: toDecimal(cardCost(view)?.cost ?? 20_000, view.currency),
  graphicsIndex: Math.round((view.weighing.frames?.graphicsIndex ?? 100) * 1.3),
  videoMemoryGb: 12,
  boardPowerW: 150,
})
const price = computed(() => {
  try {
    return parseDecimal(card.price, view.currency)
  } catch {
    return null
  }
})
const assumed = computed(() =>
  price.value === null || !(card.graphicsIndex > 0) || !(card.videoMemoryGb > 0)
    ? null
    : withCard(view, against, { ...card, price: price.value }),
)
</script>

<template>
  <section aria-label="break-even points">
    <div class="sheet p-3">
      <h2>
        What would change the verdict on {{ against.machine.name }}
        <span class="font-normal text-soft">now: {{ winnerName[against.verdict!.winner] }}</span>
      </h2>
      <table class="ledger mt-1">
        <thead>
          <tr>
            <th>input</th>
            <th class="!text-right">today</th>
            <th>changes at or below</th>
            <th>changes at or above</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="turning in list" :key="turning.id" :data-turning="turning.id">
            <td>{{ turning.name }}</td>
            <td class="amount">{{ show(turning, turning.now) }}</td>
            <td v-for="side in ['below', 'above'] as const" :key="side">
              <template v-if="turning.point[side]"
                ><b class="figures">{{ show(turning, turning.point[side]!.value) }}</b> then
                {{ winnerName[turning.point[side]!.winner]
                }}<template v-if="turning.point[side]!.next"
                  >; from <b class="figures">{{ show(turning, turning.point[side]!.next!.value) }}</b>
                  {{ winnerName[turning.point[side]!.next!.winner] }}</template
                ></template
              ><span v-else class="text-soft"
                >no change
                {{
                  side === 'below'
                    ? `down to ${show(turning, turning.range.from)}`
                    : `up to ${show(turning, turning.range.to)}`
                }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="mt-3 grid grid-cols-2 gap-3 @max-4xl/place:grid-cols-1">
      <figure v-for="{ turning, points } in charts" :key="turning.id" class="sheet p-3">
        <figcaption class="text-[13px] font-semibold">
          {{ turning.name }}
          <span class="font-normal text-soft"
            >extra cost of {{ against.machine.name }}, like for like, {{ view.currency }}</span
          >
        </figcaption>
        <LineFigure
          token="--series-3"
          :points="points"
          :height="170"
          :summary="`difference from ${signedAmount(points[0]!.y, view.currency)} to ${signedAmount(points.at(-1)!.y, view.currency)}; today ${show(turning, turning.now)}`"
          :format-x="(value) => show(turning, value)"
          :format-y="(gap) => signedAmount(Math.round(gap), view.currency)"
          :levels="[{ at: 0, label: '', token: '--ink' }]"
          :moments="moments(turning)"
        />
      </figure>
    </div>
    <div v-if="waits.length > 0" class="sheet mt-3 p-3" data-test="waiting">
      <h2>
        Buy {{ against.machine.name }} now, build {{ view.name }} later
        <span class="font-normal text-soft"
          >both options run {{ view.weighing.terms.years }} years; part prices fall with age at the usual rate
          for their kind</span
        >
      </h2>
      <table class="ledger mt-1">
        <thead>
          <tr>
            <th>when you build</th>
            <th class="!text-right">cost until then</th>
            <th class="!text-right">build price then</th>
            <th class="!text-right">cost after that</th>
            <th class="!text-right">in total</th>
            <th class="!text-right">vs building now</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>now</td>
            <td class="amount">—</td>
            <td class="amount">{{ money(view.weighing.own.machine.price) }}</td>
            <td class="amount">{{ money(waits[0]!.wait.buildNow) }}</td>
            <td class="amount font-semibold">{{ money(waits[0]!.wait.buildNow) }}</td>
            <td />
          </tr>
          <tr v-for="{ years, wait } in waits" :key="years" :data-wait="years">
            <td>in {{ years }} {{ years === 1 ? 'year' : 'years' }}</td>
            <td class="amount">{{ money(wait.between) }}</td>
            <td class="amount">{{ money(wait.priceThen) }}</td>
            <td class="amount">{{ money(wait.buildLater) }}</td>
            <td class="amount font-semibold">{{ money(wait.total) }}</td>
            <td class="amount">{{ signedAmount(wait.total - wait.buildNow, view.currency) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="sheet mt-3 p-3">
      <h2>What if: a future card, or another price</h2>
      <div class="mt-1 flex flex-wrap items-end gap-3">
        <FormField label="name" class="flex flex-col"
          ><input v-model="card.name" class="field w-44" aria-label="name of the future card" /></FormField
        ><FormField
          :label="`price, ${view.currency}`"
          class="flex flex-col"
          :problem="price === null ? 'not an amount' : undefined"
          ><input
            v-model="card.price"
            class="field figures w-24"
            inputmode="decimal"
            aria-label="price of the future card"
        /></FormField>
        <FormField label="graphics index" class="flex flex-col"
          ><input
            v-model.number="card.graphicsIndex"
            type="number"
            min="1"
            class="field figures w-20"
            aria-label="index of the future card" /></FormField
        ><FormField label="video memory, GB" class="flex flex-col"
          ><input
            v-model.number="card.videoMemoryGb"
            type="number"
            min="1"
            class="field figures w-20"
            aria-label="video memory of the future card" /></FormField
        ><FormField label="watts" class="flex flex-col"
          ><input
            v-model.number="card.boardPowerW"
            type="number"
            min="1"
            class="field figures w-20"
            aria-label="watts of the future card"
        /></FormField>
      </div>
      <p v-if="assumed" class="mt-2" data-test="assumed-card">
        With it: {{ verdictText(assumed.weighed.verdict) }}
        <template v-if="assumed.point.above"
          >At <b class="figures">{{ money(assumed.point.above.value) }}</b> or more the verdict
          changes.</template
        ><template v-else-if="assumed.point.below"
          >At <b class="figures">{{ money(assumed.point.below.value) }}</b> or less the verdict
          changes.</template
        ><template v-else>No price changes the verdict.</template>
      </p>
      <p v-else class="mt-2 text-waiting">
        First needs: a build with CPU and graphics card, a price and an index.
      </p>
    </div>
  </section>
</template>
