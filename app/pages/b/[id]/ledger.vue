<script setup lang="ts">
import { entryKinds, type EntryKind } from '#core/ledger/ledger'
import type { LedgerView } from '#shared/ledger/views'
import { inTheEndWorking, resaleWorking } from '~/workings/ledgerWorkings'
import { request } from '~/utils/request'
import { amount, longDate, percent, shortDate, signedAmount, signedPercent } from '~/utils/show'

/** Ledger: what did I really pay, what is still to come back, what is it worth now? */
const build = useBuild()
const { run } = useAction()
const id = build.view!.id
const ledger = shallowRef<LedgerView | null>(null)
const failed = ref('')
const entry = reactive({
  kind: 'fee' as Exclude<EntryKind, 'bought' | 'rebate'>,
  day: build.view!.today,
  amount: '',
  hours: 1,
  text: '',
})
async function load() {
  ledger.value = await request<LedgerView>(`/api/builds/${id}/ledger`).catch((error: Error) => {
    failed.value = error.message
    return null
  })
}
onMounted(load)
const add = () =>
  run(
    async () => {
      ledger.value = await request<LedgerView>(`/api/builds/${id}/ledger`, {
        method: 'POST',
        body: {
          ...entry,
          amount: entry.kind === 'hours' ? '0' : entry.amount,
          hours: entry.kind === 'hours' ? entry.hours : 0,
        },
      })
      Object.assign(entry, { amount: '', text: '' })
    },
    { message: 'entered' },
  )
const { report, take: takeCsv } = useCsvImport(() => `/api/builds/${id}/ledger/import`, load)
const reverse = (entryId: string) =>
  run(
    async () =>
      (ledger.value = await request<LedgerView>(`/api/ledger/entries/${entryId}/reverse`, {
        method: 'POST',
      })),
    { message: 'undone by an entry of its own' },
  )
const currency = computed(() => build.view!.currency)
const money = (value: number | null) => amount(value, currency.value)
const corrected = computed(() => new Set(ledger.value?.entries.flatMap((each) => each.correctsId ?? [])))
const canReverse = (each: LedgerView['entries'][number]) =>
  each.kind !== 'bought' && each.correctsId === null && !corrected.value.has(each.id)
const totals = computed(() =>
  ledger.value
    ? ([
        ['paid so far', ledger.value.totals.paid],
        ['came back', ledger.value.totals.cameBack],
        ['still to pay', ledger.value.totals.due],
        ['to come back', ledger.value.totals.toComeBack],
      ] as const)
    : [],
)
const deadlineTone = {
  claim: 'tag-waiting',
  expected: 'tag-info',
  return: 'tag-stop',
  auction: 'tag-info',
  wanted: 'tag-settled',
} as const
useHead({ title: 'Ledger · Tarvin' })
</script>

<template>
  <div class="px-6 py-4">
    <div class="mb-3 flex items-center gap-2">
      <h1>Ledger</h1>
      <label class="button ml-auto cursor-pointer"
        >Import CSV…<input
          type="file"
          accept=".csv,text/csv"
          class="sr-only"
          data-test="ledger-file"
          @change="takeCsv" /></label
      ><a class="button" :href="`/api/builds/${id}/ledger/csv`" download>CSV</a
      ><a class="button" :href="`/api/builds/${id}/calendar`" download>Dates as a calendar</a>
    </div>
    <p v-if="report" class="mb-2" role="status" data-test="ledger-report">{{ report }}</p>
    <p v-if="failed" class="text-stop" role="alert">{{ failed }}</p>
    <p v-else-if="!ledger" class="text-soft" role="status">Adding up…</p>
    <template v-else>
      <dl class="flex flex-wrap gap-x-8 gap-y-2">
        <div v-for="[name, value] in totals" :key="name">
          <dt class="text-xs text-soft">{{ name }}</dt>
          <dd class="figures text-lg">{{ money(value) }}</dd>
        </div>
        <div>
          <dt class="text-xs text-soft">in the end</dt>
          <dd class="text-lg">
            <TheFigure
              strong
              data-figure="in-the-end"
              :text="money(ledger.totals.inTheEnd)"
              :working="() => inTheEndWorking(ledger!)"
            />
          </dd>
        </div>
        <div v-if="ledger.totals.hours > 0">
          <dt class="text-xs text-soft">hours</dt>
          <dd class="figures text-lg">{{ ledger.totals.hours }}</dd>
        </div>
      </dl>
      <div class="mt-4 grid grid-cols-[minmax(0,1fr)_330px] gap-4 @max-4xl/place:grid-cols-1">
        <section class="sheet self-start p-3" aria-label="entries">
          <h2>
            Entries
            <span class="font-normal text-soft">nothing is ever removed; a correction is an entry</span>
          </h2>
          <table v-if="ledger.entries.length > 0" class="ledger mt-1">
            <thead>
              <tr>
                <th>day</th>
                <th>what</th>
                <th class="!text-right">cash</th>
                <th class="!text-right max-md:hidden">standing</th>
                <th><span class="sr-only">undo</span></th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="each in ledger.entries"
                :key="each.id"
                :class="{ 'text-soft': corrected.has(each.id) }"
              >
                <td class="figures text-xs whitespace-nowrap">{{ shortDate(each.day) }}</td>
                <td>
                  {{ each.text
                  }}<span class="block text-xs text-soft"
                    >{{ entryKinds[each.kind].name
                    }}<template v-if="each.hours !== 0">, {{ each.hours }} h</template></span
                  >
                </td>
                <td class="amount" :class="each.cash > 0 ? 'text-settled' : ''">
                  {{ each.cash === 0 ? '' : signedAmount(each.cash, currency) }}
                </td>
                <td class="amount text-soft max-md:hidden">{{ money(each.standing) }}</td>
                <td class="text-right">
                  <button
                    v-if="canReverse(each)"
                    type="button"
                    class="quiet-button text-xs"
                    @click="reverse(each.id)"
                  >
                    undo
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
          <p v-else class="mt-1 text-soft">No entry yet. Buy a chosen lead in Leads, or write one here.</p>
          <form class="mt-3 flex flex-wrap gap-2" @submit.prevent="add">
            <select v-model="entry.kind" class="field" aria-label="kind of entry">
              <option value="fee">fee</option>
              <option value="travel">travel</option>
              <option value="hours">hours</option>
              <option value="sold">sold</option>
              <option value="refunded">refunded</option>
              <option value="correction">correction</option>
            </select>
            <DateField v-model="entry.day" label="day of the entry" /><input
              v-if="entry.kind === 'hours'"
              v-model.number="entry.hours"
              type="number"
              min="0"
              step="0.25"
              class="field figures w-20"
              aria-label="hours"
            /><input
              v-else
              v-model="entry.amount"
              class="field figures w-24"
              inputmode="decimal"
              :placeholder="entry.kind === 'correction' ? '±0.00' : '0.00'"
              aria-label="amount of the entry"
            />
            <input
              v-model="entry.text"
              class="field min-w-0 flex-1"
              placeholder="what it was"
              aria-label="what it was"
            /><button type="submit" class="button" :disabled="entry.text.trim() === ''">Enter</button>
          </form>
        </section>
        <div class="flex flex-col gap-4 self-start">
          <section class="sheet p-3" aria-label="dates ahead">
            <h2>Dates ahead</h2>
            <p v-for="each in ledger.deadlines" :key="each.day + each.what" class="flex items-baseline gap-2">
              <span class="tag w-20 shrink-0 text-center" :class="deadlineTone[each.kind]">{{
                each.kind
              }}</span><span class="min-w-0 flex-1"
                >{{ each.what }}<span class="block text-xs text-soft">{{ longDate(each.day) }}</span></span
              >
            </p>
            <p v-if="ledger.deadlines.length === 0" class="text-soft">None.</p>
          </section>
          <section v-if="ledger.orders.length > 0" class="sheet p-3" aria-label="orders still to place">
            <h2>Orders still to place</h2>
            <p v-for="order in ledger.orders" :key="order.source + order.currency" class="mt-1">
              {{ order.source }}: <b class="figures">{{ amount(order.together, order.currency) }}</b>
              {{ order.currency }}
              <span class="text-soft"
                >for {{ order.titles.join(', ')
                }}<template v-if="order.codesUsed.length > 0"
                  >, with {{ order.codesUsed.join(', ') }}</template
                ></span
              ><template v-if="order.saved > 0"
                >; together
                <span class="text-settled">{{ amount(order.saved, order.currency) }} less</span> than one by
                one</template
              ><template v-if="order.freeShippingGap !== null"
                >; <span class="figures">{{ amount(order.freeShippingGap, order.currency) }}</span> more and
                shipping is free</template
              >.
            </p>
          </section>
          <section class="sheet p-3" aria-label="paid against anyone can pay">
            <h2>Paid against what anyone can pay</h2>
            <table class="ledger">
              <tbody>
                <tr v-for="each in ledger.lines" :key="each.choiceId" :class="{ 'text-soft': each.takenOut }">
                  <td class="w-full max-w-0 truncate" :title="each.label">{{ each.label }}</td>
                  <td class="amount">{{ money(each.net) }}</td>
                  <td class="amount" :class="(each.difference ?? 0) >= 0 ? 'text-settled' : 'text-stop'">
                    {{
                      each.difference === null
                        ? each.takenOut
                          ? 'out'
                          : '—'
                        : signedAmount(-each.difference, currency)
                    }}
                  </td>
                </tr>
                <tr v-if="ledger.compared.anyoneCanPay > 0" class="font-semibold">
                  <td>together</td>
                  <td class="amount">{{ money(ledger.compared.net) }}</td>
                  <td class="amount">
                    {{ signedAmount(ledger.compared.net - ledger.compared.anyoneCanPay, currency) }}
                  </td>
                </tr>
              </tbody>
            </table>
            <p v-if="ledger.lines.length === 0" class="text-soft">Nothing is paid yet.</p>
          </section>
          <section class="sheet p-3" aria-label="resale">
            <h2>Resale today</h2>
            <p>
              {{ ledger.resale.better === 'whole' ? 'Sell it whole' : 'Part it out' }}:
              <TheFigure
                strong
                :text="money(ledger.resale[ledger.resale.better].net)"
                :working="() => resaleWorking(ledger!)"
              />
              net,
              <span :class="ledger.resale[ledger.resale.better].profit >= 0 ? 'text-settled' : 'text-stop'">{{
                signedAmount(ledger.resale[ledger.resale.better].profit, currency)
              }}</span><template v-if="ledger.resale[ledger.resale.better].marginPercent !== null">
                ({{ signedPercent(ledger.resale[ledger.resale.better].marginPercent!) }} on cost)</template
              ><template v-if="ledger.resale[ledger.resale.better].perHour !== null"
                >, {{ money(ledger.resale[ledger.resale.better].perHour) }} an hour</template
              >.
            </p>
            <p class="text-soft">
              Whole: ask <span class="figures text-ink">{{ money(ledger.resale.whole.ask) }}</span>, so that
              the usual {{ percent(ledger.resale.haggleShare) }} off lands on
              {{ money(ledger.resale.whole.gross) }}.<template v-if="ledger.resale.unknown.length > 0">
                {{ ledger.resale.unknown.length }} without a street price left out.</template
              >
            </p>
          </section>
        </div>
      </div>
    </template>
  </div>
</template>
