import { querySchema } from '#shared/prices/schemas'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { PriceView } from '#shared/prices/views'
import { wordsOf } from '~/utils/wordsOf'

/** The lists of a query that are written as text, divided by commas. */
export interface QueryWords {
  must: string
  mustNot: string
  makes: string
  siblings: string
}

/** Two queries that say the same are equal, whatever the order of their fields and however an empty list is left out. */
export function isSameQuery(a: PartQuery, b: PartQuery): boolean {
  return JSON.stringify(inOrder(a)) === JSON.stringify(inOrder(b))
}

function inOrder(query: PartQuery) {
  const facts = Object.entries(query.variant ?? {})
    .filter(([, value]) => value !== undefined && !(Array.isArray(value) && value.length === 0))
    .sort()
  return Object.entries({ ...query, makes: query.makes ?? [], variant: facts }).sort()
}

/** A query with its lists taken from what is written. */
export function withWords(query: PartQuery, written: QueryWords): PartQuery {
  const siblings = wordsOf(written.siblings)
  const makes = wordsOf(written.makes)
  const { makes: _makes, variant, ...rest } = query
  const { siblings: _siblings, ...facts } = variant ?? {}
  return {
    ...rest,
    must: wordsOf(written.must),
    mustNot: wordsOf(written.mustNot),
    ...(makes.length > 0 ? { makes } : {}),
    variant: { ...facts, ...(siblings.length > 0 ? { siblings } : {}) },
  }
}

/** The lists of a query as they are written. */
export function wordsFrom(query: PartQuery): QueryWords {
  return {
    must: query.must.join(', '),
    mustNot: query.mustNot.join(', '),
    makes: (query.makes ?? []).join(', '),
    siblings: (query.variant?.siblings ?? []).join(', '),
  }
}

/** The facts a query asks for, in a line. */
export function variantLine({ variant = {} }: PartQuery): string {
  const { capacityGb, kitCount, memoryGeneration, module, formFactor, speedMts, cores, socket } = variant
  const { siblings = [] } = variant
  const sisters =
    siblings.length > 3
      ? `not ${siblings.slice(0, 2).join(', not ')} and ${siblings.length - 2} other models`
      : siblings.map((each) => `not ${each}`).join(', ')
  return [
    capacityGb ? `${capacityGb} GB` : '',
    kitCount ? `kit of ${kitCount}` : '',
    memoryGeneration ?? '',
    module ?? '',
    variant.interface ?? '',
    formFactor ?? '',
    speedMts ? `${speedMts} MT/s` : '',
    cores ? `${cores} cores` : '',
    socket ? `socket ${socket}` : '',
    sisters,
  ]
    .filter((part) => part !== '')
    .join(' · ')
}

/**
 * The query of a part while it is written: kept in the browser until it is used or given up, tried out at once in a
 * worker where it differs from the one in force and holds.
 */
export function useQueryDraft(view: () => PriceView) {
  const draft = ref<PartQuery>(view().query)
  const written = reactive<QueryWords>(wordsFrom(view().query))
  const trying = useTriedQuery(view)
  const wasKept = ref(false)
  const key = () => `tarvin-query-${view().partId}`
  const edited = computed(() => withWords(draft.value, written))
  const isChanged = computed(() => !isSameQuery(edited.value, view().query))
  const problem = computed(() => {
    try {
      querySchema.validateSync(edited.value)
      return ''
    } catch (error) {
      return (error as Error).message
    }
  })

  function takeOver() {
    draft.value = view().query
    Object.assign(written, wordsFrom(view().query))
    trying.clear()
    const stored = localStorage.getItem(key())
    wasKept.value = stored !== null
    if (stored === null) return
    const kept = JSON.parse(stored) as { draft: PartQuery; text: QueryWords }
    draft.value = kept.draft
    Object.assign(written, kept.text)
    void nextTick(() => trying.ask(edited.value))
  }
  watch(view, takeOver, { immediate: true })
  watch(
    edited,
    (query) => {
      if (isChanged.value) localStorage.setItem(key(), JSON.stringify({ draft: draft.value, text: written }))
      else localStorage.removeItem(key())
      if (isChanged.value && problem.value === '') void trying.ask(query)
      else trying.clear()
    },
    { deep: true },
  )
  const forget = () => localStorage.removeItem(key())

  return {
    draft: readonly(draft),
    written,
    edited,
    isChanged,
    problem,
    wasKept: readonly(wasKept),
    trying,
    forget,
    set: (change: Partial<PartQuery>) => (draft.value = { ...draft.value, ...change }),
    setFact: (change: Partial<NonNullable<PartQuery['variant']>>) =>
      (draft.value = { ...draft.value, variant: { ...draft.value.variant, ...change } }),
    giveUp() {
      forget()
      takeOver()
    },
  }
}
