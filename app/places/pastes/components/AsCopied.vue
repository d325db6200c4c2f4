<script setup lang="ts">
import type { SaleRead } from '#core/reading/sales/saleRead'

/** The text as it was copied, each line marked with the row it went into. */
const { text, rows, pointed } = defineProps<{ text: string; rows: readonly SaleRead[]; pointed: number }>()
/** More lines are not drawn: they would hold the preview up. */
const mostLines = 400
const lines = computed(() =>
  text
    .split(/\r\n|\r|\n/)
    .slice(0, mostLines)
    .map((line, index) => ({
      line,
      row: rows.findIndex(({ lines: [from, to] }) => index + 1 >= from && index + 1 <= to),
    })),
)
</script>

<template>
  <section
    class="min-h-0 overflow-y-auto border-r border-line px-4 py-3 max-md:hidden"
    aria-label="original text"
  >
    <h3 class="font-semibold">Original text</h3>
    <p
      v-for="(each, index) in lines"
      :key="index"
      class="figures truncate border-l-4 px-2 text-xs"
      :class="[
        each.row < 0 ? 'border-transparent text-soft' : each.row % 2 ? 'border-settled' : 'border-info',
        each.row >= 0 && each.row === pointed ? 'bg-info-ground' : '',
      ]"
    >
      {{ each.line || '\u00a0' }}
    </p>
  </section>
</template>
