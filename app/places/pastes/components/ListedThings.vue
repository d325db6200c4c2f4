<script setup lang="ts">
import { partLabel, type Part } from '#core/parts/part'
import { ofLibrary, type ListedThing } from '../state/listedThings'

/** What a listing holds: parts of the library, and those that are made of their names; each can be changed or left out. */
const { parts, of = '' } = defineProps<{
  parts: readonly Part[]
  /** Which listing of several, for the names of the fields. */
  of?: string
}>()
const things = defineModel<ListedThing[]>({ required: true })
const spoken = (what: string, index: number) => `${what} ${index + 1}${of}`
const nameOf = (id: string) => {
  const part = parts.find((each) => each.id === id)
  return part ? partLabel(part) : id
}
</script>

<template>
  <div>
    <div v-for="(thing, index) in things" :key="index" class="mt-1 flex flex-wrap items-center gap-2">
      <input
        v-model.number="thing.quantity"
        type="number"
        min="1"
        class="field figures w-14"
        :aria-label="spoken('quantity', index)"
      />
      <span v-if="thing.partId" class="min-w-0 flex-1">{{ nameOf(thing.partId) }}</span><template v-else
        ><NewThing v-model:name="thing.name" v-model:role="thing.role" :spoken="`part ${index + 1}${of}`" />
        <label class="text-xs text-soft"
          ><input v-model="thing.open" type="checkbox" :aria-label="spoken('exact model not known', index)" />
          exact model not known</label
        ></template
      ><span v-if="thing.price" class="figures text-soft">{{ thing.price }} each</span
      ><button
        type="button"
        class="quiet-button"
        :aria-label="spoken('remove part', index)"
        @click="things.splice(index, 1)"
      >
        ×
      </button>
    </div>
    <PartPicker
      :parts="parts"
      :label="`add a part${of}`"
      placeholder="type a part name to add it"
      class="mt-1"
      @pick="things.push(ofLibrary($event))"
    />
  </div>
</template>
