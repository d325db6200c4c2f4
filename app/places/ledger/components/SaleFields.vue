<script setup lang="ts">
/** What something was sold for, and what selling it cost. */
const sale = defineModel<{ price: string; fee: string; postage: string }>({ required: true })
const { what } = defineProps<{ what: 'thing' | 'machine' }>()
const spoken = computed(() =>
  what === 'thing'
    ? { price: 'sold for', fee: 'selling fee', postage: 'shipping cost' }
    : {
        price: 'machine sold for',
        fee: 'selling fee for the machine',
        postage: 'shipping cost of the machine',
      },
)
const fields = [
  ['price', 'sold for', 'w-28'],
  ['fee', 'fee', 'w-20'],
  ['postage', 'postage', 'w-20'],
] as const
</script>

<template>
  <label v-for="[name, label, width] in fields" :key="name"
    >{{ label }}
    <input
      v-model="sale[name]"
      class="field figures"
      :class="width"
      inputmode="decimal"
      :aria-label="spoken[name]"
  /></label>
</template>
