<script setup lang="ts">
import { severityNames } from '#core/machine/fit/finding'
import { convertAmount } from '#core/money/rates'
import { call } from '~/data/call'
import { amount, longDate } from '~/utils/show'
import { anyoneText } from '~/workings/receiptWorkings'
import { useCall } from '~/data/useCall'

/** The build beside its variants: lines they share once, lines that differ, totals, findings, targets. */
const { buildId } = defineProps<{ buildId: string }>()
const { run } = useAction()
const { data: variants } = useCall('GET /api/builds/:id/variants', () => ({ id: buildId }))
const name = ref('')
const begin = () =>
  run(
    async () => {
      const { id } = await call('POST /api/builds/:id/variants', { id: buildId }, { name: name.value })
      await navigateTo(`/b/${id}/machine?mode=chosen`)
    },
    { message: `${name.value}: change what differs` },
  )
const currencies = computed(() => [...new Set(variants.value?.machines.map(({ currency }) => currency))])
/** The one currency in which all columns can be read beside each other; empty: each in its own. */
const chosen = ref('')
const missing = useMissingRate()
const rateOf = (from: string) =>
  variants.value!.rates.find((each) => each.from === from && each.to === chosen.value) ?? null
function inChosen(value: number | null, from: string): string {
  const rate = from === chosen.value ? '1' : (rateOf(from)?.rate ?? null)
  return value === null || rate === null
    ? 'not known'
    : amount(convertAmount(value, from, chosen.value, rate), chosen.value)
}
const targetNames = computed(() => [
  ...new Set(variants.value?.machines.flatMap((machine) => machine.targets.map((target) => target.name))),
])
const tone = { met: 'tag-settled', narrow: 'tag-waiting', missed: 'tag-stop' } as const
</script>

<template>
  <section aria-label="variants">
    <form class="mb-3 flex flex-wrap items-center gap-2" @submit.prevent="begin">
      <input
        v-model="name"
        class="field w-64"
        placeholder="for example: with another CPU platform"
        aria-label="name of the variant"
      /><button type="submit" class="button" :disabled="name.trim() === ''">Start a variant</button
      ><span class="text-soft">it shares every part until you change one there</span>
    </form>
    <p v-if="!variants" class="text-soft" role="status">Loading variants…</p>
    <p v-else-if="variants.machines.length === 1" class="text-soft">No variant yet.</p>
    <table v-else class="ledger table-fixed [&_td]:break-words [&_th]:whitespace-normal">
      <thead>
        <tr>
          <th><span class="sr-only">compared</span></th>
          <th v-for="machine in variants.machines" :key="machine.id">
            <NuxtLink :to="`/b/${machine.id}/machine`" class="underline decoration-dotted">{{
              machine.name
            }}</NuxtLink>
            <span v-if="machine.id === buildId" class="tag tag-info">this build</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>shared</td>
          <td :colspan="variants.machines.length" class="text-soft">
            {{ variants.shared.map((line) => line.label).join(' · ') || 'nothing' }}
          </td>
        </tr>
        <tr>
          <td>differs</td>
          <td v-for="machine in variants.machines" :key="machine.id" class="align-top">
            <p v-for="line in machine.lines" :key="line.id" class="flex flex-wrap justify-between gap-x-3">
              <span>{{ line.label }}</span><span class="figures">{{
                amount(line.payNow, machine.currency)
              }}</span>
            </p>
            <span v-if="machine.lines.length === 0" class="text-soft">—</span>
          </td>
        </tr>
        <tr>
          <td>total</td>
          <td v-for="machine in variants.machines" :key="machine.id" class="figures">
            {{ amount(machine.totals.payNow, machine.currency) }} {{ machine.currency }}
          </td>
        </tr>
        <tr>
          <td>expected total</td>
          <td v-for="machine in variants.machines" :key="machine.id" class="figures">
            {{ amount(machine.totals.expected, machine.currency) }}
          </td>
        </tr>
        <tr>
          <td>market price</td>
          <td v-for="machine in variants.machines" :key="machine.id" class="figures">
            {{ anyoneText(machine) }}
          </td>
        </tr>
        <tr>
          <td>left of the budget</td>
          <td
            v-for="machine in variants.machines"
            :key="machine.id"
            class="figures"
            :class="(machine.left ?? 0) < 0 ? 'text-stop' : 'text-settled'"
          >
            {{ amount(machine.left, machine.currency) }}
          </td>
        </tr>
        <tr v-if="currencies.length > 1">
          <td>
            <select v-model="chosen" class="field !py-0" aria-label="show all in">
              <option value="">in one currency…</option>
              <option v-for="each in currencies" :key="each" :value="each">in {{ each }}</option>
            </select>
          </td>
          <td v-for="machine in variants.machines" :key="machine.id">
            <template v-if="chosen !== ''">
              <span class="figures" :data-in="machine.id"
                >total {{ inChosen(machine.totals.payNow, machine.currency) }}, expected total
                {{ inChosen(machine.totals.expected, machine.currency) }}</span
              >
              <span v-if="machine.currency !== chosen" class="block text-xs text-soft">
                <template v-if="rateOf(machine.currency)?.rate"
                  >at {{ rateOf(machine.currency)!.rate }} on
                  {{ longDate(rateOf(machine.currency)!.date) }}</template
                ><button
                  v-else
                  type="button"
                  class="quiet-button"
                  @click="missing.open(machine.currency, chosen)"
                >
                  set the exchange rate
                </button></span
              >
            </template>
          </td>
        </tr>
        <tr>
          <td>findings</td>
          <td v-for="machine in variants.machines" :key="machine.id">
            <p
              v-for="finding in machine.findings.filter((each) => each.severity !== 'hints')"
              :key="finding.what"
              class="text-[13px]"
            >
              <span class="tag" :class="finding.severity === 'stops' ? 'tag-stop' : 'tag-waiting'">{{
                severityNames[finding.severity]
              }}</span>
              {{ finding.what }}
            </p>
            <span v-if="machine.findings.every((each) => each.severity === 'hints')" class="text-settled"
              >✓ none</span
            >
          </td>
        </tr>
        <tr v-for="target in targetNames" :key="target">
          <td>{{ target }}</td>
          <td v-for="machine in variants.machines" :key="machine.id">
            <template v-for="each in machine.targets.filter((one) => one.name === target)" :key="each.name"
              ><span class="figures">{{ each.fps === null ? '—' : each.fps.toFixed(0) }}</span> of
              {{ each.wanted }}
              <span v-if="each.verdict" class="tag" :class="tone[each.verdict]">{{
                each.verdict
              }}</span></template
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
