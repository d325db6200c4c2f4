<script setup lang="ts">
import type { LogStretch } from '~/workers/frameLogProtocol'
import { frameRows } from '../state/frameRows'

/** The figures of the stretch that is shown, a column for each log. */
const { names, stretches, target, lowMethod, isPart } = defineProps<{
  names: readonly string[]
  stretches: readonly LogStretch[]
  target: number
  lowMethod: 'percentile' | 'worst-share'
  isPart: boolean
}>()
const emit = defineEmits<{ close: [name: string] }>()
const rows = computed(() =>
  frameRows(
    stretches.map((each) => each.statistics),
    target,
    lowMethod,
  ),
)
const marks = [
  { sign: '●', colour: 'var(--series-1)' },
  { sign: '◆', colour: 'var(--series-2)' },
] as const
</script>

<template>
  <div class="sheet p-3">
    <h2>
      {{ isPart ? 'In the selected range' : 'In the whole log' }}
      <span class="font-normal text-soft"
        >this build’s 1 % low uses {{ lowMethod === 'percentile' ? 'the percentile' : 'the worst 1 %' }}</span
      >
    </h2>
    <table class="ledger mt-1">
      <thead>
        <tr>
          <th>figure</th>
          <th
            v-for="(name, index) in names"
            :key="name"
            class="!text-right"
            :style="{ color: marks[index]!.colour }"
          >
            {{ marks[index]!.sign }} {{ name }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.label" :class="{ 'font-semibold': row.isOwnLow }">
          <td>{{ row.label }}</td>
          <td
            v-for="(cell, index) in row.cells"
            :key="index"
            class="amount"
            :data-stat="index === 0 ? row.label : undefined"
          >
            {{ cell }}
          </td>
        </tr>
      </tbody>
    </table>
    <div class="mt-3 flex gap-3">
      <button
        v-for="name in names"
        :key="name"
        type="button"
        class="quiet-button"
        @click="emit('close', name)"
      >
        close {{ name }}
      </button>
    </div>
  </div>
</template>
