<script setup lang="ts">
import type { LeadView } from '#shared/leads/views'
import { amount, percent, shortDate } from '~/utils/show'

/** Auctions of one part that end one after another: the most to bid on each, knowing the later ones. */
const { lead } = defineProps<{ lead: LeadView }>()
const emit = defineEmits<{ open: [id: string] }>()
const build = useBuild()
const { sheet, failed } = useHaggle(() => lead)
const bids = computed(() => sheet.value?.bids ?? null)
const own = computed(() => bids.value?.rungs.find(({ leadId }) => leadId === lead.id) ?? null)
const money = (value: number) => amount(value, build.view!.currency)
</script>

<template>
  <section class="sheet p-3" aria-label="the most to bid">
    <h2>The most to bid</h2>
    <p v-if="failed" class="text-stop" role="alert">{{ failed }}</p>
    <p v-else-if="!sheet" class="text-soft">being worked out…</p>
    <p v-else-if="!bids || !own" class="text-soft">
      Not known: it is a lot, it is over, it ends after the day wanted, or nothing says what the part costs
      otherwise.
    </p>
    <template v-else>
      <p class="mt-1">
        <template v-if="own.bid === null"
          >Let this one go: it stands above what getting one is expected to cost otherwise.</template
        ><template v-else
          >Bid <b class="figures" data-figure="most-to-bid">{{ amount(own.bid, own.currency) }}</b>
          {{ own.currency }} at most, once and for all: the chance to win is
          <span class="figures">{{ percent(own.chance, 0) }}</span>.</template
        >
      </p>
      <table class="ledger mt-1">
        <thead>
          <tr>
            <th>ends</th>
            <th>auction</th>
            <th class="!text-right">stands at</th>
            <th class="!text-right">bid at most</th>
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
        Bidding so, one is won with a chance of {{ percent(bids.chance, 0) }}, and getting one is expected to
        cost
        <span class="figures text-ink" data-figure="bids-expected">{{ money(bids.expected) }}</span>
        {{ build.view!.currency }}, against
        <span class="figures">{{ money(bids.otherwise) }}</span> otherwise. From {{ bids.sales }}
        {{ bids.sales === 1 ? 'sale' : 'sales' }}; the earlier the auction, the less it is worth, since others
        follow.
      </p>
    </template>
  </section>
</template>
