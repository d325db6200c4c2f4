<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { ColumnMap } from '#core/reading/tables/columns'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import {
  neededSoldRecordFields,
  soldRecordFieldNames,
  soldRecordFields,
  type SoldRecordField,
  type SoldRecordsRead,
} from '#core/files/import/soldRecordsFile'
import ImportReport from './ImportReport.vue'
import { sendFile } from '~/data/call'

/** Import of sold records: file or pasted lines → preview with the mapping → progress → report. */
const { currency } = defineProps<{ currency: string }>()
const emit = defineEmits<{ close: []; done: [] }>()

const file = shallowRef<Blob | string | null>(null)
const fileName = ref('')
const pasted = ref('')
const preview = shallowRef<SoldRecordsRead | null>(null)
const columns = ref<Record<SoldRecordField, number | null> | null>(null)
const defaults = reactive({ source: 'file', currency, manner: 'fixed', condition: 'used' })
const failure = ref('')
const progress = ref<{ done: number; total: number } | null>(null)
const report = shallowRef<InstanceType<typeof ImportReport>['$props']['report'] | null>(null)
let abort: AbortController | null = null

const missing = computed(() =>
  columns.value ? neededSoldRecordFields.filter((field) => columns.value![field] === null) : [],
)
const options = (isPreview: boolean) => ({
  options: JSON.stringify({
    fileName: fileName.value,
    preview: isPreview,
    defaults,
    ...(columns.value ? { columns: columns.value } : {}),
  }),
})

async function take(blob: Blob | string, name: string) {
  file.value = blob
  fileName.value = name
  columns.value = null
  report.value = null
  await look()
}
async function look() {
  failure.value = ''
  try {
    preview.value = (await sendFile(
      'POST /api/prices/sold-records/import',
      options(true),
      file.value!,
    )) as SoldRecordsRead
    columns.value = { ...preview.value.columns }
  } catch (error) {
    preview.value = null
    failure.value = (error as Error).message
  }
}
async function start() {
  failure.value = ''
  progress.value = { done: 0, total: 0 }
  abort = new AbortController()
  try {
    report.value = (await sendFile(
      'POST /api/prices/sold-records/import',
      options(false),
      file.value!,
      (done, total) => (progress.value = { done, total }),
      abort.signal,
    )) as typeof report.value
  } catch (error) {
    failure.value = abort.signal.aborted ? 'cancelled; nothing was saved' : (error as Error).message
  }
  progress.value = null
}
/** The rows that were put right, by the columns that were chosen for the file. */
async function again(lines: string) {
  file.value = lines
  await start()
}
const setColumn = (field: SoldRecordField, value: string) => {
  columns.value = {
    ...columns.value!,
    [field]: value === '' ? null : Number(value),
  } as ColumnMap<SoldRecordField>
}
</script>

<template>
  <Dialog open class="relative z-40" @close="report ? emit('done') : emit('close')">
    <div class="fixed inset-0 bg-ink/25" aria-hidden="true" />
    <DialogPanel
      class="sheet fixed top-14 left-1/2 max-h-[86vh] w-[860px] max-w-[96vw] -translate-x-1/2 overflow-y-auto p-5"
    >
      <DialogTitle as="h1">Import sold records</DialogTitle>
      <p v-if="failure" class="mt-3 text-stop" role="alert">{{ failure }}</p>
      <template v-if="!report">
        <div
          class="mt-3 flex items-start gap-3"
          @dragover.prevent
          @drop.prevent="
            $event.dataTransfer?.files[0] &&
            take($event.dataTransfer.files[0], $event.dataTransfer.files[0].name)
          "
        >
          <label class="button cursor-pointer"
            >Choose a CSV…<input
              type="file"
              class="sr-only"
              data-test="record-file"
              @change="
                ($event.target as HTMLInputElement).files?.[0] &&
                take(
                  ($event.target as HTMLInputElement).files![0]!,
                  ($event.target as HTMLInputElement).files![0]!.name,
                )
              "
          /></label>
          <textarea
            v-model="pasted"
            class="field h-16 flex-1"
            placeholder="or paste rows here, with column names in the first row"
            aria-label="pasted rows"
            @change="pasted.trim() !== '' && take(pasted, 'pasted rows')"
          />
        </div>
        <template v-if="preview && columns">
          <p class="mt-3 text-soft">{{ fileName }}: check which column each field is read from.</p>
          <div class="mt-1 grid grid-cols-[repeat(5,1fr)] gap-x-3 gap-y-2 max-md:grid-cols-2">
            <label v-for="field in soldRecordFields" :key="field" class="text-xs text-soft"
              >{{ soldRecordFieldNames[field] }}<span v-if="neededSoldRecordFields.includes(field)"> *</span>
              <select
                class="field mt-0.5 w-full"
                :value="columns[field] ?? ''"
                :aria-label="`column of ${soldRecordFieldNames[field]}`"
                @change="setColumn(field, ($event.target as HTMLSelectElement).value)"
              >
                <option value="">not in the file</option>
                <option v-for="(name, index) in preview.header" :key="index" :value="index">
                  {{ name || `column ${index + 1}` }}
                </option>
              </select>
            </label>
          </div>
          <div class="mt-3 flex flex-wrap items-center gap-3 text-xs text-soft">
            if the file does not say:
            <label>source <input v-model="defaults.source" class="field !min-h-0 w-28 !py-0.5" /></label
            ><label
              >currency <input v-model="defaults.currency" class="field figures !min-h-0 w-16 !py-0.5"
            /></label>
            <label
              >sale type
              <select v-model="defaults.manner" class="field !min-h-0 !py-0.5">
                <option v-for="each in manners" :key="each">{{ each }}</option>
              </select></label
            >
            <label
              >condition
              <select v-model="defaults.condition" class="field !min-h-0 !py-0.5">
                <option v-for="each in conditions" :key="each">{{ each }}</option>
              </select></label
            >
          </div>
          <div class="mt-3 overflow-x-auto">
            <table class="ledger text-xs">
              <thead>
                <tr>
                  <th v-for="(name, index) in preview.header" :key="index">{{ name }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(row, index) in preview.sample" :key="index">
                  <td v-for="(cell, at) in row" :key="at" class="max-w-56 truncate">{{ cell }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <p v-if="missing.length > 0" class="mt-2 text-waiting">
            Still to choose: {{ missing.map((field) => soldRecordFieldNames[field]).join(', ') }}.
          </p>
        </template>
        <div class="mt-4 flex items-center gap-3">
          <button
            type="button"
            class="button button-main"
            :disabled="!preview || missing.length > 0 || progress !== null"
            @click="start"
          >
            Import
          </button>
          <button v-if="progress" type="button" class="button" @click="abort?.abort()">Cancel</button>
          <button v-else type="button" class="button" @click="emit('close')">Close</button>
          <span v-if="progress" class="figures" role="status"
            >{{ progress.done.toLocaleString('en') }} of {{ progress.total.toLocaleString('en') }}</span
          >
          <progress
            v-if="progress && progress.total > 0"
            :value="progress.done"
            :max="progress.total"
            aria-label="progress of the import"
          />
        </div>
      </template>
      <ImportReport
        v-else
        :key="report.import"
        :report="report"
        :header="preview?.header ?? []"
        :currency="currency"
        @again="again"
        @done="emit('done')"
      />
    </DialogPanel>
  </Dialog>
</template>
