<script setup lang="ts">
import { call } from '~/data/call'

/** What a shop asks for a part today, by hand. */
const { partId, currency, today } = defineProps<{ partId: string; currency: string; today: string }>()
const { run, busy } = useAction()
const fresh = reactive({ shop: '', price: '', currency })
const note = () =>
  run(
    async () => {
      await call(
        'POST /api/prices/shop-prices',
        {},
        { partId, date: today, ...fresh, price: fresh.price.trim() },
      )
      fresh.price = ''
    },
    { message: 'shop price saved' },
  )
</script>

<template>
  <form class="mt-2 flex flex-wrap items-end gap-2" novalidate @submit.prevent="note">
    <label class="text-xs text-soft"
      >shop<input v-model="fresh.shop" class="field block w-36" aria-label="shop"
    /></label>
    <label class="text-xs text-soft"
      >price before tax<input
        v-model="fresh.price"
        class="field figures block w-24"
        inputmode="decimal"
        aria-label="shop price"
    /></label>
    <label class="text-xs text-soft"
      >in<input
        v-model="fresh.currency"
        maxlength="3"
        class="field figures block w-16 uppercase"
        aria-label="currency of the shop price"
    /></label>
    <button
      type="submit"
      class="button"
      :disabled="busy || fresh.shop.trim() === '' || fresh.price.trim() === ''"
    >
      Save price
    </button>
  </form>
</template>
