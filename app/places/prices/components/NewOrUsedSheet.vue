<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { NewOrUsedRow } from '#shared/prices/views'
import type { Column } from '~/ui/tables/column'
import { newPathWorking, tippingWorking, usedPathWorking } from '~/workings/newOrUsedWorkings'
import { amount } from '~/utils/show'
import { useCall } from '~/data/useCall'

/** New or used for every part still to be bought, as one sheet. */
const emit = defineEmits<{ open: [partId: string] }>()
const build = useBuild()
const { data: rows } = useCall('GET /api/builds/:id/prices/new-or-used', () => ({ id: build.view!.id }))
const currency = computed(() => build.view!.currency)
const words = {
  used: 'used',
  new: 'new',
  'only-used': 'used: no shop sells it',
  'only-new': 'new: no comps',
  'not-known': 'not known',
} as const
/** A hunt of something without comps is a hunt for it new. */
const isHuntedNew = (row: NewOrUsedRow) => row.chosenAs === 'hunt' && row.figures.used === null
const agrees = (row: NewOrUsedRow) =>
  isHuntedNew(row) ||
  (row.figures.advice === 'new' || row.figures.advice === 'only-new'
    ? row.chosenAs === 'new'
    : row.chosenAs !== 'new')
const against = computed(() =>
  (rows.value ?? []).filter((row) => row.figures.advice !== 'not-known' && !agrees(row)),
)
const chosenAs = (row: NewOrUsedRow) => {
  if (row.chosenAs !== 'hunt') return row.chosenAs
  return isHuntedNew(row) ? 'hunt, new' : 'hunt, used'
}
const columns: readonly Column<NewOrUsedRow>[] = [
  { key: 'role', name: 'role', class: 'whitespace-nowrap text-soft', by: (row) => roleNames[row.role] },
  { key: 'part', name: 'part', by: (row) => row.name },
  { key: 'chosen', name: 'chosen as', class: 'whitespace-nowrap', by: chosenAs },
  { key: 'used', name: 'used, total', isFigure: true, by: (row) => row.figures.used?.total ?? null },
  { key: 'fresh', name: 'new, total', isFigure: true, by: (row) => row.figures.fresh?.total ?? null },
  { key: 'advice', name: 'advice', by: (row) => words[row.figures.advice] },
  {
    key: 'margin',
    name: 'difference',
    isFigure: true,
    isLargestFirst: true,
    by: (row) => row.figures.margin,
  },
  { key: 'tips', name: 'break-even', isFigure: true, by: (row) => row.figures.tippingUsedPrice },
  { key: 'sale', name: 'sale', class: 'max-w-[120px] text-xs text-soft' },
]
</script>

<template>
  <section class="min-h-0 flex-1 overflow-y-auto px-4 py-3" aria-label="new or used">
    <h1>New or used, for the whole build</h1>
    <p class="text-soft">
      Parts still to buy: street price at your patience ({{ build.view!.houseRules.patience ?? 'typical' }})
      plus fault risk, against the cheapest shop price landed minus the value of its warranty.
    </p>
    <p v-if="!rows" class="mt-3 text-soft" role="status">Calculating…</p>
    <p v-else-if="rows.length === 0" class="mt-3 text-soft">
      Everything is bought or owned. Parts appear here when you choose leads or set hunts.
    </p>
    <template v-else>
      <p v-if="against.length > 0" class="mt-2">
        <span class="tag tag-waiting">{{ against.length }} chosen the other way, by you</span>
        {{ against.map((row) => row.name).join(', ') }}
      </p>
      <DataTable class="mt-2 bg-sheet" :columns="columns" :rows="rows" :row-id="(row) => row.partId">
        <template #part="{ row }">
          <button
            type="button"
            class="text-left whitespace-nowrap hover:underline"
            @click="emit('open', row.partId)"
          >
            {{ row.name }}</button><span class="block text-xs text-soft"
            >{{ row.grade }}<template v-if="row.offer"> · {{ row.offer.source }}</template></span
          >
        </template>
        <template #used="{ row }">
          <TheFigure
            v-if="row.figures.used"
            :text="amount(row.figures.used.total, currency)"
            :working="() => usedPathWorking(row.name, row.figures, currency)"
          /><template v-else>—</template>
        </template>
        <template #fresh="{ row }">
          <TheFigure
            v-if="row.figures.fresh"
            :text="amount(row.figures.fresh.total, currency)"
            :working="() => newPathWorking(row.name, row.figures, currency)"
          /><template v-else>—</template>
        </template>
        <template #advice="{ row }">
          <span class="tag" :class="agrees(row) ? 'tag-settled' : 'tag-waiting'">{{
            words[row.figures.advice]
          }}</span><span v-if="row.figures.byHouseRule" class="ml-1 text-xs text-soft">your rule</span>
        </template>
        <template #margin="{ row }">
          {{
            row.figures.margin === null
              ? '—'
              : `${row.figures.margin < 0 ? '−' : '+'}${amount(Math.abs(row.figures.margin), currency)}`
          }}
        </template>
        <template #tips="{ row }">
          <TheFigure
            v-if="row.figures.tippingUsedPrice !== null"
            :text="amount(row.figures.tippingUsedPrice, currency)"
            :working="() => tippingWorking(row.name, row.figures, currency)"
          /><template v-else>—</template>
        </template>
        <template #sale="{ row }">
          <template v-if="row.newLater && row.newLater.reasons.length > 0">{{
            row.newLater.reasons[0]!.what
          }}</template><template v-else>—</template>
        </template>
      </DataTable>
    </template>
  </section>
</template>
