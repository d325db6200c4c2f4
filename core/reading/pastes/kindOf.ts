import { frameLogHead } from '../frames/frameLogFile'
import { plainText, wordsOf } from '../../text/plainText'
import { marksOf, findAmounts } from '../amounts/findAmounts'
import { readAsks, type AsksRead } from '../asks/readAsks'
import { amountsOf } from '../listings/listingMoney'
import { readScores, type ScoresRead } from '../scores/readScores'
import { readSales } from '../sales/readSales'
import type { SalesContext, SalesRead } from '../sales/saleRead'
import { readSpec, type SpecRead } from '../specs/readSpec'
import { specSource } from '../specs/specSource'
import { readSpecTable } from '../specs/readSpecTable'
import { wordsFor } from '../words/allWords'

export const pasteKinds = [
  'sales',
  'listing',
  'listings',
  'offers',
  'spec',
  'scores',
  'frames',
  'file',
  'nothing',
] as const
export type PasteKind = (typeof pasteKinds)[number]

export const pasteKindNames: Readonly<Record<PasteKind, string>> = {
  sales: 'past sales',
  listing: 'a listing',
  listings: 'several listings',
  offers: 'shop prices',
  spec: 'a spec sheet',
  scores: 'a table of scores',
  frames: 'a frame-time log',
  file: 'a Tarvin file',
  nothing: 'unknown text',
}

/** What a paste is read as before anything is kept. */
export interface PasteGuess {
  readonly kind: PasteKind
  readonly sales: SalesRead
  readonly specs: readonly SpecRead[]
  readonly scores: ScoresRead
  readonly asks: AsksRead
  /** What was seen in it, and what to do: where it is nothing that is known. */
  readonly why: string
}

/**
 * What a text is taken for: sales where records have a price and a day, a specification where lines name facts, a
 * listing where something is offered at a price. The guess can be changed; each kind is read by its own reader.
 */
export function guessPaste(text: string, context: SalesContext): PasteGuess {
  const sales = readSales(text, context)
  const specs = specsIn(text)
  const scores = readScores(text)
  const asks = readAsks(text, context)
  const guess = (kind: PasteKind, why = ''): PasteGuess => ({ kind, sales, specs, scores, asks, why })
  const plain = text.trim()
  if (plain === '')
    return guess('nothing', 'nothing pasted: copy a page of results, a listing or a spec sheet first')
  if (/^[[{]/.test(plain) && plain.includes('"format"')) return guess('file')
  if (looksLikeFrames(plain)) return guess('frames')
  if (sales.kind !== 'table' && specs.length > 1 && readSpecTable(plain)) return guess('spec')
  if (asks.isPage && asks.isShop) return guess('offers')
  const isSold = sales.kind === 'table' || !areAsks(text)
  const dated = sales.records.filter((record) => record.soldOn !== null && record.price !== null).length
  const stated = specs.reduce((most, spec) => Math.max(most, Object.keys(spec.facts).length), 0)
  const hasDate = sales.problems.some(({ code }) => code === 'ambiguous') || dated > 0
  if (isSold && dated >= 1 && (sales.records.length > 1 || stated < 4)) return guess('sales')
  if (sales.kind === 'table' && sales.records.length > 0 && hasDate) return guess('sales')
  if (asks.isPage && (sales.kind === 'table' || stated < 4)) return guess('listings')
  if (looksLikeScores(plain, scores, context.currency)) return guess('scores')
  if (stated >= 3) return guess('spec')
  if (asksSomething(plain.slice(0, 20_000), context.currency)) return guess('listing')
  if (specs.some(({ role }) => role !== null) && plain.length < 4000) return guess('spec')
  if (sales.records.length > 1) return guess('sales')
  return guess(
    'nothing',
    `${plain.split('\n').length} lines without a price, a sale date or a spec: copy the whole block, from title to price`,
  )
}

/** A page that says what is asked, and nowhere that something was sold. */
function areAsks(text: string): boolean {
  const words = wordsOf(plainText(text.slice(0, 50_000)))
  return wordsFor('asked').has(words) && !wordsFor('sold').has(words)
}

/** An amount with a sign, or a figure with a word of price beside it. */
function asksSomething(text: string, currency: string): boolean {
  return amountsOf(text, currency).some(
    ({ kind, sure, amount }) => !amount.isBare || (kind === 'price' && sure === 3),
  )
}

const fewestFrames = 10

/** Lines of figures of which one column is named after frames, or a long column of nothing else. */
function looksLikeFrames(text: string): boolean {
  if (!/^[^\n]*\n\s*[\d"]/.test(text)) return false
  const { header, hasHeader, proposal } = frameLogHead(text)
  if (proposal === null) return false
  const rows = text.split('\n').length - (hasHeader ? 1 : 0)
  return hasHeader && /frame|\bms\b/i.test(header.join(' '))
    ? rows >= fewestFrames
    : !hasHeader && rows >= 100
}

/** A name and a figure in nearly every line, without a price anywhere: a table of scores. */
function looksLikeScores(text: string, { rows, notRead }: ScoresRead, currency: string): boolean {
  // a heading that says so makes a table of one row
  const isNamed = /\b(scores?|points|index|fps|benchmark|results?|punkte|poang|puntos)\b/i.test(
    text.split('\n')[0]!,
  )
  if (isNamed ? rows.length < notRead.length : rows.length < 3 || notRead.length > rows.length / 2)
    return false
  if (rows.length === 0) return false
  if (rows.some(({ name }) => name.endsWith(':'))) return false
  return !findAmounts(text.slice(0, 20_000), currency, marksOf(text)).some((amount) => !amount.isBare)
}

/** A table of parts; specifications parted by empty lines, each with a heading of its own; one where they do not part. */
export function specsIn(pasted: string): SpecRead[] {
  const text = specSource(pasted)
  const table = readSpecTable(text)
  if (table) return table
  const blocks = text.split(/\n\s*\n/).filter((block) => block.trim() !== '')
  const each = blocks.map((block) => readSpec(block))
  const isParted =
    blocks.length > 1 && each.every(({ role, facts }) => role !== null && Object.keys(facts).length > 0)
  return isParted ? each : [readSpec(text)]
}
