<script setup lang="ts">
import { conditions, manners } from '#core/market/soldRecord'
import type { PriceView } from '#shared/views'

/** The price query of a part: words, variant, conditions, window. Saved on change. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{ save: [query: PriceView['query']]; reset: [] }>()
const must = ref('')
const mustNot = ref('')
watch(() => view, ({ query }) => {
  must.value = query.must.join(', ')
  mustNot.value = query.mustNot.join(', ')
}, { immediate: true })
const words = (text: string) => text.split(',').map((word) => word.trim()).filter((word) => word !== '')
function save(change: Partial<PriceView['query']> = {}) {
  emit('save', { ...view.query, must: words(must.value), mustNot: words(mustNot.value), ...change })
}
const toggled = <T extends string>(list: readonly T[], value: T) => (list.includes(value) ? list.filter((each) => each !== value) : [...list, value])
const variant = computed(() => {
  const { capacityGb, kitCount, memoryGeneration, module, siblings } = view.query.variant ?? {}
  return [capacityGb ? `${capacityGb} GB` : '', kitCount ? `kit of ${kitCount}` : '', memoryGeneration ?? '', module ?? '', siblings && siblings.length > 0 ? `not ${siblings.join(', not ')}` : ''].filter((part) => part !== '').join(' · ')
})
</script>

<template>
  <details class="text-[13px]">
    <summary class="text-soft">query: <span class="text-ink">{{ view.query.must.join(' ') }}</span><template v-if="variant"> · {{ variant }}</template> · {{ view.query.windowDays }} days · half-life {{ view.query.halfLifeDays }}<span v-if="view.queryIsOwn" class="tag tag-info ml-2">yours</span></summary>
    <div class="mt-2 grid grid-cols-[auto_1fr_auto_1fr] items-center gap-x-3 gap-y-2">
      <label for="query-must">words wanted</label><input id="query-must" v-model="must" class="field" @change="save()">
      <label for="query-not">words unwanted</label><input id="query-not" v-model="mustNot" class="field" placeholder="divided by commas" @change="save()">
      <span>conditions</span><span class="flex gap-3"><label v-for="each in conditions" :key="each" class="flex gap-1"><input type="checkbox" :checked="view.query.conditions.includes(each)" @change="save({ conditions: toggled(view.query.conditions, each) })">{{ each }}</label></span>
      <span>manners</span><span class="flex gap-3"><label v-for="each in manners" :key="each" class="flex gap-1"><input type="checkbox" :checked="view.query.manners.includes(each)" @change="save({ manners: toggled(view.query.manners, each) })">{{ each }}</label></span>
      <label for="query-window">window, days</label><input id="query-window" class="field w-24" type="number" min="1" :value="view.query.windowDays" @change="save({ windowDays: Number(($event.target as HTMLInputElement).value) })">
      <label for="query-half">half-life, days</label><span class="flex gap-3"><input id="query-half" class="field w-24" type="number" min="1" :value="view.query.halfLifeDays" @change="save({ halfLifeDays: Number(($event.target as HTMLInputElement).value) })"><button v-if="view.queryIsOwn" type="button" class="quiet-button" @click="emit('reset')">back to the part’s own</button></span>
    </div>
  </details>
</template>
