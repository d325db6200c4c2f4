<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { LedgerView } from '#shared/ledger/views'
import type { WorthBasis } from '#shared/ledger/selling'
import { resaleWorking } from '~/workings/ledgerWorkings'
import { amount, signedAmount, signedPercent } from '~/utils/show'

/** The ways to sell a machine side by side, and which of them its worth today is read from. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const build = useBuild()
const { save, busy } = useSelling()
const currency = computed(() => ledger.currency)
const money = (value: number | null) => amount(value, currency.value)
const rows = computed(() => {
  const { whole, machines, parting } = ledger.resale
  const { wholeDays, byPartsDays, partingDays, machines: sold } = ledger.selling
  const count = sold?.count ?? 0
  return [
    ...(machines === null
      ? []
      : [
          {
            id: 'machines',
            name: `whole, based on ${count === 1 ? 'one similar PC' : `${count} similar PCs`} sold`,
            side: machines,
            ask: machines.ask,
            days: wholeDays,
          },
        ]),
    { id: 'whole', name: 'whole, based on its parts', side: whole, ask: whole.ask, days: byPartsDays },
    { id: 'parting', name: 'parted out', side: parting, ask: null, days: partingDays },
  ]
})
/** Parts of which nobody knows a price may fetch more: what rests on the parts is the least. */
const all = computed(() => build.view!.parts.filter(({ role }) => role !== 'extra').length)
const isLeast = (id: string) => id !== 'machines' && ledger.resale.unknown.length > 0
const atLeast = (id: string, text: string) => (isLeast(id) ? `at least ${text}` : text)
const bases: readonly (readonly [WorthBasis, string])[] = [
  ['parts', 'its parts, one by one'],
  ['machines', 'similar PCs sold'],
  ['own', 'your own figure'],
]
const own = ref(ledger.selling.own === null ? '' : amountTyped(ledger.selling.own, ledger.currency))
/** Your own figure is in force once it is typed in. */
function choose(basis: WorthBasis) {
  if (basis === 'own' && own.value.trim() === '') return
  void save(basis === 'own' ? { basis, own: own.value.trim() } : { basis })
}
</script>

<template>
  <section class="sheet p-3" aria-label="what it would sell for">
    <h2>What it would sell for</h2>
    <table class="figures mt-1 w-full text-sm">
      <thead>
        <tr class="text-left text-xs text-soft">
          <th class="font-normal">sold</th>
          <th class="text-right font-normal">ask</th>
          <th class="text-right font-normal">price</th>
          <th class="text-right font-normal">net</th>
          <th class="text-right font-normal">profit</th>
          <th class="text-right font-normal">return on cost</th>
          <th class="text-right font-normal">per hour</th>
          <th class="text-right font-normal">days to sell (80 %)</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ id, name, side, ask, days } in rows"
          :key="id"
          class="border-t border-line"
          :class="{ 'font-semibold': id === ledger.resale.better }"
        >
          <td class="font-sans">{{ name }}</td>
          <td class="text-right">{{ ask === null ? '' : money(ask) }}</td>
          <td class="text-right">{{ atLeast(id, money(side.gross)) }}</td>
          <td class="text-right">
            <TheFigure
              v-if="id === ledger.resale.better"
              strong
              :text="atLeast(id, money(side.net))"
              :working="() => resaleWorking(ledger, build.view!.receipt)"
            /><template v-else>{{ atLeast(id, money(side.net)) }}</template>
          </td>
          <td
            class="text-right"
            :class="side.profit >= 0 ? 'text-settled' : isLeast(id) ? 'text-soft' : 'text-stop'"
          >
            {{ atLeast(id, signedAmount(side.profit, currency)) }}
          </td>
          <td class="text-right">
            {{ side.marginPercent === null || isLeast(id) ? '' : signedPercent(side.marginPercent) }}
          </td>
          <td class="text-right">{{ side.perHour === null || isLeast(id) ? '' : money(side.perHour) }}</td>
          <td class="text-right">{{ days === null ? 'not known' : Math.ceil(days) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="build.view!.emptyRoles.length > 0" class="mt-1 text-waiting" data-test="not-whole">
      Not complete: no {{ build.view!.emptyRoles.map((role) => roleNames[role]).join(', no ') }}. The cost of
      that is not in these figures yet.
    </p>
    <p v-if="ledger.resale.unknown.length > 0" class="mt-1 text-waiting">
      At least: of {{ all - ledger.resale.unknown.length }} of {{ all }} parts. The others have no street
      price.
    </p>
    <fieldset class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1" :disabled="busy">
      <legend class="text-xs text-soft">worth today is based on</legend>
      <label v-for="[basis, words] in bases" :key="basis" class="flex items-center gap-1">
        <input
          type="radio"
          name="basis"
          :value="basis"
          :checked="ledger.selling.basis === basis"
          :disabled="basis === 'own' && own.trim() === ''"
          @change="choose(basis)"
        />{{ words }}
      </label>
      <input
        v-model="own"
        class="field figures w-28"
        inputmode="decimal"
        aria-label="your own figure for the machine"
        placeholder="0.00"
        @change="choose('own')"
      />
    </fieldset>
  </section>
</template>
