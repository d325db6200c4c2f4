<script setup lang="ts">
import type { LeadView } from '#shared/leads/views'
import { amount, percent, shortDate } from '~/utils/show'

/** Auctions of one part that end one after another: the most to bid on each, knowing the later ones. */
const { lead } = defineProps<{ lead: LeadView }>()
const emit = defineEmits<{ open: [id: string] }>()
const build = useBuild()
const { data: sheet } = useHaggle(() => lead)
const bids = computed(() => sheet.value?.bids ?? null)
const own = computed(() => bids.value?.rungs.find(({ leadId }) => leadId === lead.id) ?? null)
const money = (value: number) => amount(value, build.view!.currency)
</script>

<template>
  <section class="sheet p-3" aria-label="maximum bid">
    <h2>Maximum bid</h2>
    <p v-if="!sheet" class="text-soft">calculating…</p>
    <p v-else-if="!bids || !own" class="text-soft">
      No maximum bid: it is a lot, it has ended, it ends after your date, or there is no other price for the
      part to compare with.
    </p>
    <template v-else>
      <p class="mt-1">
        <template v-if="own.bid === null"
          >Skip this one: it already costs more than you should expect to pay elsewhere.</template
        ><template v-else
          >Bid <b class="figures" data-figure="most-to-bid">{{ amount(own.bid, own.currency) }}</b>
          {{ own.currency }} at most, in one bid; chance to win
          <span class="figures">{{ percent(own.chance, 0) }}</span>.</template
        >
      </p>
      <table class="ledger mt-1">
        <thead>
          <tr>
            <th>ends</th>
            <th>auction</th>
            <th class="!text-right">current bid</th>
            <th class="!text-right">maximum bid</th>
            <th class="!text-right">chance</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="rung in bids.rungs" :key="rung.leadId" :data-rung="rung.leadId">
            <td class="figures text-xs">{{ shortDate(rung.endsOn) }}</td>
            <td>
              <b v-if="rung.leadId === lead.id">this one</b
              ><button v-else type="button" class="quiet-button" @click="emit('open', rung.leadId)">
                {{ rung.title }}
              </button>
            </td>
            <td class="amount">{{ amount(rung.standsAt, rung.currency) }}</td>
            <td class="amount">{{ rung.bid === null ? 'no bid' : amount(rung.bid, rung.currency) }}</td>
            <td class="amount">{{ rung.bid === null ? '—' : percent(rung.chance, 0) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="mt-1 text-soft">
        With these bids you win one with a chance of {{ percent(bids.chance, 0) }}; expected cost
        <span class="figures text-ink" data-figure="bids-expected">{{ money(bids.expected) }}</span>
        {{ build.view!.currency }}, instead of
        <span class="figures">{{ money(bids.otherwise) }}</span> without them. From {{ bids.sales }}
        {{ bids.sales === 1 ? 'sale' : 'sales' }}. Bid less in early auctions: more will follow.
      </p>
    </template>
  </section>
</template>
