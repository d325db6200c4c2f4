<script setup lang="ts">
import Papa from 'papaparse'
import type { LineProblem } from '#core/reading/tables/columns'
import type { Role } from '#core/parts/part'
import { partOfSales } from '~/places/pastes/state/salesOfParts'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** What came of an import: rejected rows to put right in place, and parts that could be made of its titles. */
const { report, header, currency } = defineProps<{
  report: {
    readonly import: number
    readonly added: number
    readonly alreadyThere: number
    readonly rejected: number
    readonly problems: readonly LineProblem[]
  }
  header: readonly string[]
  currency: string
}>()
const emit = defineEmits<{ again: [lines: string]; done: [] }>()
const { run, busy } = useAction()
const count = (value: number) => value.toLocaleString('en')
const most = 50
const rows = ref(
  report.problems.slice(0, most).map(({ line, reason, cells, raw }) => ({
    line,
    reason,
    cells: cells ? header.map((_, at) => cells[at] ?? '') : null,
    raw,
    isTouched: false,
  })),
)
const touched = computed(() => rows.value.filter(({ isTouched, cells }) => isTouched && cells))
const again = () =>
  emit('again', Papa.unparse([[...header], ...touched.value.map(({ cells }) => [...cells!])]))

const { data: proposals } = useCall('GET /api/prices/sold-records/proposals', () =>
  report.added === 0 ? null : { import: report.import, currency },
)
const wanted = ref(new Map<number, Role>())
async function make() {
  const parts = [...wanted.value].map(([at, role]) => partOfSales(proposals.value!.sales[at]!, role))
  let paste = 0
  await run(
    async () => {
      const kept = await call('POST /api/pastes/keep', {}, { parts })
      paste = kept.paste
      wanted.value = new Map()
    },
    {
      message: `${parts.length} ${parts.length === 1 ? 'part' : 'parts'} created`,
      undo: () => call('POST /api/pastes/undo', {}, { paste }),
    },
  )
}
async function takeBack() {
  const done = await run(() => call('POST /api/pastes/undo', {}, { paste: report.import }), {
    message: 'import undone',
  })
  if (done) emit('done')
}
</script>

<template>
  <p class="mt-3 text-[15px]" role="status" data-test="import-report">
    <b class="figures">{{ count(report.added) }}</b> added,
    <b class="figures">{{ count(report.alreadyThere) }}</b> already there,
    <b class="figures" :class="{ 'text-stop': report.rejected > 0 }">{{ count(report.rejected) }}</b>
    rejected.
  </p>
  <section v-if="rows.length > 0" class="mt-3" aria-label="rejected rows">
    <h2>Rejected: correct them and import again</h2>
    <div class="mt-1 max-h-72 overflow-auto">
      <table class="ledger text-xs">
        <thead>
          <tr>
            <th>line</th>
            <th>reason</th>
            <th v-for="(name, at) in header" :key="at">{{ name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.line" :class="{ 'bg-settled-ground': row.isTouched }">
            <td class="amount">{{ row.line }}</td>
            <td class="min-w-40">{{ row.reason }}</td>
            <template v-if="row.cells"
              ><td v-for="(_, at) in header" :key="at">
                <input
                  v-model="row.cells[at]"
                  class="field w-32 !py-0.5"
                  :aria-label="`${header[at]} of line ${row.line}`"
                  @input="row.isTouched = true"
                /></td
            ></template>
            <td v-else :colspan="header.length" class="text-soft">{{ row.raw }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="report.rejected > rows.length" class="text-xs text-soft">
      The first {{ rows.length }} of {{ count(report.rejected) }}.
    </p>
    <button type="button" class="button mt-2" :disabled="touched.length === 0" @click="again">
      Import {{ touched.length === 0 ? 'corrected rows' : touched.length }} again
    </button>
  </section>
  <section v-if="proposals && proposals.sales.length > 0" class="mt-4" aria-label="new parts found">
    <h2>Not in your library yet</h2>
    <p class="text-xs text-soft">
      Similar titles in the newest {{ count(proposals.looked) }} of {{ count(proposals.of) }} records.
    </p>
    <SalesOfTable v-model="wanted" :sales="proposals.sales" :titles="proposals.titles" :currency="currency" />
    <button type="button" class="button mt-2" :disabled="busy || wanted.size === 0" @click="make">
      Create {{ wanted.size === 0 ? 'selected' : wanted.size }} {{ wanted.size === 1 ? 'part' : 'parts' }}
    </button>
  </section>
  <div class="mt-4 flex gap-3">
    <button type="button" class="button button-main" @click="emit('done')">Done</button
    ><button v-if="report.added > 0" type="button" class="button" :disabled="busy" @click="takeBack">
      Undo import
    </button>
  </div>
</template>
