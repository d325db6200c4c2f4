<script setup lang="ts">
import { rankedRoles } from '#core/parts/indexOfPart'
import { roleNames, type Role } from '#core/parts/part'
import { inUnits } from '#core/money/formatAmount'
import type { WorthRow } from '#shared/prices/views'
import { pricePerPointWorking, stepWorking, worthPriceWorking } from '~/workings/worthWorkings'
import type { Column } from '~/ui/tables/column'
import { amount, percent, shortDate, signedPercent } from '~/utils/show'
import { useCall } from '~/data/useCall'

/** Worth buying: every candidate for a role, as a staircase and as a table, with what the guides say. */
const emit = defineEmits<{ open: [partId: string] }>()
const build = useBuild()
const role = useRouteState('worth', 'graphics')
const { data: worth } = useCall('GET /api/builds/:id/prices/worth/:role', () => ({
  id: build.view!.id,
  role: role.value,
}))
const order = useRouteState('by', 'price')
const selectedId = ref('')
const currency = computed(() => build.view!.currency)

const columns = computed((): Column<WorthRow>[] => {
  const unit = worth.value?.unit ?? 'index'
  const perUnit = `per ${unit === 'index' ? 'pt' : unit}`
  return [
    { key: 'name', name: 'part', class: 'whitespace-nowrap', by: (row) => row.name },
    { key: 'price', name: 'price', isFigure: true, by: (row) => row.price },
    { key: 'index', name: unit, isFigure: true, isLargestFirst: true, by: (row) => row.index },
    { key: 'point', name: perUnit, isFigure: true, by: (row) => row.perPoint },
    { key: 'targets', name: 'targets', isFigure: true, isLargestFirst: true, by: (row) => row.targetRatio },
    { key: 'step', name: 'step', class: 'text-xs whitespace-nowrap' },
    { key: 'buy', name: 'buy', by: (row) => row.later?.advice ?? null },
    { key: 'guides', name: 'guides', class: 'text-xs', by: (row) => row.agreement.verdict },
  ]
})
const rows = computed(() => worth.value?.rows ?? [])
const limits = computed(() =>
  (worth.value?.limits ?? []).map(({ limit, partId }) => ({
    limit,
    row: worth.value!.rows.find((row) => row.partId === partId),
  })),
)
const adviceTone = { buy: 'tag-settled', wait: 'tag-waiting', level: 'tag-info' } as const
const adviceWord = { buy: 'now', wait: 'wait', level: 'either way' } as const
const agreementWord = {
  agree: 'agree',
  mostly: 'mostly',
  split: 'split',
  'one-voice': 'one opinion',
  none: '',
} as const
/** Platform, age and grade in a line. */
const detail = (row: WorthRow) =>
  [
    row.platform,
    row.goesWith === false ? 'does not fit your board' : '',
    row.year === null ? '' : `from ${row.year}`,
    row.how || 'no price',
    row.how.startsWith('a hunt') ? row.grade : '',
    row.way === 'used' && row.fresh !== null ? `new ${amount(row.fresh, currency.value)}` : '',
  ]
    .filter((part) => part)
    .join(' · ')
</script>

<template>
  <section class="min-h-0 flex-1 overflow-y-auto px-4 py-3" aria-label="worth buying">
    <div class="flex flex-wrap items-baseline gap-3">
      <h1>Worth buying</h1>
      <select v-model="role" class="field !min-h-0 !py-0.5" aria-label="role">
        <option v-for="each in rankedRoles" :key="each" :value="each">{{ roleNames[each as Role] }}</option>
      </select>
      <span v-if="worth?.byTargets" class="text-soft"
        >calculated for your targets with {{ worth.besides }}</span
      >
      <span v-else-if="worth" class="text-soft"
        >ranked by {{ worth.unit
        }}{{
          role === 'cpu' || role === 'graphics' ? '; complete the build to rank it by your targets' : ''
        }}</span
      >
    </div>
    <p v-if="!worth" class="mt-3 text-soft" role="status">Calculating…</p>
    <p v-else-if="rows.length === 0" class="mt-3 text-soft">
      No part of this kind has the spec used for ranking.
    </p>
    <template v-else>
      <div class="sheet mt-2 p-3 pb-1">
        <WorthStairs
          :worth="worth"
          :currency="currency"
          :selected="selectedId"
          @select="selectedId = $event"
        />
      </div>
      <p v-if="worth.notRanked.length > 0" class="mt-1 text-waiting">
        Not ranked, no {{ worth.unit }} known: {{ worth.notRanked.slice(0, 5).join(', ')
        }}{{ worth.notRanked.length > 5 ? ` and ${worth.notRanked.length - 5} more` : '' }}.
      </p>
      <p v-if="worth.waitNotes.length > 0" class="mt-1 text-waiting">
        Worth waiting for:
        <template v-for="each in worth.waitNotes" :key="each.id"
          >{{ each.what }}, {{ shortDate(each.expectedOn) }} ({{ each.dropPercent }} %, chance
          {{ percent(each.chance) }})
        </template>
      </p>
      <p class="mt-1 flex flex-wrap gap-x-3 text-[13px]">
        <span class="text-soft">best up to</span
        ><span v-for="each in limits" :key="each.limit"
          ><span class="figures text-soft">{{ amount(each.limit, currency) }}</span>
          {{ each.row?.name ?? '—' }}</span
        >
      </p>
      <DataTable
        v-model:order="order"
        class="mt-2 bg-sheet"
        :columns="columns"
        :rows="rows"
        :row-id="(row) => row.partId"
        :row-class="(row) => ['cursor-pointer', { 'bg-paper': row.partId === selectedId }]"
        :open="selectedId"
        @press="selectedId = selectedId === $event.partId ? '' : $event.partId"
      >
        <template #name="{ row }">
          <span :class="{ 'font-semibold': row.inBuild }">{{ row.name }}</span><span
            class="block text-xs text-soft"
            >{{ detail(row) }}</span
          >
        </template>
        <template #price="{ row }">
          <TheFigure
            v-if="row.price !== null"
            :text="amount(row.price, currency)"
            :working="() => worthPriceWorking(row, currency)"
          /><template v-else>—</template>
        </template>
        <template #point="{ row }">
          <TheFigure
            v-if="row.perPoint !== null"
            :text="inUnits(row.perPoint, currency).toFixed(2)"
            :working="() => pricePerPointWorking(row, worth!.unit, currency)"
          /><template v-else>—</template>
        </template>
        <template #targets="{ row }">
          <template v-if="row.targetRatio === null">—</template
          ><span v-else :class="row.targetRatio >= 1 ? 'text-settled' : 'text-stop'">{{
            percent(row.targetRatio)
          }}</span>
        </template>
        <template #step="{ row }">
          <template v-if="row.step"
            ><TheFigure
              v-if="row.step.added"
              :text="`+${amount(row.step.added.money, currency)} for ${signedPercent(row.step.added.targetPercent ?? row.step.added.indexPercent)}`"
              :working="() => stepWorking(row, worth!, currency)"
            /><template v-else>cheapest</template
            ><span v-if="row.step.surplus" class="tag tag-waiting ml-1 !px-1 !text-[11px]"
              >more than needed</span
            ></template
          ><span
            v-else-if="row.beatenBy"
            class="block max-w-[180px] truncate text-soft"
            :title="`beaten by ${row.beatenBy}`"
            >beaten by {{ row.beatenBy }}</span
          >
        </template>
        <template #buy="{ row }">
          <span
            v-if="row.later"
            class="tag"
            :class="adviceTone[row.later.advice]"
            :title="row.later.reasons.map((reason) => reason.what).join(', ')"
            >{{ adviceWord[row.later.advice] }}</span
          >
        </template>
        <template #guides="{ row }">
          {{ row.agreement.verdict ?? '' }}
          <span class="text-soft">{{ agreementWord[row.agreement.state] }}</span>
        </template>
        <template #below="{ row }">
          <WorthOpinions :row="row" @open="emit('open', row.partId)" />
        </template>
      </DataTable>
    </template>
  </section>
</template>
