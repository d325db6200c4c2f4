<script setup lang="ts">
import { countsAgainst, questionsOf, type Answer, type LeadFact } from '#core/reading/listings/completeness'
import type { LeadView } from '#shared/leads/views'
import { call } from '~/data/call'
import { percent } from '~/utils/show'
import type { SentBody } from '#shared/calls'

/**
 * What is known of a lead: said, deduced, not said, said both ways. Each fact is answered by a key; what is open
 * becomes questions to the seller.
 */
const { lead, today } = defineProps<{ lead: LeadView; today: string }>()
const { run } = useAction()
/** What is said or counts stands open; what is merely not said is folded away. */
const rows = computed(() => [...lead.facts].sort((a, b) => rank(a) - rank(b)))
const rank = (fact: LeadFact) =>
  fact.state === 'contradictory' ? 0 : countsAgainst(fact) ? 1 : fact.by !== 'silence' ? 2 : 3
const folded = computed(() => rows.value.filter((fact) => rank(fact) === 3))
const unfolded = ref(false)
const shown = computed(() => (unfolded.value ? rows.value : rows.value.filter((fact) => rank(fact) < 3)))
const questions = computed(() => questionsOf(lead.facts))
const tone = {
  stated: 'tag-settled',
  deduced: 'tag-info',
  missing: 'tag-waiting',
  contradictory: 'tag-stop',
} as const
type Change = SentBody<'PATCH /api/leads/:id'>
async function patch(body: Change, message: string, undo?: Change) {
  const send = (change: Change) => call('PATCH /api/leads/:id', { id: lead.id }, change)
  await run(() => send(body), { message, ...(undo ? { undo: () => send(undo) } : {}) })
}
const answer = (key: string, value: Answer | null) => {
  const before = lead.facts.find((fact) => fact.key === key)
  return patch({ answers: { [key]: value } }, value === null ? 'reset to the listing' : `noted: ${value}`, {
    answers: { [key]: before?.by === 'builder' ? before.answer : null },
  })
}
function byKey(event: KeyboardEvent, key: string) {
  const value = { y: 'yes', n: 'no', u: null }[event.key.toLowerCase()] as Answer | null | undefined
  if (value === undefined || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  void answer(key, value)
}
const copy = () =>
  run(
    async () => {
      await navigator.clipboard.writeText(questions.value.join('\n'))
      await call('PATCH /api/leads/:id', { id: lead.id }, { askedOn: today })
    },
    { message: 'copied; marked as asked today' },
  )
const noteAsked = (day: string | null) =>
  patch({ askedOn: day }, day === null ? 'marked as not asked' : 'marked as asked today', {
    askedOn: lead.askedOn,
  })
defineExpose({ copy })
</script>

<template>
  <section class="sheet p-3" aria-label="what is known">
    <h2>Known and unknown facts</h2>
    <table class="ledger mt-1">
      <tbody>
        <tr
          v-for="fact in shown"
          :key="fact.key"
          tabindex="0"
          class="focus-visible:bg-paper"
          :data-fact="fact.key"
          :aria-label="`${fact.name}: ${fact.state}${fact.answer ? `, ${fact.answer}` : ''}; Y yes, N no, U unknown`"
          @keydown="byKey($event, fact.key)"
        >
          <td>
            {{ fact.name }}<span v-if="fact.quote" class="block text-xs text-soft">“{{ fact.quote }}”</span>
          </td>
          <td class="whitespace-nowrap">
            <span class="tag" :class="tone[fact.state]">{{
              fact.by === 'builder' ? 'you' : fact.state
            }}</span>
            {{ fact.answer ?? '' }}
          </td>
          <td class="amount text-xs">
            {{ countsAgainst(fact) && fact.lost > 0 ? `−${percent(fact.lost)}` : ''
            }}{{ countsAgainst(fact) && fact.faultFactor !== 1 ? ` risk ×${fact.faultFactor}` : '' }}
          </td>
          <td class="text-right whitespace-nowrap">
            <button
              type="button"
              class="quiet-button px-1"
              :aria-label="`${fact.name}: yes`"
              @click="answer(fact.key, 'yes')"
            >
              yes</button
            ><button
              type="button"
              class="quiet-button px-1"
              :aria-label="`${fact.name}: no`"
              @click="answer(fact.key, 'no')"
            >
              no</button
            ><button
              v-if="fact.by === 'builder'"
              type="button"
              class="quiet-button px-1"
              :aria-label="`${fact.name}: unknown`"
              @click="answer(fact.key, null)"
            >
              ?
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <button
      v-if="folded.length > 0"
      type="button"
      class="quiet-button mt-1"
      :aria-expanded="unfolded"
      @click="unfolded = !unfolded"
    >
      {{ unfolded ? 'hide unstated facts' : `${folded.length} more not stated` }}
    </button>
    <template v-if="questions.length > 0">
      <p class="mt-2"><span class="text-soft">Ask the seller:</span> {{ questions.join(' ') }}</p>
      <p class="mt-1 flex flex-wrap items-center gap-2">
        <button type="button" class="button" data-test="ask" @click="copy">Copy the questions</button
        ><template v-if="lead.askedOn === null"
          ><button type="button" class="quiet-button" @click="noteAsked(today)">
            mark as asked
          </button></template
        ><template v-else
          ><span class="tag" :class="lead.isSilent ? 'tag-stop' : 'tag-waiting'">{{
            lead.waiting === null
              ? 'answered'
              : lead.waiting === 0
                ? 'asked today'
                : `no reply for ${lead.waiting} d`
          }}</span
          ><button type="button" class="quiet-button" @click="noteAsked(null)">not asked</button></template
        >
      </p>
    </template>
    <p class="mt-2 text-xs text-soft">
      <span class="key">Y</span> yes <span class="key">N</span> no <span class="key">U</span> resets the row
      to the listing. Unstated facts lower the value until answered.
    </p>
  </section>
</template>
