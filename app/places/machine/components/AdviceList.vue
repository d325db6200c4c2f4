<script setup lang="ts">
import type { BuildView } from '#shared/builds/views'
import type { AdviceView } from '#shared/machine/views'
import { longDate, signedAmount, signedPercent } from '~/utils/show'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** What others said of the build, each with what its swap would do; taken or declined by one click. */
const { view } = defineProps<{ view: BuildView }>()
const { run } = useAction()
const asked = useCall('GET /api/builds/:id/machine/advice', () => ({ id: view.id }))
const list = computed(() => asked.data.value ?? [])
const text = ref('')
const isOpening = ref(false)
const open = () =>
  run(
    async () => {
      await call('POST /api/builds/:id/machine/advice', { id: view.id }, { text: text.value })
      text.value = ''
      isOpening.value = false
    },
    { message: 'advice added beside the parts' },
  )
async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  text.value = await file.text()
  await open()
}
const set = (each: AdviceView, state: AdviceView['state']) =>
  call('POST /api/builds/:id/machine/advice/:advice', { id: view.id, advice: each.id }, { state })
const settle = (each: AdviceView, state: AdviceView['state']) =>
  run(() => set(each, state), {
    message: state === 'taken' ? `${each.swap?.name ?? 'note'} accepted` : 'declined',
    ...(state === 'declined' ? { undo: () => set(each, 'open') } : {}),
  })
const waiting = computed(() => list.value.filter(({ state }) => state === 'open'))
const done = computed(() => list.value.filter(({ state }) => state !== 'open'))
</script>

<template>
  <section class="mt-5" aria-label="advice">
    <div class="flex flex-wrap items-baseline gap-3">
      <h2>Advice</h2>
      <span v-if="list.length === 0" class="text-soft"
        >None yet: freeze an edition in Compare, send its sheet, and open the reply here.</span
      >
      <button
        type="button"
        class="quiet-button ml-auto"
        :aria-expanded="isOpening"
        @click="isOpening = !isOpening"
      >
        open a reply
      </button>
    </div>
    <form v-if="isOpening" class="mt-2" @submit.prevent="open">
      <textarea
        v-model="text"
        class="field figures h-32 w-full text-[12px]"
        aria-label="filled-in sheet"
        placeholder="paste the whole filled-in sheet"
      />
      <div class="mt-1 flex gap-2">
        <button type="submit" class="button button-main" :disabled="text.trim() === ''">Open</button>
        <label class="button cursor-pointer"
          >From a file…<input type="file" accept=".txt,.md,text/plain" class="sr-only" @change="openFile"
        /></label>
      </div>
    </form>
    <table v-if="waiting.length > 0" class="ledger mt-2">
      <thead>
        <tr>
          <th>part</th>
          <th>advice</th>
          <th>instead</th>
          <th class="!text-right">costs</th>
          <th class="!text-right">fps</th>
          <th><span class="sr-only">accept or decline</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in waiting" :key="each.id" :data-advice="each.id">
          <td>{{ each.line || 'accept all' }}</td>
          <td>
            {{ each.remark }}
            <div class="text-xs text-soft">
              {{ each.by || 'no name given' }}, {{ longDate(each.receivedOn) }}
            </div>
          </td>
          <td>
            <template v-if="each.swap"
              >{{ each.swap.name }}
              <div v-for="what in each.swap.comes" :key="what" class="text-xs text-stop">{{ what }}</div>
              <div v-for="what in each.swap.goes" :key="what" class="text-xs text-settled">
                no longer applies: {{ what }}
              </div></template
            ><span v-else-if="each.instead" class="text-waiting">{{ each.instead }}: not in your library</span
            ><span v-else class="text-soft">—</span>
          </td>
          <td class="amount">
            <template v-if="each.swap && each.swap.more !== null">{{
              signedAmount(each.swap.more, view.currency)
            }}</template><span v-else-if="each.swap" class="text-soft">not known</span>
          </td>
          <td class="amount">
            <template v-if="each.swap && each.swap.frames !== null">{{
              signedPercent(100 * each.swap.frames)
            }}</template>
          </td>
          <td class="text-right whitespace-nowrap">
            <button
              v-if="!each.swap || each.swap.way !== null"
              type="button"
              class="button !py-0.5"
              @click="settle(each, 'taken')"
            >
              {{ each.swap ? 'accept' : 'accepted' }}
            </button>
            <button type="button" class="quiet-button ml-2" @click="settle(each, 'declined')">decline</button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="done.length > 0" class="mt-2 text-soft">
      {{ done.filter(({ state }) => state === 'taken').length }} accepted,
      {{ done.filter(({ state }) => state === 'declined').length }} declined earlier.
    </p>
  </section>
</template>
