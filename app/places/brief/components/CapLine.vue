<script setup lang="ts">
import { capWorking } from '~/workings/capWorkings'
import { amount, percent } from '~/utils/show'
import { useCall } from '~/data/useCall'

/** What the cap buys at today's street prices: the split by which the weakest target gains most, and the next best. */
const build = useBuild()
const { data: cap } = useCall('GET /api/builds/:id/brief/cap', () => ({ id: build.view!.id }))
const money = (value: number) => amount(value, cap.value!.currency)
/** Width of each share of the bar. */
const share = (value: number) => `${(100 * value) / cap.value!.cap}%`
</script>

<template>
  <section class="border-l-4 border-info pl-4" aria-label="what this budget buys">
    <h2>What {{ cap ? money(cap.cap) : 'the budget' }} buys at today’s street prices</h2>
    <p v-if="!cap" class="text-soft" role="status">Calculating…</p>
    <p v-else-if="cap.problem" class="text-waiting">{{ cap.problem }}</p>
    <template v-else>
      <div
        v-for="(split, index) in cap.splits"
        :key="index"
        class="mt-1 grid grid-cols-[72px_minmax(200px,1fr)_2fr] items-center gap-3"
      >
        <span class="text-soft">{{ index === 0 ? 'best split' : 'next best' }}</span>
        <div
          class="flex h-[14px] overflow-hidden border border-line bg-paper"
          role="img"
          :aria-label="`platform ${money(split.base.price)}, card ${money(split.card.price)}, PSU ${money(split.supply?.price ?? 0)}, left ${money(split.left)}`"
        >
          <span class="bg-series-1" :style="{ width: share(split.base.price) }" /><span
            class="bg-series-2"
            :style="{ width: share(split.card.price) }"
          /><span class="bg-series-3" :style="{ width: share(split.supply?.price ?? 0) }" /><span
            class="bg-line"
            :style="{ width: share(cap.needs) }"
          />
        </div>
        <p>
          <b>{{ split.base.name }}</b> platform
          <TheFigure :text="money(split.base.price)" :working="() => capWorking(cap!, split)" /> +
          <b>{{ split.card.name }}</b> <span class="figures">{{ money(split.card.price) }}</span><template
            v-if="split.supply"
          >
            + {{ split.supply.name }} <span class="figures">{{ money(split.supply.price) }}</span></template
          >:
          <span class="tag" :class="split.weakest >= 1 ? 'tag-settled' : 'tag-waiting'"
            >{{ percent(split.weakest) }} of {{ split.weakestTarget }}</span
          >
          <span class="text-soft">{{ money(split.left) }} left</span>
        </p>
      </div>
      <p class="mt-1 text-xs text-soft">
        <span class="text-series-1">■</span> platform <span class="text-series-2">■</span> graphics card
        <span class="text-series-3">■</span> PSU <span class="text-line">■</span> reserved for other missing
        parts, {{ money(cap.needs) }}
      </p>
    </template>
  </section>
</template>
