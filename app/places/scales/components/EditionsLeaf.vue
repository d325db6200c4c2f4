<script setup lang="ts">
import type { BuildView, RepricedView } from '#shared/builds/views'
import { call } from '~/data/call'
import { amount, longDate, signedAmount } from '~/utils/show'
import { anyoneText } from '~/workings/receiptWorkings'
import { useCall } from '~/data/useCall'

/** Frozen copies of the build: freeze, compare with now, share, open somebody else's. */
const { view } = defineProps<{ view: BuildView }>()
const { run } = useAction()
const { data: editions } = useCall('GET /api/builds/:id/editions', () => ({ id: view.id }))
const name = ref('')
const opened = ref('')
const freeze = () =>
  run(
    async () => {
      await call('POST /api/builds/:id/editions', { id: view.id }, { name: name.value })
      name.value = ''
    },
    { message: 'edition frozen' },
  )
const takeOut = (id: string) =>
  run(() => call('DELETE /api/builds/editions/:id', { id }), {
    message: 'edition removed',
    undo: () => call('POST /api/builds/editions/:id/restore', { id }),
  })
const forms = [
  ['html', 'HTML page'],
  ['md', 'Markdown'],
  ['csv', 'CSV'],
  ['json', 'JSON'],
] as const
/** Who it is for: a buyer reads no amount of money, who repeats it how, an adviser all of it. */
const readers = { buyer: 'a buyer', repeater: 'someone who wants to copy it', adviser: 'an adviser' } as const
const reader = ref<keyof typeof readers>('buyer')
const repriced = shallowRef<RepricedView | null>(null)
const refused = ref('')
async function openOther(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  refused.value = ''
  let edition: object
  try {
    edition = JSON.parse(await file.text())
  } catch {
    refused.value = `${file.name} is not an edition: it is not JSON`
    return
  }
  try {
    repriced.value = await call(
      'POST /api/builds/editions/import',
      {},
      { edition, currency: view.currency, region: view.region },
    )
  } catch (error) {
    refused.value = `${file.name}: ${error instanceof Error ? error.message : String(error)}`
  }
}
const comparedWith = ref('')
const drifted = useCall('GET /api/builds/editions/:id/drift', () =>
  opened.value !== '' && comparedWith.value !== '' ? { id: opened.value, to: comparedWith.value } : null,
)
/** What has changed from an opened edition to now, or to another edition. */
const drift = computed(() =>
  comparedWith.value === ''
    ? (editions.value?.editions.find((each) => each.id === opened.value)?.drift ?? null)
    : (drifted.data.value ?? null),
)
function open(id: string) {
  opened.value = opened.value === id ? '' : id
  comparedWith.value = ''
}
const changeTone = {
  added: 'tag-info',
  gone: 'tag-stop',
  dearer: 'tag-waiting',
  cheaper: 'tag-settled',
  same: '',
} as const
const moved = computed(() => drift.value?.lines.filter((line) => line.change !== 'same') ?? [])
</script>

<template>
  <section aria-label="editions">
    <form class="flex flex-wrap items-center gap-2" @submit.prevent="freeze">
      <input
        v-model="name"
        class="field w-72"
        placeholder="name of the edition"
        aria-label="name of the edition"
        required
      /><button type="submit" class="button button-main" :disabled="name.trim() === ''">
        Freeze this build</button
      ><span class="text-soft"
        >saves prices, dates, estimates, comparison and open questions; private notes are left out</span
      >
      <label class="button ml-auto cursor-pointer"
        >Open someone else’s edition…<input
          type="file"
          accept=".json,application/json"
          class="sr-only"
          data-test="edition-file"
          @change="openOther"
      /></label>
    </form>
    <p v-if="refused" class="mt-2 text-stop" role="alert">{{ refused }}</p>
    <div v-if="repriced" class="mt-3 border-l-4 border-info bg-info-ground p-3" data-test="repriced">
      <b
        >Repriced with your data:
        <span class="figures">{{ amount(repriced.total, repriced.currency) }}</span>
        {{ repriced.currency }}.</b
      >
      <NuxtLink :to="`/b/${repriced.buildId}/machine?mode=chosen`" class="underline">View</NuxtLink>
      <p v-if="repriced.notFound.length > 0" class="text-stop">
        Not in your data: {{ repriced.notFound.join(', ') }}.
      </p>
      <table class="ledger mt-1">
        <tbody>
          <tr v-for="line in repriced.lines" :key="line.label">
            <td>{{ line.label }}</td>
            <td class="amount text-soft">
              {{
                line.there === null
                  ? 'not known in the edition'
                  : `${amount(line.there, repriced.currency)} in the edition`
              }}
            </td>
            <td class="amount">
              {{ line.price === null ? 'not here' : amount(line.price, repriced.currency) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="editions && editions.editions.length === 0" class="mt-4 text-soft">
      No editions yet. Freeze one before you share the build or buy the first part, to see later how prices
      moved.
    </p>
    <p v-if="editions && editions.editions.length > 0" class="mt-3 flex flex-wrap items-baseline gap-x-4">
      <label
        >share with
        <select v-model="reader" class="field !min-h-0 !py-0.5" aria-label="share with">
          <option v-for="(words, key) in readers" :key="key" :value="key">{{ words }}</option>
        </select></label
      >
      <span class="text-soft">{{
        reader === 'buyer'
          ? 'parts as found and how fast it is; no costs, sources, budget or notes'
          : reader === 'repeater'
            ? 'real price of each part, how to find it, shops, links, and codes with their expiry date'
            : 'open questions, where to save, then every part with its cost; open the filled-in reply in Machine under Chosen'
      }}</span>
    </p>
    <article v-for="each in editions?.editions" :key="each.id" class="sheet mt-3 p-3" :data-edition="each.id">
      <div class="flex flex-wrap items-baseline gap-3">
        <h2>{{ each.name }}</h2>
        <span class="text-soft"
          >{{ longDate(each.frozenOn) }} · total
          <span class="figures">{{ amount(each.totals.payNow, each.currency) }}</span> · market price
          <span class="figures">{{ anyoneText(each) }}</span>
          {{ each.currency }}</span
        >
        <span class="ml-auto flex gap-2"
          ><a
            v-for="[as, label] in forms"
            :key="as"
            class="button !py-0.5"
            :href="`/api/builds/editions/${each.id}?as=${as}&for=${reader}`"
            download
            >{{ label }}</a
          ><a
            v-if="reader === 'adviser'"
            class="button !py-0.5"
            :href="`/api/builds/editions/${each.id}?as=txt&for=adviser`"
            download
            >sheet for an adviser</a
          ><button
            type="button"
            class="quiet-button"
            :aria-expanded="opened === each.id"
            @click="open(each.id)"
          >
            changes</button
          ><button type="button" class="quiet-button" @click="takeOut(each.id)">remove</button></span
        >
      </div>
      <template v-if="opened === each.id && drift">
        <label class="mt-1 block text-[13px]"
          >to
          <select v-model="comparedWith" class="field !min-h-0 !py-0.5" aria-label="compare with">
            <option value="">now</option>
            <option
              v-for="other in editions?.editions.filter((one) => one.id !== each.id)"
              :key="other.id"
              :value="other.id"
            >
              {{ other.name }}, {{ longDate(other.frozenOn) }}
            </option>
          </select></label
        >
        <p v-if="drift.currencies" class="mt-1 text-waiting">
          One edition is in {{ drift.currencies.before }}, the other in {{ drift.currencies.after }}: amounts
          are not compared.
        </p>
        <p class="mt-1">
          <span v-for="total in drift.totals" :key="total.name" class="mr-4"
            >{{ total.name }}
            <span class="figures">{{
              total.after === null || total.before === null
                ? 'not known'
                : total.after === total.before
                  ? 'unchanged'
                  : signedAmount(total.after - total.before, view.currency)
            }}</span></span
          >
        </p>
        <p v-if="moved.length === 0" class="text-soft">No changes.</p>
        <table v-else class="ledger mt-1">
          <tbody>
            <tr v-for="(line, index) in moved" :key="index">
              <td>{{ line.label }}</td>
              <td>
                <span class="tag" :class="changeTone[line.change]">{{ line.change }}</span>
              </td>
              <td class="amount">{{ amount(line.before, each.currency) }}</td>
              <td class="amount">{{ amount(line.after, view.currency) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </article>
  </section>
</template>
