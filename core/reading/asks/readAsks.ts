import { plainText, wordsOf } from '../../text/plainText'
import { classifyLine } from '../sales/lines/classifyLine'
import type { LineContext } from '../sales/lines/readLine'
import { seenText } from '../listings/pageSource'
import type { LineInPage } from '../sales/groupBlocks'
import { linesOf, lineContextOf } from '../sales/lines/linesOf'
import type { SalesContext } from '../sales/saleRead'
import { readSalesTable } from '../sales/readSalesTable'
import { columnsOf, tableIn } from '../sales/salesTable'
import type { Condition } from '../sales/soldRecord'
import { wordsFor } from '../words/allWords'

/** One thing asked for on a page of several: a listing of a market, or an offer of a shop. */
export interface AskRead {
  readonly title: string
  /** Decimal text; null where none is stated, or two that differ. */
  readonly price: string | null
  readonly currency: string
  /** Of a table; of a block its text tells. */
  readonly shipping: string | null
  readonly condition: Condition | null
  /** All that stands in the page about it, as it is seen. */
  readonly text: string
  /** First and last line of the page as it is seen, from 1. */
  readonly lines: readonly [number, number]
}

/** A page of several asks. */
export interface AsksRead {
  readonly asks: readonly AskRead[]
  /** Whether most of them speak as shops do: a basket, a stock, reviews. */
  readonly isShop: boolean
  /** Whether the page surely holds several: titles and prices on lines of their own, or a table. */
  readonly isPage: boolean
}

const none: AsksRead = { asks: [], isShop: false, isPage: false }
const longestTitle = 300

/**
 * Reads a page on which several things are asked for, without knowing the page: each thing has a title and one price.
 * Empty lines part the things; where none stand, each begins as many lines before its price as the first does.
 *
 * @example readAsks('Quill 70 8GB\n$95\n\nAnvil 650W\n$40', context) // { asks: [{ price: '95.00' }, { price: '40.00' }] }
 */
export function readAsks(text: string, context: SalesContext): AsksRead {
  const seen = seenText(text)
  return tableAsks(seen, context) ?? blockAsks(seen, context)
}

/** A table of asks has titles and prices and no day of sale. */
function tableAsks(text: string, context: SalesContext): AsksRead | null {
  const table = tableIn(text, context)
  if (table === null || columnsOf(table).includes('soldOn')) return null
  const lines = text.split(/\r\n|\r|\n/)
  const asks = readSalesTable(table, context).records.map((record): AskRead => {
    const { title, price, currency, shipping, condition } = record
    const [from, to] = record.lines
    const raw = lines.slice(from - 1, to).join('\n')
    return { title, price, currency, shipping, condition, text: raw, lines: [from, to] }
  })
  const priced = asks.filter(({ price }) => price !== null).length
  return { asks, isShop: false, isPage: priced >= 1 && priced >= asks.length / 2 }
}

function blockAsks(text: string, context: SalesContext): AsksRead {
  const raw = text.split(/\r\n|\r|\n/)
  const line = lineContextOf(text, context)
  const lines = linesOf(raw, line).flatMap((each) => partedByBars(each, line))
  const blocks = blocksOf(lines)
  const asks: AskRead[] = []
  let [apart, shops] = [0, 0]
  for (const block of blocks) {
    const ask = askOf(block, raw, context.currency)
    if (!ask) continue
    asks.push(ask)
    if (ask.price !== null && !isOnOneLine(block)) apart += 1
    if (wordsFor('shopPage').has(wordsOf(plainText(ask.text)))) shops += 1
  }
  if (asks.length === 0) return none
  return {
    asks,
    isShop: shops >= asks.length / 2,
    isPage: apart >= 2 && asks.filter(({ price }) => price !== null).length >= 0.6 * blocks.length,
  }
}

/** `$40 · Marsh End · 5 km`: a price with what else is told on its line. */
function partedByBars(line: LineInPage, context: LineContext): LineInPage[] {
  if (line.kind !== 'title') return [line]
  const pieces = line.raw.split(/\s+[|·•–—]\s+/)
  const read = pieces.map((piece) => classifyLine(piece, line.line, context))
  if (read.filter(({ kind }) => kind === 'price').length !== 1) return [line]
  return read.map((each, index) => ({ ...each, gap: line.gap && index === 0 }))
}

/** By empty lines where most parts have one price each; else by the prices. */
function blocksOf(lines: readonly LineInPage[]): LineInPage[][] {
  const byGaps: LineInPage[][] = []
  for (const line of lines) {
    if (line.gap || byGaps.length === 0) byGaps.push([])
    byGaps.at(-1)!.push(line)
  }
  const single = byGaps.filter((block) => pricesOf(block) === 1).length
  if (single >= 2 && single >= 0.6 * byGaps.length) return byGaps
  return byPrices(lines)
}

function byPrices(lines: readonly LineInPage[]): LineInPage[][] {
  const prices = lines.flatMap((line, index) => (isPrice(line) ? [index] : []))
  if (prices.length < 2) return [[...lines]]
  const ahead = prices[0]!
  const starts = prices.map((price, index) => (index === 0 ? 0 : startBefore(lines, price, ahead)))
  return starts.map((start, index) => lines.slice(start, starts[index + 1] ?? lines.length))
}

/** Where the thing of a price begins: as far ahead as on the first, if a title stands there, else at the title before it. */
function startBefore(lines: readonly LineInPage[], price: number, ahead: number): number {
  if (ahead === 0) return price
  if (lines[price - ahead]?.kind === 'title') return price - ahead
  let at = price - 1
  while (at > 0 && lines[at]!.kind !== 'title') at -= 1
  return at
}

function askOf(block: readonly LineInPage[], raw: readonly string[], home: string): AskRead | null {
  const title = block.find((line) => line.kind === 'title')
  const price = block.find(isPrice)
  if (!title) return null
  // of two prices nobody knows which one is asked
  const amount = pricesOf(block) === 1 ? price!.price!.amount : null
  const lines = block.map(({ line }) => line)
  const [from, to] = [Math.min(...lines), Math.max(...lines)]
  return {
    title: title.raw.replace(/\s+/g, ' ').trim().slice(0, longestTitle),
    price: amount?.value ?? null,
    currency: amount?.currency ?? home,
    shipping: null,
    condition: null,
    text: raw.slice(from - 1, to).join('\n'),
    lines: [from, to],
  }
}

const isPrice = (line: LineInPage) => line.kind === 'price' || line.kind === 'hidden'
const pricesOf = (block: readonly LineInPage[]) => block.filter(isPrice).length

/** `Quill 70 8GB - $100`: how one listing names its things, too. */
function isOnOneLine(block: readonly LineInPage[]): boolean {
  return block.find(isPrice)!.line === block.find(({ kind }) => kind === 'title')!.line
}
