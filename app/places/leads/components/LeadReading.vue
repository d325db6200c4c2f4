<script setup lang="ts">
import { jsonLdOffers, type PageOffer } from '#core/reading/listings/jsonLdOffers'
import type { LeadInput } from '#shared/leads/schemas'
import type { LibraryView } from '#shared/parts/views'
import { fromListing, fromOffer, isPageSource } from '../state/leadDraft'

/** What is pasted or opened instead of typed: the source of a page, the text of a listing, a CSV of many leads. */
const { library, today, currency } = defineProps<{
  library: LibraryView
  today: string
  currency: string
}>()
const emit = defineEmits<{ read: [some: Partial<LeadInput>]; imported: [] }>()
const pasted = ref('')
const listing = ref('')
const offers = ref<readonly PageOffer[]>([])
const failure = ref('')
const { report, take } = useCsvImport(
  'POST /api/leads/import',
  () => ({ options: JSON.stringify({ defaults: { currency } }) }),
  () => emit('imported'),
)
const takeOffer = (offer: PageOffer) => emit('read', fromOffer(offer, library.sources, currency))

function read() {
  failure.value = ''
  offers.value = []
  listing.value = ''
  if (pasted.value.trim() === '') return
  if (!isPageSource(pasted.value)) {
    listing.value = pasted.value
    return
  }
  try {
    offers.value = jsonLdOffers(pasted.value)
    if (offers.value.length === 1) takeOffer(offers.value[0]!)
  } catch (error) {
    failure.value = (error as Error).message
  }
}
</script>

<template>
  <div>
    <div class="flex gap-3 max-md:flex-col">
      <textarea
        v-model="pasted"
        class="field h-16 flex-1 text-xs"
        placeholder="Paste the text of a listing, or the source of its page"
        aria-label="page source"
        @change="read"
      />
      <label class="button h-fit cursor-pointer"
        >CSV of leads…<input type="file" class="sr-only" data-test="lead-file" @change="take"
      /></label>
    </div>
    <ListingText
      v-if="listing"
      :text="listing"
      :parts="library.parts"
      :today="today"
      :currency="currency"
      class="mt-2"
      @read="emit('read', fromListing($event, listing))"
    />
    <div v-if="offers.length > 1" class="mt-2">
      <p class="text-waiting">The page has {{ offers.length }} products; which one?</p>
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
    <p v-if="report" class="mt-2" role="status" data-test="lead-report">{{ report }}</p>
    <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
  </div>
</template>
