import type { DropReason } from '#core/reading/titles/dropReasons'
import { normaliseTitle } from '#core/reading/titles/normaliseTitle'
import type { RecordView } from '#shared/prices/views'
import { isBrushed, type Brush } from './brush'

/** Words for the reasons a record is left out. */
export const reasonNames: Readonly<Record<NonNullable<RecordView['reason']>, string>> = {
  'outside-window': 'outside the window',
  condition: 'condition',
  manner: 'sale type',
  'missing-word': 'required word missing',
  'unwanted-word': 'excluded word',
  'wrong-variant': 'other variant',
  lot: 'lot',
  accessory: 'accessory only',
  quantity: 'quantity unclear',
  make: 'unknown brand',
  duplicate: 'double',
  price: 'no price',
  outlier: 'outlier',
  builder: 'dropped by you',
}

/** All, those that count, those left out (for any reason in the window, or for one), those the builder decided. */
export type TriageFilter = 'all' | 'kept' | 'left-out' | 'yours' | DropReason

/** The records a triage list shows, by filter, by a word in the title, and by a region of the picture. */
export function filterRecords(
  records: readonly RecordView[],
  filter: TriageFilter,
  word: string,
  brush: Brush | null = null,
): RecordView[] {
  const needle = word.trim().toLowerCase()
  return records.filter((record) => {
    if (brush && !isBrushed(record, brush)) return false
    if (filter === 'kept' && record.reason !== null) return false
    if (filter === 'left-out' && (record.reason === null || record.reason === 'outside-window')) return false
    if (filter === 'yours' && record.decision === null) return false
    if (filter in reasonNames && record.reason !== filter) return false
    return needle === '' || record.title.toLowerCase().includes(needle)
  })
}

/** How many were left out for each reason, most first. */
export function reasonCounts(
  records: readonly RecordView[],
): { reason: NonNullable<RecordView['reason']>; count: number }[] {
  const counts = new Map<NonNullable<RecordView['reason']>, number>()
  for (const { reason } of records) if (reason) counts.set(reason, (counts.get(reason) ?? 0) + 1)
  return [...counts].map(([reason, count]) => ({ reason, count })).sort((a, b) => b.count - a.count)
}

/** What a key does to the builder's word on a record: pressing the same again takes it back. */
export function nextDecision(record: RecordView, key: 'keep' | 'drop'): RecordView['decision'] {
  return record.decision === key ? null : key
}

/** Words of a title by which others like it can be gathered: no figures, none the query asks for, each once. */
export function wordsToGatherBy(title: string, wanted: readonly string[]): string[] {
  const own = new Set(wanted.flatMap(normaliseTitle))
  return [
    ...new Set(normaliseTitle(title).filter((word) => /^\p{L}{3,}$/u.test(word) && !own.has(word))),
  ].slice(0, 8)
}

/** Decisions grouped, so that taking back many at once is one action for each kind. */
export function groupDecisions(
  records: readonly number[],
  decisions: readonly RecordView['decision'][],
): { decision: RecordView['decision']; records: number[] }[] {
  const groups = new Map<RecordView['decision'], number[]>()
  records.forEach((record, index) => {
    const decision = decisions[index] ?? null
    groups.set(decision, [...(groups.get(decision) ?? []), record])
  })
  return [...groups].map(([decision, own]) => ({ decision, records: own }))
}
