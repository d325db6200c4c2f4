<script setup lang="ts">
import { partLabel } from '#core/parts/part'
import { joinScale } from '#core/performance/scores/joinScale'
import type { IndexFact, PasteInput } from '#shared/pastes/schemas'
import { slug } from '#shared/text/slug'
import type { Pasted } from '../state/preview'

/** A table of scores: its names matched to parts, its figures brought onto the scale of the indexes, then kept. */
const { paste } = defineProps<{ paste: Pasted<'scores'> }>()
const emit = defineEmits<{ keep: [input: Partial<PasteInput>, goTo: string | null] }>()
const { read, library } = paste
const part = (id: string) => library.parts.find((each) => each.id === id)
const matched = read.partIds.flatMap((partIds) => (partIds.length === 1 ? [part(partIds[0]!)!] : []))
const fact = ref<IndexFact>(
  matched.filter(({ role }) => role === 'cpu').length * 2 > matched.length ? 'cpuIndex' : 'graphicsIndex',
)
const role = computed(() => (fact.value === 'cpuIndex' ? 'cpu' : 'graphics'))
const column = ref(0)
const lessIsBetter = ref(false)
const agreed = ref(false)
const rows = usePasteDraft(
  'scores',
  read.rows.map((row, at) => {
    const ids = read.partIds[at]!
    return { ...row, partId: ids.length === 1 ? ids[0]! : '', isIn: true }
  }),
)
const candidates = computed(() => library.parts.filter((each) => each.role === role.value))
/** What can be brought onto the scale: a part, a figure, and not left out. */
const used = computed(() =>
  rows.value.flatMap((row) => {
    const score = row.values[column.value]
    const own = candidates.value.find(({ id }) => id === row.partId)
    return own && row.isIn && score ? [{ partId: own.id, score, index: own.facts[fact.value] ?? null }] : []
  }),
)
const twice = computed(() => {
  const ids = used.value.map(({ partId }) => partId)
  return new Set(ids.filter((id, at) => ids.indexOf(id) !== at))
})
const hasScale = computed(() => candidates.value.some(({ facts }) => facts[fact.value] !== undefined))
const base = ref('')
watchEffect(() => {
  if (!used.value.some(({ partId }) => partId === base.value)) base.value = used.value[0]?.partId ?? ''
})
const scale = computed(() =>
  joinScale(used.value, {
    lessIsBetter: lessIsBetter.value,
    base: hasScale.value ? null : base.value,
  }),
)
const valueOf = (partId: string) => scale.value?.values.find((each) => each.partId === partId)
const offBy = (partId: string) => scale.value?.off.find((each) => each.partId === partId)
const percent = (value: number) => `${value > 0 ? '+' : ''}${(100 * value).toFixed(0)} %`
const fresh = computed(() => used.value.filter(({ index }) => index === null))
/** Parts made of rows that match none. */
const makes = ref<Record<number, boolean>>({})
const made = computed(() =>
  rows.value.flatMap((row, at) => {
    const score = row.values[column.value]
    if (row.partId !== '' || !makes.value[at] || !score || !scale.value) return []
    const id = slug(row.name)
    if (library.parts.some((each) => each.id === id)) return []
    const joined = joinScale([...used.value, { partId: id, score, index: null }], {
      lessIsBetter: lessIsBetter.value,
      base: hasScale.value ? null : base.value,
    })
    const index = joined?.values.at(-1)?.index
    return index
      ? [{ id, role: role.value, make: '', name: row.name, facts: { [fact.value]: round(index) } }]
      : []
  }),
)
const round = (value: number) => Math.round(value * 10) / 10
const count = computed(() => fresh.value.length + made.value.length)
const isHeld = computed(() => twice.value.size > 0 || (scale.value?.stretches && !agreed.value))
function keep() {
  emit(
    'keep',
    {
      parts: made.value as PasteInput['parts'],
      indexes: fresh.value.map(({ partId }) => ({
        partId,
        fact: fact.value,
        value: round(valueOf(partId)!.index),
      })),
    },
    null,
  )
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="border-b border-line px-5 py-3">
      <p class="text-soft">
        An index is gaming speed relative to a part you choose, which is 100: a card at 150 draws 50 % more
        frames. CPUs and graphics cards have separate scales.
      </p>
      <div class="mt-2 flex flex-wrap items-center gap-3">
        <label
          >scores of
          <select v-model="fact" class="field" aria-label="what the scores are for">
            <option value="graphicsIndex">graphics cards</option>
            <option value="cpuIndex">CPUs</option>
          </select></label
        ><label v-if="read.columns.length > 1"
          >score column
          <select v-model="column" class="field" aria-label="column of the scores">
            <option v-for="(name, at) in read.columns" :key="at" :value="at">{{ name }}</option>
          </select></label
        ><label><input v-model="lessIsBetter" type="checkbox" /> lower is better</label>
        <label v-if="!hasScale"
          >100 is
          <select v-model="base" class="field" aria-label="the part set to 100">
            <option v-for="each in used" :key="each.partId" :value="each.partId">
              {{ partLabel(part(each.partId)!) }}
            </option>
          </select></label
        >
      </div>
      <p v-if="scale && hasScale" class="mt-2">
        <template v-if="scale.shared === 0">No part in common.</template>
        <template v-else-if="scale.spread === null"
          >Based on {{ scale.shared }} {{ scale.shared === 1 ? 'part' : 'parts' }} in both; the spread is not
          known.</template
        >
        <template v-else
          >Based on {{ scale.shared }} parts in both; half agree within
          {{ percent(scale.spread).replace('+', '') }}.</template
        >
      </p>
      <p v-else-if="hasScale" class="mt-2 text-waiting">
        No part in this table has an index yet, so it cannot be scaled: match a row to a part that has one.
      </p>
      <p v-if="scale?.stretches" class="mt-1 text-waiting">
        This table {{ scale.slope! < 1 ? 'stretches' : 'squeezes' }} differences (slope
        {{ scale.slope!.toFixed(2) }}).
        <label><input v-model="agreed" type="checkbox" /> use anyway</label>
      </p>
    </div>
    <div class="min-h-0 flex-1 overflow-y-auto px-5">
      <table class="ledger w-full">
        <thead>
          <tr>
            <th class="w-12">line</th>
            <th>name in the table</th>
            <th>library part</th>
            <th class="amount">score</th>
            <th class="amount">index now</th>
            <th class="amount">new index</th>
            <th><span class="sr-only">action</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, at) in rows" :key="at" :class="{ 'text-soft': !row.isIn }">
            <td class="figures text-xs text-soft">{{ row.line }}</td>
            <td>{{ row.name }}</td>
            <td>
              <select v-model="row.partId" class="field max-w-64" :aria-label="`part of line ${row.line}`">
                <option value="">not in the library</option>
                <option v-for="each in candidates" :key="each.id" :value="each.id">
                  {{ partLabel(each) }}
                </option></select
              ><label v-if="row.partId === '' && scale" class="ml-2"
                ><input
                  v-model="makes[at]"
                  type="checkbox"
                  :aria-label="`create ${row.name} as a part`"
                />create part</label
              >
            </td>
            <td class="amount">{{ row.values[column] ?? 'none' }}</td>
            <td class="amount">{{ part(row.partId)?.facts[fact] ?? '' }}</td>
            <td class="amount">
              {{ row.isIn && valueOf(row.partId) ? round(valueOf(row.partId)!.index) : '' }}
            </td>
            <td>
              <span v-if="twice.has(row.partId)" class="text-stop">listed twice: leave one out </span>
              <span v-else-if="offBy(row.partId)" class="text-waiting"
                >{{ percent(1 / offBy(row.partId)!.ratio - 1) }} off its index
              </span>
              <span v-else-if="valueOf(row.partId)?.isOdd" class="text-waiting">far off the others </span>
              <span v-else-if="valueOf(row.partId)?.isBeyond" class="text-soft"
                >outside the shared range
              </span>
              <button
                v-if="row.partId !== ''"
                type="button"
                class="quiet-button text-xs"
                @click="row.isIn = !row.isIn"
              >
                {{ row.isIn ? 'leave out' : 'include' }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="read.notRead.length > 0" class="my-2 text-xs text-soft">
        no name or no number: line{{ read.notRead.length === 1 ? '' : 's' }}
        {{ read.notRead.slice(0, 12).join(', ') }}
      </p>
    </div>
    <footer class="border-t border-line px-5 py-3">
      <button
        type="button"
        class="button button-main"
        :disabled="paste.busy || count === 0 || isHeld"
        @click="keep"
      >
        Save {{ count }} {{ count === 1 ? 'index' : 'indexes' }}
      </button>
      <span class="ml-3 text-soft">existing indexes are not changed</span>
    </footer>
  </div>
</template>
