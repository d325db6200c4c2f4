<script setup lang="ts">
import { isCurrency } from '#core/money/currencies'
import type { LearningView } from '#shared/settings/views'
import {
  asKept,
  assumptionSheets,
  moneyRows,
  type AssumptionRow,
  type MoneyRow,
} from '~/places/settings/state/assumptionRows'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** Settings: the home currency, and every figure nobody measured, grouped, with the builder's own in its place. */
const { run } = useAction()
const session = useSession()
const asked = useCall('GET /api/settings')
const view = computed(() => asked.data.value ?? null)
const learnt = useCall('GET /api/settings/learning')
const learning = computed(() => learnt.data.value ?? [])
const learntByKey = computed(
  () => new Map(learning.value.flatMap((row) => (row.key === null ? [] : [[row.key, row] as const]))),
)
const currency = ref('')
const sheets = computed(() => (view.value ? assumptionSheets(view.value) : []))
const money = computed(() =>
  view.value?.homeCurrency ? moneyRows(view.value, view.value.homeCurrency) : null,
)
watch(view, (next) => (currency.value = next?.homeCurrency ?? ''), { immediate: true })
usePlace('settings')

function setFigure(row: AssumptionRow, typed: number | null) {
  const before = row.own
  const write = (value: number | null) =>
    call(
      'PUT /api/settings/assumptions',
      {},
      { key: row.key, value: value === null ? null : asKept(row, value) },
    )
  return run(() => write(typed), {
    message:
      typed === null
        ? `${row.name}: back to the default, ${row.byDefault} ${row.unit}`
        : `${row.name}: ${typed} ${row.unit}`,
    undo: () => write(before),
  })
}

/** A learnt figure in the place of the assumption, with undo. */
function adopt({ key, name }: LearningView, value: number) {
  const before = view.value!.assumptions[key!] ?? null
  const write = (figure: number | null) =>
    call('PUT /api/settings/assumptions', {}, { key: key!, value: figure })
  return run(() => write(value), {
    message: `${name}: now uses your track record`,
    undo: () => write(before),
  })
}

function setAmount(row: MoneyRow, amount: string | null) {
  const before = row.own
  const home = view.value!.homeCurrency!
  const value = amount === null ? null : { amount, currency: home }
  return run(() => call('PUT /api/settings/money', {}, { key: row.key, value }), {
    message:
      amount === null
        ? `${row.name}: back to the default, ${row.byDefault} ${home}`
        : `${row.name}: ${amount} ${home}`,
    undo: () => call('PUT /api/settings/money', {}, { key: row.key, value: before }),
  })
}

async function setHome() {
  const code = currency.value.trim().toUpperCase()
  if (!isCurrency(code) || code === view.value?.homeCurrency) return
  const before = view.value?.homeCurrency
  await run(() => call('PUT /api/settings/home', {}, { currency: code }), {
    message: `Home currency: ${code}`,
    ...(before ? { undo: () => call('PUT /api/settings/home', {}, { currency: before }) } : {}),
  })
  currency.value = view.value?.homeCurrency ?? code
}
const reload = () => location.reload()
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-5">
    <h1>Settings</h1>
    <p v-if="!view" class="mt-4 text-soft">Loading…</p>
    <template v-else>
      <form class="sheet mt-3 flex flex-wrap items-end gap-3 p-3" @submit.prevent="setHome">
        <FormField
          label="home currency (three letters)"
          hint="New builds start in this currency; the amounts below are stored in it."
        >
          <input v-model="currency" maxlength="3" class="field figures w-20 uppercase" />
        </FormField>
        <button
          type="submit"
          class="button"
          :disabled="
            !isCurrency(currency.trim().toUpperCase()) || currency.toUpperCase() === view.homeCurrency
          "
        >
          Set
        </button>
      </form>
      <section v-if="learning.length > 0" class="mt-6" aria-label="track record">
        <h2 class="!text-base">Track record</h2>
        <p class="mt-1 max-w-[72ch] text-soft">
          Forecasts against what really happened to you. You can use your own figure instead of an assumption;
          one click undoes it.
        </p>
        <LearningTable class="mt-2" :rows="learning" @adopt="adopt" />
      </section>
      <h2 class="mt-6 !text-base">Assumptions</h2>
      <p class="mt-1 max-w-[72ch] text-soft">
        Estimates nobody has measured. Each applies to every build until you change it here; a brief can
        override some. Everything that depends on one is recalculated at once.
      </p>
      <section class="mt-4" aria-label="Money">
        <h2>Money</h2>
        <MoneyTable
          v-if="money"
          class="mt-1"
          :rows="money"
          :currency="view.homeCurrency!"
          @change="setAmount"
        />
        <p v-else class="sheet mt-1 p-3 text-soft">
          Set the home currency first: these amounts are stored in it.
        </p>
      </section>
      <RateTable
        v-if="session.view"
        class="mt-5"
        :home="view.homeCurrency ?? ''"
        :today="session.view.today"
      />
      <section v-for="sheet in sheets" :key="sheet.group" class="mt-5" :aria-label="sheet.name">
        <h2>
          {{ sheet.name }}
          <span v-if="sheet.changed > 0" class="tag tag-info ml-2"
            >{{ sheet.changed }} {{ sheet.changed === 1 ? 'figure' : 'figures' }} changed by you</span
          >
        </h2>
        <AssumptionTable
          class="mt-1"
          :rows="sheet.rows"
          :learning="learntByKey"
          @change="setFigure"
          @adopt="adopt"
        />
      </section>
      <div class="mt-6 grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <BackupSection @restored="reload" />
        <PassphraseSection />
      </div>
    </template>
  </main>
</template>
