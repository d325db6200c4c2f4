<script setup lang="ts">
import type { PriceView } from '#shared/prices/views'
import type { TriedQuery } from '../state/useTriedQuery'
import { amount, shortDate } from '~/utils/show'

/** What the query being written would change: the records that come and go, and where the typical mark moves. */
const { view, progress, failed, tried } = defineProps<{
  view: PriceView
  progress: number | null
  failed: string
  tried: TriedQuery | null
}>()
const emit = defineEmits<{ cancel: []; use: []; giveUp: [] }>()
const mostShown = 40
const moved = computed(() => [
  { sign: '+', tone: 'text-settled', records: tried?.came.slice(0, mostShown) ?? [] },
  { sign: '−', tone: 'text-stop', records: tried?.went.slice(0, mostShown) ?? [] },
])
</script>

<template>
  <p v-if="progress !== null">
    testing, {{ Math.round(progress * 100) }} %
    <button type="button" class="quiet-button" @click="emit('cancel')">cancel</button>
  </p>
  <p v-else-if="failed" class="text-stop">{{ failed }}</p>
  <p v-else-if="tried" data-tried>
    <b class="text-settled">{{ tried.came.length }} added</b>,
    <b class="text-stop">{{ tried.went.length }} removed</b>: typical
    <span class="figures"
      >{{ amount(view.marks?.typical, view.currency) }} →
      {{ amount(tried.reading.marks?.typical, view.currency) }}</span
    >, {{ tried.reading.grade }}
  </p>
  <button type="button" class="button button-main ml-auto !py-0.5" @click="emit('use')">
    Use this query
  </button>
  <button type="button" class="button !py-0.5" @click="emit('giveUp')">Cancel</button>
  <ul v-if="tried" class="grid max-h-28 w-full grid-cols-2 gap-x-4 overflow-y-auto text-xs">
    <template v-for="{ sign, tone, records } in moved" :key="sign">
      <li v-for="record in records" :key="`${sign}${record.id}`" class="truncate" :class="tone">
        {{ sign }} {{ shortDate(record.soldOn) }} {{ record.title }}
      </li>
    </template>
  </ul>
</template>
