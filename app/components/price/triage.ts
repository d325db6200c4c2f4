import type { RecordView } from '#shared/views'

/** Words for the reasons a record is left out. */
export const reasonNames: Readonly<Record<NonNullable<RecordView['reason']>, string>> = {
  'outside-window': 'outside the window', condition: 'condition', manner: 'manner of sale', 'missing-word': 'word missing', 'unwanted-word': 'unwanted word', 'wrong-variant': 'other variant', lot: 'lot',
  accessory: 'accessory only', quantity: 'quantity unclear', make: 'make not known', duplicate: 'double', price: 'no price', outlier: 'far from the rest', builder: 'dropped by you',
}

export type TriageFilter = 'all' | 'kept' | 'left-out' | 'yours'

/** The records a triage list shows, by filter and by a word in the title. */
export function filterRecords(records: readonly RecordView[], filter: TriageFilter, word: string): RecordView[] {
  const needle = word.trim().toLowerCase()
  return records.filter((record) => {
    if (filter === 'kept' && record.reason !== null) return false
    if (filter === 'left-out' && (record.reason === null || record.reason === 'outside-window')) return false
    if (filter === 'yours' && record.decision === null) return false
    return needle === '' || record.title.toLowerCase().includes(needle)
  })
}

/** How many were left out for each reason, most first. */
export function reasonCounts(records: readonly RecordView[]): { reason: NonNullable<RecordView['reason']>; count: number }[] {
  const counts = new Map<NonNullable<RecordView['reason']>, number>()
  for (const { reason } of records) if (reason) counts.set(reason, (counts.get(reason) ?? 0) + 1)
  return [...counts].map(([reason, count]) => ({ reason, count })).sort((a, b) => b.count - a.count)
}

/** What a key does to the builder's word on a record: pressing the same again takes it back. */
export function nextDecision(record: RecordView, key: 'keep' | 'drop'): RecordView['decision'] {
  return record.decision === key ? null : key
}
