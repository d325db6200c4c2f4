import { CoreError } from '../../errors/coreError'
import type { Answer } from '../../reading/listings/completeness'

/** Words of the note that both sides go by. */
export const doorWords = {
  title: 'On-site check',
  lead: 'lead',
  asked: 'asked',
  note: 'note',
  looked: 'checked',
} as const

/** What pages saved by earlier versions write in their place; a note may be weeks old. */
const earlierWords = { title: 'Seen at the door', looked: 'looked at' } as const

/** What was seen and said at the door. */
export interface DoorNote {
  readonly leadId: string
  /** By the key of the fact. */
  readonly answers: Readonly<Record<string, Answer>>
  /** What the seller asks now, as it was typed; empty: nothing was said. */
  readonly asked: string
  readonly note: string
  readonly looked: readonly string[]
}

const longest = 20_000
const plainAnswers: Readonly<Record<string, Answer>> = { yes: 'yes', no: 'no' }

/**
 * Reads the note that the page at the door makes, however a mail program quoted it. Lines it does not know are passed
 * over; which facts there are is checked by who keeps them.
 *
 * @throws CoreError `no-door-note` where it is no such note
 * @example `lead: tarn-1` and `works: yes` below the title: an answer of yes to `works`
 */
export function readDoorNote(text: string): DoorNote {
  const lines = text
    .slice(0, longest)
    .split(/\r?\n/)
    .map((line) => line.replace(/^[>|\s]*/, '').trim())
  const start = lines.findIndex((line) =>
    [doorWords.title, earlierWords.title].some((title) => line.startsWith(title)),
  )
  const said = lines.slice(start + 1).flatMap((line) => {
    const at = line.indexOf(':')
    return at < 0 ? [] : [[line.slice(0, at).trim().toLowerCase(), line.slice(at + 1).trim()] as const]
  })
  const valueOf = (key: string) => said.find(([each]) => each === key)?.[1] ?? ''
  const leadId = valueOf(doorWords.lead)
  if (start < 0 || leadId === '') throw new CoreError('no-door-note', { title: doorWords.title }, 'text')
  const own = new Set<string>([...Object.values(doorWords), ...Object.values(earlierWords)])
  return {
    leadId,
    answers: Object.fromEntries(
      said.flatMap(([key, value]) => {
        const answer = plainAnswers[value.toLowerCase()]
        return answer && !own.has(key) ? [[key, answer] as const] : []
      }),
    ),
    asked: valueOf(doorWords.asked),
    note: valueOf(doorWords.note).slice(0, 300),
    looked: (valueOf(doorWords.looked) || valueOf(earlierWords.looked))
      .split(';')
      .map((each) => each.trim())
      .filter((each) => each !== ''),
  }
}
