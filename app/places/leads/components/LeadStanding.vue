<script setup lang="ts">
import type { LeadView } from '#shared/leads/views'
import type { TripView } from '#shared/ledger/views'
import { call } from '~/data/call'
import { amount, shortDate, signedAmount, signedPercent } from '~/utils/show'
import type { SentBody } from '#shared/calls'

/** Where a lead stands: its listing, the trip that fetches it, its forerunners, its rebates, its pictures. */
const { lead, currency, trips } = defineProps<{
  lead: LeadView
  currency: string
  trips: readonly TripView[]
}>()
const emit = defineEmits<{ open: [id: string] }>()
const build = useBuild()
const { run } = useAction()
const planning = ref(false)
const trip = reactive({ name: '', km: 20, fare: '0', hours: 1 })
type Change = SentBody<'PATCH /api/leads/:id'>
async function patch(body: Change, message: string, undo: Change) {
  const send = (change: Change) => call('PATCH /api/leads/:id', { id: lead.id }, change)
  await run(() => send(body), { message, undo: () => send(undo) })
}
const passFor = (reason: string) =>
  call(
    'POST /api/leads/:id/pass',
    { id: lead.id },
    { day: build.view!.today, reason, buildId: build.view!.id },
  )
function sayWhy(event: Event) {
  const before = lead.passReason
  const why = (event.target as HTMLSelectElement).value
  return run(() => passFor(why), { message: 'noted', undo: () => passFor(before) })
}
const putOnTrip = (id: string | null) =>
  patch({ tripId: id }, id === null ? 'shipped, at the source’s rate' : 'picked up on that trip', {
    tripId: lead.tripId,
  })
const plan = () =>
  run(async () => {
    const { id } = await call('POST /api/builds/:id/ledger/trips', { id: build.view!.id }, { ...trip })
    planning.value = false
    await putOnTrip(id)
  })
const giveUp = (id: string) =>
  run(() => call('DELETE /api/ledger/trips/:id', { id }), { message: 'trip cancelled' })
const reasons = ['too expensive', 'too far', 'too risky', 'not what I need', 'sold already', 'seller silent']
const dropPhoto = (id: string) =>
  run(() => call('DELETE /api/leads/photos/:id', { id }), { message: 'picture removed' })
</script>

<template>
  <section class="sheet p-3" aria-label="status">
    <h2>Status</h2>
    <dl class="mt-1 grid grid-cols-[90px_1fr] gap-y-1">
      <dt class="text-soft">listed</dt>
      <dd>
        {{ shortDate(lead.listedOn)
        }}<template v-if="lead.endsOn"> · ends {{ shortDate(lead.endsOn) }}</template>
      </dd>
      <template v-if="lead.same"
        ><dt class="text-soft">{{ lead.same.kind === 'double' ? 'duplicate' : 'relisted' }}</dt>
        <dd>
          <button type="button" class="quiet-button text-left" @click="emit('open', lead.same.earlierId)">
            {{ lead.same.earlierTitle }}</button><template v-if="lead.same.change">
            <span class="figures">{{ signedAmount(lead.same.change, lead.currency) }}</span> since</template
          >
        </dd></template
      >
      <dt class="text-soft">source</dt>
      <dd>
        {{ lead.sourceName }}<template v-if="lead.place">, {{ lead.place }}</template>
      </dd>
      <template v-if="lead.url"
        ><dt class="text-soft">link</dt>
        <dd class="truncate">
          <a :href="lead.url" rel="noreferrer noopener" target="_blank" class="underline">{{ lead.url }}</a>
        </dd></template
      >
      <template v-if="lead.state === 'passed'"
        ><dt class="text-soft">passed</dt>
        <dd>
          <select :value="lead.passReason" class="field" aria-label="why passed" @change="sayWhy">
            <option value="">no reason given</option>
            <option v-for="reason in reasons" :key="reason">{{ reason }}</option>
          </select>
        </dd></template
      >
      <dt class="text-soft">pickup</dt>
      <dd>
        <select
          :value="lead.tripId ?? ''"
          class="field"
          aria-label="pickup trip"
          @change="
            ($event.target as HTMLSelectElement).value === 'new'
              ? (planning = true)
              : putOnTrip(($event.target as HTMLSelectElement).value || null)
          "
        >
          <option value="">no trip: shipped or handed over here</option>
          <option v-for="each in trips" :key="each.id" :value="each.id">
            {{ each.name }}: {{ each.km }} km, {{ amount(each.cost, currency) }}
          </option>
          <option value="new">a new trip…</option>
        </select>
        <button
          v-if="lead.tripId"
          type="button"
          class="quiet-button ml-2 text-xs"
          @click="giveUp(lead.tripId)"
        >
          cancel the trip
        </button>
      </dd>
    </dl>
    <form
      v-if="planning"
      class="mt-2 flex flex-wrap items-center gap-2 border-l-4 border-info pl-3"
      @submit.prevent="plan"
    >
      <input v-model="trip.name" class="field w-36" placeholder="to" aria-label="name of the trip" /><label
        ><input
          v-model.number="trip.km"
          type="number"
          min="0"
          class="field figures w-20"
          aria-label="kilometres"
        />
        km</label
      ><label
        ><input v-model="trip.fare" class="field figures w-20" inputmode="decimal" aria-label="travel cost" />
        travel cost</label
      ><label
        ><input
          v-model.number="trip.hours"
          type="number"
          min="0"
          step="0.25"
          class="field figures w-16"
          aria-label="hours of the trip"
        />
        h</label
      ><button type="submit" class="button" :disabled="trip.name.trim() === ''">Add trip</button
      ><button type="button" class="quiet-button" @click="planning = false">cancel</button>
    </form>
    <p v-if="lead.tripId" class="mt-1 text-xs text-soft">
      The cost is shared with other leads picked up on the same trip. Rates are in Brief, under your rules.
    </p>
    <div v-for="rebate in lead.rebates" :key="rebate.id" class="mt-2">
      <p>
        {{ rebate.kind }} <b class="figures">{{ amount(rebate.amount, lead.currency) }}</b>, claim by
        {{ shortDate(rebate.claimBy)
        }}<template v-if="rebate.expectedBy">, expected by {{ shortDate(rebate.expectedBy) }}</template
        ><template v-if="rebate.proof">; proof: {{ rebate.proof }}</template>
      </p>
      <p v-if="rebate.isBeyond" class="text-stop">Household limit reached: not counted.</p>
      <p v-if="rebate.tradeIn" class="text-soft" data-test="trade-in">
        <b class="figures text-ink">{{ amount(rebate.tradeIn.credit, currency) }}</b> now for the
        {{ rebate.tradeIn.name }}, or about
        <b class="figures text-ink">{{ amount(rebate.tradeIn.ownSale, currency) }}</b> after fees<template
          v-if="rebate.tradeIn.days !== null"
        >
          in {{ rebate.tradeIn.days }} days</template
        >: {{ rebate.tradeIn.better === 'trade-in' ? 'trade it in' : 'sell it yourself' }}.
      </p>
    </div>
    <p v-for="breach in lead.breaches" :key="breach" class="mt-2">
      <span class="tag tag-stop">rule</span> {{ breach }}
    </p>
    <div v-if="lead.substitutes.length > 0" class="mt-2 border-t border-line pt-2" data-test="substitutes">
      <p>It is gone. Replacements that fit as well:</p>
      <p v-for="each in lead.substitutes" :key="each.id">
        <button type="button" class="quiet-button text-left" @click="emit('open', each.id)">
          {{ each.title }}
        </button>
        <span class="figures">{{ signedAmount(each.more, currency) }}</span><template
          v-if="each.change !== null"
          >, {{ signedPercent(100 * each.change) }} value</template
        >
      </p>
    </div>
    <div class="mt-2 flex flex-wrap items-start gap-2">
      <figure v-for="photo in lead.photos" :key="photo.id" class="relative">
        <a :href="`/api/leads/photos/${photo.id}`" target="_blank"
          ><img
            :src="`/api/leads/photos/${photo.id}`"
            :alt="photo.arrival ? 'on arrival' : 'from the listing'"
            class="h-16 border border-line" /></a
        ><button
          type="button"
          class="absolute top-0 right-0 bg-sheet px-1 text-xs"
          aria-label="remove picture"
          @click="dropPhoto(photo.id)"
        >
          ×
        </button>
      </figure>
      <PhotoInput :lead-id="lead.id" />
    </div>
  </section>
</template>
