<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { pasteKindNames, pasteKinds, type PasteKind } from '#core/pastes/kinds'
import type { PasteReading } from '#core/pastes/readPaste'
import type { PasteInput } from '#shared/pastes/schemas'
import type { LibraryView } from '#shared/parts/views'
import { call } from '~/data/call'
import { previewOf, type Pasted, type PasteSaid } from '../state/preview'
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
/** Said by hand; else that of the build, which may have begun since this was first opened. */
const saidCurrency = ref<string | null>(null)
const currency = computed(
  () => saidCurrency.value ?? build.view?.currency ?? session.view!.homeCurrency ?? 'CAD',
)
const failure = ref('')
/** Counts readings: what was changed by hand belongs to one of them, and an answer to an earlier question is late. */
const readings = ref(0)
let questions = 0
const buildId = computed(() =>
  typeof route.params.id === 'string' ? route.params.id : (session.view!.builds[0]?.id ?? null),
)
const kind = computed(() => reading.value?.kind ?? 'nothing')
const paste = computed<Pasted | null>(() =>
  reading.value && library.value && text.value !== null
    ? {
        ...reading.value,
        text: text.value,
        library: library.value,
        today: session.view!.today,
        currency: currency.value,
        dayFirst: dayFirst.value,
        buildId: buildId.value,
        busy: busy.value,
      }
    : null,
)

async function readAnew() {
  const question = (questions += 1)
  if (text.value === null) return
  failure.value = ''
  try {
    library.value ??= await read('GET /api/library')
    const asked = await readPaste({
      text: text.value,
      ...(chosen.value === null ? {} : { as: chosen.value }),
      today: session.view!.today,
      currency: currency.value,
      library: library.value.parts,
      ...(dayFirst.value === null ? {} : { dayFirst: dayFirst.value }),
    })
    if (question !== questions) return
    reading.value = asked
    readings.value += 1
  } catch (error) {
    if (question === questions) failure.value = error instanceof Error ? error.message : String(error)
  }
}
watch([text, dayFirst, currency, chosen], readAnew, { immediate: true })

/** What changes the reading: it is read again. */
function say(said: PasteSaid) {
  if (said.currency !== undefined) saidCurrency.value = said.currency
  if (said.dayFirst !== undefined) dayFirst.value = said.dayFirst
}

function close() {
  text.value = null
  reading.value = null
  chosen.value = null
  dayFirst.value = null
  saidCurrency.value = null
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

/** Nothing is left to do here: to where it shows. */
async function goOn(path: string) {
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
        <DialogTitle as="h2" class="!text-[17px]">Pasted: {{ pasteKinds[kind].label }}</DialogTitle>
        <label class="ml-auto text-soft"
          >treat as
          <select
            :value="kind"
            class="field"
            aria-label="type of text"
            @change="chosen = ($event.target as HTMLSelectElement).value as PasteKind"
          >
            <option v-for="each in pasteKindNames" :key="each" :value="each">
              {{ pasteKinds[each].label }}
            </option>
          </select></label
        ><button type="button" class="button" @click="close">Cancel</button>
      </header>
      <p v-if="failure" class="px-5 py-3 text-stop" role="alert">{{ failure }}</p>
      <p v-else-if="!paste" class="px-5 py-3 text-soft" role="status">Reading…</p>
      <component
        :is="previewOf[paste.kind]"
        v-else
        :key="readings"
        :paste="paste"
        @keep="keep"
        @say="say"
        @done="goOn"
      />
    </DialogPanel>
  </Dialog>
</template>
