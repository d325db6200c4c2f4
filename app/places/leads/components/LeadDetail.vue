<script setup lang="ts">
import { countsAgainst } from '#core/reading/listings/completeness'
import { roleNames, type Role } from '#core/parts/part'
import type { LeadView } from '#shared/leads/views'
import type { TripView } from '#shared/ledger/views'
import {
  expectedWorking,
  faultWorking,
  landedWorking,
  savingWorking,
  splitWorking,
  thingStreetWorking,
} from '~/workings/leadWorkings'
import { amount, signedAmount } from '~/utils/show'

/** One lead: what is in it, what it costs landed, its risk, and how it stands against the street. */
const { lead, currency, trips } = defineProps<{
  lead: LeadView
  currency: string
  trips: readonly TripView[]
}>()
const emit = defineEmits<{ open: [id: string] }>()
const build = useBuild()
const isPaid = computed(() => lead.state === 'bought')
const rest = computed(() => lead.value.landed.lines.filter((line) => line.kind !== 'item'))
const shipped = computed(() =>
  lead.manner === 'local' ? 'local pickup' : lead.manner === 'auction' ? 'auction' : 'fixed price',
)
/** What of a thing is missing, denied or not stated. */
const lacksWords = (role: Role) =>
  `not confirmed: ${lead.facts
    .filter((fact) => fact.role === role && countsAgainst(fact) && fact.lost > 0)
    .map(({ name }) => name)
    .join(', ')}`
const hasRebate = computed(() => lead.value.landed.afterRebates.amount !== lead.value.landed.payNow.amount)
const isForeign = computed(() => lead.currency !== currency)
</script>

<template>
  <div class="columns-2 gap-3 @max-2xl/lead:columns-1 [&>section]:mb-3 [&>section]:break-inside-avoid">
    <section v-if="lead.state === 'bought'" class="sheet border-l-4 border-settled p-3" aria-label="bought">
      Bought. Follow it in the
      <NuxtLink :to="`/b/${build.view!.id}/ledger`" class="underline decoration-dotted">Ledger</NuxtLink>.
    </section>
    <LeadPurchase v-else-if="lead.state === 'open'" :key="lead.id" :lead="lead" />
    <section class="sheet p-3">
      <h2>Parts</h2>
      <table class="ledger mt-1">
        <thead>
          <tr>
            <th>part</th>
            <th>plan</th>
            <th class="!text-right">street</th>
            <th class="!text-right">my cost</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="(thing, index) in lead.things" :key="index">
            <tr>
              <td>
                {{ thing.quantity > 1 ? `${thing.quantity} × ` : '' }}{{ thing.name
                }}<span class="block text-xs text-soft">{{ roleNames[thing.role] }}</span>
              </td>
              <td>
                <span class="tag" :class="thing.plan === 'keep' ? 'tag-settled' : 'tag-waiting'">{{
                  thing.plan
                }}</span>
              </td>
              <td class="amount">
                <TheFigure
                  :text="amount(thing.street, currency)"
                  :working="() => thingStreetWorking(thing, currency)"
                />
              </td>
              <td class="amount">
                <TheFigure
                  :text="
                    thing.plan === 'keep'
                      ? amount(thing.effectiveCost, currency)
                      : thing.plan === 'resell'
                        ? `−${amount(thing.netResale, currency)}`
                        : '—'
                  "
                  :working="() => splitWorking(lead, build.view!)"
                />
              </td>
            </tr>
            <tr v-if="lead.value.lost[index]" class="text-soft" data-test="lost">
              <td colspan="2" class="text-xs">{{ lacksWords(thing.role) }}</td>
              <td class="amount">{{ signedAmount(-lead.value.lost[index]!, currency) }}</td>
              <td />
            </tr>
          </template>
        </tbody>
      </table>
      <p v-if="lead.value.street !== null" class="mt-2">
        Cost of the kept parts
        <TheFigure
          strong
          :text="amount(lead.value.split.effectiveTotal.amount, currency)"
          :working="() => splitWorking(lead, build.view!)"
        />; bought separately
        <TheFigure
          strong
          :text="amount(lead.value.street, currency)"
          :working="() => savingWorking(lead, build.view!)"
        /><template v-if="lead.value.split.saving.percent !== null"
          >:
          <b :class="lead.value.split.saving.percent >= 0 ? 'text-settled' : 'text-stop'"
            >{{ Math.abs(lead.value.split.saving.percent).toFixed(0) }} %
            {{ lead.value.split.saving.percent >= 0 ? 'less' : 'more' }}</b
          ></template
        >.
      </p>
      <p v-else class="mt-2 text-waiting">
        One of its parts has no street price, so the saving cannot be calculated.
      </p>
      <p v-if="lead.lacks === null" class="mt-2 border-t border-line pt-2 text-soft" data-test="lacks">
        What is in it is not known. List its parts in the library to see what it still needs.
      </p>
      <div v-else-if="lead.lacks.length > 0" class="mt-2 border-t border-line pt-2" data-test="lacks">
        <p class="text-soft">This brief still needs:</p>
        <p v-for="each in lead.lacks" :key="each.what" class="flex gap-2">
          <span class="min-w-0 flex-1">{{ each.what }}</span><span class="figures shrink-0">{{
            each.cost === null
              ? 'no price'
              : each.cost === 0
                ? 'manual work'
                : `from ${amount(each.cost, currency)}`
          }}</span>
        </p>
      </div>
      <p v-if="lead.note" class="mt-2 text-soft">{{ lead.note }}</p>
    </section>
    <section class="sheet p-3">
      <h2>
        Landed cost <span class="font-normal text-soft">{{ lead.currency }}</span>
      </h2>
      <table class="ledger mt-1">
        <tbody>
          <tr>
            <td>asking price</td>
            <td class="amount">{{ amount(lead.value.landed.lines[0]?.amount.amount, lead.currency) }}</td>
          </tr>
          <tr v-for="line in rest" :key="line.label">
            <td>{{ line.label }}</td>
            <td class="amount">{{ amount(line.amount.amount, lead.currency) }}</td>
          </tr>
          <tr class="font-semibold">
            <td>total</td>
            <td class="amount">
              <TheFigure
                :text="amount(lead.value.landed.payNow.amount, lead.currency)"
                :working="() => landedWorking(lead)"
                data-figure="lead-pay-now"
              />
            </td>
          </tr>
          <tr v-if="hasRebate">
            <td>after rebates</td>
            <td class="amount" data-figure="lead-after-rebates">
              <TheFigure
                :text="amount(lead.value.landed.afterRebates.amount, lead.currency)"
                :working="() => expectedWorking(lead)"
              />
            </td>
          </tr>
          <tr>
            <td>expected fault loss</td>
            <td class="amount">
              <TheFigure
                :text="`+${amount(lead.value.landed.faultLoss.amount, lead.currency)}`"
                :working="() => faultWorking(lead, build.view!.faults)"
              />
            </td>
          </tr>
          <tr class="font-semibold">
            <td>expected total</td>
            <td class="amount" data-figure="lead-expected">
              <TheFigure
                :text="amount(lead.value.landed.expected.amount, lead.currency)"
                :working="() => expectedWorking(lead)"
              />
            </td>
          </tr>
          <tr v-if="isForeign">
            <td>expected total in {{ currency }} at today’s rate</td>
            <td class="amount">
              <TheFigure
                :text="`${amount(lead.value.expected, currency)} ${currency}`"
                :working="() => savingWorking(lead, build.view!)"
              />
            </td>
          </tr>
          <template v-if="lead.value.resale > 0">
            <tr>
              <td>resale of spare parts, at {{ build.view!.assumptions.resale.sells }} chance to sell</td>
              <td class="amount">
                <TheFigure
                  :text="`−${amount(lead.value.resale, currency)}${isForeign ? ` ${currency}` : ''}`"
                  :working="() => splitWorking(lead, build.view!)"
                />
              </td>
            </tr>
            <tr>
              <td>expected total after resale</td>
              <td class="amount">
                <TheFigure
                  :text="`${amount(lead.value.expectedAfterResale, currency)}${isForeign ? ` ${currency}` : ''}`"
                  :working="() => savingWorking(lead, build.view!)"
                />
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </section>
    <LeadBids
      v-if="lead.manner === 'auction' && lead.state === 'open'"
      :key="`bids ${lead.id}`"
      :lead="lead"
      @open="emit('open', $event)"
    />
    <HaggleSheet
      v-else-if="lead.things.length > 0 && lead.condition !== 'new' && !isPaid"
      :key="lead.id"
      :lead="lead"
    />
    <section class="sheet p-3">
      <h2>Compared with street price</h2>
      <PriceRule
        :points="{ marks: lead.marks, ask: lead.value.ask, landed: lead.value.payNow }"
        :currency="currency"
        size="large"
        :room="390"
        class="mt-1"
      />
      <p class="mt-1">
        Saving, fault risk included:
        <TheFigure
          :text="amount(lead.value.saving, currency)"
          :working="() => savingWorking(lead, build.view!)"
          strong
        />
      </p>
      <p class="text-soft">{{ lead.condition }} · {{ shipped }}</p>
    </section>
    <LeadFacts :lead="lead" :today="build.view!.today" />
    <LeadDoor v-if="lead.state === 'open'" :key="`door ${lead.id}`" :lead="lead" />
    <LeadRisk :lead="lead" :currency="currency" />
    <LeadStanding :lead="lead" :currency="currency" :trips="trips" @open="emit('open', $event)" />
  </div>
</template>
