import Papa from 'papaparse'
import { CoreError } from '../../errors/coreError'
import type { LineProblem } from '../tables/columns'

/** What a column of a frame-time log holds: lengths of frames, or time stamps whose differences they are. Factor to ms. */
export const frameUnits = {
  ms: { name: 'frame times in ms', toMs: 1, stamps: false },
  s: { name: 'frame times in s', toMs: 1000, stamps: false },
  us: { name: 'frame times in µs', toMs: 0.001, stamps: false },
  'stamps-ms': { name: 'timestamps in ms', toMs: 1, stamps: true },
  'stamps-s': { name: 'timestamps in s', toMs: 1000, stamps: true },
  'stamps-us': { name: 'timestamps in µs', toMs: 0.001, stamps: true },
} as const
export type FrameUnit = keyof typeof frameUnits

/** Which column holds the frames, and what they are counted in. */
export interface FrameColumn {
  readonly column: number
  readonly unit: FrameUnit
}

/** The head of a log: names of its columns, first lines, and what is proposed. */
export interface FrameLogHead {
  readonly header: readonly string[]
  readonly hasHeader: boolean
  readonly delimiter: string
  readonly sample: readonly (readonly string[])[]
  readonly proposal: FrameColumn | null
}

export interface ReadFrameLog {
  readonly timesMs: Float64Array
  /** Lines that hold no frame time, the first of them, with why. */
  readonly problems: readonly LineProblem[]
  readonly rejected: number
}

const sampleLines = 300
const mostProblems = 100
const fewestRising = 20
const sliceLength = 4_000_000

/**
 * Looks at the head of a log: delimiter, header, and which column is most likely what. A column that always rises is
 * taken for time stamps (of fewer than 20 lines only where its name says so), else its usual size tells the unit; a header
 * with "frame" in it goes first.
 *
 * @throws CoreError `empty-file`, `no-numbers`
 */
export function frameLogHead(text: string): FrameLogHead {
  const clean = text.slice(0, 200_000).replace(/^\uFEFF/, '')
  if (clean.trim() === '') throw new CoreError('empty-log', {})
  const lines = clean.split(/\r?\n/, sampleLines + 1)
  const delimiter =
    [';', '\t', ',', '|'].find((sign) =>
      lines.slice(0, 5).every((line) => line.trim() === '' || line.includes(sign)),
    ) ?? ','
  const rows = Papa.parse<string[]>(lines.join('\n'), { delimiter, skipEmptyLines: 'greedy' }).data
  const hasHeader = rows[0]!.some((cell) => cell.trim() !== '' && !isNumber(cell, delimiter))
  const sample = hasHeader ? rows.slice(1) : rows
  const header = rows[0]!.map((cell, index) =>
    hasHeader && cell.trim() !== '' ? cell.trim() : `column ${index + 1}`,
  )
  return {
    header,
    hasHeader,
    delimiter,
    sample: sample.slice(0, 6),
    proposal: propose(header, sample, delimiter),
  }
}

function propose(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  delimiter: string,
): FrameColumn | null {
  const columns = header.map((name, column) => {
    const values = rows
      .map((row) => toNumber(row[column] ?? '', delimiter))
      .filter((value) => Number.isFinite(value))
    if (values.length < 2 || values.length < rows.length / 2) return null
    // a few frames may happen to rise; many do not
    const rises =
      values.every((value, index) => index === 0 || value > values[index - 1]!) &&
      (values.length >= fewestRising || /stamp|elapsed|clock|^time$/i.test(name))
    const steps = rises ? values.slice(1).map((value, index) => value - values[index]!) : values
    const usual = [...steps].sort((a, b) => a - b)[steps.length >> 1]!
    const unit =
      usual > 0.0002 && usual < 0.35
        ? 's'
        : usual >= 0.35 && usual < 350
          ? 'ms'
          : usual >= 350 && usual < 350_000
            ? 'us'
            : null
    if (unit === null) return null
    const named = /frame/i.test(name) && !/number|count|index|#/i.test(name)
    // a running number of the frame rises by one and is no time stamp
    const isCounter = values.every((value, index) => index === 0 || value - values[index - 1]! === 1)
    const counted: FrameUnit = rises ? `stamps-${unit}` : unit
    return {
      column,
      unit: counted,
      merit:
        (named ? 4 : 0) + (rises ? 0 : 2) + (/\b(ms|µs|us)\b|time/i.test(name) ? 1 : 0) - (isCounter ? 5 : 0),
    }
  })
  const best = columns
    .flatMap((each) => each ?? [])
    .sort((a, b) => b.merit - a.merit || a.column - b.column)[0]
  return best && best.merit > -3 ? { column: best.column, unit: best.unit } : null
}

/**
 * Reads a log with a column and a unit chosen. Frames that are not a number above zero are problems with their line
 * number (the header is line 1); a time stamp that does not rise likewise. O(n); a million lines take well under a second.
 *
 * @param onProgress called now and then with the share done; answers whether to go on
 * @throws CoreError `bad-column`, `no-frames`, `cancelled`
 */
export function readFrameLog(
  text: string,
  { column, unit }: FrameColumn,
  onProgress: (share: number) => boolean = () => true,
): ReadFrameLog {
  const { header, hasHeader, delimiter } = frameLogHead(text)
  if (!(Number.isInteger(column) && column >= 0 && column < header.length))
    throw new CoreError('bad-column', { columns: header.length, column: column + 1 }, 'column')
  const { toMs, stamps } = frameUnits[unit]
  const times: number[] = []
  const problems: LineProblem[] = []
  let rejected = 0
  let previous: number | null = null
  let line = 0
  const reject = (reason: string, raw: readonly string[]) => {
    rejected += 1
    if (problems.length < mostProblems)
      problems.push({ line, code: 'frame-time', reason, raw: raw.join(' | ').slice(0, 120) })
  }
  for (const rows of slices(text.replace(/^\uFEFF/, ''), delimiter, onProgress)) {
    for (const row of rows) {
      line += 1
      if (line === 1 && hasHeader) continue
      const cell = row[column] ?? ''
      if (row.length === 1 && cell.trim() === '') continue
      const value = toNumber(cell, delimiter)
      if (!Number.isFinite(value)) reject(`"${cell.slice(0, 30)}" is not a number`, row)
      else if (!stamps) {
        if (value > 0) times.push(value * toMs)
        else reject(`${value} is not a frame time; it must be above 0`, row)
      } else {
        if (previous !== null) {
          if (value > previous) times.push((value - previous) * toMs)
          else reject(`timestamp ${value} is not later than ${previous}`, row)
        }
        if (previous === null || value > previous) previous = value
      }
    }
  }
  if (times.length === 0)
    throw new CoreError(
      'no-frames-in-column',
      {
        column: header[column]!,
        first: problems[0] ? `; line ${problems[0].line}: ${problems[0].reason}` : '',
      },
      'column',
    )
  return { timesMs: Float64Array.from(times), problems, rejected }
}

/** Rows of the text, some megabytes at a time; a text with quotes is read as a whole, since a cell may hold a line's end. */
function* slices(
  text: string,
  delimiter: string,
  onProgress: (share: number) => boolean,
): Generator<string[][]> {
  const quoted = text.includes('"')
  const length = quoted ? text.length : sliceLength
  for (let from = 0; from < text.length;) {
    const cut = from + length >= text.length ? -1 : text.indexOf('\n', from + length)
    const to = cut < 0 ? text.length : cut
    yield Papa.parse<string[]>(text.slice(from, to), {
      delimiter,
      fastMode: !quoted,
      newline: text.includes('\r\n') ? '\r\n' : '\n',
    }).data
    from = to + 1
    if (!onProgress(Math.min(1, to / text.length))) throw new CoreError('log-cancelled', {})
  }
}

/** A number with a point, or with a comma where that does not divide the columns; NaN for anything else. */
function toNumber(cell: string, delimiter: string): number {
  const text = cell.trim()
  if (text === '') return Number.NaN
  return Number(delimiter !== ',' && text.includes(',') ? text.replace(',', '.') : text)
}

function isNumber(cell: string, delimiter: string): boolean {
  return Number.isFinite(toNumber(cell, delimiter))
}
