<script setup lang="ts">
import { conditions } from '#core/reading/sales/soldRecord'
import type { PasteInput } from '#shared/pastes/schemas'
import { blankLead } from '~/places/leads/state/leadDraft'
import type { Pasted } from '../state/preview'
import { idOfThing, listedThings, partsToMake } from '../state/listedThings'

/** A listing as it was understood: what is in it, what it costs, what is said and not said. */
const { paste } = defineProps<{ paste: Pasted<'listing'> }>()
const emit = defineEmits<{ keep: [input: Partial<PasteInput>, goTo: string | null] }>()
const { read: offer, text, library, today } = paste
/** What stands first, up to its first point or comma: the title of a listing. */
function firstSentence(said: string): string {
  const line = (said.split('\n').find((each) => each.trim() !== '') ?? '').trim()
  const cut = /^.{12,}?(?=[.!?,;] )/.exec(line)?.[0] ?? line
  return cut.slice(0, 120)
}
const lead = reactive({
  title: firstSentence(text),
  price: offer.price ?? '',
  currency: offer.priceCurrency ?? paste.currency,
  shipping: offer.shipping ?? '',
  condition: offer.condition ?? ('used' as const),
  place: offer.place ?? '',
  source: '',
})
const things = ref(listedThings(offer, lead.title, library.parts))
const worksWords = {
  yes: 'stated as working',
  no: 'stated as not working',
  doubtful: 'seller not sure it works',
  unknown: 'working state not stated',
} as const
const isReady = computed(
  () => lead.price.trim() !== '' && things.value.length > 0 && lead.source.trim() !== '',
)
function keep() {
  emit(
    'keep',
    {
      source: { name: lead.source.trim(), kind: 'classifieds', currency: lead.currency },
      parts: partsToMake(things.value, library.parts),
      leads: [
        {
          ...blankLead(today, lead.currency),
          sourceId: 'pasted',
          title: lead.title,
          price: lead.price.trim(),
          shipping: lead.shipping.trim() === '' ? null : lead.shipping.trim(),
          condition: lead.condition,
          manner: 'local',
          listedOn: offer.listedOn ?? today,
          place: lead.place,
          text: text.slice(0, 8000),
          things: things.value.map((thing) => ({
            partId: idOfThing(thing),
            quantity: thing.quantity,
            plan: 'keep' as const,
          })),
        },
      ],
    },
    'leads?lead=LEAD',
  )
}
</script>

<template>
  <div class="grid min-h-0 flex-1 grid-cols-[320px_minmax(0,1fr)] max-md:grid-cols-1">
    <pre
      class="figures min-h-0 overflow-auto border-r border-line px-4 py-3 text-xs whitespace-pre-wrap max-md:hidden"
      aria-label="original text"
      >{{ text.slice(0, 8000) }}</pre>
    <section class="min-h-0 overflow-y-auto px-5 py-3" aria-label="what was read">
      <div class="grid grid-cols-4 gap-2 max-md:grid-cols-2">
        <label class="col-span-2 text-xs text-soft"
          >title<input v-model="lead.title" class="field w-full" aria-label="title" /></label
        ><label class="text-xs text-soft"
          >asking price<input
            v-model="lead.price"
            class="field figures w-full"
            placeholder="not stated"
            aria-label="asking price" /></label
        ><label class="text-xs text-soft"
          >currency<input
            v-model="lead.currency"
            class="field figures w-full"
            aria-label="currency of the asking price" /></label
        ><label class="text-xs text-soft"
          >shipping<input
            v-model="lead.shipping"
            class="field figures w-full"
            placeholder="not stated"
            aria-label="shipping" /></label
        ><label class="text-xs text-soft"
          >condition<select v-model="lead.condition" class="field w-full" aria-label="condition">
            <option v-for="each in conditions" :key="each" :value="each">{{ each }}</option>
          </select></label
        ><label class="text-xs text-soft"
          >location<input v-model="lead.place" class="field w-full" aria-label="location" /></label
        ><label class="text-xs text-soft"
          >source<input
            v-model="lead.source"
            class="field w-full"
            list="sources-of-listing"
            placeholder="choose"
            aria-label="source" />
          <datalist id="sources-of-listing">
            <option v-for="each in library.sources" :key="each.id" :value="each.name" /></datalist
        ></label>
      </div>
      <h3 class="mt-3 font-semibold">What is in it</h3>
      <ListedThings v-model="things" :parts="library.parts" />
      <p class="mt-3">
        {{ worksWords[offer.works]
        }}<template v-if="offer.includes.length > 0">; with {{ offer.includes.join(', ') }}</template
        ><template v-if="offer.lacks.length > 0">; without {{ offer.lacks.join(', ') }}</template
        ><template v-if="offer.defects.length > 0">; stated faults: {{ offer.defects.join(', ') }}</template
        ><template v-if="offer.distanceKm !== null">; {{ offer.distanceKm }} km away</template>.
      </p>
      <div class="mt-3 flex items-center gap-3">
        <button type="button" class="button button-main" :disabled="paste.busy || !isReady" @click="keep">
          Save lead</button
        ><span class="text-soft">{{
          isReady
            ? 'nothing is saved yet; one undo reverts it all'
            : lead.source.trim() === ''
              ? 'choose the source'
              : 'enter the asking price'
        }}</span>
      </div>
    </section>
  </div>
</template>
