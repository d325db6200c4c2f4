import { findAmounts } from '../../amounts/findAmounts'
import { findDate } from '../../dates/findDate'
import { wordsFor } from '../../words/allWords'
import { plainText, wordsOf } from '../../../text/plainText'
import { conditionOf } from '../salesWords'
import { classifyLine } from './classifyLine'
import { readPiece } from './priceAndShipping'
import type { LineContext, ReadLine } from './readLine'

/** What one line says, thing by thing: between bars, wide gaps, tabs and dashes, and a price behind its title. */
export function piecesOf(raw: string, line: number, context: LineContext): ReadLine[] {
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
