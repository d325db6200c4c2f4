<script setup lang="ts">
import { percentChange } from '#core/pricing/street/readHistory'
import { toDecimal } from '#core/money/decimal'
import type { PriceView } from '#shared/prices/views'
import { request } from '~/utils/request'
import { amount, percent, shortDate, signedPercent } from '~/utils/show'

/** What was written down: kept reads, a figure of one's own, things to wait for; and the last asks of local listings. */
const { view } = defineProps<{ view: PriceView }>()
const emit = defineEmits<{ changed: [view: PriceView] }>()
const { run } = useAction()
const path = computed(() => `/api/builds/${useBuild().view!.id}/prices/parts/${view.partId}`)
const own = ref(view.ownFigure ? toDecimal(view.ownFigure.amount, view.currency) : '')
const ownNote = ref(view.ownFigure?.note ?? '')
const readOn = ref(view.asOf)
const readNote = ref('')
const wait = reactive({ what: '', expectedOn: '', dropPercent: 8, chance: 60, wholeRole: true })

async function change(action: () => Promise<unknown>, message: string, undo?: () => Promise<unknown>) {
  const fresh = async () => emit('changed', await request<PriceView>(path.value))
  await run(
    async () => {
      await action()
      await fresh()
    },
    {
      message,
      ...(undo
        ? {
            undo: async () => {
              await undo()
              await fresh()
            },
          }
        : {}),
    },
  )
}
const keepRead = () =>
  change(
    () =>
      request(`${path.value}/reads`, {
        method: 'POST',
        body: { readOn: readOn.value, note: readNote.value },
      }),
    `read of ${readOn.value} kept`,
  )
const dropRead = (id: number) =>
  change(
    () => request(`/api/prices/reads/${id}`, { method: 'DELETE' }),
    'read archived',
    () => request(`/api/prices/reads/${id}/restore`, { method: 'POST' }),
  )
const setOwn = () =>
  change(
    () =>
      request(`${path.value}/own-figure`, {
        method: 'PUT',
        body: { amount: own.value, note: ownNote.value },
      }),
    'your figure stands beside the sample',
  )
const endOwn = () =>
  change(() => request(`${path.value}/own-figure`, { method: 'DELETE' }), 'your figure is removed')
const noteWait = () =>
  change(async () => {
    await request('/api/prices/wait-notes', {
      method: 'POST',
      body: {
        role: view.part.role,
        partId: wait.wholeRole ? null : view.partId,
        what: wait.what,
        expectedOn: wait.expectedOn,
        dropPercent: wait.dropPercent,
        chance: wait.chance / 100,
      },
    })
    wait.what = ''
  }, 'noted')
const dropWait = (id: string) =>
  change(
    () => request(`/api/prices/wait-notes/${id}`, { method: 'DELETE' }),
    'note archived',
    () => request(`/api/prices/wait-notes/${id}/restore`, { method: 'POST' }),
  )
const standing = computed(() => view.ownFigure?.standing)
</script>

<template>
  <div class="grid grid-cols-2 gap-3 @max-3xl:grid-cols-1">
    <section class="sheet p-3">
      <h2>Kept reads</h2>
      <table v-if="view.reads.length > 0" class="ledger">
        <thead>
          <tr>
            <th>read on</th>
            <th class="!text-right">patient</th>
            <th class="!text-right">typical</th>
            <th class="!text-right">quick</th>
            <th class="!text-right">since</th>
            <th><span class="sr-only">archive</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="read in view.reads" :key="read.id">
            <td>
              {{ shortDate(read.readOn) }}
              <span class="text-xs text-soft">{{ read.kept }}, {{ read.grade }}</span
              ><span v-if="read.note" class="block text-xs text-soft">{{ read.note }}</span>
            </td>
            <td class="amount">{{ amount(read.patient, view.currency) }}</td>
            <td class="amount font-semibold">{{ amount(read.typical, view.currency) }}</td>
            <td class="amount">{{ amount(read.hurried, view.currency) }}</td>
            <td class="amount">
              {{ view.marks ? signedPercent(percentChange(read.typical, view.marks.typical)) : '—' }}
            </td>
            <td>
              <button
                type="button"
                class="quiet-button text-xs"
                :aria-label="`archive the read of ${read.readOn}`"
                @click="dropRead(read.id)"
              >
                ×
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="text-soft">None yet. A read kept today can be held against the next one.</p>
      <form class="mt-2 flex flex-wrap gap-2" @submit.prevent="keepRead">
        <DateField v-model="readOn" label="date of the read" /><input
          v-model="readNote"
          class="field min-w-0 flex-1"
          placeholder="note"
          aria-label="note on the read"
        /><button type="submit" class="button">Keep this read</button>
      </form>
    </section>
    <section class="sheet p-3">
      <h2>Your own figure</h2>
      <p v-if="view.ownFigure && standing">
        yours: <b class="figures">{{ amount(view.ownFigure.amount, view.currency) }}</b>, above
        {{ standing.below }} of {{ standing.count }} comps
        <span class="text-soft"
          >set {{ shortDate(view.ownFigure.setOn)
          }}{{ view.ownFigure.note ? `, ${view.ownFigure.note}` : '' }}</span
        >
        <button type="button" class="quiet-button" @click="endOwn">take it back</button>
      </p>
      <form class="mt-1 flex gap-2" @submit.prevent="setOwn">
        <input
          v-model="own"
          class="field figures w-24"
          placeholder="0.00"
          aria-label="your own figure"
        /><input
          v-model="ownNote"
          class="field min-w-0 flex-1"
          placeholder="why"
          aria-label="why this figure"
        /><button type="submit" class="button" :disabled="own.trim() === ''">Set</button>
      </form>
      <h2 class="mt-3">To wait for</h2>
      <p v-for="note in view.waitNotes" :key="note.id" class="flex items-baseline gap-2">
        <span class="min-w-0 flex-1"
          >{{ note.what }}
          <span class="text-soft"
            >{{ shortDate(note.expectedOn) }}, {{ note.dropPercent }} % with chance {{ percent(note.chance)
            }}{{ note.partId ? '' : ', whole role' }}</span
          ></span
        ><button
          type="button"
          class="quiet-button text-xs"
          :aria-label="`archive the note ${note.what}`"
          @click="dropWait(note.id)"
        >
          ×
        </button>
      </p>
      <form class="mt-1 flex flex-wrap items-center gap-2" @submit.prevent="noteWait">
        <input
          v-model="wait.what"
          class="field min-w-0 flex-1"
          placeholder="a launch, a season"
          aria-label="what to wait for"
        /><DateField v-model="wait.expectedOn" label="expected on" />
        <label
          >drop
          <input
            v-model.number="wait.dropPercent"
            type="number"
            min="-100"
            max="100"
            class="field figures w-16"
            aria-label="expected drop in percent"
          />
          %</label
        ><label
          >chance
          <input
            v-model.number="wait.chance"
            type="number"
            min="0"
            max="100"
            class="field figures w-16"
            aria-label="chance in percent"
          />
          %</label
        >
        <label><input v-model="wait.wholeRole" type="checkbox" /> whole role</label
        ><button
          type="submit"
          class="button ml-auto"
          :disabled="wait.what.trim() === '' || wait.expectedOn === ''"
        >
          Note
        </button>
      </form>
    </section>
    <section class="sheet col-span-full p-3">
      <h2>
        Last asks of local listings
        <span class="font-normal text-soft">asks, not sales: never among the comps</span>
      </h2>
      <template v-if="view.lastAsks.vanished.length > 0">
        <p>
          {{ view.lastAsks.vanished.length }} vanished, last asked
          <b class="figures">{{ amount(view.lastAsks.medianAsk, view.currency) }}</b> in the middle, after
          <b class="figures">{{ view.lastAsks.medianDaysUp }}</b> days.<template v-if="view.paidToAsked">
            Your own local deals were closed at {{ percent(view.paidToAsked.ratio) }} of the first ask ({{
              view.paidToAsked.count
            }}).</template
          >
        </p>
        <table class="ledger">
          <thead>
            <tr>
              <th>listing</th>
              <th>listed</th>
              <th>gone</th>
              <th class="!text-right">first ask</th>
              <th class="!text-right">last ask</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="each in view.lastAsks.vanished.slice(0, 12)" :key="each.id">
              <td class="max-w-0 truncate">{{ each.title }}</td>
              <td class="figures">{{ shortDate(each.listedOn) }}</td>
              <td class="figures">{{ shortDate(each.vanishedOn!) }}</td>
              <td class="amount">{{ amount(each.firstAsk, view.currency) }}</td>
              <td class="amount">{{ amount(each.lastAsk, view.currency) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
      <p v-else class="text-soft">
        None yet: a listing that a connector has seen and that is gone at the next asking keeps its last ask
        here.
      </p>
    </section>
  </div>
</template>
