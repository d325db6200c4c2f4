<script setup lang="ts">
import { conditions, manners } from '#core/reading/sales/soldRecord'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { QueryWords } from '../state/useQueryDraft'

type Facts = NonNullable<PartQuery['variant']>

/** What a query asks for: words, facts, window, conditions, manners of sale. */
const { draft, written } = defineProps<{ draft: PartQuery; written: QueryWords }>()
const emit = defineEmits<{ set: [change: Partial<PartQuery>]; fact: [change: Partial<Facts>] }>()
const toggled = <T extends string>(list: readonly T[], value: T) =>
  list.includes(value) ? list.filter((each) => each !== value) : [...list, value]
const number = (event: Event) => {
  const value = Number((event.target as HTMLInputElement).value)
  return Number.isFinite(value) && value > 0 ? value : undefined
}
const said = (event: Event) =>
  (event.target as HTMLInputElement | HTMLSelectElement).value.trim() || undefined
const lists = [
  ['must', 'query-must', 'required words', 'separate with commas'],
  ['mustNot', 'query-not', 'excluded words', 'separate with commas'],
  ['siblings', 'query-siblings', 'excluded models', ''],
  ['makes', 'query-makes', 'known brands only', 'any brand'],
] as const
</script>

<template>
  <div
    class="grid grid-cols-[max-content_minmax(0,1fr)] items-center gap-x-3 gap-y-1.5 @3xl:grid-cols-[max-content_minmax(0,1fr)_max-content_minmax(0,1fr)]"
  >
    <template v-for="[key, id, label, placeholder] in lists" :key="key">
      <label :for="id">{{ label }}</label>
      <!-- eslint-disable-next-line vue/no-mutating-props -- the reactive text of the draft, owned by useQueryDraft -->
      <input :id="id" v-model="written[key]" class="field" :placeholder="placeholder" />
    </template>
    <span>specs</span>
    <span class="flex items-center gap-2">
      <input
        class="field figures w-16"
        type="number"
        min="0"
        step="any"
        :value="draft.variant?.capacityGb ?? ''"
        aria-label="capacity in GB"
        placeholder="GB"
        @input="emit('fact', { capacityGb: number($event) })"
      />GB
      <input
        class="field figures w-12"
        type="number"
        min="0"
        :value="draft.variant?.kitCount ?? ''"
        aria-label="modules per kit"
        placeholder="kit"
        @input="emit('fact', { kitCount: number($event) })"
      />kit
      <input
        class="field w-16"
        :value="draft.variant?.memoryGeneration ?? ''"
        aria-label="memory generation"
        placeholder="DDR…"
        @input="emit('fact', { memoryGeneration: said($event) })"
      />
      <select
        class="field w-28 min-w-0"
        :value="draft.variant?.module ?? ''"
        aria-label="module type"
        @change="emit('fact', { module: said($event) as Facts['module'] })"
      >
        <option value="">any module</option>
        <option>desktop</option>
        <option>laptop</option>
      </select>
    </span>
    <span>window, half-life</span>
    <span class="flex items-center gap-2"
      ><template
        v-for="[key, label] in [
          ['windowDays', 'window, days'],
          ['halfLifeDays', 'half-life, days'],
        ] as const"
        :key="key"
        ><input
          class="field figures w-16"
          type="number"
          min="1"
          :value="draft[key]"
          :aria-label="label"
          @input="emit('set', { [key]: number($event) ?? 0 })"
        />days</template
      ></span
    >
    <span>conditions</span
    ><span class="flex flex-wrap gap-x-3"
      ><label v-for="each in conditions" :key="each" class="flex gap-1"
        ><input
          type="checkbox"
          :checked="draft.conditions.includes(each)"
          @change="emit('set', { conditions: toggled(draft.conditions, each) })"
        />{{ each === 'damaged' ? 'damaged or untested' : each }}</label
      ></span
    >
    <span>sale types</span
    ><span class="flex flex-wrap gap-x-3"
      ><label v-for="each in manners" :key="each" class="flex gap-1"
        ><input
          type="checkbox"
          :checked="draft.manners.includes(each)"
          @change="emit('set', { manners: toggled(draft.manners, each) })"
        />{{ each }}</label
      ><label
        class="flex gap-1"
        title="a required word of five letters or more also matches with one letter swapped, missing or doubled"
        ><input
          type="checkbox"
          :checked="draft.forgiveSlips ?? false"
          @change="emit('set', { forgiveSlips: !draft.forgiveSlips })"
        />allow typos</label
      ></span
    >
  </div>
</template>
