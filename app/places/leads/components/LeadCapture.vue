<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ValidationError } from 'yup'
import { jsonLdOffers, type PageOffer } from '#core/reading/listings/jsonLdOffers'
import { roleNames, roles, type Role } from '#core/parts/part'
import type { ReadListing } from '#core/reading/listings/readListing'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import { leadSchema, type LeadInput } from '#shared/leads/schemas'
import type { LibraryView } from '#shared/parts/views'
import { problemsByPath } from '~/utils/problems'
import { request, RequestError, sendFile } from '~/utils/request'

/** Capturing a lead: by form, by the source of a page, or many from a CSV. What is typed is kept until it is saved. */
const {
  today,
  currency,
  editing = null,
} = defineProps<{ today: string; currency: string; editing?: string | null }>()
const emit = defineEmits<{ close: []; done: [id: string | null] }>()
const storageKey = `tarvin-lead-${editing ?? 'new'}`
const blank = (): LeadInput => ({
  sourceId: '',
  externalId: '',
  title: '',
  url: '',
  price: '',
  currency,
  condition: 'used',
  manner: 'fixed',
  listedOn: today,
  endsOn: null,
  shipping: null,
  place: '',
  note: '',
  things: [],
  code: null,
  rebate: null,
  text: '',
  answers: {},
  signs: {},
  extras: [],
})

const library = ref<LibraryView | null>(null)
const stored = localStorage.getItem(storageKey)
const draft = reactive<LeadInput>({
  ...blank(),
  ...(stored ? (JSON.parse(stored) as Partial<LeadInput>) : {}),
})
const problems = ref<Record<string, string>>({})
const failure = ref('')
const page = ref('')
const offers = ref<readonly PageOffer[]>([])
const leadReport = ref('')
onMounted(async () => {
  library.value = await request<LibraryView>('/api/library')
  if (editing && !stored) {
    Object.assign(draft, await request<LeadInput>(`/api/leads/${editing}`))
    await nextTick()
    loaded = true
  }
})
watch(draft, () => loaded && localStorage.setItem(storageKey, JSON.stringify(draft)), { deep: true })
/** What the server sent is no draft; only what is typed after it is kept. */
let loaded = editing === null || stored !== null

function readPage() {
  failure.value = ''
  offers.value = []
  listing.value = ''
  if (page.value.trim() === '') return
  // the source of a page has markup or JSON; anything else is read as the text of a listing
  if (!/<\w|^\s*[[{]/.test(page.value)) {
    listing.value = page.value
    return
  }
  try {
    offers.value = jsonLdOffers(page.value)
    if (offers.value.length === 1) takeOffer(offers.value[0]!)
  } catch (error) {
    failure.value = (error as Error).message
  }
}
const listing = ref('')
/** What the text says fills the form; what it leaves open stays as it is. */
function takeListing(read: ReadListing) {
  Object.assign(draft, {
    title: read.title.value,
    condition: read.condition.value,
    text: listing.value.slice(0, 8000),
    ...(read.price ? { price: read.price.value } : {}),
    ...(read.currency ? { currency: read.currency.value } : {}),
    ...(read.shipping ? { shipping: read.shipping.value } : {}),
    things: read.parts.map(({ value }) => ({ partId: value, quantity: 1, plan: 'keep' as const })),
  })
}
function takeOffer(offer: PageOffer) {
  const source = library.value?.sources.find(
    (each) =>
      each.name.toLowerCase() === offer.seller?.toLowerCase() ||
      (offer.url?.toLowerCase().includes(each.id) ?? false),
  )
  Object.assign(draft, {
    title: offer.title,
    price: offer.price ?? '',
    currency: offer.currency ?? currency,
    condition: offer.condition ?? 'used',
    url: offer.url && /^https?:/.test(offer.url) ? offer.url : '',
    externalId: offer.id ?? '',
    ...(source
      ? {
          sourceId: source.id,
          manner: source.kind === 'auction' ? 'auction' : source.kind === 'classifieds' ? 'local' : 'fixed',
        }
      : {}),
  })
}
async function takeCsv(file: File) {
  failure.value = ''
  try {
    const report = await sendFile<{
      added: number
      alreadyThere: number
      rejected: number
      problems: { line: number; reason: string }[]
    }>('/api/leads/import', file, { defaults: { currency } })
    leadReport.value = `${report.added} added, ${report.alreadyThere} were there already, ${report.rejected} rejected${report.problems
      .map((problem) => `; line ${problem.line}: ${problem.reason}`)
      .slice(0, 5)
      .join('')}`
  } catch (error) {
    failure.value = (error as Error).message
  }
}
const partSearch = ref('')
const matches = computed(() => {
  const words = partSearch.value
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
  return words.length === 0
    ? []
    : (library.value?.parts ?? [])
        .filter((part) => words.every((word) => `${part.make} ${part.name}`.toLowerCase().includes(word)))
        .slice(0, 8)
})
const nameOf = (id: string) => library.value?.parts.find((part) => part.id === id)?.name ?? id
function addThing(partId: string) {
  draft.things.push({ partId, quantity: 1, plan: 'keep' })
  partSearch.value = ''
}
async function save() {
  failure.value = ''
  try {
    const lead = leadSchema.validateSync(toRaw(draft), { abortEarly: false })
    problems.value = {}
    const { id } = await request<{ id: string }>(editing ? `/api/leads/${editing}` : '/api/leads', {
      method: editing ? 'PUT' : 'POST',
      body: lead,
    })
    localStorage.removeItem(storageKey)
    emit('done', id)
  } catch (error) {
    if (error instanceof ValidationError) problems.value = problemsByPath(error)
    else failure.value = error instanceof RequestError ? error.message : String(error)
  }
}
function discard() {
  localStorage.removeItem(storageKey)
  emit('close')
}
const extraProblems = computed(() =>
  Object.fromEntries(Object.entries(problems.value).filter(([path]) => path.startsWith('extras'))),
)
const toggleCode = (on: boolean) =>
  (draft.code = on
    ? {
        word: '',
        kind: 'percent',
        value: '10',
        minSpend: null,
        validUntil: null,
        cap: null,
        stackable: true,
        role: null,
      }
    : null)
const toggleRebate = (on: boolean) =>
  (draft.rebate = on
    ? {
        kind: 'mail-in',
        amount: '',
        claimBy: today,
        state: 'to-claim',
        chance: 0.85,
        proof: '',
        expectedBy: null,
        campaign: '',
        perHousehold: null,
        tradedPartId: null,
      }
    : null)
const orNull = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value || null
</script>

<template>
  <Dialog open class="relative z-40" @close="leadReport ? emit('done', null) : emit('close')">
    <div class="fixed inset-0 bg-ink/25" aria-hidden="true" />
    <DialogPanel
      class="sheet fixed top-12 left-1/2 max-h-[88vh] w-[820px] max-w-[98vw] -translate-x-1/2 overflow-y-auto p-5"
    >
      <DialogTitle as="h1">{{ editing ? 'Change the lead' : 'Capture a lead' }}</DialogTitle>
      <div v-if="!editing" class="mt-3 flex gap-3 max-md:flex-col">
        <textarea
          v-model="page"
          class="field h-16 flex-1 text-xs"
          placeholder="Paste the text of a listing, or the source of a page that offers it"
          aria-label="page source"
          @change="readPage"
        />
        <label class="button h-fit cursor-pointer"
          >CSV of leads…<input
            type="file"
            class="sr-only"
            data-test="lead-file"
            @change="
              ($event.target as HTMLInputElement).files?.[0] &&
              takeCsv(($event.target as HTMLInputElement).files![0]!)
            "
        /></label>
      </div>
      <ListingText
        v-if="listing && library"
        :text="listing"
        :parts="library.parts"
        :today="today"
        class="mt-2"
        @read="takeListing"
      />
      <div v-if="offers.length > 1" class="mt-2">
        <p class="text-waiting">The page offers {{ offers.length }} products; which one?</p>
        <button
          v-for="(offer, index) in offers"
          :key="index"
          type="button"
          class="button mt-1 mr-2"
          @click="takeOffer(offer)"
        >
          {{ offer.title }} {{ offer.price }}
        </button>
      </div>
      <p v-if="leadReport" class="mt-2" role="status" data-test="lead-report">{{ leadReport }}</p>
      <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
      <form
        class="mt-3 grid grid-cols-4 gap-x-3 gap-y-2 max-md:grid-cols-2"
        novalidate
        @submit.prevent="save"
      >
        <FormField label="title" :problem="problems.title" class="col-span-2"
          ><input v-model="draft.title" class="field w-full" aria-label="title"
        /></FormField>
        <FormField label="source" :problem="problems.sourceId"
          ><select v-model="draft.sourceId" class="field w-full" aria-label="source">
            <option value="" disabled>choose</option>
            <option v-for="source in library?.sources" :key="source.id" :value="source.id">
              {{ source.name }}
            </option>
          </select></FormField
        >
        <FormField label="ask" :problem="problems.price ?? problems.currency"
          ><span class="flex gap-1"
            ><input
              v-model="draft.price"
              class="field figures w-full"
              aria-label="ask"
              inputmode="decimal" /><input
              v-model="draft.currency"
              class="field figures w-14"
              aria-label="currency of the ask" /></span
        ></FormField>
        <FormField label="condition"
          ><select v-model="draft.condition" class="field w-full" aria-label="condition">
            <option v-for="each in conditions" :key="each">{{ each }}</option>
          </select></FormField
        >
        <FormField label="manner of sale"
          ><select v-model="draft.manner" class="field w-full" aria-label="manner of sale">
            <option v-for="each in manners" :key="each">{{ each }}</option>
          </select></FormField
        >
        <FormField label="listed on" :problem="problems.listedOn"
          ><DateField v-model="draft.listedOn" label="listed on"
        /></FormField>
        <FormField label="ends on" :problem="problems.endsOn"
          ><DateField v-model="draft.endsOn" label="ends on"
        /></FormField>
        <FormField label="shipping, if stated" :problem="problems.shipping"
          ><input
            :value="draft.shipping ?? ''"
            class="field figures w-full"
            aria-label="shipping"
            inputmode="decimal"
            @input="draft.shipping = orNull($event)"
        /></FormField>
        <FormField label="place"
          ><input v-model="draft.place" class="field w-full" aria-label="place"
        /></FormField>
        <FormField label="page" :problem="problems.url" class="col-span-2"
          ><input v-model="draft.url" class="field w-full" aria-label="page"
        /></FormField>
        <FormField label="note" class="col-span-full">
          <textarea v-model="draft.note" rows="2" class="field w-full" aria-label="note" />
        </FormField>
        <fieldset class="col-span-full">
          <legend class="text-xs text-soft">
            parts in it
            <span v-if="problems.things" class="text-stop" role="alert">{{ problems.things }}</span>
          </legend>
          <div v-for="(thing, index) in draft.things" :key="index" class="mt-1 flex items-center gap-2">
            <span class="min-w-0 flex-1 truncate">{{ nameOf(thing.partId) }}</span><input
              v-model.number="thing.quantity"
              type="number"
              min="1"
              class="field figures w-16"
              aria-label="how many"
            /><select v-model="thing.plan" class="field" aria-label="plan">
              <option>keep</option>
              <option>resell</option>
              <option>discard</option></select
            ><button type="button" class="quiet-button" @click="draft.things.splice(index, 1)">remove</button>
          </div>
          <div class="relative mt-1">
            <input
              v-model="partSearch"
              class="field w-full"
              placeholder="type a part's name to add it"
              aria-label="add a part"
              @keydown.enter.prevent="matches[0] && addThing(matches[0].id)"
            />
            <ul v-if="matches.length > 0" class="sheet absolute z-10 w-full">
              <li v-for="part in matches" :key="part.id">
                <button
                  type="button"
                  class="block w-full px-2 py-1 text-left hover:bg-paper"
                  @click="addThing(part.id)"
                >
                  {{ part.make }} {{ part.name.replace(part.make, '').trim() }}
                  <span class="text-xs text-soft">{{ part.role }}</span>
                </button>
              </li>
            </ul>
          </div>
        </fieldset>
        <fieldset class="col-span-2 max-md:col-span-full">
          <label class="flex gap-2 text-xs text-soft"
            ><input
              type="checkbox"
              :checked="draft.code !== null"
              @change="toggleCode(($event.target as HTMLInputElement).checked)"
            />a code at checkout</label
          >
          <div v-if="draft.code" class="mt-1 flex gap-1">
            <input v-model="draft.code.word" class="field w-24" placeholder="CODE" aria-label="code" /><select
              v-model="draft.code.kind"
              class="field"
              aria-label="kind of code"
            >
              <option>percent</option>
              <option>fixed</option></select
            ><input
              v-model="draft.code.value"
              class="field figures w-16"
              aria-label="value of the code"
            /><input
              :value="draft.code.minSpend ?? ''"
              class="field figures w-20"
              placeholder="from"
              aria-label="minimum spend"
              @input="draft.code.minSpend = orNull($event)"
            />
          </div>
          <div v-if="draft.code" class="mt-1 flex flex-wrap items-center gap-1 text-xs">
            <label
              >at most
              <input
                :value="draft.code.cap ?? ''"
                class="field figures w-20"
                aria-label="most it takes off"
                @input="draft.code.cap = orNull($event)" /></label
            ><label>until <DateField v-model="draft.code.validUntil" label="code valid until" /></label
            ><label
              >on
              <select
                :value="draft.code.role ?? ''"
                class="field"
                aria-label="what the code is on"
                @change="draft.code.role = orNull($event) as Role | null"
              >
                <option value="">the order</option>
                <option v-for="role in roles" :key="role" :value="role">{{ roleNames[role] }}</option>
              </select></label
            ><label class="inline-flex gap-1"
              ><input v-model="draft.code.stackable" type="checkbox" />with others</label
            >
          </div>
          <p v-if="problems['code.word'] || problems['code.value']" class="text-xs text-stop" role="alert">
            {{ problems['code.word'] ?? problems['code.value'] }}
          </p>
        </fieldset>
        <fieldset class="col-span-2 max-md:col-span-full">
          <label class="flex gap-2 text-xs text-soft"
            ><input
              type="checkbox"
              :checked="draft.rebate !== null"
              @change="toggleRebate(($event.target as HTMLInputElement).checked)"
            />a rebate to claim</label
          >
          <div v-if="draft.rebate" class="mt-1 flex gap-1">
            <select v-model="draft.rebate.kind" class="field" aria-label="kind of rebate">
              <option>mail-in</option>
              <option>online</option>
              <option>trade-in</option></select
            ><input
              v-model="draft.rebate.amount"
              class="field figures w-20"
              placeholder="amount"
              aria-label="amount of the rebate"
            /><DateField v-model="draft.rebate.claimBy" label="claim by" />
          </div>
          <div v-if="draft.rebate" class="mt-1 flex flex-wrap items-center gap-1 text-xs">
            <input
              v-model="draft.rebate.proof"
              class="field w-32"
              placeholder="proof needed"
              aria-label="proof needed"
            /><label>here by <DateField v-model="draft.rebate.expectedBy" label="rebate expected by" /></label
            ><input
              v-model="draft.rebate.campaign"
              class="field w-28"
              placeholder="campaign"
              aria-label="campaign"
            /><label
              >per household
              <input
                :value="draft.rebate.perHousehold ?? ''"
                type="number"
                min="1"
                class="field figures w-14"
                aria-label="limit per household"
                @input="draft.rebate.perHousehold = orNull($event) === null ? null : Number(orNull($event))"
            /></label>
          </div>
          <div v-if="draft.rebate?.kind === 'trade-in'" class="mt-1 text-xs">
            <label
              >for the old
              <select
                :value="draft.rebate.tradedPartId ?? ''"
                class="field max-w-56"
                aria-label="part traded in"
                @change="draft.rebate.tradedPartId = orNull($event)"
              >
                <option value="">not said</option>
                <option v-for="part in library?.parts" :key="part.id" :value="part.id">
                  {{ part.name }}
                </option>
              </select></label
            >
          </div>
          <p
            v-if="problems['rebate.amount'] || problems['rebate.claimBy']"
            class="text-xs text-stop"
            role="alert"
          >
            {{ problems['rebate.amount'] ?? problems['rebate.claimBy'] }}
          </p>
        </fieldset>
        <fieldset class="col-span-full">
          <legend class="text-xs text-soft">what it makes necessary: an adapter, metalwork, screws</legend>
          <div v-for="(extra, index) in draft.extras" :key="index" class="mt-1 flex gap-2">
            <input v-model="extra.label" class="field flex-1" :aria-label="`extra ${index + 1}`" /><input
              v-model="extra.amount"
              class="field figures w-24"
              inputmode="decimal"
              :aria-label="`cost of extra ${index + 1}`"
            /><button type="button" class="quiet-button" @click="draft.extras.splice(index, 1)">
              remove
            </button>
          </div>
          <button
            type="button"
            class="quiet-button mt-1"
            @click="draft.extras.push({ label: '', amount: '' })"
          >
            add an extra</button
          ><span
            v-for="(problem, path) in extraProblems"
            :key="path"
            class="ml-2 text-xs text-stop"
            role="alert"
            >{{ problem }}</span
          >
        </fieldset>
        <FormField label="text of the listing: its facts are read from it" class="col-span-full">
          <textarea
            v-model="draft.text"
            rows="2"
            class="field w-full text-xs"
            aria-label="text of the listing"
          />
        </FormField>
        <div class="col-span-full flex gap-3 pt-2">
          <button type="submit" class="button button-main">
            {{ editing ? 'Save the lead' : 'Add the lead' }}</button><button
            type="button"
            class="button"
            @click="leadReport ? emit('done', null) : emit('close')"
          >
            Close</button
          ><button v-if="editing" type="button" class="quiet-button" @click="discard">
            discard what was typed
          </button>
        </div>
      </form>
    </DialogPanel>
  </Dialog>
</template>
