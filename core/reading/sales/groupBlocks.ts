import { plainText } from '../../text/plainText'
import type { ReadLine } from './lines/readLine'
import { stateOfTitle } from './stateOf'
import { saysUnsold } from './unsold'

/** Lines that belong to one thing sold; `gap` says that an empty line stood before the line. */
export interface LineInPage extends ReadLine {
  readonly gap: boolean
}

export type Block = readonly LineInPage[]

const starts = ['title', 'date', 'price', 'state', 'shipping', 'manner'] as const

export interface Grouping {
  readonly blocks: readonly Block[]
  /** Whether another grouping does as well and differs. */
  readonly isOpen: boolean
  /** Whether empty lines part the things. */
  readonly isParted: boolean
}

/**
 * Puts the lines of a page into blocks, without knowing the page. Empty lines part the things where nearly every part
 * with a day has a title and a price, too. Else of all groupings (title first, date first, price first, …) the one with
 * the most complete blocks wins, those with a figure in their title before others; with as many, the one with the fewest
 * blocks that are not, then title first.
 */
export function groupBlocks(lines: readonly LineInPage[]): Grouping {
  const told = withDays(withoutAbout(lines))
  const gaps = byGaps(told)
  if (arePartedBy(gaps)) return { blocks: gaps, isOpen: false, isParted: true }
  const groupings = [gaps, ...starts.map((kind) => byStart(told, kind))].filter((blocks) => blocks.length > 0)
  const scored = groupings
    .map((blocks) => ({
      blocks,
      complete: blocks.filter(isComplete).length,
      named: blocks.filter(isNamed).length,
    }))
    .sort((a, b) => b.complete - a.complete || b.named - a.named || a.blocks.length - b.blocks.length)
  const [best, ...rest] = scored
  if (!best) return { blocks: [], isOpen: false, isParted: false }
  // empty lines that part titles cleanly say what belongs together
  const isClean = gaps.length > 1 && gaps.every((block) => titleRuns(block) <= 1 && dates(block) <= 1)
  if (isClean && gaps.filter(isComplete).length === best.complete)
    return { blocks: gaps, isOpen: false, isParted: false }
  const same = rest.filter(
    (each) =>
      each.complete === best.complete &&
      each.named === best.named &&
      each.blocks.length === best.blocks.length,
  )
  return {
    blocks: best.blocks,
    isOpen: same.some((each) => pairing(each.blocks) !== pairing(best.blocks)),
    isParted: false,
  }
}

/** Whether empty lines part the things: of the parts with a day nearly all are whole, and none has two. */
function arePartedBy(gaps: readonly Block[]): boolean {
  const dated = gaps.filter((block) => dates(block) > 0)
  return (
    gaps.length > 1 &&
    dated.length > 0 &&
    dated.every((block) => dates(block) === 1) &&
    dated.filter(isWhole).length >= 0.8 * dated.length
  )
}

/** Complete, with a figure in the title as models have. */
const isNamed = (block: Block) =>
  isComplete(block) && block.some(({ kind, raw }) => kind === 'title' && /\d/.test(raw))

/**
 * Under the heading of a day each line with a title and its price is a sale of that day: the day is told again with each.
 */
function withDays(lines: readonly LineInPage[]): LineInPage[] {
  const told: LineInPage[] = []
  let day: LineInPage | null = null
  let count = 0
  for (const [index, line] of lines.entries()) {
    const isSale =
      line.kind === 'title' &&
      lines.slice(index + 1, index + 4).some((each) => each.line === line.line && each.kind === 'price')
    if (line.kind === 'date') [day, count] = [line, 0]
    else if (line.kind === 'title' && !isSale) day = null
    if (isSale && day && day.line !== line.line && (count += 1) > 1)
      told.push({ ...day, line: line.line, gap: true })
    told.push(line)
  }
  return told
}

/** Only what tells of a thing; a gap before what is left out stands before the next line. */
function withoutAbout(lines: readonly LineInPage[]): LineInPage[] {
  const told: LineInPage[] = []
  let gap = false
  for (const line of lines) {
    gap ||= line.gap
    if (line.kind === 'about' && line.quantity === undefined && !saysUnsold(line.raw)) continue
    told.push({ ...line, gap })
    gap = false
  }
  return told
}

function byGaps(lines: readonly LineInPage[]): Block[] {
  const blocks: LineInPage[][] = []
  for (const line of lines) {
    if (line.gap || blocks.length === 0) blocks.push([])
    blocks.at(-1)!.push(line)
  }
  return blocks
}

/** A new block at each line of the kind that does not go on from one of the same kind. */
function byStart(lines: readonly LineInPage[], kind: (typeof starts)[number]): Block[] {
  const blocks: LineInPage[][] = []
  for (const [index, line] of lines.entries()) {
    const isStart = is(line, kind) && !(index > 0 && is(lines[index - 1]!, kind))
    if (isStart || blocks.length === 0) blocks.push([])
    blocks.at(-1)!.push(line)
  }
  return blocks
}

function is(line: ReadLine, kind: (typeof starts)[number]): boolean {
  return line.kind === kind || (kind === 'price' && (line.kind === 'bare' || line.kind === 'hidden'))
}

/** One run of title, one price or word on it, one date. */
export function isComplete(block: Block): boolean {
  return (
    titleRuns(block) === 1 && block.filter((line) => is(line, 'price')).length === 1 && dates(block) === 1
  )
}

/** A title, a price and one day, whatever else. */
function isWhole(block: Block): boolean {
  return titleRuns(block) >= 1 && block.some((line) => is(line, 'price')) && dates(block) === 1
}

function dates(block: Block): number {
  return block.filter((line) => line.kind === 'date').length
}

function titleRuns(block: Block): number {
  return block.filter((line, index) => line.kind === 'title' && block[index - 1]?.kind !== 'title').length
}

/** Which date each title goes with: two groupings that differ here differ in what was sold when. */
function pairing(blocks: readonly Block[]): string {
  return blocks
    .filter(isComplete)
    .map((block) =>
      block
        .filter((line) => line.kind === 'title' || line.kind === 'date' || is(line, 'price'))
        .map((line) => line.line)
        .join(','),
    )
    .join(' ')
}

/** More of a title is not looked at. */
const longestTitle = 1000

/**
 * The lines of the title: of several runs the first that has a figure in it, as models have, from the line with the
 * figure on, unless a line before it tells of a state.
 */
function titleLines(block: Block): readonly LineInPage[] {
  const runs: LineInPage[][] = []
  for (const [index, line] of block.entries()) {
    if (line.kind !== 'title') continue
    if (block[index - 1]?.kind !== 'title') runs.push([])
    runs.at(-1)!.push(line)
  }
  const hasFigure = ({ raw }: LineInPage) => /\d/.test(raw)
  const run = runs.find((each) => each.some(hasFigure)) ?? runs[0] ?? []
  return run.slice(
    Math.max(
      0,
      run.findIndex((line) => hasFigure(line) || stateOfTitle(line.raw) !== null),
    ),
  )
}

/** The title of a block: its lines in a row, without a caption that says the same again. */
export function titleOf(block: Block): string {
  const kept: string[] = []
  for (const line of titleLines(block)) {
    const title = line.raw.trim().replace(pictureLabel, '')
    const plain = normal(title)
    if (kept.some((each) => normal(each) === plain)) continue
    kept.push(title)
  }
  return kept
    .join(' ')
    .slice(0, longestTitle)
    .replace(/\s+/g, ' ')
    .replace(before, '')
    .replace(/^(?:my|our|an?|mein[en]*|mon|ma|mi|min|mitt) (?=\S+ \S)/, '')
    .replace(after, '')
    .replace(doubled, '$1')
    .slice(0, 500)
}

/** `Item: Quill 70`. */
export const titleLabel =
  /^(?:item|title|name|artikelname|bezeichnung|nom|nombre|product|listing|titel|artikel|article|objet|titre|art[ií]culo|producto|annons)\s*:/iu
const pictureLabel = /^(?:image|picture|photo|thumbnail|bild|foto|imagen)\s*(?:of\b|:)\s*/i
/** What stands before a title and is none: a label, `[SOLD]`, signs for the eye. */
const before =
  /^(?:\s|\p{So}|\u200d|\ufe0f|\d{1,2}[.)]\s+(?=\p{L})|\[\p{L}{1,5}\]\s*|(?:sold|verkauft|vendue?|vendid[oa]|se vendi[oó]|s[aå]l[dt]|solgt)\s?:\s+|(?:lot|los|artikel|item) \d+:\s+|(?:sold|verkauft|vendue?|vendid[oa]|s[aå]l[dt]) (?=[A-Z\d])|\[(?:sold|verkauft|vendue?|vendid[oa]|s[aå]l[dt]|solgt)\]\s*|(?:item|title|name|artikelname|bezeichnung|nom|nombre|product|listing|titel|artikel|article|objet|titre|art[ií]culo|producto|annons)\s*:\s+)+/iu
/** The name of a picture runs into the title that says the same. */
const doubled = /^(.{8,})\1$/
const after = /(?:\s|\p{So}|\u200d|\ufe0f)+$/u

function normal(text: string): string {
  return plainText(text)
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}
