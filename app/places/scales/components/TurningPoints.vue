<script setup lang="ts">
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
  turning.unit === 'money' ? money(value) : `${value.toFixed(1)} ${turning.unit}`
const winnerName = { own: view.name, other: against.machine.name, depends: 'neither outright' }
const width = 520
const height = 170
/** The gap along the range, and where zero and today stand. */
function chart(turning: Turning) {
  const points = Array.from({ length: 61 }, (_, index) => {
    const value = turning.range.from + ((turning.range.to - turning.range.from) * index) / 60
    const { own, other, verdict } = turning.weighedAt(value)
    return { value, gap: other.total - own.total, winner: verdict.winner }
  })
  const most = Math.max(1, ...points.map((point) => Math.abs(point.gap)))
  const x = (value: number) =>
    62 + ((value - turning.range.from) / (turning.range.to - turning.range.from)) * (width - 80)
  const y = (gap: number) => 78 - (gap / most) * 62
  return {
    points,
    x,
    y,
    path: points
      .map(
        (point, index) => `${index === 0 ? 'M' : 'L'}${x(point.value).toFixed(1)},${y(point.gap).toFixed(1)}`,
      )
      .join(''),
    most,
  }
}
const charts = computed(() => list.value.slice(0, 2).map((turning) => ({ turning, drawn: chart(turning) })))
const card = reactive({
  name: 'a card not sold yet',
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
  <section aria-label="turning points">
    <div class="sheet p-3">
      <h2>
        Where the verdict turns against {{ against.machine.name }}
        <span class="font-normal text-soft">now: {{ winnerName[against.verdict!.winner] }}</span>
      </h2>
      <table class="ledger mt-1">
        <thead>
          <tr>
            <th>figure</th>
            <th class="!text-right">today</th>
            <th>turns below</th>
            <th>turns above</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="turning in list" :key="turning.id" :data-turning="turning.id">
            <td>{{ turning.name }}</td>
            <td class="amount">{{ show(turning, turning.now) }}</td>
            <td v-for="side in ['below', 'above'] as const" :key="side">
              <template v-if="turning.point[side]"
                ><b class="figures">{{ show(turning, turning.point[side]!.value) }}</b> then
                {{ winnerName[turning.point[side]!.winner] }}</template
              ><span v-else class="text-soft"
                >not
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
      <figure v-for="{ turning, drawn } in charts" :key="turning.id" class="sheet p-3">
        <figcaption class="text-[13px] font-semibold">
          {{ turning.name }}
          <span class="font-normal text-soft"
            >extra cost of {{ against.machine.name }}, like for like, {{ view.currency }}</span
          >
        </figcaption>
        <svg
          :viewBox="`0 0 ${width} ${height}`"
          class="w-full"
          role="img"
          :aria-label="`gap from ${signedAmount(drawn.points[0]!.gap, view.currency)} to ${signedAmount(drawn.points.at(-1)!.gap, view.currency)}; today ${show(turning, turning.now)}`"
        >
          <line x1="62" :x2="width - 18" :y1="drawn.y(0)" :y2="drawn.y(0)" stroke="var(--ink)" />
          <g class="figures" font-size="11" fill="var(--soft)">
            <text x="56" :y="drawn.y(drawn.most) + 4" text-anchor="end">
              {{ signedAmount(Math.round(drawn.most), view.currency).replace(/\.\d\d$/, '') }}
            </text>
            <text x="56" :y="drawn.y(0) + 4" text-anchor="end">0</text>
            <text x="56" :y="drawn.y(-drawn.most) + 4" text-anchor="end">
              {{ signedAmount(-Math.round(drawn.most), view.currency).replace(/\.\d\d$/, '') }}
            </text>
            <text x="62" :y="height - 4">{{ show(turning, turning.range.from) }}</text>
            <text :x="width - 18" :y="height - 4" text-anchor="end">
              {{ show(turning, turning.range.to) }}
            </text>
          </g>
          <path :d="drawn.path" fill="none" stroke="var(--series-3)" stroke-width="2" />
          <line
            :x1="drawn.x(turning.now)"
            :x2="drawn.x(turning.now)"
            y1="8"
            :y2="height - 20"
            stroke="var(--ink)"
            stroke-dasharray="3 3"
          />
          <text :x="drawn.x(turning.now) + 4" y="16" font-size="11" fill="var(--ink)">today</text>
          <template v-for="side in ['below', 'above'] as const" :key="side">
            <path
              v-if="turning.point[side]"
              :d="`M${drawn.x(turning.point[side]!.value)},${height - 22} l-6,10 h12 z`"
              fill="var(--stop)"
            />
          </template>
        </svg>
      </figure>
    </div>
    <div class="sheet mt-3 p-3">
      <h2>A card not yet sold, or at another price</h2>
      <div class="mt-1 flex flex-wrap items-end gap-3">
        <FormField label="name" class="flex flex-col"
          ><input v-model="card.name" class="field w-44" aria-label="name of the assumed card" /></FormField
        ><FormField
          :label="`price, ${view.currency}`"
          class="flex flex-col"
          :problem="price === null ? 'not an amount' : undefined"
          ><input
            v-model="card.price"
            class="field figures w-24"
            inputmode="decimal"
            aria-label="price of the assumed card"
        /></FormField>
        <FormField label="graphics index" class="flex flex-col"
          ><input
            v-model.number="card.graphicsIndex"
            type="number"
            min="1"
            class="field figures w-20"
            aria-label="index of the assumed card" /></FormField
        ><FormField label="video memory, GB" class="flex flex-col"
          ><input
            v-model.number="card.videoMemoryGb"
            type="number"
            min="1"
            class="field figures w-20"
            aria-label="video memory of the assumed card" /></FormField
        ><FormField label="watts" class="flex flex-col"
          ><input
            v-model.number="card.boardPowerW"
            type="number"
            min="1"
            class="field figures w-20"
            aria-label="watts of the assumed card"
        /></FormField>
      </div>
      <p v-if="assumed" class="mt-2" data-test="assumed-card">
        With it: {{ assumed.weighed.verdict.sentence }}
        <template v-if="assumed.point.above"
          >It would turn above <b class="figures">{{ money(assumed.point.above.value) }}</b>.</template
        ><template v-else-if="assumed.point.below"
          >It would turn below <b class="figures">{{ money(assumed.point.below.value) }}</b>.</template
        ><template v-else>No price of it turns that.</template>
      </p>
      <p v-else class="mt-2 text-waiting">
        Still missing: a machine with a CPU and a graphics card, a price and an index.
      </p>
    </div>
  </section>
</template>
