<script setup lang="ts">
import { toDecimal } from '#core/money/decimal'
import type { PriceView } from '#shared/prices/views'
import { amount, shortDate } from '~/utils/show'
import { call } from '~/data/call'

/** A figure of one's own beside the sample. */
const { view } = defineProps<{ view: PriceView }>()
const { run } = useAction()
const ofPart = () => ({ id: useBuild().view!.id, part: view.partId })
const own = ref(view.ownFigure ? toDecimal(view.ownFigure.amount, view.currency) : '')
const ownNote = ref(view.ownFigure?.note ?? '')
const standing = computed(() => view.ownFigure?.standing)
const setOwn = () =>
  run(
    () =>
      call('PUT /api/builds/:id/prices/parts/:part/own-figure', ofPart(), {
        amount: own.value,
        note: ownNote.value,
      }),
    { message: 'your figure saved next to the sample' },
  )
const endOwn = () =>
  run(() => call('DELETE /api/builds/:id/prices/parts/:part/own-figure', ofPart()), {
    message: 'your figure is removed',
  })
</script>

<template>
  <div>
    <h2>Your own figure</h2>
    <p v-if="view.ownFigure && standing">
      yours: <b class="figures">{{ amount(view.ownFigure.amount, view.currency) }}</b>, above
      {{ standing.below }} of {{ standing.count }} comps
      <span class="text-soft"
        >set {{ shortDate(view.ownFigure.setOn)
        }}{{ view.ownFigure.note ? `, ${view.ownFigure.note}` : '' }}</span
      >
      <button type="button" class="quiet-button" @click="endOwn">remove it</button>
    </p>
    <form class="mt-1 flex gap-2" @submit.prevent="setOwn">
      <input v-model="own" class="field figures w-24" placeholder="0.00" aria-label="your own figure" /><input
        v-model="ownNote"
        class="field min-w-0 flex-1"
        placeholder="reason"
        aria-label="reason for this figure"
      /><button type="submit" class="button" :disabled="own.trim() === ''">Set</button>
    </form>
  </div>
</template>
