<script setup lang="ts">
import { machineRulesSchema, briefSchema } from '#shared/brief/schemas'
import { call } from '~/data/call'
import { textOfFile, usePastedText } from '~/places/pastes/state/usePaste'
import { salesSample } from '~/places/pastes/state/salesSample'

/** Nothing is here yet: paste something, begin with the machine, or look around in the sample data. */
const session = useSession()
const { run, busy } = useAction()
const pasted = usePastedText()
const typed = ref('')
const begin = reactive({ name: '', budget: '', currency: session.view!.homeCurrency ?? 'CAD' })
const said = ref('')
const comesOfIt = [
  ['past sales', 'what it really sells for and how long to wait'],
  ['a listing', 'what to ask the seller and what to offer'],
  ['a spec sheet', 'a part checked for fit and power'],
  ['a table of past sales', 'the same, with any column headers'],
] as const
const look = () => {
  if (typed.value.trim() !== '') pasted.value = typed.value
  typed.value = ''
}
const choose = (event: Event) =>
  run(async () => {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (file) pasted.value = await textOfFile(file)
  })
const create = () =>
  run(async () => {
    // what is typed here is checked by its own name, before anything is set
    await briefSchema.pick(['name', 'currency', 'budget']).validate(begin)
    const brief = briefSchema.cast({
      name: begin.name,
      currency: begin.currency,
      budget: begin.budget,
      stretch: begin.budget,
      wantedBy: null,
      houseRules: { machine: machineRulesSchema.getDefault() },
    })
    if (session.view!.builds.length === 0)
      await call('PUT /api/settings/home', {}, { currency: begin.currency })
    const { id } = await call('POST /api/builds', {}, brief)
    await navigateTo(`/b/${id}/prices`)
  })
/** The sample is loaded through the same routes as a builder's own files. */
const loadSample = () =>
  run(
    async () => {
      const { loadDemo } = await import('~~/demo/load')
      await loadDemo(window.location.origin, (line) => (said.value = line))
      said.value = ''
    },
    { message: 'sample data loaded; remove it in Settings' },
  )
</script>

<template>
  <div>
    <h1 class="mt-4">What do you have?</h1>
    <p class="mt-1 text-soft">
      Paste anything you have copied: past sales, a listing, a spec sheet, a CSV. Tarvin shows what it
      understood before it saves anything.
    </p>
    <div class="mt-3 grid grid-cols-[minmax(0,1fr)_340px] gap-5 max-md:grid-cols-1">
      <div class="sheet border-dashed p-4">
        <textarea
          v-model="typed"
          class="figures h-44 w-full resize-none bg-transparent text-[13px]"
          placeholder="Ctrl+V, or drop a file here"
          aria-label="paste here"
          @paste="$nextTick(look)"
        />
        <div class="flex gap-2">
          <label class="button cursor-pointer"
            >Choose a file…<input
              type="file"
              class="sr-only"
              aria-label="file to read"
              @change="choose" /></label
          ><button type="button" class="button" @click="pasted = salesSample">
            Try a sample: past sales of a graphics card
          </button>
        </div>
      </div>
      <div>
        <h2 class="!text-[14px]">What you get</h2>
        <table class="ledger mt-1">
          <tbody>
            <tr v-for="[what, then] in comesOfIt" :key="what">
              <td class="font-semibold">{{ what }}</td>
              <td class="text-soft">{{ then }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <form class="mt-6 border-t border-line pt-5 text-[16px]" novalidate @submit.prevent="create">
      Or start with a build:
      <input v-model="begin.name" class="field w-44" placeholder="a name" aria-label="name of the build" />
      budget
      <input
        v-model="begin.budget"
        class="field figures w-24"
        inputmode="decimal"
        placeholder="600"
        aria-label="budget of the build"
      />
      <input v-model="begin.currency" class="field figures w-16" aria-label="home currency" />
      <button
        type="submit"
        class="button button-main ml-2"
        :disabled="busy || begin.name.trim() === '' || begin.budget.trim() === ''"
      >
        Start
      </button>
      <p class="mt-1 text-xs text-soft">
        This becomes your home currency; change it in Settings. Everything else is asked when needed.
      </p>
    </form>
    <div class="mt-6 grid grid-cols-2 gap-4 max-md:grid-cols-1">
      <section class="sheet p-4">
        <h2 class="!text-[14px]">Try the sample first</h2>
        <p class="mt-1 text-soft">
          A made-up workshop with a few builds, thousands of sales and about 150 listings. Remove it any time
          in Settings.
        </p>
        <button type="button" class="button mt-2" :disabled="busy" @click="loadSample">
          Load the sample data
        </button>
        <p v-if="said" class="mt-1 text-soft" role="status">{{ said }}</p>
      </section>
      <section class="sheet p-4">
        <h2 class="!text-[14px]">Moving from another computer</h2>
        <p class="mt-1 text-soft">
          Open a build, an edition someone sent you, or a parts library. Backups are in Settings.
        </p>
        <NuxtLink to="/settings" class="button mt-2 inline-block">Open a backup…</NuxtLink>
      </section>
    </div>
  </div>
</template>
