<script setup lang="ts">
import { partLabel, type Part } from '#core/parts/part'
import type { PasteInput } from '#shared/pastes/schemas'
import type { Pasted, PasteSaid } from '../state/preview'
import { idOfThing, listedThings, ofLibrary, partsToMake } from '../state/listedThings'

/** What a shop asks today, a row for each thing: noted as its price, and the parts made that are not there yet. */
const { paste } = defineProps<{ paste: Pasted<'offers'> }>()
const emit = defineEmits<{
  keep: [input: Partial<PasteInput>, goTo: string | null]
  say: [said: PasteSaid]
}>()
const { read, library } = paste
const rows = usePasteDraft(
  'offers',
  read.asks.asks.map((ask, at) => ({
    title: ask.title,
    price: ask.price ?? '',
    currency: ask.currency,
    thing: listedThings(read.offersOf[at]!, ask.title, library.parts)[0]!,
    isIn: true,
  })),
)
type Row = (typeof rows.value)[number]
const shop = ref('')
const isGood = (row: Row) => row.price.trim() !== '' && row.thing.name.trim() !== ''
const chosen = computed(() => rows.value.filter((row) => row.isIn && isGood(row)))
const isReady = computed(() => chosen.value.length > 0 && shop.value.trim() !== '')
const fresh = computed(() =>
  partsToMake(
    chosen.value.map(({ thing }) => thing),
    library.parts,
  ),
)
const labelOf = (row: Row) => {
  const part = library.parts.find(({ id }) => id === row.thing.partId)
  return part ? partLabel(part) : row.thing.name
}
const take = (row: Row, part: Part) => (row.thing = ofLibrary(part))
function keep() {
  emit(
    'keep',
    {
      source: { name: shop.value.trim(), kind: 'shop', currency: paste.currency },
      parts: fresh.value,
      shopPrices: chosen.value.map((row) => ({
        partId: idOfThing(row.thing),
        price: row.price.trim(),
        currency: row.currency,
      })),
    },
    `prices?part=${idOfThing(chosen.value[0]!.thing)}`,
  )
}
</script>

<template>
  <section class="min-h-0 flex-1 overflow-y-auto px-5 py-3" aria-label="what was read">
    <div class="flex flex-wrap items-center gap-3">
      <span class="tag tag-settled">{{ rows.length }} {{ rows.length === 1 ? 'price' : 'prices' }} read</span>
      <SourceField
        v-model="shop"
        label="shop"
        :sources="library.sources.filter(({ kind }) => kind === 'shop' || kind === 'counter')"
        class="ml-auto"
      />
      <PasteCurrency :model-value="paste.currency" @update:model-value="emit('say', { currency: $event })" />
    </div>
    <p v-if="rows.length === 0" class="mt-3 text-waiting">
      No block with a name and one price found: copy each offer whole, from name to price.
    </p>
    <table v-else class="ledger mt-2">
      <thead>
        <tr>
          <th><span class="sr-only">save</span></th>
          <th>name in the shop</th>
          <th>part</th>
          <th class="!text-right">price</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, index) in rows"
          :key="index"
          :class="{ 'bg-waiting-ground': row.isIn && !isGood(row) }"
        >
          <td><input v-model="row.isIn" type="checkbox" :aria-label="`save price ${index + 1}`" /></td>
          <td class="w-2/5 max-w-0 truncate">{{ row.title }}</td>
          <td>
            <span v-if="row.thing.partId"
              >{{ labelOf(row) }}
              <button
                type="button"
                class="quiet-button"
                :aria-label="`another part for price ${index + 1}`"
                @click="row.thing = { ...row.thing, partId: '', name: row.title }"
              >
                ×
              </button></span
            >
            <div v-else class="flex items-center gap-2">
              <NewThing
                v-model:name="row.thing.name"
                v-model:role="row.thing.role"
                :spoken="`part ${index + 1}`"
              />
              <PartPicker
                :parts="library.parts"
                :label="`part of price ${index + 1}`"
                placeholder="or a part you have"
                class="w-36"
                @pick="take(row, $event)"
              />
            </div>
          </td>
          <td class="text-right whitespace-nowrap">
            <input
              v-model="row.price"
              class="field figures w-20 text-right"
              placeholder="price?"
              :aria-label="`price ${index + 1}`"
            />
            <span class="text-xs text-soft">{{ row.currency }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <KeepLine
      :busy="paste.busy"
      :is-ready="isReady"
      :why="shop.trim() === '' ? 'choose the shop' : 'tick at least one with a price'"
      @keep="keep"
    >
      Save {{ chosen.length }} {{ chosen.length === 1 ? 'price' : 'prices'
      }}<template v-if="fresh.length > 0">
        and create {{ fresh.length }} {{ fresh.length === 1 ? 'part' : 'parts' }}</template
      >
    </KeepLine>
  </section>
</template>
