<script setup lang="ts">
import type { PriceView } from '#shared/prices/views'

/** What was written down: kept reads, a figure of one's own, things to wait for; and the last asks of local listings. */
const { view } = defineProps<{ view: PriceView }>()
</script>

<template>
  <div class="grid grid-cols-2 gap-3 @max-3xl:grid-cols-1">
    <KeptReads :view="view" />
    <section class="sheet p-3">
      <OwnFigure :view="view" />
      <WaitNotes :view="view" class="mt-3" />
    </section>
    <LastAsks :view="view" class="col-span-full" />
  </div>
</template>
