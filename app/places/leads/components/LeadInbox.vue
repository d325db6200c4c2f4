<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { roleNames, roles, type Role } from '#core/parts/part'
import { isTooCheap } from '#core/supply/risk/tooCheap'
import type { LeadInboxView, LeadView } from '#shared/leads/views'
import { formatWhole } from '#core/money/formatAmount'
import { amount } from '~/utils/show'
import { savingWorking } from '~/workings/leadWorkings'
import type { LeadOrder, LeadShow } from '#shared/leads/inbox'
import { leadAge } from '../state/leadList'

/** The inbox with small price rules. */
const build = useBuild()
const { leads, total, unvalued, selected, currency, today, hits, counts } = defineProps<{
  hits: ReadonlySet<string>
  counts: LeadInboxView['counts'] | undefined
  leads: readonly LeadView[]
  /** Rows in all, with those that are not here yet. */
  total: number
  unvalued: LeadInboxView['unvalued']
  selected: string
  currency: string
  today: string
}>()
const emit = defineEmits<{ select: [id: string]; capture: []; edit: [id: string]; more: [] }>()
const missing = useMissingRate()
const role = defineModel<Role | ''>('role', { required: true })
const order = defineModel<LeadOrder>('order', { required: true })
const show = defineModel<LeadShow>('show', { required: true })
const showNames: Readonly<Record<LeadShow, string>> = {
  open: 'open',
  chosen: 'chosen',
  hits: 'under limit',
  untied: 'without a part',
  asked: 'asked',
  passed: 'passed',
}
const isChosen = (lead: LeadView) =>
  build.choosing?.leadId === lead.id ? build.choosing.isChosen : lead.choiceId !== null
/** Below the street reads as a minus, above it as a plus. */
const saved = (saving: number) => `${saving < 0 ? '+' : ''}${formatWhole(-saving, currency)}`
const list = useTemplateRef<HTMLElement>('list')
/** From here on only what is in sight is drawn. */
const longList = 30
const isLong = computed(() => leads.length > longList)
const virtual = useVirtualizer(
  computed(() => ({
    count: isLong.value ? leads.length : 0,
    getScrollElement: () => list.value,
    estimateSize: () => 62,
    overscan: 6,
    getItemKey: (index: number) => leads[index]!.id,
  })),
)
const inSight = computed(() => virtual.value.getVirtualItems())
const rows = computed(() =>
  isLong.value
    ? inSight.value.map(({ index, start }) => ({ index, start, lead: leads[index]! }))
    : leads.map((lead, index) => ({ index, start: null, lead })),
)
watch(
  () => inSight.value.at(-1)?.index,
  (last = 0) => isLong.value && last >= leads.length - 1 && emit('more'),
)
watch(
  () => selected,
  (id) => {
    const index = leads.findIndex((each) => each.id === id)
    if (index >= 0 && isLong.value) virtual.value.scrollToIndex(index, { align: 'auto' })
    else
      void nextTick(() =>
        list.value?.querySelector(`[data-lead="${id}"]`)?.scrollIntoView({ block: 'nearest' }),
      )
  },
)
</script>

<template>
  <section
    class="flex w-[286px] shrink-0 flex-col border-r border-line max-md:h-52 max-md:w-full max-md:border-b"
    aria-label="inbox"
  >
    <div class="flex items-center gap-1 border-b border-line px-2 py-1.5 text-xs">
      <select v-model="show" class="field !min-h-0 w-[80px] !px-1 !py-0.5" aria-label="which leads">
        <option
          v-for="[each, words] in Object.entries(showNames)"
          v-show="each === show || each === 'open' || counts?.[each as LeadShow]"
          :key="each"
          :value="each"
        >
          {{ counts?.[each as LeadShow] }} {{ words }}
        </option>
      </select>
      <select v-model="role" class="field !min-h-0 w-0 min-w-0 flex-1 !px-1 !py-0.5" aria-label="role">
        <option value="">any role</option>
        <option v-for="each in roles" :key="each" :value="each">{{ roleNames[each] }}</option>
      </select>
      <select v-model="order" class="field !min-h-0 w-[74px] !px-1 !py-0.5" aria-label="order">
        <option value="saving">saving</option>
        <option value="price">price</option>
        <option value="age">age</option>
        <option value="ends">ends</option>
        <option value="place">distance</option>
      </select>
      <button
        type="button"
        class="button !px-2 !py-0.5"
        aria-label="add a lead"
        title="add a lead (N)"
        @click="emit('capture')"
      >
        <Plus :size="14" />
      </button>
    </div>
    <p class="flex justify-between border-b border-line px-3 py-0.5 text-[11px] text-soft">
      <span>landed cost, {{ currency }}</span
      ><span>vs street price</span>
    </p>
    <ul v-if="unvalued.length > 0" class="max-h-40 shrink-0 overflow-y-auto">
      <li
        v-for="each in unvalued"
        :key="each.id"
        class="border-b border-line px-3 py-1.5 text-xs text-waiting"
      >
        {{ each.title }}: {{ each.reason }}.
        <button type="button" class="quiet-button" @click="missing.open(each.from, each.to)">
          set the exchange rate</button
        >, or
        <button type="button" class="quiet-button" @click="emit('edit', each.id)">change it</button>
      </li>
    </ul>
    <div ref="list" class="min-h-0 flex-1 overflow-y-auto">
      <ul class="relative" :style="isLong ? { height: `${virtual.getTotalSize()}px` } : {}">
        <li
          v-for="{ lead, index, start } in rows"
          :key="lead.id"
          :ref="(element) => isLong && virtual.measureElement(element as Element | null)"
          :data-index="index"
          :data-lead="lead.id"
          :aria-setsize="total"
          :aria-posinset="index + 1"
          :class="start === null ? 'relative' : 'absolute inset-x-0 top-0'"
          :style="start === null ? {} : { transform: `translateY(${start}px)` }"
        >
          <TheFigure
            class="absolute top-1.5 right-3 z-10"
            :class="(lead.value.saving ?? 0) > 0 ? 'text-settled' : 'text-soft'"
            :text="lead.value.saving === null ? '?' : saved(lead.value.saving)"
            :working="() => savingWorking(lead, build.view!)"
          />
          <button
            type="button"
            class="block w-full border-b border-l-3 border-b-line px-3 py-1.5 text-left"
            :class="lead.id === selected ? 'border-l-settled bg-sheet' : 'border-l-transparent'"
            @click="emit('select', lead.id)"
          >
            <span class="block truncate pr-14" :class="{ 'font-semibold': isChosen(lead) }">{{
              lead.title
            }}</span>
            <span class="flex items-baseline justify-between text-xs text-soft"
              ><span class="truncate"
                ><b class="figures font-medium text-ink">{{ amount(lead.value.payNow, currency) }}</b> ·
                {{ lead.sourceName }} · {{ leadAge(lead, today)
                }}<template v-if="lead.firstAsk !== null">
                  · was {{ formatWhole(lead.firstAsk, lead.currency) }}</template
                ></span
              ><span v-if="lead.vanishedOn" class="tag tag-stop">gone</span
              ><span v-else-if="isChosen(lead)" class="tag tag-settled">chosen</span
              ><span v-else-if="lead.breaches.length > 0" class="tag tag-stop">your rule</span
              ><span v-else-if="isTooCheap(lead.value.ask, lead.tooCheapBelow)" class="tag tag-stop"
                >suspiciously cheap</span
              ><span v-else-if="hits.has(lead.id)" class="tag tag-settled">under your limit</span
              ><span v-else-if="lead.isSilent" class="tag tag-stop">silent</span
              ><span v-else-if="lead.waiting !== null" class="tag tag-waiting">asked</span
              ><span v-else-if="lead.same" class="tag tag-info">{{
                lead.same.kind === 'double' ? 'twice' : 'again'
              }}</span></span
            >
            <PriceRule
              :points="{ marks: lead.marks, ask: lead.value.ask, landed: lead.value.payNow }"
              :currency="currency"
            />
          </button>
        </li>
      </ul>
      <p v-if="leads.length === 0" class="p-4 text-soft">
        No leads here. Add one by form or from a page’s source, or import a CSV.
      </p>
    </div>
  </section>
</template>
