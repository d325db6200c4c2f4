<script setup lang="ts">
import { questionsOf, readFacts } from '#core/reading/listings/completeness'
import type { OfferRead } from '#core/reading/listings/offer'
import { offerSpans, type OfferSpan } from '#core/reading/listings/offerSpans'
import { readOffer } from '#core/reading/listings/readOffer'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import { partLabel, type Part } from '#core/parts/part'

/** The text of a listing with the places that say something marked, what was read from them, and what is left to ask. */
const { text, parts, today, currency } = defineProps<{
  text: string
  parts: readonly Part[]
  today: string
  currency: string
}>()
const emit = defineEmits<{ read: [listing: OfferRead] }>()
const context = computed(() => ({
  today,
  currency,
  library: parts,
  reader: new TitleReader(new Map(parts.map((part) => [part.id, queryForPart(part, parts)])), today),
}))
const partOf = (id: string) => parts.find((part) => part.id === id)!
const listing = computed(() => readOffer(text, context.value))
const spans = computed(() => offerSpans(text, listing.value, context.value))
watch(listing, (read) => emit('read', read), { immediate: true })

interface Fact {
  readonly name: OfferSpan['what']
  readonly said: string | null
  readonly isStated: boolean
}
const named = computed(() => listing.value.things.flatMap(({ partId }) => partId ?? []))
const facts = computed<Fact[]>(() => {
  const { price, condition, shipping } = listing.value
  const isStated = (what: OfferSpan['what']) => spans.value.some((span) => span.what === what)
  return [
    { name: 'ask', said: price, isStated: isStated('ask') },
    { name: 'condition', said: condition, isStated: isStated('condition') },
    { name: 'shipping', said: shipping, isStated: isStated('shipping') },
    ...named.value.map((id) => ({
      name: 'part' as const,
      said: partLabel(partOf(id)),
      isStated: spans.value.some(({ partId }) => partId === id),
    })),
  ]
})
const state = (fact: Fact) => (fact.said === null ? 'missing' : fact.isStated ? 'stated' : 'deduced')
const tone = { missing: 'tag-waiting', stated: 'tag-settled', deduced: 'tag-info' } as const
/** The text in pieces, those that say something by name. */
const pieces = computed(() => {
  const out: { text: string; name: string | null }[] = []
  let at = 0
  for (const span of spans.value) {
    if (span.start < at) continue
    out.push(
      { text: text.slice(at, span.start), name: null },
      { text: text.slice(span.start, span.end), name: span.what },
    )
    at = span.end
  }
  return [...out, { text: text.slice(at), name: null }]
})
const questions = computed(() =>
  questionsOf(
    readFacts(
      [...new Set(named.value.map((id) => partOf(id).role))],
      text,
      {},
      listing.value.condition === 'new',
    ),
  ),
)
const { run } = useAction()
const copy = () => run(() => navigator.clipboard.writeText(questions.value.join('\n')), { message: 'copied' })
</script>

<template>
  <div class="border-l-4 border-info pl-3 text-[13px]" data-test="listing">
    <p class="max-h-28 overflow-y-auto whitespace-pre-line">
      <template v-for="(piece, index) in pieces" :key="index"
        ><mark v-if="piece.name" class="rounded bg-info-ground px-0.5 text-info" :title="piece.name">{{
          piece.text
        }}</mark
        ><template v-else>{{ piece.text }}</template></template
      >
    </p>
    <p class="mt-1">
      <span v-for="(fact, index) in facts" :key="index" class="mr-3 inline-block"
        ><span class="text-soft">{{ fact.name }}</span> {{ fact.said ?? 'not stated' }}
        <span class="tag" :class="tone[state(fact)]">{{ state(fact) }}</span></span
      >
    </p>
    <p v-if="named.length === 0" class="mt-1 text-waiting">
      No library part matches for certain: choose one below.
    </p>
    <p v-if="questions.length > 0" class="mt-1">
      <span class="text-soft">Ask the seller:</span> {{ questions.join(' ') }}
      <button type="button" class="quiet-button" @click="copy">copy</button>
    </p>
  </div>
</template>
