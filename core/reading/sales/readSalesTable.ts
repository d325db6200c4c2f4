import { phrases } from '../../text/phrases'
import Papa from 'papaparse'
import { isCurrency } from '../../money/currencies'
import { findAmounts, marksOf, readFigure, type Marks } from '../amounts/findAmounts'
import { dayFirstOf, findDate } from '../dates/findDate'
import { wordsFor } from '../words/allWords'
import { plainText, wordsOf } from '../../text/plainText'
import { zeroOf } from './readBlocks'
import type { SaleRead, SalesContext, SalesProblem, SalesProblemCode, SalesRead } from './readSales'
import { jsonRows } from './jsonRows'
import { conditions, manners, type Condition, type Manner } from './soldRecord'
import { stateOfTitle, statesIn, worse } from './stateOf'

const fields = [
  'title',
  'price',
  'shipping',
  'currency',
  'soldOn',
  'manner',
  'condition',
  'quantity',
  'bids',
] as const
export type Field = (typeof fields)[number]

/** A table found in a text: its cells, the line each row began on, and which column holds what. */
export interface SalesTable {
  readonly rows: readonly { readonly cells: readonly string[]; readonly line: number }[]
  readonly column: ReadonlyMap<Field, number>
}

/** The fields that have a column. */
export function columnsOf({ column }: SalesTable): readonly Field[] {
  return [...column.keys()]
}

/** Words of a header, in five languages; whole cells first, then words in them. */
const headers: Readonly<Record<Field, readonly string[]>> = {
  title: phrases(`
    title, name, item, description, listing, item title, product, article, part, parts, thing, model, teil, piece, pieza, komponent, titel, artikel, bezeichnung,
    titre, objet, titulo, articulo, rubrik, benamning, annonce, what
  `),
  price: phrases(`
    price, sold price, sold for, final price, amount, sale price, hammer price, total price, price paid,
    preis, verkaufspreis, endpreis, prix, prix de vente, precio, precio final, pris, slutpris, paid,
    winning bid, cost, betrag, sum, sold at, asking, ask, asking price, begart pris
  `),
  shipping: phrases(`
    shipping, ship, p p, postage, delivery, shipping cost, freight, versand, versandkosten, porto, livraison, port,
    frais de port, envio, gastos de envio, frakt, p p
  `),
  currency: ['currency', 'cur', 'ccy', 'wahrung', 'devise', 'moneda', 'divisa', 'valuta'],
  soldOn: phrases(`
    sold on, sold, date, date sold, sold date, ended, end date, sale date, day, when, datum, verkauft am,
    verkaufsdatum, vendu le, date de vente, fecha, vendido el, fecha de venta, sald, salt, sald den,
    end time, closed, verkauft, vendu, vendido, solgt, avslutad, beendet, ende
  `),
  manner: phrases(`
    manner, manner of sale, satt, forsaljningssatt, salj satt, kind of sale, type, format, sale type, art, verkaufsart, type de vente, tipo,
    formato, typ, kind, listing type, how, sale
  `),
  condition: phrases(`
    condition, cond, state, quality, item condition, zustand, etat, estado, skick, grade
  `),
  quantity: phrases(`
    quantity, qty, count, pieces, units, menge, anzahl, stuck, quantite, cantidad, antal, number sold, pcs
  `),
  bids: phrases('bids, bid count, number of bids, gebote, encheres, pujas, bud'),
}
const mostColumns = 60

/**
 * The table in a text, with commas, semicolons, tabs or bars; null where it is none. A header is known by its words; a
 * table without one by what its columns hold.
 */
export function tableIn(text: string, context: SalesContext): SalesTable | null {
  const clean = text.replace(/^\uFEFF/, '')
  const objects = jsonRows(clean)
  if (objects) return tableOf(objects, context)
  for (const delimiter of ['\t', ';', ',', '|']) {
    if (!clean.includes(delimiter)) continue
    const table = tableBy(clean, delimiter, context)
    if (table) return table
  }
  return null
}

function tableBy(text: string, delimiter: string, context: SalesContext): SalesTable | null {
  return tableOf(rowsOf(text, delimiter), context)
}

function tableOf(rows: SalesTable['rows'], context: SalesContext): SalesTable | null {
  const [first] = rows
  if (!first || first.cells.length < 2) return null
  const named = context.columns ? columnsGiven(first.cells, context.columns) : byHeader(first.cells)
  const hasHeader = named.has('title') && named.has('price')
  const body = hasHeader ? rows.slice(1) : rows
  const width = hasHeader ? first.cells.length : mostCommonWidth(rows)
  const regular = body.filter((row) => row.cells.length === width).length
  if (body.length === 0) return hasHeader ? { rows: [], column: named } : null
  if (!hasHeader && (width < 3 || regular < Math.max(2, 0.8 * body.length))) return null
  if (hasHeader) return { rows: body, column: named }
  const guessed = byContent(
    body.map((row) => row.cells),
    width,
    context,
  )
  return guessed === null ? null : { rows: body, column: guessed }
}

function rowsOf(text: string, delimiter: string): { cells: string[]; line: number }[] {
  const rows: { cells: string[]; line: number }[] = []
  let line = 1
  let at = 0
  Papa.parse<string[]>(text, {
    delimiter,
    step: ({ data, meta }) => {
      const cells = data.map((cell) => cell.trim())
      // the rule under the header of a table in plain text: `|---|:--|`
      const isRule = cells.every((cell) => /^:?-*:?$/.test(cell))
      if (!isRule && cells.some((cell) => cell !== ''))
        rows.push({ cells: cells.slice(0, mostColumns), line })
      line += newlinesIn(text, at, meta.cursor)
      at = meta.cursor
    },
  })
  return rows
}

function newlinesIn(text: string, from: number, to: number): number {
  return text.slice(from, to).split(/\r\n|\r|\n/).length - 1
}

function mostCommonWidth(rows: readonly { readonly cells: readonly string[] }[]): number {
  const counts = new Map<number, number>()
  for (const { cells } of rows) counts.set(cells.length, (counts.get(cells.length) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0
}

function normal(cell: string): string {
  return wordsOf(plainText(cell))
    .map(({ word }) => word)
    .join(' ')
}

function byHeader(header: readonly string[]): Map<Field, number> {
  const cells = header.map(normal)
  const found = new Map<Field, number>()
  const taken = new Set<number>()
  for (const fits of [
    (cell: string, word: string) => cell === word,
    (cell: string, word: string) => ` ${cell} `.includes(` ${word} `),
  ])
    for (const field of fields) {
      if (found.has(field)) continue
      const at = headers[field]
        .map((word) =>
          cells.findIndex((cell, index) => !taken.has(index) && cell.length < 40 && fits(cell, word)),
        )
        .find((index) => index >= 0)
      if (at === undefined) continue
      found.set(field, at)
      taken.add(at)
    }
  return found
}

function columnsGiven(
  header: readonly string[],
  columns: NonNullable<SalesContext['columns']>,
): Map<Field, number> {
  const found = new Map<Field, number>()
  for (const field of fields) {
    const given = columns[field]
    if (given === undefined) continue
    const at = typeof given === 'number' ? given : header.findIndex((cell) => normal(cell) === normal(given))
    if (at >= 0) found.set(field, at)
  }
  return found
}

/** What the columns hold, of a table without a header: one of dates, one of amounts, the longest of words. */
function byContent(
  rows: readonly (readonly string[])[],
  width: number,
  { today, currency }: SalesContext,
): Map<Field, number> | null {
  const marks: Marks = { seenAsDecimal: new Set() }
  const share = (at: number, fits: (cell: string) => boolean) =>
    rows.filter((cells) => fits(cells[at] ?? '')).length / rows.length
  const columns = Array.from({ length: width }, (_, at) => at)
  const isDate = (cell: string) => {
    const date = findDate(cell, { today })
    return date !== null && date.end - date.start >= 0.5 * cell.trim().length
  }
  const isAmount = (cell: string) =>
    /^[^\p{L}]*\d[\d.,' ]*[^\p{L}]{0,3}$|^\D{0,4}\d[\d.,' ]*\s?\p{L}{0,3}$/u.test(cell.trim()) &&
    !isDate(cell) &&
    findAmounts(cell, currency, marks).length === 1
  const soldOn = columns.find((at) => share(at, isDate) >= 0.8)
  const amounts = columns.filter((at) => at !== soldOn && share(at, isAmount) >= 0.8)
  const words = columns
    .filter(
      (at) => at !== soldOn && !amounts.includes(at) && share(at, (cell) => /\p{L}{3}/u.test(cell)) >= 0.8,
    )
    .sort((a, b) => lengthOf(rows, b) - lengthOf(rows, a))
  const [title, ...others] = words
  const condition = others.find((at) => share(at, (cell) => cell === '' || conditionOf(cell) !== null) >= 0.8)
  const manner = others.find(
    (at) => at !== condition && share(at, (cell) => cell === '' || mannerOf(cell) !== null) >= 0.8,
  )
  const [price, shipping] = amounts
  if (title === undefined || price === undefined || soldOn === undefined) return null
  return new Map<Field, number>([
    ['title', title],
    ['price', price],
    ['soldOn', soldOn],
    ...(shipping === undefined ? [] : [['shipping', shipping] as const]),
    ...(condition === undefined ? [] : [['condition', condition] as const]),
    ...(manner === undefined ? [] : [['manner', manner] as const]),
  ])
}

function lengthOf(rows: readonly (readonly string[])[], at: number): number {
  return rows.reduce((sum, cells) => sum + (cells[at]?.length ?? 0), 0)
}

/** Reads the rows of a table of past sales. */
export function readSalesTable({ rows, column }: SalesTable, context: SalesContext): SalesRead {
  const cellOf = (cells: readonly string[], field: Field) => {
    const at = column.get(field)
    return at === undefined ? '' : (cells[at] ?? '').trim()
  }
  const prices = rows.flatMap(({ cells }) => [cellOf(cells, 'price'), cellOf(cells, 'shipping')])
  const table: TableContext = {
    ...context,
    marks: marksOf(prices.join('\n'), context.decimalMark),
    dayFirst:
      context.dayFirst ??
      dayFirstOf(
        rows.map(({ cells }) => cellOf(cells, 'soldOn')),
        context.today,
      ),
  }
  const problems: SalesProblem[] = []
  const records: SaleRead[] = []
  for (const { cells, line } of rows) {
    const raw = cells.join(' | ').slice(0, 200)
    const say: Say = (code, message, word) =>
      problems.push({ line, code, message, raw, ...(word ? { word } : {}) })
    const title = cellOf(cells, 'title')
    if (title === '') {
      say('unread', 'no title')
      continue
    }
    records.push(
      readRow((field) => cellOf(cells, field), { ...table, has: (field) => column.has(field) }, line, say),
    )
  }
  return { kind: 'table', records, problems }
}

interface TableContext extends SalesContext {
  readonly marks: Marks
}

type Say = (code: SalesProblemCode, message: string, word?: SalesProblem['word']) => void

function readRow(
  cell: (field: Field) => string,
  context: TableContext & { has(field: Field): boolean },
  line: number,
  say: Say,
): SaleRead {
  const title = cell('title').slice(0, 500)
  const said = cell('currency').toUpperCase()
  if (said !== '' && !isCurrency(said)) say('unknown-value', `"${said.slice(0, 10)}" is not a currency code`)
  const stated = isCurrency(said) ? said : null
  const price = readAmount(cell('price'), stated, context, say, true)
  const currency = stated ?? price.currency ?? context.currency
  const shipping = readShipping(cell('shipping'), currency, context, say)
  const condition = valueOf('condition', cell('condition'), conditions, conditionOf, context, say)
  return {
    title,
    price: price.value,
    shipping,
    currency,
    soldOn: readDay(cell('soldOn'), context, say),
    // what was bid for was an auction, whatever another column calls it
    manner: /^\s*[1-9]\d{0,3}\b/.test(cell('bids'))
      ? 'auction'
      : valueOf('manner', cell('manner'), manners, mannerOf, context, say),
    condition: worse(condition, stateOfTitle(title)),
    quantity: readQuantity(cell('quantity'), say),
    lines: [line, line],
  }
}

function readAmount(
  cell: string,
  currency: string | null,
  { currency: home, marks }: TableContext,
  say: Say,
  isPrice: boolean,
): { value: string | null; currency: string | null } {
  const none = { value: null, currency: null }
  if (cell === '') {
    if (isPrice) say('no-price', 'no price')
    return none
  }
  if (wordsFor('hiddenPrice').has(wordsOf(plainText(cell)))) {
    say('hidden-price', 'what was paid is not shown')
    return none
  }
  const amounts = findAmounts(cell, currency ?? home, marks)
  const [amount, ...others] = amounts
  if (!amount) {
    // a figure with a sign of its own column: `1 250` alone
    const plain = /^[^\d]*(\d[\d.,' ]*)[^\d]*$/.exec(plainText(cell))
    const value = plain ? readFigure(plain[1]!.trim(), currency ?? home, marks) : null
    if (value === null && isPrice) say('no-price', `"${cell.slice(0, 30)}" is not a price`)
    return { value, currency: null }
  }
  if (others.length > 0) {
    const isRange = /\d\s*(?:-|–|—|to|bis)\s*\D{0,4}\d/.test(plainText(cell))
    say(isRange ? 'range' : 'several-prices', isRange ? 'from one price to another' : 'more than one price')
    return none
  }
  if (amount.value === null) say('ambiguous', 'thousands, or three decimals?')
  if (amount.sign !== null && amount.currency === null && currency === null)
    say('ambiguous', `"${amount.sign}" is not a sign of ${home}: which currency is it?`)
  if (isPrice && /^-|\(/.test(cell)) {
    say('no-price', 'below zero')
    return none
  }
  return { value: amount.value, currency: amount.currency }
}

function readShipping(cell: string, currency: string, context: TableContext, say: Say): string | null {
  if (cell === '') return null
  const words = wordsOf(plainText(cell))
  if (
    wordsFor('freeShipping').has(words) ||
    wordsFor('pickup').has(words) ||
    /^(free|gratis|kostenlos|gratuit|offert|fri)\b/.test(plainText(cell))
  )
    return zeroOf(currency)
  if (!/\d/.test(cell)) return null
  return readAmount(cell, currency, context, say, false).value
}

function readDay(cell: string, context: TableContext, say: Say): string | null {
  if (cell === '') {
    say('no-date', 'no date of sale')
    return null
  }
  const date = findDate(cell, context)
  if (!date) say('bad-date', `"${cell.slice(0, 30)}" is not a date`)
  else if (date.problem === 'ambiguous') say('ambiguous', 'day or month first?')
  else if (date.problem === 'future-date') say('future-date', 'that day is still to come')
  else if (date.problem !== null) say('bad-date', 'that is not a day of the calendar')
  return date?.date ?? null
}

function readQuantity(cell: string, say: Say): number | null {
  if (cell === '') return null
  const value = Number(cell.replace(/\s?(pcs|x|st|stk)\.?$/i, ''))
  if (Number.isInteger(value) && value >= 1 && value <= 10_000) return value
  say('unknown-value', `"${cell.slice(0, 20)}" is not a count`)
  return null
}

/** A word of a column: one of ours, one that was said to mean one, or one that is known; else asked. */
function valueOf<T extends string>(
  field: 'manner' | 'condition',
  cell: string,
  ours: readonly T[],
  known: (cell: string) => T | null,
  { values }: TableContext,
  say: Say,
): T | null {
  if (cell === '') return null
  const given = Object.entries(values?.[field] ?? {}).find(([word]) => normal(word) === normal(cell))?.[1]
  const own = ours.find((each) => each === (given ?? normal(cell)))
  if (own) return own
  const meant = known(cell)
  if (meant === null)
    say('unknown-value', `what does "${cell.slice(0, 40)}" mean for ${field}?`, {
      field,
      said: cell.slice(0, 100),
    })
  return meant
}

function conditionOf(cell: string): Condition | null {
  const said = statesIn(wordsOf(plainText(cell)))
  return said.reduce<Condition | null>((worst, { condition }) => worse(worst, condition), null)
}

function mannerOf(cell: string): Manner | null {
  const words = wordsOf(plainText(cell))
  if (wordsFor('auction').has(words)) return 'auction'
  if (wordsFor('pickup').has(words) || words.some(({ word }) => word === 'local')) return 'local'
  return wordsFor('fixedPrice').has(words) ? 'fixed' : null
}
