<script setup lang="ts">
import { conditions, type Condition } from '#core/reading/sales/soldRecord'
import type { PasteInput } from '#shared/pastes/schemas'
import { blankLead } from '~/places/leads/state/leadDraft'
import type { Pasted, PasteSaid } from '../state/preview'
import { idOfThing, listedThings, partsToMake } from '../state/listedThings'

/** Several listings of one page, a row each: those that are ticked become leads, all of them or none. */
const { paste } = defineProps<{ paste: Pasted<'listings'> }>()
const emit = defineEmits<{
  keep: [input: Partial<PasteInput>, goTo: string | null]
  say: [said: PasteSaid]
}>()
const { read, library, today } = paste
const rows = usePasteDraft(
  'listings',
  read.asks.asks.map((ask, at) => {
    const offer = read.offersOf[at]!
    return {
      title: ask.title,
      price: ask.price ?? '',
      currency: ask.currency,
      shipping: ask.shipping ?? offer.shipping ?? '',
      condition: (ask.condition ?? offer.condition ?? 'used') as Condition,
      place: offer.place ?? '',
      listedOn: offer.listedOn ?? today,
      text: ask.text,
      things: listedThings(offer, ask.title, library.parts),
      isIn: true,
    }
  }),
)
const source = ref('')
const open = ref(-1)
const isGood = (row: (typeof rows.value)[number]) => row.price.trim() !== '' && row.things.length > 0
const chosen = computed(() => rows.value.filter((row) => row.isIn && isGood(row)))
const unclear = computed(() => rows.value.filter((row) => row.isIn && !isGood(row)).length)
const isReady = computed(() => chosen.value.length > 0 && source.value.trim() !== '')
const fresh = computed(() =>
  partsToMake(
    chosen.value.flatMap(({ things }) => things),
    library.parts,
  ),
)
const whatIs = ({ things }: (typeof rows.value)[number]) =>
  things
    .map(({ partId, name, quantity }) => {
      const part = library.parts.find(({ id }) => id === partId)
      return `${quantity > 1 ? `${quantity} × ` : ''}${part ? part.name : `${name} (new part)`}`
    })
    .join(', ')
function keep() {
  emit(
    'keep',
    {
      // the site sells in what its rows are in
      source: {
        name: source.value.trim(),
        kind: 'classifieds',
        currency: chosen.value[0]?.currency ?? paste.currency,
      },
      parts: fresh.value,
      leads: chosen.value.map((row) => ({
        ...blankLead(today, row.currency),
        sourceId: 'pasted',
        title: row.title.trim(),
        price: row.price.trim(),
        shipping: row.shipping.trim() === '' ? null : row.shipping.trim(),
        condition: row.condition,
        manner: 'local',
        listedOn: row.listedOn,
        place: row.place,
        text: row.text.slice(0, 8000),
        things: row.things.map((thing) => ({
          partId: idOfThing(thing),
          quantity: thing.quantity,
          plan: 'keep' as const,
        })),
      })),
    },
    'leads',
  )
}
</script>

<template>
  <section class="min-h-0 flex-1 overflow-y-auto px-5 py-3" aria-label="what was read">
    <div class="flex flex-wrap items-center gap-3">
      <span class="tag tag-settled"
        >{{ rows.length }} {{ rows.length === 1 ? 'listing' : 'listings' }} read</span
      ><span v-if="unclear > 0" class="tag tag-waiting"
        >{{ unclear }} without a clear price or part: left out until corrected</span
      >
      <SourceField v-model="source" label="source" :sources="library.sources" class="ml-auto" />
      <PasteCurrency :model-value="paste.currency" @update:model-value="emit('say', { currency: $event })" />
    </div>
    <p v-if="rows.length === 0" class="mt-3 text-waiting">
      No block with a title and one price found: copy each listing whole, from title to price.
    </p>
    <table v-else class="ledger mt-2">
      <thead>
        <tr>
          <th><span class="sr-only">save</span></th>
          <th>title and contents</th>
          <th class="!text-right">asking price</th>
          <th class="!text-right">shipping</th>
          <th>condition</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, index) in rows"
          :key="index"
          :class="{ 'bg-waiting-ground': row.isIn && !isGood(row) }"
        >
          <td><input v-model="row.isIn" type="checkbox" :aria-label="`save listing ${index + 1}`" /></td>
          <td class="w-full max-w-0">
            <input
              v-model="row.title"
              class="field w-full !border-transparent"
              :aria-label="`title ${index + 1}`"
            />
            <p class="flex items-baseline gap-2 px-2 text-xs text-soft">
              <span class="min-w-0 truncate">{{ whatIs(row) || 'nothing' }}</span><button
                type="button"
                class="quiet-button"
                :aria-label="`contents of listing ${index + 1}`"
                :aria-expanded="open === index"
                @click="open = open === index ? -1 : index"
              >
                {{ open === index ? 'close' : 'change' }}
              </button>
            </p>
            <ListedThings
              v-if="open === index"
              v-model="row.things"
              :parts="library.parts"
              :of="` of listing ${index + 1}`"
              class="px-2 pb-2"
            />
          </td>
          <td class="whitespace-nowrap">
            <input
              v-model="row.price"
              class="field figures w-20 text-right"
              placeholder="price?"
              :aria-label="`asking price ${index + 1}`"
            />
            <span class="text-xs text-soft">{{ row.currency }}</span>
          </td>
          <td>
            <input
              v-model="row.shipping"
              class="field figures w-16 text-right"
              placeholder="—"
              :aria-label="`shipping ${index + 1}`"
            />
          </td>
          <td>
            <select v-model="row.condition" class="field" :aria-label="`condition ${index + 1}`">
              <option v-for="each in conditions" :key="each" :value="each">{{ each }}</option>
            </select>
          </td>
        </tr>
      </tbody>
    </table>
    <KeepLine
      :busy="paste.busy"
      :is-ready="isReady"
      :why="source.trim() === '' ? 'choose the source' : 'tick at least one with a price'"
      @keep="keep"
    >
      Save {{ chosen.length }} {{ chosen.length === 1 ? 'lead' : 'leads'
      }}<template v-if="fresh.length > 0">
        and {{ fresh.length }} {{ fresh.length === 1 ? 'part' : 'parts' }}</template
      >
    </KeepLine>
  </section>
</template>
