<script setup lang="ts">
import { roleNames, roles } from '#core/parts/part'
import type { PriceBrief } from '#shared/prices/views'
import { briefPriceWorking } from '~/workings/priceWorkings'
import { amount } from '~/utils/show'

/** Parts with a price, narrow, each with its small price rule; those of the build first. Above them the sheets over all parts. */
const { briefs, selected, sheet, currency } = defineProps<{
  briefs: readonly PriceBrief[] | null
  selected: string
  sheet: string
  currency: string
}>()
const emit = defineEmits<{ select: [partId: string]; sheet: [name: string]; import: [] }>()
const sheets = [
  ['worth', 'Worth buying'],
  ['new-or-used', 'New or used: all'],
] as const
const role = useRouteState('role')
const shown = computed(() =>
  [...(briefs ?? [])]
    .filter((brief) => role.value === '' || brief.role === role.value)
    .sort(
      (a, b) =>
        Number(b.inBuild ?? false) - Number(a.inBuild ?? false) ||
        roles.indexOf(a.role) - roles.indexOf(b.role) ||
        (a.marks?.typical ?? 0) - (b.marks?.typical ?? 0),
    ),
)
</script>

<template>
  <section class="flex w-[224px] shrink-0 flex-col border-r border-line max-md:w-[132px]" aria-label="parts">
    <div class="flex items-center gap-2 border-b border-line px-3 py-1.5">
      <select v-model="role" class="field !min-h-0 min-w-0 flex-1 !py-0.5" aria-label="role">
        <option value="">{{ briefs?.length ?? 0 }} parts</option>
        <option v-for="each in roles" :key="each" :value="each">{{ roleNames[each] }}</option>
      </select>
      <button type="button" class="button !py-0.5" @click="emit('import')">Import</button>
    </div>
    <div class="border-b border-line">
      <button
        v-for="[key, name] in sheets"
        :key="key"
        type="button"
        class="block w-full border-l-3 px-3 py-1 text-left"
        :class="sheet === key ? 'border-l-settled bg-sheet font-semibold' : 'border-l-transparent text-soft'"
        @click="emit('sheet', key)"
      >
        {{ name }}
      </button>
    </div>
    <ul class="min-h-0 flex-1 overflow-y-auto">
      <li v-for="brief in shown" :key="brief.partId" class="relative">
        <TheFigure
          class="absolute top-[26px] right-3 z-10 text-[13px]"
          :text="amount(brief.marks?.typical ?? brief.newPrice, currency)"
          :working="() => briefPriceWorking(brief, currency)"
        />
        <button
          type="button"
          class="block w-full border-b border-l-3 border-b-line px-3 py-1.5 text-left"
          :class="brief.partId === selected ? 'border-l-settled bg-sheet' : 'border-l-transparent'"
          @click="emit('select', brief.partId)"
        >
          <span class="block truncate" :class="{ 'font-semibold': brief.inBuild }">{{ brief.name }}</span>
          <span class="block text-xs text-soft">{{ brief.kept > 0 ? brief.grade : 'new only' }}</span>
          <PriceRule :points="{ marks: brief.marks, fresh: brief.newPrice }" :currency="currency" />
        </button>
      </li>
    </ul>
  </section>
</template>
