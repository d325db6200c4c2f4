<script setup lang="ts">
import { haggleWords } from '#core/supply/haggle/haggleWords'
import type { LeadView } from '#shared/leads/views'
import { aimWorking, openingWorking, walkAwayWorking } from '~/workings/haggleWorkings'
import { call } from '~/data/call'
import { amount, shortDate } from '~/utils/show'

/** The haggle sheet: opening, aim and walk-away on one rule, and the log of what was said. */
const { lead } = defineProps<{ lead: LeadView }>()
const build = useBuild()
const { run } = useAction()
const { data: sheet } = useHaggle(() => lead)
const by = ref<'me' | 'seller'>('me')
const figure = ref('')
const note = ref('')
/** The fields are free for the next offer at once: what is typed while this one is on its way is not cleared by it. */
async function add() {
  const typed = { figure: figure.value, note: note.value }
  const offer = {
    by: by.value,
    amount: typed.figure.trim() === '' ? null : typed.figure.trim(),
    day: build.view!.today,
    note: typed.note,
  }
  figure.value = note.value = ''
  const isAdded = await run(() => call('POST /api/leads/:id/offers', { id: lead.id }, offer))
  if (isAdded || figure.value !== '' || note.value !== '') return
  figure.value = typed.figure
  note.value = typed.note
}
const drop = (id: string) =>
  run(() => call('DELETE /api/leads/offers/:id', { id }), {
    message: 'removed from the log',
    undo: () => call('POST /api/leads/offers/:id/restore', { id }),
  })
const money = (value: number | null) => amount(value, sheet.value!.currency)
const words = computed(() => {
  const view = sheet.value
  if (!view) return ''
  const asked = view.askedBy === 'listing' ? 'The asking price' : 'The latest counter-offer'
  if (lead.manner === 'auction' && view.walkAway !== null && view.walkAway > 0)
    return `An auction: bid at most ${money(view.walkAway)}.`
  return haggleWords(view.advice, asked)
})
const tone = {
  take: 'tag-settled',
  haggle: 'tag-info',
  'far-apart': 'tag-waiting',
  pass: 'tag-stop',
  'not-known': 'tag-waiting',
} as const
const name = {
  take: 'take it',
  haggle: 'haggle',
  'far-apart': 'far apart',
  pass: 'pass',
  'not-known': 'not known',
} as const
</script>

<template>
  <section class="sheet p-3" aria-label="haggle sheet">
    <h2>
      Haggle <span v-if="sheet" class="tag ml-1" :class="tone[sheet.advice]">{{ name[sheet.advice] }}</span>
    </h2>
    <template v-if="sheet">
      <p class="mt-1">{{ words }}</p>
      <dl v-if="sheet.walkAway !== null" class="mt-2 grid grid-cols-4 gap-2 text-center">
        <div>
          <dt class="text-xs text-soft">first offer</dt>
          <dd>
            <TheFigure
              strong
              data-figure="opening"
              :text="money(sheet.opening)"
              :working="() => openingWorking(lead, sheet!)"
            />
          </dd>
        </div>
        <div>
          <dt class="text-xs text-soft">fair offer</dt>
          <dd>
            <TheFigure
              strong
              data-figure="aim"
              :text="money(sheet.aim)"
              :working="() => aimWorking(lead, sheet!)"
            />
          </dd>
        </div>
        <div>
          <dt class="text-xs text-soft">most to pay</dt>
          <dd>
            <TheFigure
              strong
              data-figure="walk-away"
              :text="money(sheet.walkAway)"
              :working="() => walkAwayWorking(lead, sheet!)"
            />
          </dd>
        </div>
        <div>
          <dt class="text-xs text-soft">
            {{ sheet.askedBy === 'listing' ? 'asking price' : 'counter-offer' }}
          </dt>
          <dd class="figures font-semibold text-waiting">{{ money(sheet.ask) }}</dd>
        </div>
      </dl>
      <p v-if="sheet.asks.length > 1" class="mt-1 text-soft">
        earlier asking prices:
        <span class="figures">{{
          sheet.asks.map((each) => `${money(each.ask)} on ${shortDate(each.day)}`).join(', ')
        }}</span>
      </p>
      <ol v-if="sheet.log.length > 0" class="mt-2 border-t border-line pt-1">
        <li v-for="each in sheet.log" :key="each.id" class="flex items-baseline gap-2">
          <span class="w-12 text-xs text-soft">{{ shortDate(each.day) }}</span><span
            class="w-12"
            :class="each.by === 'me' ? 'text-info' : 'text-waiting'"
            >{{ each.by }}</span
          ><span class="figures">{{ each.amount === null ? '' : money(each.amount) }}</span
          ><span class="min-w-0 flex-1 truncate text-soft">{{ each.note }}</span
          ><button
            type="button"
            class="quiet-button text-xs"
            aria-label="remove from the log"
            @click="drop(each.id)"
          >
            ×
          </button>
        </li>
      </ol>
      <form class="mt-2 flex flex-wrap gap-2" @submit.prevent="add">
        <select v-model="by" class="field" aria-label="who made the offer">
          <option value="me">I offer</option>
          <option value="seller">seller asks</option>
        </select>
        <input
          v-model="figure"
          class="field figures w-24"
          inputmode="decimal"
          placeholder="0.00"
          aria-label="amount offered"
        /><input
          v-model="note"
          class="field min-w-0 flex-1"
          placeholder="note"
          aria-label="note on the offer"
        /><button type="submit" class="button">Add</button>
      </form>
      <div v-if="sheet.combinations.length > 0" class="mt-2 border-t border-line pt-1">
        <h3 class="text-xs text-soft">all open offers together fit what is left</h3>
        <p v-for="each in sheet.combinations" :key="each.titles.join()" class="flex justify-between gap-2">
          <span class="truncate">{{ each.titles.join(' + ') }}</span><span class="figures shrink-0"
            >{{ amount(each.cost, sheet.buildCurrency) }},
            {{ amount(each.left, sheet.buildCurrency) }} left</span
          >
        </p>
      </div>
    </template>
  </section>
</template>
