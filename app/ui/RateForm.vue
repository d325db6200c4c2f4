<script setup lang="ts">
import type { RateView } from '#shared/settings/rates'
import { call } from '~/data/call'

/** A rate by hand; both currencies may be given beforehand. */
const { from = '', to, today } = defineProps<{ from?: string; to: string; today: string }>()
const emit = defineEmits<{ saved: [rates: readonly RateView[]] }>()
const { run, busy } = useAction()
const fresh = reactive({ date: today, from, to, rate: '', bothWays: true })
const add = () =>
  run(
    async () => {
      const rates = await call(
        'PUT /api/settings/rates',
        {},
        {
          ...fresh,
          from: fresh.from.trim().toUpperCase(),
          to: fresh.to.trim().toUpperCase(),
          rate: fresh.rate.trim().replace(',', '.'),
        },
      )
      fresh.rate = ''
      emit('saved', rates)
    },
    { message: 'exchange rate saved' },
  )
</script>

<template>
  <form class="flex flex-wrap items-end gap-2" novalidate @submit.prevent="add">
    <label class="text-xs text-soft">on <DateField v-model="fresh.date" label="date of the rate" /></label>
    <label class="text-xs text-soft"
      >one<input
        v-model="fresh.from"
        maxlength="3"
        class="field figures block w-16 uppercase"
        aria-label="from currency"
    /></label>
    <label class="text-xs text-soft"
      >is<input
        v-model="fresh.rate"
        class="field figures block w-24"
        inputmode="decimal"
        placeholder="1.36"
        aria-label="exchange rate"
    /></label>
    <label class="text-xs text-soft"
      >in<input
        v-model="fresh.to"
        maxlength="3"
        class="field figures block w-16 uppercase"
        aria-label="to currency"
    /></label>
    <label class="flex gap-1 pb-1.5"><input v-model="fresh.bothWays" type="checkbox" />and the reverse</label>
    <button type="submit" class="button" :disabled="busy || fresh.from === '' || fresh.rate === ''">
      Add rate
    </button>
  </form>
</template>
