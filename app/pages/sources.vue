<script setup lang="ts">
import { protections } from '#core/supply/risk/faultRisk'
import { sourceSchema } from '#shared/sources/schemas'
import { slug } from '#shared/text/slug'
import { amount } from '~/utils/show'

/** Sources: where leads and records come from, what is asked there on a schedule, and their tax, shipping and protection. */
const { library, adding, problem, add } = useAddForm({ path: '/api/sources', method: 'PUT' }, sourceSchema)
const draft = reactive({
  name: '',
  kind: 'classifieds',
  currency: 'CAD',
  taxPercent: 0,
  taxOnShipping: false,
  shipping: { kind: 'none', amount: '0', freeFrom: null as string | null },
  protection: 'none',
  note: '',
})
useHead({ title: 'Sources · Tarvin' })
async function submit() {
  if (await add({ ...draft, id: slug(draft.name) }, `${draft.name} is among the sources`))
    adding.value = false
}
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <div class="flex items-center">
      <h1>Sources</h1>
      <button type="button" class="button ml-auto" @click="adding = !adding">Add a source</button>
    </div>
    <form v-if="adding" class="sheet mt-3 flex flex-wrap items-end gap-3 p-3" @submit.prevent="submit">
      <FormField label="name"
        ><input v-model="draft.name" class="field w-40" aria-label="name of the source"
      /></FormField>
      <FormField label="kind"
        ><select v-model="draft.kind" class="field" aria-label="kind of source">
          <option value="classifieds">classifieds</option>
          <option value="auction">auction</option>
          <option value="refurbisher">refurbisher</option>
          <option value="shop">shop</option>
          <option value="counter">in-shop only</option>
        </select></FormField
      >
      <FormField label="currency"
        ><input v-model="draft.currency" class="field figures w-16" aria-label="currency of the source"
      /></FormField>
      <FormField label="tax %"
        ><input
          v-model.number="draft.taxPercent"
          type="number"
          min="0"
          step="0.1"
          class="field figures w-20"
          aria-label="tax percent"
      /></FormField>
      <label class="pb-1.5"><input v-model="draft.taxOnShipping" type="checkbox" /> tax on shipping</label>
      <FormField label="shipping"
        ><select v-model="draft.shipping.kind" class="field" aria-label="kind of shipping">
          <option>none</option>
          <option>per-item</option>
          <option>per-order</option>
        </select></FormField
      >
      <FormField label="amount"
        ><input v-model="draft.shipping.amount" class="field figures w-20" aria-label="amount of shipping"
      /></FormField>
      <FormField label="free from"
        ><input
          :value="draft.shipping.freeFrom ?? ''"
          class="field figures w-20"
          aria-label="free from"
          @input="draft.shipping.freeFrom = ($event.target as HTMLInputElement).value || null"
      /></FormField>
      <FormField label="protection"
        ><select v-model="draft.protection" class="field" aria-label="protection">
          <option v-for="each in protections" :key="each">{{ each }}</option>
        </select></FormField
      >
      <button type="submit" class="button button-main">Add</button>
      <p v-if="problem" class="w-full text-stop" role="alert">{{ problem }}</p>
    </form>
    <ConnectorTable v-if="library && library.sources.length > 0" class="mt-4" :sources="library.sources" />
    <h2 class="mt-6 !text-base">Terms</h2>
    <table class="ledger mt-2 bg-sheet">
      <thead>
        <tr>
          <th>source</th>
          <th>kind</th>
          <th class="!text-right">tax</th>
          <th>shipping</th>
          <th>protection</th>
          <th>note</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="source in library?.sources" :key="source.id">
          <td>{{ source.name }}</td>
          <td class="text-soft">{{ source.kind }}</td>
          <td class="amount">{{ source.taxPercent }} %</td>
          <td class="figures">
            {{
              source.shippingKind === 'none'
                ? '—'
                : `${amount(source.shippingAmount, source.currency)} ${source.currency} ${source.shippingKind}`
            }}{{
              source.shippingFreeFrom === null
                ? ''
                : `, free from ${amount(source.shippingFreeFrom, source.currency)}`
            }}
          </td>
          <td>{{ source.protection }}</td>
          <td class="text-soft">{{ source.note }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="library && library.sources.length === 0" class="mt-4 text-soft">
      No source yet. Leads need one: add it here or open a library file on Builds.
    </p>
  </main>
</template>
