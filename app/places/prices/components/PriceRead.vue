<script setup lang="ts">
import type { PriceView } from '#shared/prices/views'
import { gapWorking, mannerWorking, trendWorking } from '~/workings/priceWorkings'
import { amount, shortDate, signedPercent } from '~/utils/show'
import type { Brush } from '../state/brush'

/** Read: the picture and how it moves; below it one leaf at a time: how long to wait, new or used, what was written down. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{
  hunt: [price: number]
  lookout: [price: number]
  brush: [region: Brush]
  pick: [id: number]
  catchShare: [share: number]
  loosen: [change: Partial<PriceView['query']>]
}>()
const leaf = useRouteState('leaf', 'wait')
const leaves = [
  ['wait', 'How long to wait'],
  ['new', 'New or used'],
  ['notes', 'History and notes'],
] as const
</script>

<template>
  <div class="@container flex flex-1 flex-col gap-2">
    <div class="grid shrink-0 grid-cols-[minmax(0,1fr)_240px] gap-3 @max-3xl:grid-cols-[minmax(0,1fr)]">
      <div class="sheet p-3 pb-1">
        <DotsChart :view="view" :height="196" @brush="emit('brush', $event)" @pick="emit('pick', $event)" />
      </div>
      <div class="sheet overflow-y-auto p-3 text-[13px]">
        <h2>Trend</h2>
        <p v-if="view.trend">
          <b :class="view.trend.direction === 'unclear' ? 'text-soft' : 'text-settled'">{{
            view.trend.direction === 'unclear' ? 'no clear direction' : view.trend.direction
          }}</b>
          <TheFigure :text="signedPercent(view.trend.percentPer30Days)" :working="() => trendWorking(view)" />
          per month
          <span class="text-soft"
            >({{ signedPercent(view.trend.low) }} to {{ signedPercent(view.trend.high) }})</span
          >
        </p>
        <p v-else class="text-soft">too few records</p>
        <p v-if="view.change" class="text-soft">
          since the price saved on {{ shortDate(view.change.since) }}:
          <b class="figures text-ink">{{ signedPercent(view.change.percent) }}</b>
        </p>
        <h2 class="mt-2">Sale type</h2>
        <p v-for="each in view.byManner" :key="each.manner" class="flex justify-between">
          <span
            >{{ each.manner }} <span class="text-soft">{{ each.count }}</span></span
          ><TheFigure
            :text="amount(each.typical, view.currency)"
            :working="() => mannerWorking(view, each.manner)"
          />
        </p>
        <p v-if="view.byManner.length === 0" class="text-soft">no sale type with three comps</p>
        <p v-if="view.gap" class="flex justify-between">
          <span>local vs online</span
          ><TheFigure :text="signedPercent(view.gap.percent)" :working="() => gapWorking(view)" />
        </p>
        <template v-if="view.loosen.length > 0">
          <h2 class="mt-2">To get more comps</h2>
          <p v-for="each in view.loosen.slice(0, 3)" :key="each.change" class="flex justify-between gap-2">
            <button type="button" class="quiet-button text-left" @click="emit('loosen', each.query)">
              {{ each.change }}</button><span class="figures shrink-0 text-soft"
              >+{{ each.more }}, {{ each.grade }}</span
            >
          </p>
        </template>
      </div>
    </div>
    <div class="flex shrink-0 gap-4 border-b border-line" role="tablist" aria-label="price sections">
      <button
        v-for="[key, name] in leaves"
        :key="key"
        type="button"
        role="tab"
        class="-mb-px border-b-2 px-1 py-1"
        :class="leaf === key ? 'border-ink font-semibold' : 'border-transparent text-soft'"
        :aria-selected="leaf === key"
        @click="leaf = key"
      >
        {{ name }}
      </button>
    </div>
    <WaitLeaf
      v-if="leaf === 'wait'"
      :key="view.partId"
      :view="view"
      @hunt="emit('hunt', $event)"
      @lookout="emit('lookout', $event)"
      @catch-share="emit('catchShare', $event)"
    />
    <NewUsedLeaf v-else-if="leaf === 'new'" :view="view" />
    <NotesLeaf v-else :view="view" />
  </div>
</template>
