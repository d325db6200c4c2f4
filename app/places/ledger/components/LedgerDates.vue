<script setup lang="ts">
import type { LedgerView } from '#shared/ledger/views'
import { amount, shortDate } from '~/utils/show'
import type { SentBody } from '#shared/calls'

/** Dates ahead, trips to drive, and the rebates on what was bought. */
const { ledger } = defineProps<{ ledger: LedgerView }>()
const build = useBuild()
const { step } = useLedgerStep()
const claim = (id: string, state: SentBody<'PATCH /api/ledger/rebates/:id'>['state']) =>
  step(
    'PATCH /api/ledger/rebates/:id',
    { id },
    { state, day: build.view!.today },
    state === 'paid' ? 'paid and booked in the ledger' : state,
  )
const drive = (id: string, name: string) =>
  step(
    'POST /api/ledger/trips/:id/drive',
    { id },
    { day: build.view!.today },
    `${name} driven and booked in the ledger`,
  )
</script>

<template>
  <div class="flex flex-col gap-4">
    <section class="sheet p-3" aria-label="upcoming dates">
      <h2>Upcoming dates</h2>
      <DeadlineLine v-for="each in ledger.deadlines" :key="each.day + each.what" :deadline="each" />
      <p v-if="ledger.deadlines.length === 0" class="text-soft">None.</p>
    </section>
    <section v-if="ledger.rebates.length > 0" class="sheet p-3" aria-label="rebates">
      <h2>Rebates on your purchases</h2>
      <div v-for="each in ledger.rebates" :key="each.id" class="mt-1 flex flex-wrap items-center gap-2">
        <span class="flex-1"
          >{{ each.label }}: {{ each.kind }}, <b class="figures">{{ amount(each.amount, each.currency) }}</b>
          {{ each.currency }}, claim by {{ shortDate(each.claimBy) }}</span
        ><span class="tag" :class="each.state === 'paid' ? 'tag-settled' : 'tag-waiting'">{{
          each.state === 'to-claim' ? 'to claim' : each.state
        }}</span>
        <button
          v-if="each.state === 'to-claim'"
          type="button"
          class="button"
          @click="claim(each.id, 'claimed')"
        >
          Claimed</button
        ><button v-if="each.state === 'claimed'" type="button" class="button" @click="claim(each.id, 'paid')">
          Received</button
        ><button
          v-if="each.state === 'claimed'"
          type="button"
          class="quiet-button"
          @click="claim(each.id, 'refused')"
        >
          rejected
        </button>
      </div>
    </section>
    <section v-if="ledger.trips.length > 0" class="sheet p-3" aria-label="trips">
      <h2>Trips</h2>
      <p v-for="trip in ledger.trips" :key="trip.id" class="flex items-baseline gap-2">
        <span class="flex-1"
          >{{ trip.name }}, {{ trip.km }} km<template v-if="trip.hours > 0"
            >, {{ trip.hours }} h</template
          ></span
        ><span class="figures">{{ amount(trip.cost, ledger.currency) }}</span
        ><span v-if="trip.drivenOn" class="tag tag-settled">driven {{ shortDate(trip.drivenOn) }}</span
        ><button v-else type="button" class="button" @click="drive(trip.id, trip.name)">Driven</button>
      </p>
    </section>
  </div>
</template>
