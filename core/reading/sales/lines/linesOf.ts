import { marksOf } from '../../amounts/findAmounts'
import { dayFirstOf } from '../../dates/findDate'
import { plainText, wordsOf } from '../../../text/plainText'
import { titleLabel, type LineInPage } from '../groupBlocks'
import type { SalesContext } from '../saleRead'
import { classifyLine } from './classifyLine'
import { piecesOf } from './piecesOf'
import { freeWords, type LineContext, type ReadLine } from './readLine'

/** What the lines of a page are read with. */
export function lineContextOf(text: string, context: SalesContext): LineContext {
  return {
    today: context.today,
    dayFirst: context.dayFirst ?? dayFirstOf(text.split(/\r\n|\r|\n/), context.today),
    home: context.currency,
    marks: marksOf(text, context.decimalMark),
  }
}

/** A page of results has no more lines, and none as long; what is beyond is not looked at. */
export const mostLines = 50_000
const longestLine = 1000

/** Splits what stands on one line into what it says: pieces between bars, wide gaps and tabs, and a price behind a title. */
export function linesOf(rawLines: readonly string[], context: LineContext): LineInPage[] {
  const lines: LineInPage[] = []
  let gap = false
  // a page says the same again and again: `Free shipping`
  const known = new Map<string, readonly ReadLine[]>()
  const limited = withLabels(rawLines.slice(0, mostLines))
  for (const [index, whole] of limited.entries()) {
    if (whole === null) continue
    const raw = whole.slice(0, longestLine)
    if (raw.trim() === '') {
      gap = lines.length > 0
      continue
    }
    const pieces = (known.get(raw) ?? piecesOf(raw, index + 1, context)).map((each) => ({
      ...each,
      line: index + 1,
    }))
    known.set(raw, pieces)
    // a line that is a record by itself stands apart from a heading before it and a remark behind it
    const isRecord = recordKinds.every((kind) => pieces.some((piece) => piece.kind === kind))
    const last = isDetail(pieces) ? titleAbove(lines) : null
    if (last) lines.push({ ...last, line: index + 1, gap: true })
    for (const [at, each] of pieces.entries())
      lines.push({ ...each, gap: (gap || (isRecord && lines.length > 0)) && at === 0 })
    gap = isRecord
  }
  return settled(withoutRepeated(lines, context))
}

/** `$118, Oct 22`: a price and a day without a title. */
const isDetail = (pieces: readonly ReadLine[]) =>
  ['price', 'date'].every((kind) => pieces.some((each) => each.kind === kind)) &&
  !pieces.some(({ kind }) => kind === 'title')

/** The title that a detail line goes on with, where another such line already stands between the two. */
function titleAbove(lines: readonly LineInPage[]): LineInPage | null {
  const at = lines.findLastIndex(({ kind }) => kind === 'title')
  const since = at < 0 ? [] : lines.slice(at + 1)
  const sameLine = since.filter(
    ({ kind, line }) => kind === 'price' && since.some((each) => each.kind === 'date' && each.line === line),
  )
  return sameLine.length > 0 ? lines[at]! : null
}

/** `Postage` on a line and `$12.50` on the next are one: the second is read with the first before it. */
function withLabels(raw: readonly string[]): readonly (string | null)[] {
  const isLabelled = (at: number) =>
    loneLabel.test(plainText(raw[at - 1] ?? '')) &&
    (/\d/.test(raw[at] ?? '') || freeWords.at(wordsOf(plainText(raw[at] ?? '')), 0) !== null)
  return raw.map((line, at) =>
    isLabelled(at) ? `${raw[at - 1]!.replace(/[\s:]+$/, '')}: ${line}` : isLabelled(at + 1) ? null : line,
  )
}

const loneLabel =
  /^\W*(?:shipping|postage|delivery|versand|versandkosten|porto|livraison|frais de port|envio|portes|gastos de envio|frakt)(?: costs?| fee| price)?\W*$/

/** A price or a day that is not sure counts where the page states no other. */
function settled(lines: readonly LineInPage[]): LineInPage[] {
  const sure = new Set<ReadLine['kind']>(
    lines.flatMap(({ kind, isUnsure }) => (isUnsure ? [] : [kind === 'hidden' ? 'price' : kind])),
  )
  return lines.map((each) => (each.isUnsure && sure.has(each.kind) ? { ...each, kind: 'about' } : each))
}

/**
 * Words without a figure that stand again and again between the things (`Opens in a new tab`) are the page's own, and so
 * is what a label stands before (`Watched by: 6`).
 */
function withoutRepeated(lines: readonly LineInPage[], context: LineContext): LineInPage[] {
  const counts = new Map<string, number>()
  const saying = (each: ReadLine) => (each.kind === 'title' ? pageWords(each.raw) : null)
  for (const each of lines) {
    const said = saying(each)
    if (said !== null) counts.set(said, (counts.get(said) ?? 0) + 1)
  }
  const countOf = (each: ReadLine) => counts.get(saying(each) ?? '') ?? 0
  const others = lines.filter((each) => each.kind === 'title' && countOf(each) < 2).length
  return lines.map((each) => {
    const count = countOf(each)
    if (count < 2 || others < count) return each
    // an amount behind words nobody knows may be the price
    const behind = classifyLine(each.raw.slice(saying(each)!.length), each.line, context)
    return behind.kind === 'price' ? { ...each, ...behind, isUnsure: true } : { ...each, kind: 'about' }
  })
}

/** What a page says with each thing: a label, or words without a figure; null for anything else. */
function pageWords(raw: string): string | null {
  const label = /^\p{L}[\p{L} .'-]{1,30}:(?=\s)/u.exec(raw)?.[0]
  if (label !== undefined && !titleLabel.test(label)) return label
  return /\d/.test(raw) ? (/^(\p{L}[\p{L} .'-]{1,30})(?=\s*\p{Sc}\d)/u.exec(raw)?.[0] ?? null) : raw
}

const recordKinds = ['title', 'price', 'date'] as const
