<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'
import { amount, shortDate } from '~/utils/show'

/** Whole machines like it that were sold: the words they are found by, and the builder's word on each. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const { save, busy } = useSelling()
const machines = computed(() => ledger.selling.machines!)
const fewest = 8
const isWhole = ref(false)
const shown = computed(() => machines.value.comps.slice(0, isWhole.value ? undefined : fewest))
const listed = (text: string) =>
  text
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '')
const must = ref(ledger.selling.must?.join(', ') ?? '')
const mustNot = ref(ledger.selling.mustNot.join(', '))
const saveWords = () =>
  save({ must: must.value.trim() === '' ? null : listed(must.value), mustNot: listed(mustNot.value) })
const decide = (id: number, isLeftOut: boolean) =>
  save({
    leftOut: isLeftOut
      ? [...ledger.selling.leftOut, id]
      : ledger.selling.leftOut.filter((each) => each !== id),
  })
</script>

<template>
  <section v-if="ledger.selling.machines" class="sheet p-3" aria-label="similar PCs sold">
    <h2>Similar PCs sold</h2>
    <p class="text-soft">
      {{ machines.like
      }}<template v-if="machines.typical !== null"
        >: typical <span class="figures text-ink">{{ amount(machines.typical, ledger.currency) }}</span>,
        probably {{ amount(machines.interval!.low, ledger.currency) }} to
        {{ amount(machines.interval!.high, ledger.currency) }}, {{ machines.grade }}</template
      >.
    </p>
    <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="saveWords">
      <label class="text-xs text-soft"
        >required words
        <input
          v-model="must"
          class="field w-56 text-sm"
          :placeholder="machines.words.join(', ')"
          aria-label="required words for similar PCs" /></label
      ><label class="text-xs text-soft"
        >excluded words
        <input v-model="mustNot" class="field w-44 text-sm" aria-label="excluded words" /></label
      ><button type="submit" class="button" :disabled="busy">Apply</button>
    </form>
    <ul v-if="machines.comps.length > 0" class="mt-2">
      <li
        v-for="each in shown"
        :key="each.id"
        class="flex gap-2 border-t border-line py-0.5"
        :class="{ 'text-soft line-through': each.isLeftOut }"
      >
        <span class="figures w-14 shrink-0 text-xs">{{ shortDate(each.soldOn) }}</span><span
          class="min-w-0 grow"
          >{{ each.title }}</span
        ><span class="figures shrink-0">{{ amount(each.price, ledger.currency) }}</span
        ><button
          type="button"
          class="quiet-button shrink-0"
          :disabled="busy"
          :aria-label="`${each.isLeftOut ? 'count' : 'leave out'} ${each.title}`"
          @click="decide(each.id, !each.isLeftOut)"
        >
          {{ each.isLeftOut ? 'count it' : 'leave out' }}
        </button>
      </li>
    </ul>
    <button
      v-if="machines.comps.length > fewest"
      type="button"
      class="quiet-button mt-1"
      :aria-expanded="isWhole"
      @click="isWhole = !isWhole"
    >
      {{ isWhole ? 'show the newest' : `show all ${machines.comps.length}` }}
    </button>
    <p v-if="machines.comps.length === 0" class="mt-2 text-soft">
      No similar PCs in your records. Paste past sales of such PCs as you do for parts; these words find them.
    </p>
  </section>
</template>
