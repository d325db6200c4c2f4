import { marksOf, type Amount } from '../amounts/findAmounts'
import { findAmounts } from '../amounts/findAmounts'
import { dayFirstOf, findDate } from '../dates/findDate'
import { minorDigits } from '../../money/currencies'
import { PhraseSet } from '../words/phraseSet'
import { wordsFor } from '../words/allWords'
import { plainText, wordsOf } from '../../text/plainText'
import { classifyLine, freeWords, type LineContext, type ReadLine } from './classifyLine'
import { readPiece } from './priceAndShipping'
import { groupBlocks, titleLabel, titleOf, type Block, type LineInPage } from './groupBlocks'
import type { SaleRead, SalesContext, SalesProblem, SalesProblemCode, SalesRead } from './readSales'
import { conditionOf } from './salesWords'
import { saysUnsold } from './unsold'
import { stateOfTitle, worse } from './stateOf'

/** Reads the blocks of a page of past sales. */
export function readBlocks(text: string, context: SalesContext): SalesRead {
  const rawLines = text.split(/\r\n|\r|\n/)
  const line = lineContextOf(text, context)
  const lines = linesOf(rawLines, line)
  const { blocks, isOpen, isParted } = groupBlocks(lines)
  const problems: SalesProblem[] = []
  if (rawLines.length > mostLines)
    problems.push({
      line: mostLines + 1,
      code: 'unread',
      message: `only the first ${mostLines.toLocaleString('en')} lines are read: paste the rest by itself`,
      raw: '',
    })
  const records: SaleRead[] = []
  const bare = blocks.filter((block) => block.some(({ kind }) => kind === 'bare')).length
  const takesBare =
    bare > 0 && bare === blocks.filter((block) => block.some(({ kind }) => kind === 'title')).length
  const dated = blocks.filter((block) => block.some(({ kind }) => kind === 'date')).length
  for (const block of blocks) {
    const title = titleOf(block)
    const isAdvertisement =
      dated >= 2 &&
      (isParted || dated >= blocks.length / 2) &&
      !block.some((each) => each.kind === 'date' || each.isSold)
    const isUnsold = block.some(({ raw }) => saysUnsold(raw))
    const isSaleless = isUnsold || !block.some(({ kind, isSold }) => isSold || tellsOfSale.has(kind))
    if (title === '' || isAdvertisement || isSaleless) {
      for (const each of block)
        problems.push(
          problemOf(
            each,
            'unread',
            isAdvertisement
              ? 'no date among others that have one: taken for an advertisement'
              : title === ''
                ? 'belongs to no title'
                : 'no price and no date',
          ),
        )
      continue
    }
    const { record, found } = readBlock(block, title, { ...line, takesBare, isOpen, context })
    records.push(record)
    problems.push(...found)
  }
  return { kind: 'blocks', records, problems: problems.sort((a, b) => a.line - b.line) }
}

/** What the lines of a page are read with. */
export function lineContextOf(text: string, context: SalesContext): LineContext {
  return {
    today: context.today,
    dayFirst: context.dayFirst ?? dayFirstOf(text.split(/\r\n|\r|\n/), context.today),
    home: context.currency,
    marks: marksOf(text, context.decimalMark),
  }
}

const tellsOfSale: ReadonlySet<ReadLine['kind']> = new Set(['price', 'bare', 'hidden', 'date'])

/** A page of results has no more lines, and none as long; what is beyond is not looked at. */
const mostLines = 50_000
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

function piecesOf(raw: string, line: number, context: LineContext): ReadLine[] {
  const said = readPiece(raw, line, context)
  if (said[0]!.kind !== 'title') return said
  const cut = raw
    .split(/\t+| {3,}|\s+[|·•–—]\s+| {2,}(?=\p{L}[\p{L} ]{1,20}: )/u)
    .filter((piece) => piece.trim() !== '')
  if (cut.length > 1) {
    const pieces = withoutPlaces(cut.flatMap((piece) => titleWithPrice(piece, line, context)))
    if (pieces.filter(({ kind }) => kind === 'title').length <= 1) return pieces
  }
  // without a figure there is no price in it, and nothing to part
  if (!/\d/.test(raw)) return said
  // a dash parts things only where one of them is a price or a date
  const parted = raw.split(/\s+[-–—]\s+|,\s+(?!\d{4}\b)/)
  const dashed = withoutPlaces(parted.flatMap((piece) => readPiece(piece, line, context)))
  if (
    !parted.some((piece) => saysTwo(piece, context)) &&
    !dashed.some((each) => each.kind === 'title' && saysPrice(each.raw, context)) &&
    dashed.filter(({ kind }) => kind === 'title').length <= 1 &&
    dashed.some(({ kind }) => kind === 'price' || kind === 'date')
  )
    return dashed
  // `Sold for $190 on 20 Oct`: all of it tells of the sale, nothing of the thing
  return restOf(raw, line, context) ?? titleWithPrice(raw, line, context)
}

/** Of pieces that could all be titles, the one with a figure in it, where it is one: the others are places and remarks. */
function withoutPlaces(pieces: readonly ReadLine[]): ReadLine[] {
  const titles = pieces.filter(({ kind }) => kind === 'title')
  const models = titles.filter(({ raw }) => /\d/.test(raw))
  const isOther = (each: ReadLine) => models.length === 1 && each.kind === 'title' && !models.includes(each)
  const told = pieces.some(({ kind }) => kind === 'price') && pieces.some(({ kind }) => kind === 'date')
  return pieces.map((each) => (told && isOther(each) ? { ...each, kind: 'about' } : each))
}

/** `Quill 70 ($140`: the title has not been parted from its price. */
const saysPrice = (title: string, context: LineContext) =>
  findAmounts(title, context.home, context.marks).some(({ isBare }) => !isBare)

/** `sold for $140 on Oct 3`: an amount and a date in one. */
const saysTwo = (piece: string, context: LineContext) =>
  findDate(piece, context) !== null &&
  findAmounts(piece, context.home, context.marks).some(({ isBare }) => !isBare)

/** A line that holds title and price: what stands before the first amount or date is the title. */
function titleWithPrice(raw: string, line: number, context: LineContext): ReadLine[] {
  const said = readPiece(raw, line, context)
  const [whole] = said as [ReadLine]
  if (whole.kind !== 'title') return said
  const plain = plainText(raw)
  if (plain.length !== raw.length) return [whole]
  const amount = findAmounts(raw, context.home, context.marks).find((each) => !each.isBare)
  const date = findDate(raw, context)
  // `3 Oct  Quill 70  $140`: the day stands first
  if (date && /^[\s[(]*$/.test(plain.slice(0, date.start))) {
    const behind = titleWithPrice(raw.slice(date.end).replace(/^[\s:,;|)\]–-]+/, ''), line, context)
    return behind.length > 1 ? [classifyLine(raw.slice(0, date.end), line, context), ...behind] : [whole]
  }
  // `$140  Quill 70  3 Oct`: so does the price
  if (amount && plain.slice(0, amount.start).trim() === '') {
    const behind = titleWithPrice(raw.slice(amount.end).replace(/^[\s:,;|–-]+/, ''), line, context)
    const said = classifyLine(raw.slice(0, amount.end), line, context)
    return said.kind === 'price' && behind.some(({ kind }) => kind === 'title') ? [said, ...behind] : [whole]
  }
  const from = Math.min(amount?.start ?? raw.length, date?.start ?? raw.length)
  // the words that belong to the amount or date stand before it
  const before = wordsOf(plain.slice(0, from))
  let cut = before.length
  while (
    cut > 0 &&
    (wordsFor('besidePrice').at(before, cut - 1) ??
      wordsFor('sold').at(before, cut - 1) ??
      wordsFor('notThePrice').at(before, cut - 1) ??
      // `sold on 24 Oct`: between the two
      (linksDate.has(before[cut - 1]!.word) && wordsFor('sold').at(before, cut - 2)))
  )
    cut -= 1
  const at = cut === before.length ? from : before[cut]!.start
  const [head, tail] = [raw.slice(0, at), raw.slice(at)]
  if (cut < 2 || tail.trim() === '' || (!amount && !date)) return [whole]
  const rest = restOf(tail, line, context)
  return rest === null
    ? [whole]
    : [classifyLine(head.replace(/[\s:,;|(→>=–—-]+$/, ''), line, context), ...rest]
}

/** What stands behind a title on its line, read piece by piece; null where some of it is neither. */
function restOf(tail: string, line: number, context: LineContext): ReadLine[] | null {
  const whole = readPiece(tail, line, context)
  if (whole[0]!.kind !== 'title') return whole
  const dated = withoutDate(tail, line, context)
  if (dated) return dated
  const priced = behindPrice(tail, line, context)
  if (priced) return priced
  const [, head, remark] = /^(.*?)\s*(\([^()\d]*\))\s*$/.exec(tail) ?? []
  if (remark !== undefined) {
    const rest = head === '' ? [] : restOf(head!, line, context)
    const condition = conditionOf(remark)
    const said = {
      ...whole[0]!,
      raw: remark,
      ...(condition ? { kind: 'state' as const, condition } : { kind: 'about' as const }),
    }
    return rest === null ? null : [...rest, said]
  }
  for (const split of [
    /[,;|]\s+/,
    /(?<=\b(?:used|new|gebraucht|neu|occasion|neuf|begagnad|ny|usado|nuevo))\s+/i,
    /\s+(?=sold|verkauft|vendu|vendido|sald|såld|\+|free|used)/i,
    /\s{2,}/,
  ]) {
    const pieces = tail.split(split).filter((piece) => piece.trim() !== '')
    const read = pieces.flatMap((piece) => readPiece(piece, line, context))
    if (pieces.length > 1 && read.every(({ kind }) => kind !== 'title')) return read
  }
  return null
}

/** `sold for $109 picked up`: the price, and what stands behind it. */
function behindPrice(tail: string, line: number, context: LineContext): ReadLine[] | null {
  const amounts = findAmounts(tail, context.home, context.marks)
  const [amount] = amounts
  if (amounts.length !== 1 || amount!.isBare || tail.slice(amount!.end).trim() === '') return null
  const price = classifyLine(tail.slice(0, amount!.end), line, context)
  const rest = price.kind === 'price' ? restOf(tail.slice(amount!.end).trim(), line, context) : null
  return rest && [price, ...rest]
}

/** `sold for $140 on Oct 3`: the date, and what stands before and behind it; null where some of that is neither. */
function withoutDate(tail: string, line: number, context: LineContext): ReadLine[] | null {
  const date = findDate(tail, context)
  if (!date) return null
  const pieces = [
    tail.slice(0, date.start).replace(joinsDate, ''),
    tail.slice(date.end).replace(/^[\s:,;)|-]+/, ''),
  ].filter((piece) => piece.trim() !== '')
  if (pieces.length === 0) return null
  const read = pieces.map((piece) => restOf(piece, line, context))
  const said = classifyLine(tail.slice(date.start, date.end), line, context)
  return read.includes(null) || said.kind !== 'date' ? null : [...read.flatMap((each) => each!), said]
}

const linksDate: ReadonlySet<string> = new Set(['on', 'the', 'am', 'den', 'le', 'el', 'at', 'der', 'for'])
const joinsDate = /(?:[\s,;(|-]+|\b(?:on|the|am|den|le|el|at|der))+$/i

interface BlockContext extends LineContext {
  readonly takesBare: boolean
  readonly isOpen: boolean
  readonly context: SalesContext
}

function readBlock(
  block: Block,
  title: string,
  { home, takesBare, isOpen }: BlockContext,
): { record: SaleRead; found: SalesProblem[] } {
  const found: SalesProblem[] = []
  const say = (line: ReadLine, code: SalesProblemCode, message: string) =>
    found.push(problemOf(line, code, message))
  const [first] = block as [LineInPage]
  const { amount, line: priceLine } = priceIn(block, takesBare, first, say)
  const shippingLine = block.find(({ kind }) => kind === 'shipping')
  const currency = amount?.currency ?? shippingCurrency(shippingLine) ?? home
  if (amount && amount.sign !== null && amount.currency === null)
    say(priceLine!, 'ambiguous', `"${amount.sign}" is not a sign of ${home}: which currency is it?`)
  const dateLines = block.filter(({ kind }) => kind === 'date')
  const date = dateLines[0]?.date
  if (!date) say(first, 'no-date', 'no date of sale')
  else if (date.problem !== null) say(dateLines[0]!, date.problem, dateWords[date.problem])
  else if (isOpen) say(dateLines[0]!, 'ambiguous', 'does the date stand above or below its title?')
  const manner = (['auction', 'local', 'fixed'] as const).find((each) =>
    block.some((line) => line.manner === each),
  )
  const state = block.find(({ kind }) => kind === 'state')?.condition ?? null
  const isEach = block.some((each) => each.isEach === true)
  const numbers = block.filter((each) => each.kind !== 'about').map((each) => each.line)
  return {
    record: {
      title,
      price: amount?.value ?? null,
      shipping: shippingText(shippingLine, currency),
      currency,
      soldOn: isOpen ? null : (date?.date ?? null),
      manner: manner ?? 'fixed',
      condition: worse(state, stateOfTitle(title)),
      quantity: isEach ? 1 : (block.find((each) => each.quantity !== undefined)?.quantity ?? null),
      lines: [numbers[0]!, numbers.at(-1)!],
    },
    found,
  }
}

const dateWords = {
  ambiguous: 'day or month first?',
  'bad-date': 'that is not a day of the calendar',
  'future-date': 'that day is still to come',
} as const

/** The one price of a block; several that differ are none. */
function priceIn(
  block: Block,
  takesBare: boolean,
  first: ReadLine,
  say: (line: ReadLine, code: SalesProblemCode, message: string) => void,
): { amount: Amount | null; line: ReadLine | null } {
  const all = block.filter((each) => each.price !== undefined)
  const signed = all.filter(({ kind }) => kind !== 'bare')
  const lines = signed.length === 0 && takesBare ? all : signed
  const hidden = lines.find((each) => each.price!.problem === 'hidden-price')
  if (hidden) {
    say(hidden, 'hidden-price', 'what was paid is not shown')
    return { amount: null, line: null }
  }
  const paid = lines.filter((each) => !total.has(wordsOf(plainText(each.raw))))
  const [line, ...others] = paid.length > 0 ? paid : lines
  if (!line) {
    const bare = block.find((each) => each.kind === 'bare')
    say(bare ?? first, 'no-price', 'no price with a sign or a word beside it')
    return { amount: null, line: null }
  }
  const { problem, amount } = line.price!
  if (problem !== null) {
    say(line, problem, priceWords[problem])
    return { amount: null, line: null }
  }
  if (others.some((each) => each.price!.amount?.value !== amount!.value)) {
    say(line, 'several-prices', priceWords['several-prices'])
    return { amount: null, line: null }
  }
  return { amount, line }
}

/** `Order total $105`: with the shipping, where the price stands by itself. */
const total = new PhraseSet(['total', 'gesamt', 'gesamtbetrag', 'gesamtsumme', 'totalt', 'summa', 'totale'])

const priceWords = {
  range: 'from one price to another: which was paid?',
  'several-prices': 'more than one price, and nothing says which was paid',
  'hidden-price': 'what was paid is not shown',
  ambiguous: 'thousands, or three decimals?',
} as const

function shippingCurrency(line: ReadLine | undefined): string | null {
  const { shipping } = line ?? {}
  return shipping && shipping !== 'free' ? shipping.currency : null
}

function shippingText(line: ReadLine | undefined, currency: string): string | null {
  const shipping = line?.shipping
  if (shipping === undefined || shipping === null) return null
  if (shipping === 'free') return zeroOf(currency)
  return shipping.value
}

/** Nothing, with the places of a currency. */
export function zeroOf(currency: string): string {
  const places = minorDigits(currency)
  return places === 0 ? '0' : `0.${'0'.repeat(places)}`
}

function problemOf(line: ReadLine, code: SalesProblemCode, message: string): SalesProblem {
  return { line: line.line, code, message, raw: line.raw.slice(0, 200) }
}
