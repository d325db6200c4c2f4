<script setup lang="ts">
import { minorDigits } from '#core/money/currencies'
import type { Role } from '#core/parts/part'
import type { SaleRead } from '#core/reading/sales/saleRead'
import { median } from '#core/statistics/median'
import type { PasteInput } from '#shared/pastes/schemas'
import type { SalesOf } from '#core/pricing/proposals/salesOf'
import type { Pasted, PasteSaid } from '../state/preview'
import { labelOfSales, partOfSales } from '../state/salesOfParts'
import { useColumnWords } from '../state/useColumnWords'
import { useDoubles } from '../state/useDoubles'

/** Past sales as they were understood, beside the lines they came from; every cell can be changed before they are kept. */
const { paste } = defineProps<{ paste: Pasted<'sales'> }>()
const emit = defineEmits<{
  keep: [input: Partial<PasteInput>, goTo: string | null, told?: string]
  say: [said: PasteSaid]
}>()
const {
  seen,
  library,
  read: { sales: read, of: proposals },
} = paste
const rows = usePasteDraft(
  'sales',
  read.records.map((record) => ({ ...record })),
)
const source = ref('')
const onlyDoubtful = ref(false)
const isDoubtful = (row: SaleRead) => row.price === null || row.soldOn === null
const doubtful = computed(() => rows.value.filter(isDoubtful).length)
const unread = computed(() => read.problems.filter(({ code }) => code === 'unread').length)
const isSame = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
const knownSource = computed(() => library.sources.find(({ name }) => isSame(name, source.value)))
const { words, meant, mean, said } = useColumnWords(
  read.problems,
  rows,
  computed(() => knownSource.value?.meanings),
)
const doubles = useDoubles(source, rows)
/** What the records without a stated shipping count for it: nothing, what is usual in the paste, or they stay out. */
const unstated = ref<'nothing' | 'usual' | 'out'>('nothing')
const usualShipping = computed(() => {
  const stated = rows.value.flatMap(({ shipping }) => (shipping === null ? [] : [Number(shipping)]))
  return stated.length === 0 ? null : median(stated).toFixed(minorDigits(paste.currency))
})
const withoutShipping = computed(() => rows.value.filter((row) => row.shipping === null).length)
/** The row under the hand. */
const pointed = ref(-1)
/** Which proposals become parts, under which role. */
const wanted = ref(new Map<number, Role>())
const titles = read.records.map(({ title }) => title)

const good = computed(() =>
  rows.value.filter((row) => !isDoubtful(row) && !(unstated.value === 'out' && row.shipping === null)),
)
function sales(): PasteInput['sales'] {
  return good.value.map(({ lines: _lines, ...row }) => ({
    ...row,
    price: row.price!,
    shipping: row.shipping ?? (unstated.value === 'usual' ? usualShipping.value : null),
    soldOn: row.soldOn!,
    manner: row.manner ?? 'fixed',
    condition: row.condition ?? 'used',
  }))
}
function keep(only?: SalesOf) {
  const made = only
    ? [partOfSales(only, only.group.role ?? 'extra')]
    : [...wanted.value].map(([index, role]) => partOfSales(proposals[index]!, role))
  const first = made[0]?.id ?? proposals.find((each) => each.partId !== null)?.partId
  emit(
    'keep',
    {
      source: { name: source.value.trim() || 'Past sales', kind: 'auction', currency: paste.currency },
      sales: sales(),
      parts: made,
      meanings: said.value,
    },
    first ? `prices?part=${first}` : 'prices',
    first ? undefined : `${good.value.length} saved; no part for them yet`,
  )
}
const best = computed(() => proposals.find((each) => each.partId === null))
</script>

<template>
  <div class="grid min-h-0 flex-1 grid-cols-[260px_minmax(0,1fr)] max-md:grid-cols-1">
    <AsCopied :text="seen" :rows="rows" :pointed="pointed" />
    <section class="min-h-0 overflow-y-auto px-5 py-3" aria-label="what was read">
      <div class="flex flex-wrap items-center gap-3">
        <span class="tag tag-settled"
          >{{ rows.length }} {{ rows.length === 1 ? 'record' : 'records' }} read</span
        ><span v-if="doubtful > 0" class="tag tag-waiting"
          >{{ doubtful }} unclear: left out until corrected</span
        ><span v-if="unread > 0" class="text-soft">{{ unread }} lines not used</span
        ><span v-if="doubles.size > 0" class="tag tag-info"
          >{{ doubles.size }} already saved: not added again</span
        >
        <label v-if="doubtful > 0" class="flex gap-1"
          ><input v-model="onlyDoubtful" type="checkbox" />unclear only</label
        >
        <SourceField v-model="source" label="source" :sources="library.sources" class="ml-auto" />
        <PasteCurrency
          :model-value="paste.currency"
          @update:model-value="emit('say', { currency: $event })"
        />
      </div>
      <SalesQuestions
        :day-first="paste.dayFirst"
        :problems="read.problems"
        :words="words"
        :meant="meant"
        @mean="mean"
        @update:day-first="emit('say', { dayFirst: $event })"
      />
      <SalesRows v-model="rows" :only="onlyDoubtful" :doubles="doubles" @point="pointed = $event" />
      <p v-if="withoutShipping > 0" class="mt-1 text-xs text-soft">
        {{ withoutShipping }} without stated shipping:
        <select v-model="unstated" class="field" aria-label="without stated shipping">
          <option value="nothing">count shipping as zero</option>
          <option v-if="usualShipping !== null" value="usual">
            use {{ usualShipping }}, the median of this paste
          </option>
          <option value="out">leave them out</option>
        </select>
      </p>
      <template v-if="proposals.length > 0">
        <h3 class="mt-4 font-semibold">Parts in these sales</h3>
        <SalesOfTable v-model="wanted" :sales="proposals" :titles="titles" :currency="paste.currency" />
      </template>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button
          v-if="best && wanted.size === 0"
          type="button"
          class="button button-main"
          :disabled="paste.busy || good.length === 0"
          @click="keep(best)"
        >
          Save {{ good.length }} and create {{ labelOfSales(best) }} as a part</button
        ><button
          type="button"
          class="button"
          :class="{ 'button-main': !best || wanted.size > 0 }"
          :disabled="paste.busy || good.length === 0"
          @click="keep()"
        >
          Save {{ good.length }} {{ good.length === 1 ? 'record' : 'records'
          }}<template v-if="wanted.size > 0">
            and {{ wanted.size }} {{ wanted.size === 1 ? 'part' : 'parts' }}</template
          ></button
        ><span class="text-soft">nothing is saved yet; one undo reverts it all</span>
      </div>
    </section>
  </div>
</template>
