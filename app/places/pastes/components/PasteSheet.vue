<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { pasteKindNames, pasteKinds, type PasteKind } from '#core/reading/pastes/kindOf'
import type { PasteInput } from '#shared/pastes/schemas'
import type { LibraryView } from '#shared/parts/views'
import type { PasteReading } from '~/workers/pasteProtocol'
import { call } from '~/data/call'
import { readPaste, usePastedText } from '../state/usePaste'
import { read } from '~/data/read'
import type { PasteKept } from '#shared/pastes/views'

/** What was pasted, as it was understood: looked at and put right before anything is kept; one undo takes it all back. */
const text = usePastedText()
const session = useSession()
const build = useBuild()
const route = useRoute()
const { run, busy } = useAction()
const library = shallowRef<LibraryView | null>(null)
const reading = shallowRef<PasteReading | null>(null)
const chosen = ref<PasteKind | null>(null)
const dayFirst = ref<boolean | null>(null)
const currency = ref(build.view?.currency ?? session.view!.homeCurrency ?? 'CAD')
const failure = ref('')
/** Counts readings: what was changed by hand belongs to one of them. */
const readings = ref(0)
const buildId = computed(() =>
  typeof route.params.id === 'string' ? route.params.id : (session.view!.builds[0]?.id ?? null),
)
const kind = computed(() => chosen.value ?? reading.value?.kind ?? 'nothing')

async function readAnew() {
  if (text.value === null) return
  failure.value = ''
  try {
    library.value ??= await read('GET /api/library')
    reading.value = await readPaste({
      text: text.value,
      today: session.view!.today,
      currency: currency.value,
      library: library.value.parts,
      ...(dayFirst.value === null ? {} : { dayFirst: dayFirst.value }),
    })
    readings.value += 1
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error)
  }
}
watch([text, dayFirst, currency], readAnew, { immediate: true })

function close() {
  text.value = null
  reading.value = null
  chosen.value = null
  dayFirst.value = null
  library.value = null
}

/** Keeps all of it at once, and goes to the result. */
async function keep(input: Partial<PasteInput>, goTo: string | null, told = savedWords(input)) {
  if (busy.value) return
  let kept: PasteKept | null = null
  const done = await run(
    async () => {
      kept = await call(
        'POST /api/pastes/keep',
        {},
        {
          sales: [],
          parts: [],
          indexes: [],
          hunts: [],
          leads: [],
          shopPrices: [],
          source: null,
          ...input,
        },
      )
    },
    {
      message: told,
      undo: () => call('POST /api/pastes/undo', {}, { paste: kept!.paste }),
    },
  )
  if (!done) return
  close()
  const lead = (kept as PasteKept | null)?.leadIds[0]
  if (goTo !== null && buildId.value)
    await navigateTo(`/b/${buildId.value}/${goTo.replace('LEAD', lead ?? '')}`)
  else if (goTo !== null) await navigateTo('/parts')
}

/** A file of ours is in: to where it shows. */
async function opened(path: string) {
  close()
  await navigateTo(path)
}
</script>

<template>
  <Dialog v-if="text !== null" open class="relative z-40" @close="close">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel
      class="fixed inset-x-0 top-6 bottom-6 mx-auto flex w-[1080px] max-w-[96vw] flex-col border border-ink bg-sheet"
    >
      <header class="flex flex-wrap items-center gap-3 border-b border-line px-5 py-3">
        <DialogTitle as="h2" class="!text-[17px]">Pasted: {{ pasteKindNames[kind] }}</DialogTitle>
        <label class="ml-auto text-soft"
          >treat as
          <select
            :value="kind"
            class="field"
            aria-label="type of text"
            @change="chosen = ($event.target as HTMLSelectElement).value as PasteKind"
          >
            <option v-for="each in pasteKinds" :key="each" :value="each">{{ pasteKindNames[each] }}</option>
          </select></label
        ><button type="button" class="button" @click="close">Cancel</button>
      </header>
      <p v-if="failure" class="px-5 py-3 text-stop" role="alert">{{ failure }}</p>
      <p v-else-if="!reading || !library" class="px-5 py-3 text-soft" role="status">Reading…</p>
      <PastedSales
        v-else-if="kind === 'sales'"
        :key="readings"
        v-model:currency="currency"
        v-model:day-first="dayFirst"
        :reading="reading"
        :library="library"
        :busy="busy"
        @keep="keep"
      />
      <PastedListing
        v-else-if="kind === 'listing'"
        :text="text"
        :reading="reading"
        :library="library"
        :today="session.view!.today"
        :currency="currency"
        :busy="busy"
        @keep="keep"
      />
      <PastedListings
        v-else-if="kind === 'listings'"
        :key="`listings ${readings}`"
        v-model:currency="currency"
        :reading="reading"
        :library="library"
        :today="session.view!.today"
        :busy="busy"
        @keep="keep"
      />
      <PastedOffers
        v-else-if="kind === 'offers'"
        :key="`offers ${readings}`"
        v-model:currency="currency"
        :reading="reading"
        :library="library"
        :busy="busy"
        @keep="keep"
      />
      <PastedSpecs
        v-else-if="kind === 'spec'"
        :reading="reading"
        :library="library"
        :build-id="buildId"
        :busy="busy"
        @keep="keep"
      />
      <PastedScores
        v-else-if="kind === 'scores'"
        :key="readings"
        :reading="reading"
        :library="library"
        :busy="busy"
        @keep="keep"
      />
      <PastedFile v-else-if="kind === 'file'" :text="text" @opened="opened" />
      <PastedFrames v-else-if="kind === 'frames'" :text="text" :build-id="buildId" @close="close" />
      <div v-else class="px-5 py-4">
        <p class="text-waiting">{{ reading.why || 'Nothing here could be read.' }}</p>
        <pre class="figures mt-3 max-h-[50vh] overflow-auto text-xs whitespace-pre-wrap">{{
          text.slice(0, 4000)
        }}</pre>
      </div>
    </DialogPanel>
  </Dialog>
</template>
