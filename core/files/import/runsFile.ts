import { CoreError } from '../../errors/coreError'
import { lowsCauses, type LowsCause, type RunKind } from '../../performance/runs/run'
import { proposeColumns, type HeaderWords, type LineProblem } from '../../reading/tables/columns'
import { readCsv } from '../../reading/tables/readCsv'
import { FieldError, readDate, readWhole, readWord } from '../../reading/tables/readFields'
import { readRows, type ReadRow } from '../../reading/tables/readRows'

const headerWords: HeaderWords<
  | 'workload'
  | 'cpu'
  | 'graphics'
  | 'width'
  | 'height'
  | 'preset'
  | 'upscaling'
  | 'scene'
  | 'averageFps'
  | 'lowFps'
  | 'kind'
  | 'ranOn'
  | 'channels'
  | 'background'
  | 'cause'
  | 'cpuUse'
  | 'cardUse'
  | 'note'
> = {
  workload: ['workload', 'game'],
  cpu: ['cpu'],
  graphics: ['graphics', 'card', 'gpu'],
  width: ['width'],
  height: ['height', 'resolution'],
  preset: ['preset', 'settings'],
  upscaling: ['upscaling'],
  scene: ['scene'],
  averageFps: ['average', 'average fps', 'fps'],
  lowFps: ['low', 'low fps', '1 low'],
  kind: ['kind', 'source'],
  ranOn: ['date', 'day', 'ran on'],
  channels: ['channels', 'memory channels'],
  background: ['background'],
  cause: ['cause'],
  cpuUse: ['cpu use'],
  cardUse: ['card use', 'gpu use'],
  note: ['note'],
}

/** A line of a CSV of runs: parts and workload by id or name, to be looked up by the caller. */
export interface ImportedRun {
  readonly workload: string
  readonly cpu: string
  readonly graphics: string
  readonly width: number
  readonly height: number
  readonly preset: string
  readonly upscaling: string
  readonly scene: string
  readonly averageFps: number
  readonly lowFps: number | null
  readonly kind: RunKind
  readonly ranOn: string
  readonly memoryChannels: number
  readonly background: string
  readonly lowsCause: LowsCause | null
  readonly cpuUse: number | null
  readonly cardUse: number | null
  readonly note: string
}

const kindSpellings: Readonly<Record<RunKind, readonly string[]>> = {
  'own-log': ['own log', 'log'],
  'own-reading': ['own reading', 'own', 'reading'],
  published: ['review', 'article'],
  'console-mode': ['console'],
}

/**
 * Reads a CSV of runs; what cannot be understood is reported by line. Throws `no-column` for a file without what every
 * run needs. Unstated: two memory channels, a published result.
 */
export function readRuns(
  text: string,
  today: string,
): { readonly read: ReadRow<ImportedRun>[]; readonly problems: LineProblem[] } {
  const { header, rows } = readCsv(text)
  const map = proposeColumns(header, headerWords)
  const absent = (['workload', 'cpu', 'graphics', 'width', 'height', 'preset', 'averageFps'] as const).find(
    (field) => map[field] === null,
  )
  if (absent !== undefined) throw new CoreError('no-run-column', { column: headerWords[absent][0]! }, absent)
  return readRows(rows, (row) => {
    const cell = (field: keyof typeof map) => (map[field] === null ? '' : (row[map[field]] ?? '').trim())
    const needed = (field: keyof typeof map, what: string) => cell(field) || missing(what)
    const ranOn = readDate(cell('ranOn') || today)
    if (ranOn > today) throw new FieldError('date', `${ranOn} is in the future`)
    return {
      workload: needed('workload', 'workload'),
      cpu: needed('cpu', 'CPU'),
      graphics: needed('graphics', 'card'),
      width: readWhole(needed('width', 'width'), 320, 'width'),
      height: readWhole(needed('height', 'height'), 200, 'height'),
      preset: needed('preset', 'preset'),
      upscaling: cell('upscaling'),
      scene: cell('scene'),
      averageFps: rate(needed('averageFps', 'average'), 'average'),
      lowFps: cell('lowFps') === '' ? null : rate(cell('lowFps'), 'low'),
      kind: readWord(cell('kind') || 'published', kindSpellings, 'kind'),
      ranOn,
      memoryChannels: cell('channels') === '' ? 2 : readWhole(cell('channels'), 1, 'channels'),
      background: cell('background'),
      lowsCause:
        cell('cause') === ''
          ? null
          : readWord(
              cell('cause'),
              Object.fromEntries(
                lowsCauses.map((cause) => [cause, [cause.replace('-', ' ')]]),
              ) as unknown as Readonly<Record<LowsCause, readonly string[]>>,
              'cause',
            ),
      cpuUse: use(cell('cpuUse')),
      cardUse: use(cell('cardUse')),
      note: cell('note'),
    }
  })
}

function missing(what: string): never {
  throw new FieldError(what, `no ${what} given`)
}

function rate(cell: string, what: string): number {
  const value = Number(cell.replace(',', '.'))
  if (!(value > 0 && value <= 5000)) throw new FieldError(what, `"${cell.slice(0, 20)}" is not a frame rate`)
  return value
}

function use(cell: string): number | null {
  if (cell === '') return null
  const value = Number(cell.replace('%', '').trim())
  if (!(value >= 0 && value <= 100)) throw new FieldError('use', `"${cell.slice(0, 20)}" is not a percentage`)
  return value
}
