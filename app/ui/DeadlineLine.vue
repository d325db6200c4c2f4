<script setup lang="ts">
import type { Deadline } from '#shared/ledger/views'
import { amount, longDate } from '~/utils/show'

/** A date with what it is about: its kind, its amount, its day; what should have come is marked late. */
const { deadline, of = '' } = defineProps<{ deadline: Deadline; of?: string }>()
const tone = {
  claim: 'tag-waiting',
  expected: 'tag-info',
  return: 'tag-stop',
  auction: 'tag-info',
  wanted: 'tag-settled',
  code: 'tag-waiting',
  agreed: 'tag-info',
  delivery: 'tag-info',
  warranty: 'tag-settled',
} as const
</script>

<template>
  <p class="flex items-baseline gap-2" :data-deadline="deadline.kind">
    <span class="tag w-20 shrink-0 text-center" :class="deadline.isLate ? 'tag-stop' : tone[deadline.kind]">{{
      deadline.isLate ? 'overdue' : deadline.kind
    }}</span><span class="min-w-0 flex-1"
      ><template v-if="of">{{ of }}: </template>{{ deadline.what }}</span
    ><span v-if="deadline.money" class="figures"
      >{{ amount(deadline.money.amount, deadline.money.currency) }} {{ deadline.money.currency }}</span
    ><span class="w-32 text-right text-xs text-soft">{{ longDate(deadline.day) }}</span>
  </p>
</template>
