<script setup lang="ts">
import { questionsOf, readFacts } from '#core/reading/listings/completeness'
import { readListing, type ReadListing, type Span } from '#core/reading/listings/readListing'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import { partLabel, type Part } from '#core/parts/part'

/** The text of a listing with the places that say something marked, what was read from them, and what is left to ask. */
const { text, parts, today } = defineProps<{ text: string; parts: readonly Part[]; today: string }>()
const emit = defineEmits<{ read: [listing: ReadListing] }>()
const reader = computed(
  () => new TitleReader(new Map(parts.map((part) => [part.id, queryForPart(part, parts)])), today),
)
const partOf = (id: string) => parts.find((part) => part.id === id)!
const listing = computed(() => readListing(text, reader.value, (id) => partOf(id).role === 'extra'))
watch(listing, (read) => emit('read', read), { immediate: true })

interface Fact {
  readonly name: string
  readonly said: string | null
  readonly span: Span | null
}
const facts = computed<Fact[]>(() => {
  const { price, condition, shipping, parts: named } = listing.value
  return [
    { name: 'ask', said: price?.value ?? null, span: price?.span ?? null },
    { name: 'condition', said: condition.value, span: condition.span },
    { name: 'shipping', said: shipping?.value ?? null, span: shipping?.span ?? null },
    ...named.map((part) => ({ name: 'part', said: partLabel(partOf(part.value)), span: part.span })),
  ]
})
const state = (fact: Fact) => (fact.said === null ? 'missing' : fact.span ? 'stated' : 'deduced')
const tone = { missing: 'tag-waiting', stated: 'tag-settled', deduced: 'tag-info' } as const
/** The text in pieces, those that say something by name. */
const pieces = computed(() => {
  const spans = facts.value
    .flatMap((fact) => (fact.span ? [{ ...fact.span, name: fact.name }] : []))
    .sort((a, b) => a.start - b.start || b.end - a.end)
  const out: { text: string; name: string | null }[] = []
  let at = 0
  for (const span of spans) {
    if (span.start < at) continue
    out.push(
      { text: text.slice(at, span.start), name: null },
      { text: text.slice(span.start, span.end), name: span.name },
    )
    at = span.end
  }
  return [...out, { text: text.slice(at), name: null }]
})
const questions = computed(() =>
  questionsOf(
    readFacts(
      [...new Set(listing.value.parts.map(({ value }) => partOf(value).role))],
      text,
      {},
      listing.value.condition.value === 'new',
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
        ><span class="text-soft">{{ fact.name }}</span> {{ fact.said ?? 'not said' }}
        <span class="tag" :class="tone[state(fact)]">{{ state(fact) }}</span></span
      >
    </p>
    <p v-if="listing.kind === 'unclear' || listing.kind === 'unknown'" class="mt-1 text-waiting">
      {{ listing.kind === 'unclear' ? 'It could be several parts' : 'No part of the library is named' }}: say
      which one below.
    </p>
    <p v-if="questions.length > 0" class="mt-1">
      <span class="text-soft">To ask:</span> {{ questions.join(' ') }}
      <button type="button" class="quiet-button" @click="copy">copy</button>
    </p>
  </div>
</template>
