<script setup lang="ts">
import { protections } from '#core/supply/risk/faultRisk'
import { sourceKindNames, sourceSchema, type SourceInput } from '#shared/sources/schemas'
import { slug } from '#shared/text/slug'
import { call } from '~/data/call'

/** A source, new or changed: its tax, shipping, fees and protection, and what comes on top of a purchase from abroad. */
const {
  currency,
  source = null,
  tag,
} = defineProps<{
  currency: string
  /** The source that is changed; null: a new one. */
  source?: SourceInput | null
  tag?: string | undefined
}>()
const emit = defineEmits<{ saved: [name: string] }>()
const form = useDraftForm<SourceInput>({
  key: source ? null : 'tarvin-source-new',
  schema: sourceSchema as never,
  initial: source ?? {
    id: 'new',
    name: '',
    kind: 'classifieds',
    currency,
    taxPercent: 0,
    taxOnShipping: false,
    shipping: { kind: 'none', amount: '0', freeFrom: null },
    paymentFeePercent: 0,
    sellerFeePercent: 0,
    protection: 'none',
    note: '',
    importDutyPercent: 0,
    importTaxPercent: 0,
    importFreeUnder: '0',
    exchangeFeePercent: 0,
    creditLowersTax: false,
    codes: [],
  },
  async save(body) {
    await call(
      'PUT /api/sources',
      {},
      { ...body, id: source?.id ?? slug(body.name) },
      { was: source ? tag : 'new' },
    )
    emit('saved', body.name)
  },
})
const { values, failure, busy } = form
const shippings = { none: 'none', 'per-item': 'per item', 'per-order': 'per order' }
</script>

<template>
  <form class="sheet mt-3 p-3" aria-label="source" novalidate @submit.prevent="form.submit">
    <div class="flex flex-wrap items-end gap-3">
      <TextField name="name" label="name" spoken="name of the source" class="w-40" />
      <ChoiceField name="kind" label="kind" spoken="kind of source" :options="sourceKindNames" />
      <TextField name="currency" label="currency" spoken="currency of the source" class="w-20" />
      <NumberField name="taxPercent" label="tax, %" spoken="tax percent" :step="0.001" class="w-20" />
      <TickField name="taxOnShipping" label="tax on shipping" class="pb-1.5" />
      <ChoiceField name="shipping.kind" label="shipping" spoken="kind of shipping" :options="shippings" />
      <template v-if="values.shipping.kind !== 'none'">
        <MoneyField name="shipping.amount" label="amount" spoken="amount of shipping" class="w-20" />
        <MoneyField name="shipping.freeFrom" optional label="free from" placeholder="never" class="w-20" />
      </template>
      <ChoiceField name="protection" label="protection" :options="protections" />
      <TextField name="note" label="note" class="w-56" />
    </div>
    <details class="mt-2">
      <summary class="text-soft">Fees and imports</summary>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        <NumberField name="paymentFeePercent" label="payment fee, %" :step="0.001" class="w-28" />
        <NumberField name="sellerFeePercent" label="selling fee, %" :step="0.001" class="w-36" />
        <NumberField name="importDutyPercent" label="import duty, %" :step="0.001" class="w-28" />
        <NumberField name="importTaxPercent" label="import tax, %" :step="0.001" class="w-28" />
        <MoneyField name="importFreeUnder" label="duty-free below" class="w-28" />
        <NumberField name="exchangeFeePercent" label="exchange fee, %" :step="0.001" class="w-28" />
        <TickField name="creditLowersTax" label="trade-in credit reduces the taxed price" class="pb-1.5" />
      </div>
    </details>
    <SourceCodes
      :codes="values.codes"
      class="mt-2"
      @append="form.append('codes', $event)"
      @remove="form.remove('codes', $event)"
    />
    <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
    <button type="submit" class="button button-main mt-3" :disabled="busy">
      {{ source ? 'Save' : 'Add' }}
    </button>
  </form>
</template>
