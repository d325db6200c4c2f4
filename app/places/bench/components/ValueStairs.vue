<script setup lang="ts">
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { amount, signedAmount } from '~/utils/show'

/** Frames for money: builds, rivals and what the library makes, as a staircase and a table. Frames are the geometric mean over this build's targets. */
const { view, bench } = defineProps<{ view: BuildView; bench: BenchView }>()
const basis = useRouteState('money', 'anyone')
const steps = computed(() => (basis.value === 'paid' ? bench.value.paid : bench.value.anyone))
const width = 1060
const height = 260
const mostMoney = computed(() => Math.max(1, ...steps.value.map((step) => step.cost)))
const mostFrames = computed(() => Math.max(1, ...steps.value.map((step) => step.frames)))
/** Round figures for the axis. */
const moneyTicks = computed(() => {
  const rough = mostMoney.value / 8
  const step =
    [1000, 2000, 5000, 10_000, 20_000, 50_000, 100_000, 200_000, 500_000].find((each) => each >= rough) ??
    rough
  return Array.from({ length: Math.floor(mostMoney.value / step) }, (_, index) => (index + 1) * step)
})
const frameTicks = computed(() => {
  const step = [5, 10, 20, 30, 60, 120].find((each) => mostFrames.value / each <= 5) ?? 240
  return Array.from({ length: Math.floor(mostFrames.value / step) + 1 }, (_, index) => index * step)
})
const x = (money: number) => 46 + (money / mostMoney.value) * (width - 130)
const y = (frames: number) => 14 + (1 - frames / mostFrames.value) * (height - 46)
const treads = computed(() => steps.value.filter((step) => step.beatenBy === null))
const path = computed(
  () =>
    treads.value
      .map((step, index) =>
        index === 0 ? `M${x(step.cost)},${y(step.frames)}` : `H${x(step.cost)}V${y(step.frames)}`,
      )
      .join('') + (treads.value.length > 0 ? `H${width - 30}` : ''),
)
const named = computed(() => steps.value.filter((step) => step.kind !== 'library'))
const nameOf = (id: string | null) => steps.value.find((step) => step.id === id)?.name ?? id ?? ''
const mark = { build: '●', rival: '◆', library: '·' } as const
const colour = { build: 'var(--series-1)', rival: 'var(--series-2)', library: 'var(--soft)' } as const
</script>

<template>
  <section class="sheet p-4" aria-label="frames for money">
    <div class="flex flex-wrap items-center gap-3">
      <h2>
        Frames for money
        <span class="font-normal text-soft"
          >geometric mean over this build’s targets, by what the machine alone costs in
          {{ view.currency }}</span
        >
      </h2>
      <span class="ml-auto flex gap-1"
        ><button
          type="button"
          class="button !py-0.5"
          :class="{ 'button-main': basis === 'anyone' }"
          :aria-pressed="basis === 'anyone'"
          @click="basis = 'anyone'"
        >
          what anyone can pay</button
        ><button
          type="button"
          class="button !py-0.5"
          :class="{ 'button-main': basis === 'paid' }"
          :aria-pressed="basis === 'paid'"
          @click="basis = 'paid'"
        >
          what I pay
        </button></span
      >
    </div>
    <p v-if="steps.length === 0" class="mt-2 text-soft">
      Nothing to compare yet. Add targets in Brief, and prices for whole machines.
    </p>
    <template v-else>
      <svg
        :viewBox="`0 0 ${width} ${height}`"
        class="mt-2 w-full"
        role="img"
        aria-label="frames by cost; the same figures stand in the table below"
      >
        <g class="figures" font-size="11" fill="var(--soft)">
          <template v-for="frames in frameTicks" :key="frames">
            <line x1="46" :x2="width - 30" :y1="y(frames)" :y2="y(frames)" stroke="var(--line)" />
            <text x="40" :y="y(frames) + 4" text-anchor="end">{{ frames }}</text>
          </template>
          <text v-for="money in moneyTicks" :key="money" :x="x(money)" :y="height - 6" text-anchor="middle">
            {{ amount(money, view.currency).replace(/\.00$/, '') }}
          </text>
        </g>
        <path :d="path" fill="none" stroke="var(--soft)" stroke-width="1.5" />
        <circle
          v-for="step in steps.filter((each) => each.kind === 'library')"
          :key="step.id"
          :cx="x(step.cost)"
          :cy="y(step.frames)"
          r="2.5"
          fill="var(--soft)"
        >
          <title>
            {{ step.name }}: {{ step.frames.toFixed(0) }} fps for {{ amount(step.cost, view.currency) }}
          </title>
        </circle>
        <g v-for="step in named" :key="step.id">
          <path
            v-if="step.kind === 'rival'"
            :d="`M${x(step.cost)},${y(step.frames) - 6} l6,6 l-6,6 l-6,-6 z`"
            :fill="colour.rival"
          />
          <circle v-else :cx="x(step.cost)" :cy="y(step.frames)" r="6" :fill="colour.build" />
          <text
            :x="x(step.cost) + (x(step.cost) > width - 220 ? -10 : 10)"
            :y="y(step.frames) + 15"
            :text-anchor="x(step.cost) > width - 220 ? 'end' : 'start'"
            font-size="12"
            font-weight="600"
            :fill="colour[step.kind]"
            paint-order="stroke"
            stroke="var(--sheet)"
            stroke-width="4"
          >
            {{ step.name }}
          </text>
        </g>
      </svg>
      <p v-if="bench.value.leftOut.length > 0" class="mt-1 text-waiting">
        Left out: {{ bench.value.leftOut.join('; ') }}.
      </p>
      <div class="mt-2 max-h-60 overflow-y-auto">
        <table class="ledger">
          <thead class="sticky top-0 bg-sheet">
            <tr>
              <th>machine</th>
              <th class="!text-right">cost</th>
              <th class="!text-right">frames</th>
              <th class="!text-right">cost per frame</th>
              <th>compared with the step below</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="step in steps"
              :key="step.id"
              :class="{ 'text-soft': step.beatenBy !== null, 'font-semibold': step.id === view.id }"
              :data-value="step.id"
            >
              <td>
                <span :style="{ color: colour[step.kind] }">{{ mark[step.kind] }}</span> {{ step.name }}
              </td>
              <td class="amount">{{ amount(step.cost, view.currency) }}</td>
              <td class="amount">{{ step.frames.toFixed(1) }}</td>
              <td class="amount">{{ amount(Math.round(step.perFrame), view.currency) }}</td>
              <td>
                <template v-if="step.beatenBy">beaten by {{ nameOf(step.beatenBy) }}</template
                ><template v-else-if="step.added"
                  ><span class="figures">{{ signedAmount(step.added.money, view.currency) }}</span> for +{{
                    step.added.frames.toFixed(1)
                  }}
                  fps, {{ amount(Math.round(step.added.perFrame), view.currency) }} each</template
                ><template v-else>the first step</template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>
