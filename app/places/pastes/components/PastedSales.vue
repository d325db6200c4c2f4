<script setup lang="ts">
import { minorDigits } from '#core/money/currencies'
import type { Role } from '#core/parts/part'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import type { SaleRead } from '#core/reading/sales/readSales'
import { stateOfTitle, worse } from '#core/reading/sales/stateOf'
import { median } from '#core/statistics/median'
import type { PasteInput } from '#shared/pastes/schemas'
import type { Meanings } from '#shared/sources/schemas'
import type { LibraryView } from '#shared/parts/views'
import type { SalesOf } from '#core/pricing/proposals/salesOf'
import type { PasteReading } from '~/workers/pasteProtocol'
import { labelOfSales, partOfSales } from '../state/salesOfParts'

/** Past sales as they were understood, beside the lines they came from; every cell can be changed before they are kept. */
const { text, reading, library, busy } = defineProps<{
  text: string
  reading: PasteReading
  library: LibraryView
  busy: boolean
}>()
const currency = defineModel<string>('currency', { required: true })
const dayFirst = defineModel<boolean | null>('dayFirst', { required: true })
const emit = defineEmits<{ keep: [input: Partial<PasteInput>, goTo: string | null] }>()
const rows = usePasteDraft(
  'sales',
  reading.sales.records.map((record) => ({ ...record })),
)
const source = ref('')
const onlyDoubtful = ref(false)
const isDoubtful = (row: SaleRead) => row.price === null || row.soldOn === null
const doubtful = computed(() => rows.value.filter(isDoubtful).length)
const shown = computed(() =>
  rows.value
    .map((row, index) => ({ row, index }))
    .filter(({ row }) => !onlyDoubtful.value || isDoubtful(row)),
)
const unread = computed(() => reading.sales.problems.filter(({ code }) => code === 'unread').length)
const asksDays = computed(() =>
  reading.sales.problems.find(
    ({ code, message }) => code === 'ambiguous' && message.startsWith('day or month'),
  ),
)
const asksCurrency = computed(() =>
  reading.sales.problems.find(
    ({ code, message }) => code === 'ambiguous' && message.includes('which currency'),
  ),
)
const unknownValues = computed(() => reading.sales.problems.filter(({ code }) => code === 'unknown-value'))
const otherUnknown = computed(() => unknownValues.value.filter(({ word }) => !word))
/** Words of columns that are not ours, each asked for once, with the rows that have it. */
const unknownWords = computed(() => {
  const asked = new Map<string, { field: 'manner' | 'condition'; said: string; lines: number[] }>()
  for (const { word, line } of unknownValues.value) {
    if (!word) continue
    const key = `${word.field} ${word.said.toLowerCase()}`
    if (!asked.has(key)) asked.set(key, { ...word, lines: [] })
    asked.get(key)!.lines.push(line)
  }
  return [...asked.values()]
})
const meanings = usePasteDraft<Meanings>('meanings', { manner: {}, condition: {} }, reading.sales.problems)
const knownSource = computed(() => library.sources.find(({ name }) => isSame(name, source.value)))
const isSame = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
type Word = (typeof unknownWords.value)[number]
const meant = ({ field, said }: Word): string => meanings.value[field][said] ?? ''
/** Says once what a word means: for all rows that have it, and for the source's next paste. */
function mean({ field, said, lines: at }: Word, value: string) {
  meanings.value = { ...meanings.value, [field]: { ...meanings.value[field], [said]: value } }
  for (const row of rows.value) {
    if (!at.includes(row.lines[0])) continue
    if (field === 'manner') row.manner = value as SaleRead['manner']
    else row.condition = worse(value as SaleRead['condition'], stateOfTitle(row.title))
  }
}
watch([knownSource, unknownWords], () => {
  for (const word of unknownWords.value) {
    const [, known] =
      Object.entries(knownSource.value?.meanings?.[word.field] ?? {}).find(([said]) =>
        isSame(said, word.said),
      ) ?? []
    if (known && meant(word) === '') mean(word, known)
  }
})
/** What the records without a stated shipping count for it: nothing, what is usual in the paste, or they stay out. */
const unstated = ref<'nothing' | 'usual' | 'out'>('nothing')
const usualShipping = computed(() => {
  const stated = rows.value.flatMap(({ shipping }) => (shipping === null ? [] : [Number(shipping)]))
  return stated.length === 0 ? null : median(stated).toFixed(minorDigits(currency.value))
})
const withoutShipping = computed(() => rows.value.filter((row) => row.shipping === null).length)
/** The line under the hand, and the row it belongs to. */
const pointed = ref(-1)
const lines = computed(() =>
  text
    .split(/\r\n|\r|\n/)
    .slice(0, 400)
    .map((line, index) => ({
      line,
      row: rows.value.findIndex(({ lines: [from, to] }) => index + 1 >= from && index + 1 <= to),
    })),
)
/** Which proposals become parts, under which role. */
const wanted = ref(new Map<number, Role>())
const titles = reading.sales.records.map(({ title }) => title)
const proposals = computed(() => reading.of)

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
    : [...wanted.value].map(([index, role]) => partOfSales(proposals.value[index]!, role))
  const first = made[0]?.id ?? proposals.value.find((each) => each.partId !== null)?.partId
  emit(
    'keep',
    {
      source: { name: source.value.trim() || 'Past sales', kind: 'auction', currency: currency.value },
      sales: sales(),
      parts: made,
      meanings: unknownWords.value.some((word) => meant(word) !== '') ? meanings.value : null,
    },
    first ? `prices?part=${first}` : 'prices',
  )
}
const best = computed(() => proposals.value.find((each) => each.partId === null))
</script>

<template>
  <div class="grid min-h-0 flex-1 grid-cols-[320px_minmax(0,1fr)] max-md:grid-cols-1">
    <section
      class="min-h-0 overflow-y-auto border-r border-line px-4 py-3 max-md:hidden"
      aria-label="as copied"
    >
      <h3 class="font-semibold">As copied</h3>
      <p
        v-for="(each, index) in lines"
        :key="index"
        class="figures truncate border-l-4 px-2 text-xs"
        :class="[
          each.row < 0 ? 'border-transparent text-soft' : each.row % 2 ? 'border-settled' : 'border-info',
          each.row >= 0 && each.row === pointed ? 'bg-info-ground' : '',
        ]"
      >
        {{ each.line || '\u00a0' }}
      </p>
    </section>
    <section class="min-h-0 overflow-y-auto px-5 py-3" aria-label="as understood">
      <div class="flex flex-wrap items-center gap-3">
        <span class="tag tag-settled"
          >{{ rows.length }} {{ rows.length === 1 ? 'record' : 'records' }} read</span
        ><span v-if="doubtful > 0" class="tag tag-waiting"
          >{{ doubtful }} doubtful: they are left out until they are put right</span
        ><span v-if="unread > 0" class="text-soft">{{ unread }} lines that belong to nothing</span>
        <label v-if="doubtful > 0" class="flex gap-1"
          ><input v-model="onlyDoubtful" type="checkbox" />doubtful only</label
        >
        <SourceField v-model="source" label="sold at" :sources="library.sources" class="ml-auto" />
        <PasteCurrency v-model="currency" />
      </div>
      <p v-if="asksDays" class="mt-2 border-l-4 border-waiting bg-waiting-ground p-2">
        Day or month first in “{{ asksDays.raw }}”?
        <button type="button" class="button !py-0.5" @click="dayFirst = true">the day</button>
        <button type="button" class="button !py-0.5" @click="dayFirst = false">the month</button>
      </p>
      <p v-if="asksCurrency" class="mt-2 border-l-4 border-waiting bg-waiting-ground p-2">
        {{ asksCurrency.message }} Write its code in the field “in” above.
      </p>
      <p
        v-for="word in unknownWords.slice(0, 12)"
        :key="`${word.field} ${word.said}`"
        class="mt-2 border-l-4 border-waiting bg-waiting-ground p-2"
      >
        {{ word.field === 'manner' ? 'Manner' : 'State' }} “{{ word.said }}” in {{ word.lines.length }}
        {{ word.lines.length === 1 ? 'row' : 'rows' }} means
        <select
          class="field"
          :value="meant(word)"
          :aria-label="`what ${word.said} means`"
          @change="mean(word, ($event.target as HTMLSelectElement).value)"
        >
          <option value="" disabled>
            not said: counts as {{ word.field === 'manner' ? 'fixed' : 'used' }}
          </option>
          <option v-for="each in word.field === 'manner' ? manners : conditions" :key="each" :value="each">
            {{ each }}
          </option>
        </select>
        <span v-if="meant(word)" class="text-soft">remembered with the source</span>
      </p>
      <p v-for="each in otherUnknown.slice(0, 3)" :key="each.line" class="mt-2 text-waiting">
        line {{ each.line }}: {{ each.message }}
      </p>
      <table class="ledger mt-2">
        <thead>
          <tr>
            <th>title</th>
            <th class="!text-right">price</th>
            <th class="!text-right">shipping</th>
            <th>sold on</th>
            <th>manner</th>
            <th>state</th>
            <th><span class="sr-only">leave out</span></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="{ row, index } in shown.slice(0, 200)"
            :key="index"
            :class="{ 'bg-waiting-ground': isDoubtful(row) }"
            @mouseenter="pointed = index"
          >
            <td class="w-full max-w-0">
              <input
                v-model="row.title"
                class="field w-full !border-transparent"
                :aria-label="`title ${index + 1}`"
              />
            </td>
            <td>
              <input
                :value="row.price ?? ''"
                class="field figures w-20 text-right"
                :placeholder="row.price === null ? 'price?' : ''"
                :aria-label="`price ${index + 1}`"
                @change="row.price = ($event.target as HTMLInputElement).value.trim() || null"
              />
            </td>
            <td>
              <input
                :value="row.shipping ?? ''"
                class="field figures w-16 text-right"
                placeholder="—"
                :aria-label="`shipping ${index + 1}`"
                @change="row.shipping = ($event.target as HTMLInputElement).value.trim() || null"
              />
            </td>
            <td>
              <input
                :value="row.soldOn ?? ''"
                class="field figures w-28"
                placeholder="which day?"
                :aria-label="`sold on ${index + 1}`"
                @change="row.soldOn = ($event.target as HTMLInputElement).value.trim() || null"
              />
            </td>
            <td>
              <select v-model="row.manner" class="field" :aria-label="`manner ${index + 1}`">
                <option v-for="each in manners" :key="each" :value="each">{{ each }}</option>
              </select>
            </td>
            <td>
              <select v-model="row.condition" class="field" :aria-label="`state ${index + 1}`">
                <option :value="null">used, not said</option>
                <option v-for="each in conditions" :key="each" :value="each">{{ each }}</option>
              </select>
            </td>
            <td>
              <button
                type="button"
                class="quiet-button"
                :aria-label="`leave out ${index + 1}`"
                @click="rows.splice(index, 1)"
              >
                ×
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="withoutShipping > 0" class="mt-1 text-xs text-soft">
        {{ withoutShipping }} without stated shipping:
        <select v-model="unstated" class="field" aria-label="without stated shipping">
          <option value="nothing">it counts as nothing</option>
          <option v-if="usualShipping !== null" value="usual">
            it counts as {{ usualShipping }}, the middle of this paste
          </option>
          <option value="out">they are left out</option>
        </select>
      </p>
      <template v-if="proposals.length > 0">
        <h3 class="mt-4 font-semibold">What they are sales of</h3>
        <SalesOfTable v-model="wanted" :sales="proposals" :titles="titles" :currency="currency" />
      </template>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button
          v-if="best && wanted.size === 0"
          type="button"
          class="button button-main"
          :disabled="busy || good.length === 0"
          @click="keep(best)"
        >
          Keep {{ good.length }} and make {{ labelOfSales(best) }} a part</button
        ><button
          type="button"
          class="button"
          :class="{ 'button-main': !best || wanted.size > 0 }"
          :disabled="busy || good.length === 0"
          @click="keep()"
        >
          Keep {{ good.length }} {{ good.length === 1 ? 'record' : 'records'
          }}<template v-if="wanted.size > 0">
            and {{ wanted.size }} {{ wanted.size === 1 ? 'part' : 'parts' }}</template
          ></button
        ><span class="text-soft">nothing is stored before; one undo takes it all back</span>
      </div>
    </section>
  </div>
</template>
