import { CoreError } from '../../errors/coreError'
import { adviceWords } from './adviceSheet'

/** What an adviser says of one line; an empty `line` is said of the whole build. */
export interface Remark {
  readonly line: string
  readonly remark: string
  /** What to take instead, in the adviser's words; empty: nothing. */
  readonly instead: string
}

export interface Advice {
  readonly by: string
  readonly remarks: readonly Remark[]
}

/** Longest text that is read, and most lines that are kept. */
const most = { characters: 200_000, remarks: 200, line: 1000 } as const
/** What sheets sent by earlier versions call the remark on the whole build. */
const earlierAll = 'All of it'
const quoted = /^[>|\s]*/
const lineHead = /^\d{1,3}\.\s+(.+?)(?:\s+\([^()]*\))?$/

/**
 * Reads a filled-in sheet (`adviceSheet`): remarks and swaps by line, those left empty left out. Marks that mail programs
 * put before quoted lines are taken off; what was written over several lines belongs together.
 *
 * @throws CoreError `no-advice` where no line of such a sheet is in it, or nothing was written on it
 */
export function readAdvice(text: string): Advice {
  const lines = text.slice(0, most.characters).split(/\r?\n/)
  const blocks: { line: string; remark: string[]; instead: string[] }[] = []
  let by = ''
  /** `From:` stood alone: the name may be in the next line. */
  let isNameNext = false
  let open: string[] | null = null
  for (const raw of lines) {
    const plain = raw.replace(quoted, '').trim()
    const head = lineHead.exec(plain)
    const word = /^(remark|instead|from)\s*:\s*(.*)$/i.exec(plain)
    if (word?.[1]!.toLowerCase() === adviceWords.from.toLowerCase()) {
      if (blocks.length === 0) by = word[2]!
      open = null
    } else if (word && blocks.length > 0) {
      open = blocks.at(-1)![word[1]!.toLowerCase() as 'remark' | 'instead']
      open.push(word[2]!)
    } else if (head || plain === adviceWords.all || plain === earlierAll) {
      blocks.push({ line: head ? head[1]! : '', remark: [], instead: [] })
      open = null
    } else {
      if (isNameNext) by = plain
      open?.push(plain)
    }
    isNameNext = blocks.length === 0 && by === '' && word?.[1]!.toLowerCase() === 'from'
  }
  if (blocks.length === 0) throw new CoreError('no-advice', {})
  const joined = (said: readonly string[]) => said.join(' ').replace(/\s+/g, ' ').trim().slice(0, most.line)
  const remarks = blocks
    .map(({ line, remark, instead }) => ({ line, remark: joined(remark), instead: joined(instead) }))
    .filter(({ remark, instead }) => remark !== '' || instead !== '')
  if (remarks.length === 0) throw new CoreError('empty-advice', {})
  return { by: by.slice(0, 80), remarks: remarks.slice(0, most.remarks) }
}
