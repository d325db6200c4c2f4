<script setup lang="ts">
import { conditions, manners } from '#core/reading/sales/soldRecord'
import { leadSchema, type LeadInput } from '#shared/leads/schemas'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'
import { blankLead } from '../state/leadDraft'
import { read } from '~/data/read'

/** Capturing a lead: by form, by the source of a page or the text of a listing, or many from a CSV. */
const {
  today,
  currency,
  editing = null,
} = defineProps<{ today: string; currency: string; editing?: string | null }>()
const emit = defineEmits<{ close: []; done: [id: string | null] }>()
const { data: library } = useCall('GET /api/library')
const form = useDraftForm<LeadInput>({
  key: `tarvin-lead-${editing ?? 'new'}`,
  schema: leadSchema as never,
  initial: blankLead(today, currency),
  ...(editing ? { load: () => read('GET /api/leads/:id', { id: editing }) } : {}),
  async save(body, was) {
    const { id } = editing
      ? await call('PUT /api/leads/:id', { id: editing }, body, { was })
      : await call('POST /api/leads', {}, body)
    emit('done', id)
  },
})
const { values, problems } = form
const hasImported = ref(false)
const close = () => (hasImported.value ? emit('done', null) : emit('close'))
function discard() {
  form.forget()
  emit('close')
}
const sources = computed(() => library.value?.sources.map(({ id, name }) => [id, name] as const) ?? [])
</script>

<template>
  <FormSheet
    :title="editing ? 'Edit lead' : 'New lead'"
    :action="editing ? 'Save lead' : 'Add lead'"
    :form="form"
    @submit="form.submit"
    @close="close"
  >
    <template v-if="!editing && library" #before>
      <LeadReading
        :library="library"
        :today="today"
        :currency="currency"
        class="mb-3"
        @read="form.assign"
        @imported="hasImported = true"
      />
    </template>
    <div class="grid grid-cols-4 gap-x-3 gap-y-2 max-md:grid-cols-2">
      <TextField name="title" label="title" class="col-span-2" />
      <ChoiceField name="sourceId" label="source" placeholder="choose" :options="sources" />
      <MoneyField
        name="price"
        currency-name="currency"
        label="asking price"
        currency-spoken="currency of the asking price"
      />
      <ChoiceField name="condition" label="condition" :options="conditions" />
      <ChoiceField name="manner" label="sale type" :options="manners" />
      <DayField name="listedOn" label="listed on" />
      <DayField name="endsOn" label="ends on" />
      <MoneyField name="shipping" optional label="shipping" spoken="shipping" />
      <TextField name="place" label="location" />
      <TextField name="url" label="link" class="col-span-2" />
      <TextField name="note" label="note" :rows="2" class="col-span-full" />
      <LeadThings
        :things="values.things"
        :parts="library?.parts ?? []"
        :problem="problems.things"
        class="col-span-full"
        @append="form.append('things', $event)"
        @remove="form.remove('things', $event)"
      />
      <LeadCode
        :code="values.code"
        class="col-span-2 max-md:col-span-full"
        @change="form.assign({ code: $event })"
      />
      <LeadRebates
        :rebates="values.rebates"
        :parts="library?.parts ?? []"
        :today="today"
        class="col-span-2 max-md:col-span-full"
        @append="form.append('rebates', $event)"
        @remove="form.remove('rebates', $event)"
      />
      <LeadCredit
        :credit="values.tillCredit"
        :things="library?.shelf ?? []"
        class="col-span-full"
        @change="form.assign({ tillCredit: $event })"
      />
      <fieldset class="col-span-full">
        <legend class="text-xs text-soft">extra costs: an adapter, metalwork, screws</legend>
        <div v-for="(_, index) in values.extras" :key="index" class="mt-1 flex items-start gap-2">
          <TextField bare :name="`extras[${index}].label`" :label="`extra ${index + 1}`" class="flex-1" />
          <MoneyField
            bare
            :name="`extras[${index}].amount`"
            :label="`cost of extra ${index + 1}`"
            class="w-24"
          /><button type="button" class="quiet-button" @click="form.remove('extras', index)">remove</button>
        </div>
        <button
          type="button"
          class="quiet-button mt-1"
          @click="form.append('extras', { label: '', amount: '' })"
        >
          add an extra
        </button>
      </fieldset>
      <TextField
        name="text"
        label="listing text: facts are read from it"
        spoken="listing text"
        :rows="2"
        class="col-span-full text-xs"
      />
    </div>
    <template #actions>
      <button v-if="editing" type="button" class="quiet-button" @click="discard">discard changes</button>
    </template>
  </FormSheet>
</template>
