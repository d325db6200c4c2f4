<script setup lang="ts">
import { partLabel, roleNames, roles, type Role } from '#core/parts/part'
import { partSchema } from '#shared/schemas/entities'
import { slug } from '#shared/slug'

/** Parts: the library behind all builds. */
const { library, adding, problem, add } = useAddForm({ path: '/api/library/parts', method: 'PUT' }, partSchema)
const role = useRouteState('role')
const search = ref('')
const draft = reactive({ role: 'cpu' as Role, make: '', name: '', facts: '' })
useHead({ title: 'Parts · Tarvin' })
const shown = computed(() => (library.value?.parts ?? []).filter((part) => (role.value === '' || part.role === role.value) && partLabel(part).toLowerCase().includes(search.value.toLowerCase())))
const factsText = (facts: object) => Object.entries(facts).map(([key, value]) => `${key} ${Array.isArray(value) ? value.join('/') : value}`).join(' · ')

/** `socket SF-3, cores 6`: one fact to a comma, its value after a space. */
function readFacts(text: string): Record<string, unknown> {
  return Object.fromEntries(text.split(',').map((each) => each.trim()).filter((each) => each !== '').map((each) => {
    const [key = '', ...rest] = each.split(' ')
    const value = rest.join(' ')
    return [key, value === 'true' ? true : value === 'false' ? false : value !== '' && !Number.isNaN(Number(value)) ? Number(value) : value]
  }))
}
async function submit() {
  const part = { id: slug(`${draft.make} ${draft.name}`), role: draft.role, make: draft.make, name: draft.name, facts: readFacts(draft.facts) }
  if (await add(part, `${draft.name} is in the library`)) Object.assign(draft, { name: '', facts: '' })
}
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <div class="flex items-center gap-3"><h1>Parts</h1><select v-model="role" class="field" aria-label="role"><option value="">all {{ library?.parts.length ?? 0 }}</option><option v-for="each in roles" :key="each" :value="each">{{ roleNames[each] }}</option></select><input v-model="search" class="field" placeholder="name" aria-label="name"><button type="button" class="button ml-auto" @click="adding = !adding">Add a part</button></div>
    <form v-if="adding" class="sheet mt-3 flex flex-wrap items-end gap-3 p-3" @submit.prevent="submit">
      <FormField label="role"><select v-model="draft.role" class="field" aria-label="role of the part"><option v-for="each in roles" :key="each" :value="each">{{ roleNames[each] }}</option></select></FormField>
      <FormField label="make"><input v-model="draft.make" class="field w-32" aria-label="make"></FormField><FormField label="model"><input v-model="draft.name" class="field w-48" aria-label="model"></FormField>
      <FormField label="facts, divided by commas" class="flex-1"><input v-model="draft.facts" class="field w-full" placeholder="socket SF-3, cores 6, threads 12, cpuIndex 100" aria-label="facts"></FormField>
      <button type="submit" class="button button-main">Add</button><p v-if="problem" class="w-full text-stop" role="alert">{{ problem }}</p>
    </form>
    <table class="ledger mt-3"><thead><tr><th>part</th><th>role</th><th>facts</th></tr></thead><tbody><tr v-for="part in shown" :key="part.id"><td class="whitespace-nowrap">{{ partLabel(part) }}</td><td class="whitespace-nowrap text-soft">{{ roleNames[part.role] }}</td><td class="text-xs text-soft">{{ factsText(part.facts) }}</td></tr></tbody></table>
    <p v-if="library && shown.length === 0" class="mt-4 text-soft">No part here. Open a library file on Builds, or add one.</p>
  </main>
</template>
