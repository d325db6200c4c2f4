<script setup lang="ts">
import { needNames, needs, partLabel, type Need } from '#core/parts/part'
import { rivalSchema } from '#shared/schemas/entities'
import { amount } from '~/utils/show'

/** Rivals: prebuilts, consoles, configured machines and own older ones to weigh against. */
const { library, adding, problem, add } = useAddForm({ path: '/api/library/rivals', method: 'POST' }, rivalSchema)
const blank = () => ({ kind: 'prebuilt', name: '', price: '', currency: 'CAD', taxPercent: 13, shipping: '0', brings: [] as Need[], cpuId: null as string | null, graphicsId: null as string | null, notStated: '', rates: [] as { workloadId: string; width: number; height: number; preset: string | null; averageFps: number; lowFps: number | null }[] })
const draft = reactive(blank())
useHead({ title: 'Rivals · Tarvin' })
const ofRole = (role: string) => (library.value?.parts ?? []).filter((part) => part.role === role)
const presetsOf = (id: string) => Object.keys(library.value?.workloads.find((each) => each.id === id)?.presets ?? {})
function addRate() {
  const workload = library.value?.workloads[0]
  if (workload) draft.rates.push({ workloadId: workload.id, width: 1920, height: 1080, preset: null, averageFps: 60, lowFps: null })
}
function setSize(index: number, size: string) {
  const [width = 1920, height = 1080] = size.split('x').map(Number)
  Object.assign(draft.rates[index]!, { width, height })
}
const toggleNeed = (need: Need) => (draft.brings = draft.brings.includes(need) ? draft.brings.filter((each) => each !== need) : [...draft.brings, need])
async function submit() {
  const rival = { ...draft, notStated: draft.notStated.split(',').map((each) => each.trim()).filter((each) => each !== '') }
  if (!(await add(rival, `${draft.name} can be weighed now`))) return
  Object.assign(draft, blank())
  adding.value = false
}
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <div class="flex items-center"><h1>Rivals</h1><button type="button" class="button ml-auto" @click="adding = !adding">Add a rival</button></div>
    <form v-if="adding" class="sheet mt-3 p-3" @submit.prevent="submit">
      <div class="flex flex-wrap items-end gap-3">
        <FormField label="kind"><select v-model="draft.kind" class="field" aria-label="kind of rival"><option>prebuilt</option><option>console</option><option value="configured">configured by a shop</option><option value="own">own older machine</option></select></FormField>
        <FormField label="name"><input v-model="draft.name" class="field w-56" aria-label="name of the rival"></FormField>
        <FormField label="price"><span class="flex gap-1"><input v-model="draft.price" class="field figures w-24" aria-label="price of the rival"><input v-model="draft.currency" class="field figures w-16" aria-label="currency of the rival"></span></FormField>
        <FormField label="tax %"><input v-model.number="draft.taxPercent" type="number" min="0" step="0.1" class="field figures w-20" aria-label="tax of the rival"></FormField>
        <FormField label="shipping"><input v-model="draft.shipping" class="field figures w-20" aria-label="shipping of the rival"></FormField>
        <FormField label="CPU, if known"><select v-model="draft.cpuId" class="field w-44" aria-label="CPU of the rival"><option :value="null">not known</option><option v-for="part in ofRole('cpu')" :key="part.id" :value="part.id">{{ partLabel(part) }}</option></select></FormField>
        <FormField label="card, if known"><select v-model="draft.graphicsId" class="field w-44" aria-label="card of the rival"><option :value="null">not known</option><option v-for="part in ofRole('graphics')" :key="part.id" :value="part.id">{{ partLabel(part) }}</option></select></FormField>
        <FormField label="what the seller does not state" class="flex-1"><input v-model="draft.notStated" class="field w-full min-w-44" placeholder="divided by commas" aria-label="not stated"></FormField>
      </div>
      <p class="mt-2">It brings: <label v-for="need in needs" :key="need" class="mr-4"><input type="checkbox" :checked="draft.brings.includes(need)" @change="toggleNeed(need)"> {{ needNames[need] }}</label></p>
      <div v-for="(rate, index) in draft.rates" :key="index" class="mt-2 flex items-center gap-2">
        <select v-model="rate.workloadId" class="field" :aria-label="`workload of result ${index + 1}`"><option v-for="each in library?.workloads" :key="each.id" :value="each.id">{{ each.name }}</option></select>
        <select class="field" :value="`${rate.width}x${rate.height}`" :aria-label="`resolution of result ${index + 1}`" @change="setSize(index, ($event.target as HTMLSelectElement).value)"><option v-for="size in ['1280x720', '1920x1080', '2560x1440', '3840x2160']" :key="size">{{ size }}</option></select>
        <select v-model="rate.preset" class="field" :aria-label="`preset of result ${index + 1}`"><option :value="null">a mode of its own</option><option v-for="preset in presetsOf(rate.workloadId)" :key="preset" :value="preset">{{ preset }}</option></select>
        <input v-model.number="rate.averageFps" type="number" min="1" class="field figures w-20" :aria-label="`average of result ${index + 1}`"> fps <button type="button" class="quiet-button" @click="draft.rates.splice(index, 1)">take out</button>
      </div>
      <div class="mt-3 flex gap-3"><button type="button" class="button" @click="addRate">Add a stated result</button><button type="submit" class="button button-main">Add the rival</button></div>
      <p v-if="problem" class="mt-2 text-stop" role="alert">{{ problem }}</p>
    </form>
    <table class="ledger mt-3">
      <thead><tr><th>rival</th><th>kind</th><th class="!text-right">price</th><th class="!text-right">tax</th><th>brings</th><th>not stated</th><th>note</th></tr></thead>
      <tbody><tr v-for="rival in library?.rivals" :key="rival.id"><td>{{ rival.name }}</td><td class="text-soft">{{ rival.kind }}</td><td class="amount">{{ amount(rival.price, rival.currency) }} {{ rival.currency }}</td><td class="amount">{{ rival.taxPercent }} %</td><td>{{ rival.brings.map((need) => needNames[need]).join(', ') || '—' }}</td><td class="text-waiting">{{ rival.notStated.join(', ') }}</td><td class="text-soft">{{ rival.note }}</td></tr></tbody>
    </table>
    <p v-if="library && library.rivals.length === 0" class="mt-4 text-soft">Nothing to weigh against yet.</p>
  </main>
</template>
