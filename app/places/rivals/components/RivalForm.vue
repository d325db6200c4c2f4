<script setup lang="ts">
import { needNames, needs } from '#core/parts/part'
import { rivalSchema, type RivalInput } from '#shared/rivals/schemas'
import type { LibraryView } from '#shared/parts/views'
import { call } from '~/data/call'
import { blankRival, rivalKindNames, takePage } from '../state/rivalDraft'
import { read } from '~/data/read'

/** A machine to weigh against, by form or from the source of a page. An empty fact is "not stated". */
const { library, today, currency, editing } = defineProps<{
  library: LibraryView
  today: string
  currency: string
  editing: string | null
}>()
const emit = defineEmits<{ close: []; saved: [name: string] }>()
const form = useDraftForm<RivalInput>({
  key: `tarvin-rival-${editing ?? 'new'}`,
  schema: rivalSchema,
  initial: blankRival(currency),
  ...(editing ? { load: () => read('GET /api/rivals/:id', { id: editing }) } : {}),
  async save(body, was) {
    if (editing) await call('PUT /api/rivals/:id', { id: editing }, body, { was })
    else await call('POST /api/rivals', {}, body)
    emit('saved', body.name)
  },
})
const { values, failure } = form
const page = ref('')
const quotes = ref<Readonly<Record<string, string>>>({})
async function readPage() {
  failure.value = ''
  try {
    const found = await call('POST /api/rivals/page', {}, { source: page.value })
    form.assign(takePage(values, found))
    quotes.value = found.quotes
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <FormSheet
    wide
    :title="editing ? values.name || 'Edit rival' : 'New rival'"
    :action="editing ? 'Save the changes' : 'Add rival'"
    :form="form"
    @submit="form.submit"
    @close="emit('close')"
  >
    <div v-if="!editing" class="mb-3 flex items-start gap-2">
      <textarea
        v-model="page"
        class="field h-14 flex-1"
        placeholder="paste the page source: name, price and parts are read from it"
        aria-label="page source"
      /><button type="button" class="button" :disabled="page.trim() === ''" @click="readPage">
        Read page
      </button>
    </div>
    <p v-if="Object.keys(quotes).length > 0" class="mb-2 text-soft" data-test="quotes">
      Found: <span v-for="(quote, fact) in quotes" :key="fact" class="tag tag-info mr-1">{{ quote }}</span>
    </p>
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
      <ChoiceField name="kind" label="kind" spoken="kind of rival" :options="rivalKindNames" />
      <TextField name="name" label="name" spoken="name of the rival" class="w-56" />
      <MoneyField
        name="price"
        currency-name="currency"
        label="price"
        spoken="price of the rival"
        currency-spoken="currency of the rival"
        class="w-44"
      />
      <NumberField name="taxPercent" label="tax, %" spoken="tax of the rival" :step="0.1" class="w-20" />
      <MoneyField
        name="shipping"
        label="delivery"
        spoken="shipping of the rival"
        :disabled="!values.shippingStated"
        class="w-20"
      />
      <TickField name="shippingStated" label="stated" class="pb-1.5 text-xs" />
      <NumberField
        name="warrantyMonths"
        label="warranty, months"
        spoken="warranty in months"
        placeholder="not stated"
        class="w-32"
      />
    </div>
    <RivalParts v-if="values.kind !== 'console'" :library="library" class="mt-4" />
    <p class="mt-3">
      Included: <TicksField name="brings" :options="needs.map((need) => [need, needNames[need]] as const)" />
    </p>
    <div class="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2">
      <NumberField name="fullW" label="wall power under load, W" placeholder="—" class="w-28" />
      <NumberField name="idleW" label="wall watts, idle" placeholder="—" class="w-28" />
      <MoneyField name="subscriptionPerYear" label="subscription per year" class="w-32" />
      <MoneyField name="gameSurcharge" label="extra cost per game" class="w-36" />
      <MoneyField name="resaleToday" optional label="resale value today" placeholder="by type" class="w-28" />
      <ListField name="notStated" label="not stated" class="w-44" />
    </div>
    <RivalLists
      :values="values"
      :workloads="library.workloads"
      :today="today"
      @append="form.append"
      @remove="form.remove"
      @assign="form.assign"
    />
    <TextField name="note" label="note" spoken="note on the rival" class="mt-3" />
  </FormSheet>
</template>
