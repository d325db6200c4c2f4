<script setup lang="ts">
import type { Part } from '#core/parts/part'
import type { ItemView } from '#shared/ledger/views'
import { useLocalStorage } from '@vueuse/core'
import { useCall } from '~/data/useCall'
import type { SentBody } from '#shared/calls'
import type { itemSteps } from '#shared/ledger/schemas'

/** What may happen to one thing from where it is: it arrives, goes back, is moved, sold, written off. */
const { item, currency } = defineProps<{ item: ItemView; currency: string }>()
const emit = defineEmits<{ done: [] }>()
const build = useBuild()
const session = useSession()
const { step: take, busy } = useLedgerStep()
const day = ref(build.view!.today)
// what is due for a thing on its way back is what was agreed, else what it cost
const due = item.place === 'returning' ? item.expectedBack : item.remaining
const amount = ref(amountTyped(Math.max(0, due), currency))
/** What was to be fetched has been, as a rule. */
const tripDriven = ref(item.trip !== null)
const sale = ref({ price: '', fee: '0', postage: '0' })
/** What is ticked at the door outlives a reload. */
const blank = () => ({ note: '', returnBy: item.returnBy ?? '', foundPartId: '', checks: [] as string[] })
const seen = useLocalStorage(`tarvin-item-${item.id}`, blank())
const toBuild = ref('')
/** What it is being split into; null while it is not. */
const into = ref<Part[] | null>(null)
const { data: library } = useCall('GET /api/library')
const sameRole = computed(() => (library.value?.parts ?? []).filter((part) => part.role === item.role))
const otherBuilds = computed(() => (session.view?.builds ?? []).filter((each) => each.id !== build.view!.id))

type Step = keyof typeof itemSteps
async function step<const Name extends Step>(
  name: Name,
  body: Omit<SentBody<`POST /api/ledger/items/:id/${Name}`>, 'day'>,
  message: string,
) {
  const dated = { day: day.value, ...body } as never
  const told = `${item.name}: ${message}`
  if (!(await take(`POST /api/ledger/items/:id/${name}`, { id: item.id } as never, dated, told, item.name)))
    return
  seen.value = blank()
  emit('done')
}
const found = () => ({
  foundPartId: seen.value.foundPartId || null,
  note: seen.value.note,
})
const arrive = (state: 'works' | 'faulty' | 'dead') =>
  step(
    'arrive',
    {
      ...found(),
      state,
      checks: seen.value.checks,
      returnBy: seen.value.returnBy || null,
      tripDriven: tripDriven.value,
    },
    'arrived',
  )
</script>

<template>
  <div class="flex flex-col gap-2 border-l-4 border-info py-1 pl-3">
    <div class="flex flex-wrap items-center gap-2">
      <label>on <DateField v-model="day" label="date" /></label>
      <template v-if="item.place === 'ordered' || item.place === 'build' || item.place === 'shelf'">
        <select v-model="seen.foundPartId" class="field max-w-64" aria-label="found to be">
          <option value="">as listed</option>
          <option v-for="part in sameRole" :key="part.id" :value="part.id">
            it is actually {{ part.name }}
          </option>
        </select>
        <input
          v-model="seen.note"
          class="field min-w-40 flex-1"
          placeholder="what you found"
          aria-label="what you found"
        />
      </template>
    </div>
    <template v-if="item.place === 'ordered'">
      <div class="columns-2 gap-4">
        <label v-for="check in item.checklist" :key="check" class="flex gap-2 py-0.5"
          ><input v-model="seen.checks" type="checkbox" :value="check" />{{ check }}</label
        >
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <label>returnable until <DateField v-model="seen.returnBy" label="returnable until" /></label>
        <label v-if="item.trip" class="flex items-baseline gap-1.5"
          ><input v-model="tripDriven" type="checkbox" />{{ item.trip.name }}: driven</label
        >
        <button type="button" class="button button-main" :disabled="busy" @click="arrive('works')">
          Arrived and works</button
        ><button type="button" class="button" :disabled="busy" @click="arrive('faulty')">
          arrived with faults</button
        ><button type="button" class="button" :disabled="busy" @click="arrive('dead')">arrived dead</button>
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <label
          >refund
          <input v-model="amount" class="field figures w-24" inputmode="decimal" aria-label="refund" /></label
        ><button type="button" class="button" @click="step('cancel', { amount }, 'cancelled')">
          cancelled</button
        ><button type="button" class="button" @click="step('cancel', { amount, missing: true }, 'missing')">
          did not arrive
        </button>
      </div>
    </template>
    <template v-else-if="item.place === 'returning'">
      <div class="flex flex-wrap items-center gap-2">
        <label
          >refund
          <input
            v-model="amount"
            class="field figures w-24"
            inputmode="decimal"
            aria-label="refund amount" /></label
        ><button type="button" class="button button-main" @click="step('refund', { amount }, 'refunded')">
          Refunded</button
        ><button type="button" class="button" @click="step('come-back', {}, 'came back to me')">
          came back to me
        </button>
      </div>
    </template>
    <template v-else-if="item.place === 'gone'">
      <div class="flex flex-wrap items-center gap-2">
        <label
          >refunded to the buyer
          <input
            v-model="amount"
            class="field figures w-24"
            inputmode="decimal"
            aria-label="refunded" /></label
        ><button type="button" class="button" @click="step('take-back', { amount }, 'back from its buyer')">
          buyer returned it
        </button>
      </div>
    </template>
    <template v-else>
      <div class="flex flex-wrap items-center gap-2">
        <button
          v-for="state in (['works', 'faulty', 'dead'] as const).filter((each) => each !== item.state)"
          :key="state"
          type="button"
          class="button"
          @click="step('find', { ...found(), state, repaired: item.state === 'dead' }, `found ${state}`)"
        >
          {{
            {
              works: item.state === 'dead' ? 'repaired' : 'works',
              faulty: 'has faults',
              dead: 'dead',
            }[state]
          }}</button><button
          v-if="item.place === 'build'"
          type="button"
          class="button"
          @click="step('move', { buildId: null }, 'on the shelf')"
        >
          to the shelf</button
        ><button
          v-else
          type="button"
          class="button"
          @click="step('move', { buildId: build.view!.id }, 'in the build')"
        >
          use in this build</button
        ><template v-if="otherBuilds.length > 0"
          ><select v-model="toBuild" class="field" aria-label="other build">
            <option value="">use in another build</option>
            <option v-for="each in otherBuilds" :key="each.id" :value="each.id">
              {{ each.name }}
            </option></select
          ><button
            type="button"
            class="button"
            :disabled="toBuild === ''"
            @click="step('move', { buildId: toBuild }, 'handed over')"
          >
            hand over
          </button></template
        ><button type="button" class="button" @click="step('write-off', {}, 'written off')">write off</button
        ><button type="button" class="button" :aria-expanded="into !== null" @click="into = into ? null : []">
          split
        </button>
      </div>
      <div v-if="into" class="flex flex-wrap items-center gap-2">
        <span v-for="(part, index) in into" :key="index" class="tag"
          >{{ part.name }}
          <button type="button" :aria-label="`without ${part.name}`" @click="into.splice(index, 1)">
            ×
          </button></span
        ><PartPicker
          :parts="library?.parts ?? []"
          label="split into"
          placeholder="type the parts it splits into"
          class="min-w-56 flex-1"
          @pick="into.push($event)"
        /><button
          type="button"
          class="button"
          :disabled="busy || into.length < 2"
          @click="step('split', { parts: into.map((part) => part.id) }, 'split')"
        >
          split into {{ into.length }}
        </button>
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <SaleFields v-model="sale" what="thing" />
        <button
          type="button"
          class="button"
          :disabled="busy || sale.price === ''"
          @click="step('sell', sale, 'sold')"
        >
          sold
        </button>
      </div>
      <div v-if="item.paidOn" class="flex flex-wrap items-center gap-2">
        <label
          >refund
          <input v-model="amount" class="field figures w-24" inputmode="decimal" aria-label="refund" /></label
        ><button
          type="button"
          class="button"
          :disabled="busy"
          @click="step('send-back', { expected: amount }, 'sent back')"
        >
          send back</button
        ><button
          type="button"
          class="button"
          :disabled="busy"
          @click="step('refund', { amount, kept: true }, 'refunded, kept')"
        >
          partial refund, keep it
        </button>
      </div>
    </template>
  </div>
</template>
