<script setup lang="ts">
import { factsOfRole } from '#core/parts/facts'
import { roleNames, type Part } from '#core/parts/part'
import type { LibraryView } from '#shared/parts/views'
import { partSchema, type PartInput } from '#shared/parts/schemas'
import { slug } from '#shared/text/slug'
import { call } from '~/data/call'

/** A part by form: the facts of its role, each of its kind. `from`: the part that is changed, or copied. */
const { from, copying, library } = defineProps<{
  from: Part | null
  copying: boolean
  library: LibraryView
}>()
const known = computed(() => library.parts.map((part) => part.id))
const emit = defineEmits<{ done: [id: string]; close: [] }>()
const isNew = from === null || copying
const form = useDraftForm<PartInput>({
  key: `tarvin-part-${copying ? 'copy-' : ''}${from?.id ?? 'new'}`,
  schema: partSchema as never,
  initial: {
    id: from?.id ?? '',
    role: from?.role ?? 'cpu',
    make: from?.make ?? '',
    name: from?.name ?? '',
    facts: { ...from?.facts } as PartInput['facts'],
    open: from?.open ?? false,
  },
  isSaved: !isNew,
  async save(body, was) {
    await call('PUT /api/parts', {}, body, { was: isNew ? 'new' : was })
    emit('done', body.id)
  },
})
const { values, failure, busy } = form
const facts = computed(() => factsOfRole(values.role))
const hasIndex = computed(() => values.role === 'cpu' || values.role === 'graphics')

/** A new part is known by make and model; facts of another role, chosen before, go. */
async function submit() {
  const { make, name } = values
  if (isNew) form.assign({ id: slug(name.includes(make) ? name : `${make} ${name}`) })
  if (isNew && known.value.includes(values.id)) {
    failure.value = `there is already a ${make} ${name}; give this one another name`
    return
  }
  const ofRole = new Set<string>(facts.value)
  form.assign({
    facts: Object.fromEntries(
      Object.entries(values.facts ?? {}).filter(([fact, value]) => ofRole.has(fact) && value !== undefined),
    ) as PartInput['facts'],
  })
  await form.submit()
}
</script>

<template>
  <form class="sheet mt-3 p-3" aria-label="part" novalidate @submit.prevent="submit">
    <div class="flex flex-wrap items-end gap-3">
      <ChoiceField
        name="role"
        label="role"
        spoken="role of the part"
        :options="roleNames"
        :disabled="from !== null"
      />
      <TextField name="make" label="brand" class="w-32" />
      <TextField name="name" label="model" class="w-56" />
      <TickField name="open" label="exact model not known: valued as the cheapest model that matches" />
      <p v-if="copying" class="text-soft">copy of {{ from?.name }}: change what differs</p>
    </div>
    <div class="mt-3 grid grid-cols-5 items-end gap-x-4 gap-y-2 max-lg:grid-cols-3 max-md:grid-cols-2">
      <FactField v-for="fact in facts" :key="fact" :fact="fact" />
    </div>
    <IndexFromRate
      v-if="hasIndex"
      :part="values as unknown as Part"
      :library="library"
      @solved="form.assign({ facts: $event as PartInput['facts'] })"
    />
    <FormConflict
      v-if="form.conflict.value"
      :saved="form.conflict.value.saved"
      :mine="values"
      @take-saved="form.takeSaved"
      @save-over="form.saveOver"
    />
    <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
    <div class="mt-3 flex gap-3">
      <button type="submit" class="button button-main" :disabled="busy">
        {{ isNew ? 'Add the part' : 'Save part' }}</button><button
        type="button"
        class="button"
        @click="emit('close')"
      >
        Close
      </button>
    </div>
  </form>
</template>
