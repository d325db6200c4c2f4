<script setup lang="ts">
import { noEstimate } from '#core/performance/model/noEstimate'
import { roleNames } from '#core/parts/part'
import { targetRatio } from '#core/performance/model/judgeTarget'
import type { BuildStrip } from '#shared/builds/views'
import { leftWorking, totalWorking } from '~/workings/receiptWorkings'
import { amount, longDate } from '~/utils/show'

/** A build as a strip: its receipt foot, its weakest target, its next step. */
const { strip, variants } = defineProps<{ strip: BuildStrip; variants: readonly BuildStrip[] }>()
const emit = defineEmits<{ remove: [] }>()
const weakest = computed(
  () =>
    strip.targets
      .filter((target) => target.estimate)
      .sort((a, b) => targetRatio(a.estimate!, a) - targetRatio(b.estimate!, b))[0],
)
const verdictTone = { met: 'tag-settled', narrow: 'tag-waiting', missed: 'tag-stop' } as const
const stateTone = { standing: 'tag-settled', sold: 'tag-info', apart: 'tag-waiting' } as const
const next = computed(() => {
  const stop = strip.findings[0]?.what ?? strip.breaches[0]
  if (stop) return `fix: ${stop}`
  if (strip.emptyRoles.length > 0) return `find a ${roleNames[strip.emptyRoles[0]!]}`
  return 'compare it with rivals'
})
</script>

<template>
  <article class="sheet">
    <div class="flex gap-6 p-4">
      <div class="min-w-0 flex-1">
        <h2 class="!text-base">
          <NuxtLink :to="`/b/${strip.id}/machine`" class="hover:underline">{{ strip.name }}</NuxtLink>
          <span v-if="strip.state !== 'planned'" class="tag" :class="stateTone[strip.state]">{{
            strip.state
          }}</span>
        </h2>
        <p class="text-soft">
          {{ strip.purpose }}<template v-if="strip.wantedBy"> · due {{ longDate(strip.wantedBy) }}</template>
        </p>
        <p v-if="strip.state === 'sold'" class="mt-2">
          sold for
          <b class="figures">{{ amount(strip.receipt.account.sale.amount, strip.currency) }}</b> net, profit
          <b class="figures">{{ amount(strip.receipt.account.profit?.amount ?? null, strip.currency) }}</b>
        </p>
        <p v-else-if="strip.state === 'apart'" class="mt-2 text-soft">
          parted out; its parts are on the shelf
        </p>
        <p v-else class="mt-2"><span class="text-soft">next: </span>{{ next }}</p>
      </div>
      <div v-if="weakest?.estimate" class="w-64 shrink-0">
        <div class="text-xs text-soft">weakest target</div>
        <div>
          {{ weakest.workload }} <span class="text-soft">{{ weakest.height }}p {{ weakest.preset }}</span>
        </div>
        <div class="mt-0.5">
          <span class="figures">{{ Math.round(weakest.estimate.averageFps) }}</span>
          <span class="text-soft">of {{ weakest.averageFps }} fps</span>
          <span v-if="weakest.verdict" class="tag" :class="verdictTone[weakest.verdict]">{{
            weakest.verdict
          }}</span>
          <div v-if="weakest.heat" class="text-xs text-stop">{{ weakest.heat }}</div>
        </div>
      </div>
      <div
        v-else-if="strip.state === 'planned' || strip.state === 'standing'"
        class="w-64 shrink-0 text-soft"
      >
        {{ noEstimate(strip.targets) }}
      </div>
    </div>
    <div class="flex items-center gap-6 border-t border-dashed border-line px-4 py-2">
      <div class="leading-tight">
        <div class="text-[11px] text-soft">total</div>
        <TheFigure
          :text="amount(strip.receipt.totals.payNow, strip.currency)"
          :working="() => totalWorking(strip.receipt, 'payNow')"
          strong
        />
      </div>
      <div class="leading-tight">
        <div class="text-[11px] text-soft">expected total</div>
        <TheFigure
          :text="amount(strip.receipt.totals.expected, strip.currency)"
          :working="() => totalWorking(strip.receipt, 'expected')"
        />
      </div>
      <BudgetBar :receipt="strip.receipt" />
      <div class="leading-tight">
        <div class="text-[11px] text-soft">{{ (strip.receipt.left ?? 0) < 0 ? 'over' : 'left' }}</div>
        <TheFigure
          :text="amount(strip.receipt.left, strip.currency)"
          :working="() => leftWorking(strip.receipt)"
          :class="(strip.receipt.left ?? 0) < 0 ? 'text-stop' : 'text-settled'"
        />
      </div>
      <button type="button" class="quiet-button ml-auto" @click="emit('remove')">archive</button>
    </div>
    <p
      v-for="variant in variants"
      :key="variant.id"
      class="flex items-baseline gap-4 border-t border-dashed border-line px-4 py-1"
    >
      <NuxtLink :to="`/b/${variant.id}/machine`" class="min-w-0 truncate hover:underline">{{
        variant.name
      }}</NuxtLink><span class="tag tag-info">variant</span
      ><span class="figures ml-auto"
        >{{ amount(variant.receipt.totals.payNow, variant.currency) }} {{ variant.currency }}</span
      ><span
        class="figures w-36 text-right"
        :class="(variant.receipt.left ?? 0) < 0 ? 'text-stop' : 'text-soft'"
        >{{ amount(variant.receipt.left, variant.currency) }} left</span
      >
    </p>
  </article>
</template>
