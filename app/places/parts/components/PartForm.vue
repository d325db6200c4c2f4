<script setup lang="ts">
import { factKinds, factsOfRole } from '#core/parts/facts'
import { roleNames, roles, type Part, type PartFacts, type Role } from '#core/parts/part'
import { partSchema } from '#shared/parts/schemas'
import { slug } from '#shared/text/slug'
import { problemsByPath } from '~/utils/problems'
import { request, RequestError } from '~/utils/request'
import { ValidationError } from 'yup'

/** A part by form: the facts of its role, each of its kind; an empty field is a fact not known. `from`: the part that is changed, or copied. */
const { from, copying, known } = defineProps<{
  from: Part | null
  copying: boolean
  known: readonly string[]
}>()
const emit = defineEmits<{ done: [id: string]; close: [] }>()
const storageKey = `tarvin-part-${copying ? 'copy-' : ''}${from?.id ?? 'new'}`
interface Draft {
  role: Role
  make: string
  name: string
  facts: Record<string, string>
}
const written = (facts: PartFacts) =>
  Object.fromEntries(
    Object.entries(facts).map(([key, value]) => [
      key,
      Array.isArray(value)
        ? value.join(', ')
        : typeof value === 'boolean'
          ? value
            ? 'yes'
            : 'no'
          : String(value),
    ]),
  )
const stored = localStorage.getItem(storageKey)
const draft = reactive<Draft>(
  stored
    ? (JSON.parse(stored) as Draft)
    : {
        role: from?.role ?? 'cpu',
        make: from?.make ?? '',
        name: from?.name ?? '',
        facts: from ? written(from.facts) : {},
      },
)
watch(draft, () => localStorage.setItem(storageKey, JSON.stringify(draft)), { deep: true })
const problems = ref<Record<string, string>>({})
const failure = ref('')
const keys = computed(() => factsOfRole(draft.role))

/** What is typed as the schema asks for it; a figure that is none is left as it stands, for the schema to refuse. */
function typed(key: keyof PartFacts, text: string): unknown {
  const { kind } = factKinds[key]
  if (kind === 'yes-no') return text === 'yes'
  if (kind === 'texts')
    return text
      .split(',')
      .map((each) => each.trim())
      .filter((each) => each !== '')
  if (kind === 'number' || kind === 'whole') return Number.isFinite(Number(text)) ? Number(text) : text
  return text.trim()
}
async function save() {
  failure.value = ''
  const facts = Object.fromEntries(
    keys.value.flatMap((key) =>
      (draft.facts[key] ?? '').trim() === '' ? [] : [[key, typed(key, draft.facts[key]!)]],
    ),
  )
  const id =
    from && !copying
      ? from.id
      : slug(draft.name.includes(draft.make) ? draft.name : `${draft.make} ${draft.name}`)
  if ((!from || copying) && known.includes(id)) {
    failure.value = `there is a ${draft.make} ${draft.name} already; give the sister model another name`
    return
  }
  try {
    const body = partSchema.validateSync(
      { id, role: draft.role, make: draft.make, name: draft.name, facts },
      { abortEarly: false },
    )
    problems.value = {}
    await request('/api/parts', { method: 'PUT', body })
    localStorage.removeItem(storageKey)
    emit('done', id)
  } catch (error) {
    if (error instanceof ValidationError) problems.value = problemsByPath(error)
    else failure.value = error instanceof RequestError ? error.message : String(error)
  }
}
</script>

<template>
  <form class="sheet mt-3 p-3" aria-label="part" novalidate @submit.prevent="save">
    <div class="flex flex-wrap items-end gap-3">
      <FormField label="role" class="flex flex-col"
        ><select v-model="draft.role" class="field" :disabled="from !== null" aria-label="role of the part">
          <option v-for="each in roles" :key="each" :value="each">{{ roleNames[each] }}</option>
        </select></FormField
      >
      <FormField label="make" class="flex flex-col"
        ><input v-model="draft.make" class="field w-32" aria-label="make" /></FormField
      ><FormField label="model" class="flex flex-col" :problem="problems.name ?? problems.id"
        ><input v-model="draft.name" class="field w-56" aria-label="model"
      /></FormField>
      <p v-if="copying" class="text-soft">a copy of {{ from?.name }}: change what differs</p>
    </div>
    <div class="mt-3 grid grid-cols-5 gap-x-4 gap-y-2 max-lg:grid-cols-3 max-md:grid-cols-2">
      <FormField
        v-for="key in keys"
        :key="key"
        class="flex flex-col"
        :label="`${factKinds[key].name}${factKinds[key].unit ? `, ${factKinds[key].unit}` : ''}`"
        :problem="problems[`facts.${key}`]"
      >
        <select
          v-if="factKinds[key].kind === 'yes-no'"
          v-model="draft.facts[key]"
          class="field w-full"
          :aria-label="factKinds[key].name"
        >
          <option value="">not known</option>
          <option>yes</option>
          <option>no</option>
        </select>
        <select
          v-else-if="factKinds[key].kind === 'choice'"
          v-model="draft.facts[key]"
          class="field w-full"
          :aria-label="factKinds[key].name"
        >
          <option value="">not known</option>
          <option v-for="each in factKinds[key].choices" :key="each">{{ each }}</option>
        </select>
        <input
          v-else
          v-model="draft.facts[key]"
          class="field w-full"
          :class="{ figures: factKinds[key].kind === 'number' || factKinds[key].kind === 'whole' }"
          placeholder="not known"
          :aria-label="factKinds[key].name"
        />
      </FormField>
    </div>
    <p v-if="failure" class="mt-2 text-stop" role="alert">{{ failure }}</p>
    <div class="mt-3 flex gap-3">
      <button type="submit" class="button button-main">
        {{ from && !copying ? 'Save the part' : 'Add the part' }}</button><button
        type="button"
        class="button"
        @click="emit('close')"
      >
        Close
      </button>
    </div>
  </form>
</template>
