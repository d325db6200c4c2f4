<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { LibraryView } from '#shared/views'
import { request } from '~/utils/request'
import { amount } from '~/utils/show'

/** Shelf: parts the builder owns. */
const { run } = useDeed()
const library = ref<LibraryView | null>(null)
onMounted(() => run(async () => (library.value = await request<LibraryView>('/api/library'))))
useHead({ title: 'Shelf · Tarvin' })
</script>

<template>
  <main class="mx-auto h-full max-w-[900px] overflow-y-auto px-6 py-5">
    <h1>Shelf</h1>
    <p class="text-soft">Parts you own. Use one in a build from its Machine place (N).</p>
    <table class="ledger mt-3"><thead><tr><th>part</th><th>role</th><th>condition</th><th>note</th><th class="!text-right">cost</th></tr></thead><tbody><tr v-for="thing in library?.shelf" :key="thing.id"><td>{{ thing.name }}</td><td class="text-soft">{{ roleNames[thing.role] }}</td><td>{{ thing.condition }}</td><td class="text-soft">{{ thing.note }}</td><td class="amount">{{ amount(thing.cost, thing.currency) }} {{ thing.currency }}</td></tr></tbody></table>
    <p v-if="library && library.shelf.length === 0" class="mt-4 text-soft">The shelf is empty.</p>
  </main>
</template>
