<script setup lang="ts">
import type { LeadView } from '#shared/leads/views'
import type { LookoutHit } from '#shared/prices/views'
import { amount, shortDate } from '~/utils/show'

/**
 * What is to be known of a lead before its figures: that a lookout announced it, that it is gone, that nobody has said
 * what is in it.
 */
const { lead, hit } = defineProps<{ lead: LeadView; hit: LookoutHit | undefined }>()
const emit = defineEmits<{ seen: []; edit: [] }>()
</script>

<template>
  <p v-if="hit" class="mb-2 flex items-center gap-3 border-l-4 border-settled bg-settled-ground px-3 py-1.5">
    <span
      >Under your limit: {{ hit.partName }} for <b class="figures">{{ amount(hit.cost, hit.currency) }}</b>{{
        hit.manner === 'auction' ? ' (current bid)' : ''
      }}; you watch at <span class="figures">{{ amount(hit.limit, hit.currency) }}</span>.<template
        v-if="hit.tooCheap"
      >
        Suspiciously cheap: check it carefully.</template
      ></span
    ><button type="button" class="quiet-button ml-auto" @click="emit('seen')">got it</button>
  </p>
  <p v-if="lead.vanishedOn" class="mb-2 border-l-4 border-stop bg-stop-ground px-3 py-1.5">
    Gone from {{ lead.sourceName }} since {{ shortDate(lead.vanishedOn) }}; its price is the last asking
    price.
  </p>
  <p v-if="lead.things.length === 0" class="mb-2 border-l-4 border-waiting bg-waiting-ground px-3 py-1.5">
    The title does not name a single part in your library.
    <button type="button" class="quiet-button" @click="emit('edit')">Choose its parts</button>
  </p>
  <p v-else-if="lead.tieDeduced" class="mb-2 text-soft">
    The contents were read from the title.
    <button type="button" class="quiet-button" @click="emit('edit')">Edit</button>
  </p>
</template>
