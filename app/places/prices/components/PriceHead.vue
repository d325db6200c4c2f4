<script setup lang="ts">
import { markNames, marks } from '#core/pricing/street/marks'
import { formatWhole } from '#core/money/formatAmount'
import type { PriceView } from '#shared/prices/views'
import { gradeWorking, markWorking } from '~/workings/priceWorkings'
import { amount } from '~/utils/show'

/** The three marks, the grade and the price rule of a part. */
const { view } = defineProps<{ view: PriceView }>()
const gradeTone = { solid: 'tag-settled', usable: 'tag-info', thin: 'tag-waiting', none: 'tag-stop' } as const
</script>

<template>
  <div class="@container">
    <div class="flex items-start gap-3">
      <div class="min-w-0">
        <h1 class="truncate">{{ view.name }}</h1>
        <p class="text-soft">
          {{ view.query.conditions.join(', ') }} · {{ view.currency }} · as of {{ view.asOf }}
          <span class="tag" :class="gradeTone[view.grade]">{{ view.grade }}</span>
          <template v-if="view.standsFor"
            >priced as
            <NuxtLink :to="{ query: { part: view.standsFor.partId } }" class="underline">{{
              view.standsFor.name
            }}</NuxtLink>, the cheapest matching part in your library</template
          ><TheFigure
            v-else
            :text="`${view.kept} of ${view.records.length} records counted`"
            :working="() => gradeWorking(view)"
            class="!font-sans"
          />
        </p>
      </div>
      <div class="ml-auto flex shrink-0 gap-2"><slot /></div>
    </div>
    <div v-if="view.marks" class="mt-1 flex items-end gap-8">
      <div v-for="mark in marks" :key="mark" class="leading-tight">
        <div class="text-xs text-soft">
          {{ markNames[mark]
          }}<template v-if="mark === 'typical' && view.interval"
            >, {{ formatWhole(view.interval.low, view.currency) }} to
            {{ formatWhole(view.interval.high, view.currency) }}</template
          >
        </div>
        <TheFigure
          class="text-[21px]"
          :class="{ 'text-settled': mark === 'typical' }"
          strong
          :text="amount(view.marks[mark], view.currency)"
          :working="() => markWorking(view, mark)"
          :data-mark="mark"
        />
      </div>
      <div class="ml-auto w-[520px] max-w-[60%] @max-2xl:hidden">
        <PriceRule
          :points="{ marks: view.marks, fresh: view.newPrice, own: view.ownFigure?.amount ?? null }"
          :currency="view.currency"
          size="large"
        />
      </div>
    </div>
    <p v-else-if="view.standsFor === null" class="mt-2 text-waiting">
      Exact model not known, and no matching part in your library has a price: add what you know about it, or
      add prices for similar parts.
    </p>
    <p v-else class="mt-2 text-waiting">
      No comps.
      {{
        view.records.length > 0
          ? 'Every record was left out: check the reasons in Clean up and loosen the query.'
          : 'Import past sales that name it.'
      }}
    </p>
  </div>
</template>
