<script setup lang="ts">
import type { BuildStrip } from '#shared/builds/views'
import { agenda } from '../state/agenda'

/** Today at the counter. */
const { strips } = defineProps<{ strips: readonly BuildStrip[] }>()
const session = useSession()
const entries = computed(() => agenda(strips, session.view!.today))
</script>

<template>
  <section class="border-l-4 border-settled pl-4" aria-label="today">
    <h2>Today</h2>
    <p v-if="entries.length === 0" class="mt-1 text-soft">Nothing urgent.</p>
    <ul class="mt-1">
      <li v-for="entry in entries.slice(0, 7)" :key="entry.text" class="flex items-baseline gap-3 py-0.5">
        <span class="tag w-[68px] text-center" :class="`tag-${entry.tone}`">{{ entry.when }}</span>
        <NuxtLink :to="entry.to" class="hover:underline">{{ entry.text }}</NuxtLink>
      </li>
    </ul>
  </section>
</template>
