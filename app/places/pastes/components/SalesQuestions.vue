<script setup lang="ts">
import type { SalesProblem } from '#core/reading/sales/saleRead'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import type { ColumnWord } from '../state/useColumnWords'

/** What a paste of sales leaves open, asked once each. */
const { problems, words, meant } = defineProps<{
  problems: readonly SalesProblem[]
  words: readonly ColumnWord[]
  /** What a word was said to mean; empty: nothing yet. */
  meant: (word: ColumnWord) => string
}>()
const dayFirst = defineModel<boolean | null>('dayFirst', { required: true })
const emit = defineEmits<{ mean: [word: ColumnWord, value: string] }>()
const ambiguous = (sign: string) =>
  problems.find(({ code, message }) => code === 'ambiguous' && message.includes(sign))
const asksDays = computed(() => ambiguous('day or month'))
const asksCurrency = computed(() => ambiguous('which currency'))
const others = computed(() => problems.filter(({ code, word }) => code === 'unknown-value' && !word))
</script>

<template>
  <p v-if="asksDays" class="mt-2 border-l-4 border-waiting bg-waiting-ground p-2">
    In “{{ asksDays.raw }}”, is the day or the month first?
    <button type="button" class="button !py-0.5" @click="dayFirst = true">day</button>
    <button type="button" class="button !py-0.5" @click="dayFirst = false">month</button>
  </p>
  <p v-if="asksCurrency" class="mt-2 border-l-4 border-waiting bg-waiting-ground p-2">
    {{ asksCurrency.message }} Enter its code in the field “in” above.
  </p>
  <p
    v-for="word in words.slice(0, 12)"
    :key="`${word.field} ${word.said}`"
    class="mt-2 border-l-4 border-waiting bg-waiting-ground p-2"
  >
    {{ word.field === 'manner' ? 'Sale type' : 'Condition' }} “{{ word.said }}” in {{ word.lines.length }}
    {{ word.lines.length === 1 ? 'row' : 'rows' }} means
    <select
      class="field"
      :value="meant(word)"
      :aria-label="`meaning of ${word.said}`"
      @change="emit('mean', word, ($event.target as HTMLSelectElement).value)"
    >
      <option value="" disabled>
        not stated: counted as {{ word.field === 'manner' ? 'fixed' : 'used' }}
      </option>
      <option v-for="each in word.field === 'manner' ? manners : conditions" :key="each" :value="each">
        {{ each }}
      </option>
    </select>
    <span v-if="meant(word)" class="text-soft">remembered for this source</span>
  </p>
  <p v-for="each in others.slice(0, 3)" :key="each.line" class="mt-2 text-waiting">
    line {{ each.line }}: {{ each.message }}
  </p>
</template>
