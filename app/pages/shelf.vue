<script setup lang="ts">
import { roleNames } from '#core/parts/part'
import type { ShelfView } from '#shared/shelf/views'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'
import { amount, shortDate } from '~/utils/show'
import { useCall } from '~/data/useCall'
import type { SentBody } from '#shared/calls'

/** Shelf: things that are mine and in no build, and what became of those that left it. */
const { run, busy } = useAction()
const session = useSession()
const { data: library } = useCall('GET /api/library')
const open = ref<string | null>(null)
const form = ref({ price: '', fee: '0', postage: '0', day: '', buildId: '' })
usePlace('shelf')
const here = computed(() => (library.value?.shelf ?? []).filter((thing) => thing.place === 'shelf'))
const left = computed(() => (library.value?.shelf ?? []).filter((thing) => thing.place === 'gone'))
function show(thing: ShelfView) {
  open.value = open.value === thing.id ? null : thing.id
  Object.assign(form.value, {
    price: '',
    fee: '0',
    postage: '0',
    day: session.view!.today,
    buildId: thing.build?.id ?? session.view!.builds[0]?.id ?? '',
  })
}
const step = <const Step extends 'sell' | 'move' | 'find' | 'write-off'>(
  thing: ShelfView,
  name: Step,
  body: Omit<SentBody<`POST /api/ledger/items/:id/${Step}`>, 'day'>,
  message: string,
) =>
  run(
    async () => {
      const dated = { day: form.value.day, ...body } as never
      await call(`POST /api/ledger/items/:id/${name}`, ...([{ id: thing.id }, dated] as never))
      open.value = null
    },
    { message: `${thing.name}: ${message}` },
  )
const sell = (thing: ShelfView) => {
  const { day: _day, ...sale } = form.value
  return step(
    thing,
    'sell',
    { ...sale, buildId: sale.buildId || null },
    'sold; the money is booked in the ledger',
  )
}
const stateTone = {
  unseen: 'tag-info',
  works: 'tag-settled',
  faulty: 'tag-waiting',
  dead: 'tag-stop',
} as const
const stateWords = { unseen: 'not inspected yet', works: 'works', faulty: 'faulty', dead: 'dead' } as const
const goneWords = {
  cancelled: 'cancelled',
  missing: 'missing',
  returned: 'returned',
  sold: 'sold',
  'sold-with-machine': 'sold with its machine',
  'traded-in': 'traded in',
  'written-off': 'written off',
  split: 'split',
} as const
const columns: readonly Column<ShelfView>[] = [
  { key: 'thing', name: 'part', by: (thing) => thing.name },
  { key: 'role', name: 'role', class: 'text-soft', by: (thing) => roleNames[thing.role] },
  { key: 'state', name: 'condition', by: (thing) => stateWords[thing.state] },
  {
    key: 'boughtFor',
    name: 'bought for',
    class: 'text-soft',
    by: (thing) => thing.build?.name ?? 'owned before',
  },
  { key: 'left', name: 'cost left', isFigure: true, by: (thing) => thing.remaining },
  { key: 'steps', name: 'actions', isSpoken: true, class: 'text-right' },
]
</script>

<template>
  <main class="mx-auto h-full max-w-[1000px] overflow-y-auto px-6 py-5">
    <h1>Shelf</h1>
    <p class="text-soft">Parts you own that are not in any build.</p>
    <DataTable
      v-if="here.length > 0"
      class="mt-3"
      :columns="columns"
      :rows="here"
      :row-id="(thing) => thing.id"
      :open="open"
    >
      <template #thing="{ row: thing }"
        >{{ thing.name
        }}<span class="block text-xs text-soft"
          >{{ thing.condition }}<template v-if="thing.note">, {{ thing.note }}</template></span
        ></template
      >
      <template #state="{ row: thing }">
        <span class="tag" :class="stateTone[thing.state]">{{ stateWords[thing.state] }}</span>
      </template>
      <template #left="{ row: thing }"
        >{{ amount(thing.remaining, thing.currency) }} {{ thing.currency }}</template
      >
      <template #steps="{ row: thing }">
        <button type="button" class="quiet-button" :aria-expanded="open === thing.id" @click="show(thing)">
          use, sell…
        </button>
      </template>
      <template #below="{ row: thing }">
        <div class="flex flex-col gap-2 border-l-4 border-info py-1 pl-3">
          <form
            class="flex flex-wrap items-center gap-2"
            aria-label="sell from the shelf"
            @submit.prevent="sell(thing)"
          >
            <SaleFields v-model="form" what="thing" /><label
              >on <DateField v-model="form.day" label="date" /></label
            ><button type="submit" class="button button-main" :disabled="busy || form.price === ''">
              Sold
            </button>
          </form>
          <div class="flex flex-wrap items-center gap-2">
            <select v-model="form.buildId" class="field" aria-label="build to use it in">
              <option v-for="each in session.view?.builds" :key="each.id" :value="each.id">
                {{ each.name }}
              </option></select
            ><button
              type="button"
              class="button"
              :disabled="busy || form.buildId === ''"
              @click="step(thing, 'move', { buildId: form.buildId }, 'in the build')"
            >
              Use in this build</button
            ><button
              v-if="thing.state !== 'dead'"
              type="button"
              class="button"
              @click="step(thing, 'find', { state: 'dead' }, 'dead')"
            >
              Mark as dead</button
            ><button type="button" class="button" @click="step(thing, 'write-off', {}, 'written off')">
              Write off
            </button>
          </div>
        </div>
      </template>
    </DataTable>
    <p v-else-if="library" class="mt-4 text-soft">
      The shelf is empty. Spare parts from a lot and parts removed from a build appear here.
    </p>
    <template v-if="left.length > 0">
      <h2 class="mt-5">Gone</h2>
      <table class="ledger mt-1 text-soft">
        <tbody>
          <tr v-for="thing in left" :key="thing.id">
            <td>{{ thing.name }}</td>
            <td>
              {{ goneWords[thing.goneBecause ?? 'written-off']
              }}<template v-if="thing.leftOn"> {{ shortDate(thing.leftOn) }}</template>
            </td>
            <td class="amount">
              <template v-if="thing.goneBecause === 'sold'"
                >{{ amount(thing.soldFor, thing.currency) }} {{ thing.currency }} net</template
              >
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </main>
</template>
