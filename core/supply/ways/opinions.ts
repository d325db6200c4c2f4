import type { CalendarDate } from '../../time/calendarDate'

export const opinionVerdicts = ['buy', 'fine', 'avoid'] as const
export type OpinionVerdict = (typeof opinionVerdicts)[number]

/** What a guide said of a part, and when. */
export interface Opinion {
  readonly guide: string
  readonly saidOn: CalendarDate
  readonly verdict: OpinionVerdict
}

export interface Agreement {
  /** Newest opinion of each guide. */
  readonly counted: readonly Opinion[]
  readonly state: 'agree' | 'mostly' | 'split' | 'one-voice' | 'none'
  /** What most say; null where split or none. */
  readonly verdict: OpinionVerdict | null
}

/** Whether the guides agree: each counts once, by what it said last; two thirds or more for one verdict is *mostly*. */
export function agreementOf(opinions: readonly Opinion[]): Agreement {
  const newest = new Map<string, Opinion>()
  for (const each of [...opinions].sort((a, b) => (a.saidOn < b.saidOn ? -1 : 1)))
    newest.set(each.guide.trim().toLowerCase(), each)
  const counted = [...newest.values()]
  if (counted.length === 0) return { counted, state: 'none', verdict: null }
  const counts = opinionVerdicts
    .map((verdict) => ({ verdict, count: counted.filter((each) => each.verdict === verdict).length }))
    .sort((a, b) => b.count - a.count)
  const [most] = counts
  if (counted.length === 1) return { counted, state: 'one-voice', verdict: most!.verdict }
  if (most!.count === counted.length) return { counted, state: 'agree', verdict: most!.verdict }
  return most!.count / counted.length >= 2 / 3
    ? { counted, state: 'mostly', verdict: most!.verdict }
    : { counted, state: 'split', verdict: null }
}
