<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ValidationError } from 'yup'
import type { RivalPage } from '#core/files/import/rivalPage'
import { needNames, needs, partLabel, type Need } from '#core/parts/part'
import { rivalFactNames } from '#core/comparison/components/rivalFacts'
import { rivalSchema } from '#shared/rivals/schemas'
import type { LibraryView } from '#shared/parts/views'
import { problemsByPath } from '~/utils/problems'
import { request, RequestError } from '~/utils/request'
import { blankRival, takePage, type RivalDraft } from '../state/rivalDraft'

/** A machine to weigh against, by form or from the source of a page. An empty fact is "not stated". What is typed is kept until it is saved. */
const { library, today, editing } = defineProps<{
  library: LibraryView
  today: string
  editing: string | null
}>()
const emit = defineEmits<{ close: []; saved: [name: string] }>()
const key = `tarvin-rival-${editing ?? 'new'}`
const stored = localStorage.getItem(key)
const draft = ref<RivalDraft>({ ...blankRival(), ...(stored ? (JSON.parse(stored) as RivalDraft) : {}) })
let ready = editing === null || stored !== null
onMounted(async () => {
  if (!ready) {
    draft.value = { ...blankRival(), ...(await request<RivalDraft>(`/api/rivals/${editing}`)) }
    await nextTick()
    ready = true
  }
})
watch(draft, () => ready && localStorage.setItem(key, JSON.stringify(draft.value)), { deep: true })
const problems = ref<Record<string, string>>({})
const failure = ref('')
const page = ref('')
const quotes = ref<Readonly<Record<string, string>>>({})
async function readPage() {
  failure.value = ''
  try {
    const read = await request<RivalPage>('/api/rivals/page', {
      method: 'POST',
      body: { source: page.value },
    })
    draft.value = takePage(draft.value, read)
    quotes.value = read.quotes
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error)
  }
}
async function save() {
  problems.value = {}
  failure.value = ''
  try {
    const body = rivalSchema.validateSync(draft.value, { abortEarly: false })
    await request(editing ? `/api/rivals/${editing}` : '/api/rivals', {
      method: editing ? 'PUT' : 'POST',
      body,
    })
    localStorage.removeItem(key)
    emit('saved', draft.value.name)
  } catch (error) {
    if (error instanceof ValidationError) {
      problems.value = problemsByPath(error)
      failure.value = error.errors[0] ?? ''
    } else if (error instanceof RequestError) failure.value = error.message
    else throw error
  }
}
const ofRole = (role: string) => library.parts.filter((part) => part.role === role)
const presetsOf = (id: string) => Object.keys(library.workloads.find((each) => each.id === id)?.presets ?? {})
const orNull = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? null : Number(value)
}
const textOrNull = (event: Event) => (event.target as HTMLInputElement).value.trim() || null
const toggleNeed = (need: Need) =>
  (draft.value.brings = draft.value.brings.includes(need)
    ? draft.value.brings.filter((each) => each !== need)
    : [...draft.value.brings, need])
const numbers = [
  ['memoryGb', 'GB'],
  ['memoryModules', 'modules'],
  ['memoryMts', 'MT/s'],
  ['storageGb', 'GB'],
  ['supplyW', 'W'],
] as const
function addRate() {
  const workload = library.workloads[0]
  if (workload)
    draft.value.rates.push({
      workloadId: workload.id,
      width: 1920,
      height: 1080,
      preset: null,
      averageFps: 60,
      lowFps: null,
      note: '',
    })
}
function setSize(index: number, size: string) {
  const [width = 1920, height = 1080] = size.split('x').map(Number)
  Object.assign(draft.value.rates[index]!, { width, height })
}
const isConsole = computed(() => draft.value.kind === 'console')
</script>

<template>
  <Dialog open class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel
      class="fixed inset-x-0 top-8 mx-auto flex max-h-[92vh] w-[1000px] max-w-[96vw] flex-col border border-ink bg-sheet"
    >
      <DialogTitle as="h2" class="border-b border-line px-5 py-3 !text-[15px]">{{
        editing ? draft.name || 'A rival' : 'A machine to weigh against'
      }}</DialogTitle>
      <form novalidate class="min-h-0 flex-1 overflow-y-auto px-5 py-4" @submit.prevent="save">
        <div v-if="!editing" class="mb-3 flex items-start gap-2">
          <textarea
            v-model="page"
            class="field h-14 flex-1"
            placeholder="paste the source of its page: name, price and parts are read from it"
            aria-label="source of the page"
          /><button type="button" class="button" :disabled="page.trim() === ''" @click="readPage">
            Read it
          </button>
        </div>
        <p v-if="Object.keys(quotes).length > 0" class="mb-2 text-soft" data-test="quotes">
          Read: <span v-for="(quote, fact) in quotes" :key="fact" class="tag tag-info mr-1">{{ quote }}</span>
        </p>
        <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
          <FormField label="kind" class="flex flex-col"
            ><select v-model="draft.kind" class="field" aria-label="kind of rival">
              <option value="prebuilt">prebuilt</option>
              <option value="console">console</option>
              <option value="configured">configured by a shop</option>
              <option value="own">own older machine</option>
            </select></FormField
          >
          <FormField label="name" class="flex flex-col" :problem="problems.name"
            ><input v-model="draft.name" class="field w-56" aria-label="name of the rival"
          /></FormField>
          <FormField label="price" class="flex flex-col" :problem="problems.price"
            ><span class="flex gap-1"
              ><input
                v-model="draft.price"
                class="field figures w-24"
                inputmode="decimal"
                aria-label="price of the rival" /><input
                v-model="draft.currency"
                class="field figures w-16"
                aria-label="currency of the rival" /></span
          ></FormField>
          <FormField label="tax, %" class="flex flex-col" :problem="problems.taxPercent"
            ><input
              v-model.number="draft.taxPercent"
              type="number"
              min="0"
              step="0.1"
              class="field figures w-20"
              aria-label="tax of the rival"
          /></FormField>
          <FormField label="delivery" class="flex flex-col" :problem="problems.shipping"
            ><span class="flex items-center gap-2"
              ><input
                v-model="draft.shipping"
                class="field figures w-20"
                inputmode="decimal"
                :disabled="!draft.shippingStated"
                aria-label="shipping of the rival"
              /><label class="text-xs"
                ><input v-model="draft.shippingStated" type="checkbox" /> stated</label
              ></span
            ></FormField
          >
          <FormField label="warranty, months" class="flex flex-col" :problem="problems.warrantyMonths"
            ><input
              :value="draft.warrantyMonths"
              type="number"
              min="0"
              class="field figures w-24"
              placeholder="not stated"
              aria-label="warranty in months"
              @input="draft.warrantyMonths = orNull($event)"
          /></FormField>
        </div>
        <fieldset v-if="!isConsole" class="mt-4">
          <legend class="font-semibold">
            Its parts
            <span class="font-normal text-soft"
              >empty: not stated, a question to its seller, and the cheapest plausible part until
              answered</span
            >
          </legend>
          <div class="mt-1 flex flex-wrap items-end gap-x-3 gap-y-2">
            <FormField label="CPU" class="flex flex-col" :problem="problems.cpuId"
              ><select v-model="draft.cpuId" class="field w-52" aria-label="CPU of the rival">
                <option :value="null">not stated</option>
                <option v-for="part in ofRole('cpu')" :key="part.id" :value="part.id">
                  {{ partLabel(part) }}
                </option>
              </select></FormField
            >
            <FormField label="graphics card" class="flex flex-col" :problem="problems.graphicsId"
              ><select v-model="draft.graphicsId" class="field w-52" aria-label="card of the rival">
                <option :value="null">not stated</option>
                <option v-for="part in ofRole('graphics')" :key="part.id" :value="part.id">
                  {{ partLabel(part) }}
                </option>
              </select></FormField
            >
            <FormField
              v-for="[fact, unit] in numbers"
              :key="fact"
              :label="`${rivalFactNames[fact].name}, ${unit}`"
              class="flex flex-col"
              :problem="problems[`parts.${fact}`]"
              ><input
                :value="draft.parts[fact]"
                type="number"
                min="0"
                class="field figures w-28"
                placeholder="not stated"
                :aria-label="rivalFactNames[fact].name"
                @input="draft.parts[fact] = orNull($event)"
            /></FormField>
            <FormField label="kind of drive" class="flex flex-col"
              ><select v-model="draft.parts.storageKind" class="field" aria-label="kind of drive">
                <option :value="null">not stated</option>
                <option value="nvme">NVMe</option>
                <option value="sata">SATA</option>
                <option value="hdd">hard disk</option>
              </select></FormField
            >
            <FormField label="make of the supply" class="flex flex-col"
              ><input
                :value="draft.parts.supplyMake"
                class="field w-32"
                placeholder="not stated"
                aria-label="make of the supply"
                @input="draft.parts.supplyMake = textOrNull($event)"
            /></FormField>
          </div>
        </fieldset>
        <p class="mt-3">
          It brings:
          <label v-for="need in needs" :key="need" class="mr-4"
            ><input type="checkbox" :checked="draft.brings.includes(need)" @change="toggleNeed(need)" />
            {{ needNames[need] }}</label
          >
        </p>
        <div class="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2">
          <FormField label="wall watts, full and idle" class="flex flex-col"
            ><span class="flex gap-1"
              ><input
                :value="draft.fullW"
                type="number"
                min="0"
                class="field figures w-20"
                placeholder="—"
                aria-label="wall watts at full load"
                @input="draft.fullW = orNull($event)" /><input
                :value="draft.idleW"
                type="number"
                min="0"
                class="field figures w-20"
                placeholder="—"
                aria-label="wall watts idle"
                @input="draft.idleW = orNull($event)" /></span
          ></FormField>
          <FormField label="subscription a year" class="flex flex-col" :problem="problems.subscriptionPerYear"
            ><input
              v-model="draft.subscriptionPerYear"
              class="field figures w-24"
              aria-label="subscription a year"
          /></FormField>
          <FormField label="extra cost of a game" class="flex flex-col" :problem="problems.gameSurcharge"
            ><input
              v-model="draft.gameSurcharge"
              class="field figures w-24"
              aria-label="extra cost of a game"
          /></FormField>
          <FormField label="fetches today" class="flex flex-col" :problem="problems.resaleToday"
            ><input
              :value="draft.resaleToday"
              class="field figures w-24"
              placeholder="by its kind"
              aria-label="what it fetches today"
              @input="draft.resaleToday = textOrNull($event)"
          /></FormField>
          <FormField label="not stated besides" class="flex flex-col"
            ><input
              :value="draft.notStated?.join(', ')"
              class="field w-44"
              placeholder="divided by commas"
              aria-label="not stated"
              @change="
                draft.notStated = ($event.target as HTMLInputElement).value
                  .split(',')
                  .map((each) => each.trim())
                  .filter((each) => each !== '')
              "
          /></FormField>
        </div>
        <div
          v-for="(extra, index) in draft.extras"
          :key="`extra${index}`"
          class="mt-2 flex items-center gap-2"
        >
          brings besides
          <input v-model="extra.label" class="field w-44" :aria-label="`extra ${index + 1}`" /> worth
          <input
            v-model="extra.worth"
            class="field figures w-24"
            :aria-label="`worth of extra ${index + 1}`"
          />
          <button type="button" class="quiet-button" @click="draft.extras.splice(index, 1)">remove</button>
        </div>
        <div
          v-for="(rate, index) in draft.rates"
          :key="`rate${index}`"
          class="mt-2 flex flex-wrap items-center gap-2"
        >
          <select v-model="rate.workloadId" class="field" :aria-label="`workload of result ${index + 1}`">
            <option v-for="each in library.workloads" :key="each.id" :value="each.id">{{ each.name }}</option>
          </select>
          <select
            class="field"
            :value="`${rate.width}x${rate.height}`"
            :aria-label="`resolution of result ${index + 1}`"
            @change="setSize(index, ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="size in ['1280x720', '1920x1080', '2560x1440', '3840x2160']" :key="size">
              {{ size }}
            </option>
          </select>
          <select v-model="rate.preset" class="field" :aria-label="`preset of result ${index + 1}`">
            <option :value="null">a mode of its own</option>
            <option v-for="preset in presetsOf(rate.workloadId)" :key="preset" :value="preset">
              {{ preset }}
            </option>
          </select>
          <input
            v-model.number="rate.averageFps"
            type="number"
            min="1"
            class="field figures w-20"
            :aria-label="`average of result ${index + 1}`"
          />
          fps, low
          <input
            :value="rate.lowFps"
            type="number"
            min="1"
            class="field figures w-20"
            :aria-label="`low of result ${index + 1}`"
            @input="rate.lowFps = orNull($event)"
          />
          <button type="button" class="quiet-button" @click="draft.rates.splice(index, 1)">remove</button>
        </div>
        <div
          v-for="(each, index) in draft.equivalents"
          :key="`equal${index}`"
          class="mt-2 flex flex-wrap items-center gap-2"
        >
          <input
            v-model="each.by"
            class="field w-36"
            placeholder="who says so"
            :aria-label="`who proposes equivalent ${index + 1}`"
          />
          on
          <DateField v-model="each.saidOn" :label="`day of equivalent ${index + 1}`" />
          CPU index
          <input
            v-model.number="each.cpuIndex"
            type="number"
            class="field figures w-20"
            :aria-label="`CPU index of equivalent ${index + 1}`"
          />
          threads
          <input
            v-model.number="each.threads"
            type="number"
            class="field figures w-16"
            :aria-label="`threads of equivalent ${index + 1}`"
          />
          card
          <input
            v-model.number="each.graphicsIndex"
            type="number"
            class="field figures w-20"
            :aria-label="`graphics index of equivalent ${index + 1}`"
          />
          with
          <input
            v-model.number="each.videoMemoryGb"
            type="number"
            class="field figures w-16"
            :aria-label="`video memory of equivalent ${index + 1}`"
          />
          GB
          <button type="button" class="quiet-button" @click="draft.equivalents.splice(index, 1)">
            remove
          </button>
        </div>
        <div class="mt-2 flex gap-2">
          <button type="button" class="button" @click="addRate">Add a stated result</button
          ><button
            v-if="isConsole"
            type="button"
            class="button"
            @click="
              draft.equivalents.push({
                by: '',
                saidOn: today,
                cpuIndex: 100,
                threads: 16,
                graphicsIndex: 100,
                videoMemoryGb: 10,
              })
            "
          >
            Add an equivalent somebody proposes</button
          ><button type="button" class="button" @click="draft.extras.push({ label: '', worth: '0' })">
            Add a wanted extra
          </button>
        </div>
        <FormField label="note" class="mt-3 flex flex-col"
          ><input v-model="draft.note" class="field" aria-label="note on the rival"
        /></FormField>
        <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
        <div class="mt-4 flex gap-3">
          <button type="submit" class="button button-main">
            {{ editing ? 'Save the changes' : 'Add the rival' }}</button><button
            type="button"
            class="button"
            @click="emit('close')"
          >
            Never mind
          </button>
        </div>
      </form>
    </DialogPanel>
  </Dialog>
</template>
