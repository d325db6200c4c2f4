<script setup lang="ts">
import { rankedRoles } from '#core/parts/indexOfPart'
import { opinionVerdicts } from '#core/supply/ways/opinions'
import { roleNames, type Role } from '#core/parts/part'
import { inUnits } from '#core/money/formatAmount'
import type { WorthRow, WorthView } from '#shared/prices/views'
import { pricePerPointWorking, stepWorking, worthPriceWorking } from '~/workings/worthWorkings'
import { request } from '~/utils/request'
import { amount, percent, shortDate, signedPercent } from '~/utils/show'

/** Worth buying: every candidate for a role, as a staircase and as a table, with what the guides say. */
const emit = defineEmits<{ open: [partId: string] }>()
const build = useBuild()
const { run } = useAction()
const role = useRouteState('worth', 'graphics')
const worth = shallowRef<WorthView | null>(null)
const failed = ref('')
const order = useRouteState('by', 'price')
const selectedId = ref('')
const currency = computed(() => build.view!.currency)
const opinion = reactive({
  guide: '',
  saidOn: build.view!.today,
  verdict: 'buy' as (typeof opinionVerdicts)[number],
  note: '',
})

async function load() {
  failed.value = ''
  worth.value = await request<WorthView>(`/api/builds/${build.view!.id}/prices/worth/${role.value}`).catch(
    (error: Error) => {
      failed.value = error.message
      return null
    },
  )
}
watch(role, load, { immediate: true })
const orders: Readonly<Record<string, (row: WorthRow) => number>> = {
  price: (row) => row.price ?? Infinity,
  index: (row) => -row.index,
  point: (row) => row.perPoint ?? Infinity,
  targets: (row) => -(row.targetRatio ?? -1),
}
const rows = computed(() =>
  [...(worth.value?.rows ?? [])].sort(
    (a, b) => (orders[order.value] ?? orders.price!)(a) - (orders[order.value] ?? orders.price!)(b),
  ),
)
const limits = computed(() =>
  (worth.value?.limits ?? []).map(({ limit, partId }) => ({
    limit,
    row: worth.value!.rows.find((row) => row.partId === partId),
  })),
)
const adviceTone = { buy: 'tag-settled', wait: 'tag-waiting', level: 'tag-info' } as const
const agreementWord = {
  agree: 'agree',
  mostly: 'mostly',
  split: 'split',
  'one-voice': 'one voice',
  none: '',
} as const
const note = (row: WorthRow) =>
  run(
    async () => {
      await request('/api/prices/opinions', { method: 'POST', body: { ...opinion, partId: row.partId } })
      Object.assign(opinion, { guide: '', note: '' })
      await load()
    },
    { message: 'noted' },
  )
const dropOpinion = (id: string) =>
  run(
    async () => {
      await request(`/api/prices/opinions/${id}`, { method: 'DELETE' })
      await load()
    },
    {
      message: 'opinion archived',
      undo: async () => {
        await request(`/api/prices/opinions/${id}/restore`, { method: 'POST' })
        await load()
      },
    },
  )
/** Platform, age and grade in a line. */
const detail = (row: WorthRow) =>
  [
    row.platform,
    row.goesWith === false ? 'not on your board' : '',
    row.year === null ? '' : `from ${row.year}`,
    row.how || 'no price',
    row.how.startsWith('a hunt') ? row.grade : '',
    row.way === 'used' && row.fresh !== null ? `new ${amount(row.fresh, currency.value)}` : '',
  ]
    .filter((part) => part)
    .join(' · ')
</script>

<template>
  <section class="min-h-0 flex-1 overflow-y-auto px-4 py-3" aria-label="worth buying">
    <div class="flex flex-wrap items-baseline gap-3">
      <h1>Worth buying</h1>
      <select v-model="role" class="field !min-h-0 !py-0.5" aria-label="role">
        <option v-for="each in rankedRoles" :key="each" :value="each">{{ roleNames[each as Role] }}</option>
      </select>
      <span v-if="worth?.byTargets" class="text-soft"
        >calculated in your targets with {{ worth.besides }}</span
      >
      <span v-else-if="worth" class="text-soft"
        >ranked by {{ worth.unit
        }}{{
          role === 'cpu' || role === 'graphics' ? '; choose a whole machine to see it in your targets' : ''
        }}</span
      >
    </div>
    <p v-if="failed" class="mt-3 text-stop" role="alert">{{ failed }}</p>
    <p v-else-if="!worth" class="mt-3 text-soft" role="status">Calculating…</p>
    <p v-else-if="rows.length === 0" class="mt-3 text-soft">
      No part of this role has its figure in the library.
    </p>
    <template v-else>
      <div class="sheet mt-2 p-3 pb-1">
        <WorthStairs
          :worth="worth"
          :currency="currency"
          :selected="selectedId"
          @select="selectedId = $event"
        />
      </div>
      <p v-if="worth.waitNotes.length > 0" class="mt-1 text-waiting">
        To wait for:
        <template v-for="each in worth.waitNotes" :key="each.id"
          >{{ each.what }}, {{ shortDate(each.expectedOn) }} ({{ each.dropPercent }} %, chance
          {{ percent(each.chance) }})
        </template>
      </p>
      <p class="mt-1 flex flex-wrap gap-x-3 text-[13px]">
        <span class="text-soft">best up to</span
        ><span v-for="each in limits" :key="each.limit"
          ><span class="figures text-soft">{{ amount(each.limit, currency) }}</span>
          {{ each.row?.name ?? '—' }}</span
        >
      </p>
      <table class="ledger mt-2 bg-sheet">
        <thead>
          <tr>
            <th>candidate</th>
            <th
              v-for="[key, name] in [
                ['price', 'price'],
                ['index', worth.unit],
                ['point', `per ${worth.unit === 'index' ? 'pt' : worth.unit}`],
                ['targets', 'targets'],
              ] as const"
              :key="key"
              class="!text-right"
              :aria-sort="order === key ? 'ascending' : 'none'"
            >
              <button type="button" :class="{ 'text-ink underline': order === key }" @click="order = key">
                {{ name }}
              </button>
            </th>
            <th>step</th>
            <th>buy</th>
            <th>guides</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="row in rows" :key="row.partId">
            <tr
              class="cursor-pointer"
              :class="{ 'bg-paper': row.partId === selectedId }"
              @click="selectedId = selectedId === row.partId ? '' : row.partId"
            >
              <td class="whitespace-nowrap">
                <span :class="{ 'font-semibold': row.inBuild }">{{ row.name }}</span><span
                  class="block text-xs text-soft"
                  >{{ detail(row) }}</span
                >
              </td>
              <td class="amount">
                <TheFigure
                  v-if="row.price !== null"
                  :text="amount(row.price, currency)"
                  :working="() => worthPriceWorking(row, currency)"
                /><template v-else>—</template>
              </td>
              <td class="amount">{{ row.index }}</td>
              <td class="amount">
                <TheFigure
                  v-if="row.perPoint !== null"
                  :text="inUnits(row.perPoint, currency).toFixed(2)"
                  :working="() => pricePerPointWorking(row, worth!.unit, currency)"
                /><template v-else>—</template>
              </td>
              <td
                class="amount"
                :class="row.targetRatio === null ? '' : row.targetRatio >= 1 ? 'text-settled' : 'text-stop'"
              >
                {{ row.targetRatio === null ? '—' : percent(row.targetRatio) }}
              </td>
              <td class="text-xs whitespace-nowrap">
                <template v-if="row.step"
                  ><TheFigure
                    v-if="row.step.added"
                    :text="`+${amount(row.step.added.money, currency)} for ${signedPercent(row.step.added.targetPercent ?? row.step.added.indexPercent)}`"
                    :working="() => stepWorking(row, worth!, currency)"
                  /><template v-else>first step</template
                  ><span v-if="row.step.surplus" class="tag tag-waiting ml-1 !px-1 !text-[11px]"
                    >surplus</span
                  ></template
                ><span
                  v-else-if="row.beatenBy"
                  class="block max-w-[180px] truncate text-soft"
                  :title="`beaten by ${row.beatenBy}`"
                  >beaten by {{ row.beatenBy }}</span
                >
              </td>
              <td>
                <span
                  v-if="row.later"
                  class="tag"
                  :class="adviceTone[row.later.advice]"
                  :title="row.later.reasons.map((reason) => reason.what).join(', ')"
                  >{{
                    row.later.advice === 'level' ? 'either way' : row.later.advice === 'buy' ? 'now' : 'wait'
                  }}</span
                >
              </td>
              <td class="text-xs">
                {{ row.agreement.verdict ?? '' }}
                <span class="text-soft">{{ agreementWord[row.agreement.state] }}</span>
              </td>
            </tr>
            <tr v-if="row.partId === selectedId">
              <td colspan="8" class="bg-paper">
                <div class="flex flex-wrap items-start gap-x-6 gap-y-2 py-1">
                  <button type="button" class="button !py-0.5" @click="emit('open', row.partId)">
                    Open its street price
                  </button>
                  <p v-for="each in row.opinions" :key="each.id">
                    <b>{{ each.verdict }}</b> {{ each.guide }}
                    <span class="text-soft"
                      >{{ shortDate(each.saidOn) }}{{ each.note ? `: ${each.note}` : '' }}</span
                    >
                    <button
                      type="button"
                      class="quiet-button text-xs"
                      :aria-label="`archive what ${each.guide} said`"
                      @click="dropOpinion(each.id)"
                    >
                      ×
                    </button>
                  </p>
                  <form class="flex flex-wrap gap-1.5" @submit.prevent="note(row)">
                    <input
                      v-model="opinion.guide"
                      class="field w-40"
                      placeholder="which guide"
                      aria-label="which guide"
                    /><DateField v-model="opinion.saidOn" label="said on" /><select
                      v-model="opinion.verdict"
                      class="field"
                      aria-label="what it says"
                    >
                      <option v-for="each in opinionVerdicts" :key="each">{{ each }}</option></select
                    ><input
                      v-model="opinion.note"
                      class="field w-44"
                      placeholder="note"
                      aria-label="note on the opinion"
                    /><button type="submit" class="button" :disabled="opinion.guide.trim() === ''">
                      Note
                    </button>
                  </form>
                </div>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </template>
  </section>
</template>
