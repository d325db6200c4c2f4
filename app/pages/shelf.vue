<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { LibraryView } from '#shared/parts/views'
import type { ShelfView } from '#shared/shelf/views'
import { request } from '~/utils/request'
import { amount, shortDate } from '~/utils/show'

/** Shelf: parts the builder owns. Several builds, one shelf; what is sold from it comes back as income of a build. */
const { run } = useAction()
const session = useSession()
const library = ref<LibraryView | null>(null)
const selling = ref<ShelfView | null>(null)
const sale = reactive({ amount: '', fee: '0', day: '', buildId: '' })
const load = async () => (library.value = await request<LibraryView>('/api/library'))
onMounted(() =>
  run(async () => {
    await session.load()
    await load()
  }),
)
useHead({ title: 'Shelf · Tarvin' })
function sell(thing: ShelfView) {
  selling.value = thing
  Object.assign(sale, {
    amount: '',
    fee: '0',
    day: session.view!.today,
    buildId: thing.buildId ?? session.view!.builds[0]?.id ?? '',
  })
}
const sold = () =>
  run(
    async () => {
      await request(`/api/shelf/${selling.value!.id}/sale`, { method: 'POST', body: { ...sale } })
      selling.value = null
      await load()
    },
    { message: 'sold; the money is in the ledger' },
  )
const buildName = (id: string | null) => session.view?.builds.find((build) => build.id === id)?.name
</script>

<template>
  <main class="mx-auto h-full max-w-[1000px] overflow-y-auto px-6 py-5">
    <h1>Shelf</h1>
    <p class="text-soft">Parts you own. Use one in a build from its Machine place (N); sell one here.</p>
    <table class="ledger mt-3">
      <thead>
        <tr>
          <th>part</th>
          <th>role</th>
          <th>condition</th>
          <th>where it came from</th>
          <th class="!text-right">cost basis</th>
          <th>now</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="thing in library?.shelf" :key="thing.id" :class="{ 'text-soft': thing.soldOn }">
          <td>{{ thing.name }}</td>
          <td class="text-soft">{{ roleNames[thing.role] }}</td>
          <td>{{ thing.condition }}</td>
          <td class="text-soft">
            {{ thing.note
            }}<template v-if="buildName(thing.buildId)">, for {{ buildName(thing.buildId) }}</template>
          </td>
          <td class="amount">{{ amount(thing.cost, thing.currency) }} {{ thing.currency }}</td>
          <td class="whitespace-nowrap">
            <template v-if="thing.soldOn">sold {{ shortDate(thing.soldOn) }}</template
            ><template v-else-if="thing.usedIn">in {{ thing.usedIn }}</template
            ><button v-else type="button" class="quiet-button" @click="sell(thing)">sell it</button>
          </td>
        </tr>
      </tbody>
    </table>
    <form
      v-if="selling"
      class="mt-3 flex flex-wrap items-center gap-2 border-l-4 border-info pl-3"
      aria-label="sell from the shelf"
      @submit.prevent="sold"
    >
      <span>{{ selling.name }} sold for</span
      ><input
        v-model="sale.amount"
        class="field figures w-24"
        inputmode="decimal"
        aria-label="sold for"
      /><label
        >fee
        <input
          v-model="sale.fee"
          class="field figures w-20"
          inputmode="decimal"
          aria-label="fee on the sale" /></label
      ><label>on <DateField v-model="sale.day" label="day of the sale" /></label>
      <label
        >into the ledger of
        <select v-model="sale.buildId" class="field" aria-label="ledger that takes it">
          <option v-for="each in session.view?.builds" :key="each.id" :value="each.id">
            {{ each.name }}
          </option>
        </select></label
      ><button type="submit" class="button button-main">Sold</button
      ><button type="button" class="quiet-button" @click="selling = null">never mind</button>
    </form>
    <p v-if="library && library.shelf.length === 0" class="mt-4 text-soft">
      The shelf is empty. What a lot leaves over comes here when it is bought.
    </p>
  </main>
</template>
