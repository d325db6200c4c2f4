<script setup lang="ts">
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { amount, signedAmount } from '~/utils/show'

/**
 * Frames for money: builds and rivals, as a staircase and a table. Frames are the geometric mean over this build's
 * targets.
 */
const { view, bench } = defineProps<{ view: BuildView; bench: BenchView }>()
const basis = useRouteState('money', 'anyone')
const steps = computed(() => (basis.value === 'paid' ? bench.value.paid : bench.value.anyone))
const nameOf = (id: string | null) => steps.value.find((step) => step.id === id)?.name ?? id ?? ''
const mark = { build: '●', rival: '◆' } as const
const colour = { build: 'var(--series-1)', rival: 'var(--series-2)' } as const
</script>

<template>
  <section class="sheet p-4" aria-label="fps for the money">
    <div class="flex flex-wrap items-center gap-3">
      <h2>
        FPS for the money
        <span class="font-normal text-soft"
          >geometric mean over this build’s targets, against the cost of the core machine in
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
          market price</button
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
      Nothing to compare yet. Add targets in Brief and prices for whole PCs.
    </p>
    <template v-else>
      <ValueFigure :steps="steps" :currency="view.currency" class="mt-2" />
      <p class="mt-1">
        <NuxtLink :to="`/b/${view.id}/plan`" class="underline">What else this money buys: Plan</NuxtLink>
      </p>
      <p v-if="bench.value.leftOut.length > 0" class="mt-1 text-waiting">
        Left out: {{ bench.value.leftOut.join('; ') }}.
      </p>
      <div class="mt-2 max-h-60 overflow-y-auto">
        <table class="ledger">
          <thead class="sticky top-0 bg-sheet">
            <tr>
              <th>machine</th>
              <th class="!text-right">cost</th>
              <th class="!text-right">fps</th>
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
                  ><span class="figures">{{ signedAmount(step.added.money, view.currency) }}</span> +{{
                    step.added.frames.toFixed(1)
                  }}
                  fps at {{ amount(Math.round(step.added.perFrame), view.currency) }} each</template
                ><template v-else>cheapest</template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>
