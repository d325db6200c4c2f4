<script setup lang="ts">
import type { PriceView } from '#shared/prices/views'

/** What was written down: kept reads, a figure of one's own, things to wait for; and the last asks of local listings. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{ changed: [view: PriceView] }>()
</script>

<template>
  <div class="grid grid-cols-2 gap-3 @max-3xl:grid-cols-1">
    <KeptReads :view="view" @changed="emit('changed', $event)" />
    <section class="sheet p-3">
      <OwnFigure :view="view" @changed="emit('changed', $event)" />
      <WaitNotes :view="view" class="mt-3" @changed="emit('changed', $event)" />
    </section>
    <LastAsks :view="view" class="col-span-full" />
  </div>
</template>
