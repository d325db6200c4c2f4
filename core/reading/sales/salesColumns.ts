import { phrases } from '../../text/phrases'
import { plainText, wordsOf } from '../../text/plainText'
import { findAmounts, type Marks } from '../amounts/findAmounts'
import { findDate } from '../dates/findDate'
import { freeWords } from './lines/readLine'
import type { SalesContext } from './saleRead'
import type { Field } from './salesHeaders'
import { wordsFor } from '../words/allWords'
import { PhraseSet } from '../words/phraseSet'
import { conditionOf, mannerOf } from './salesWords'

type Cells = readonly (readonly string[])[]

/**
 * The columns of a table as its headers name them, put right by what stands in them: a column of dates is no price,
 * whatever it is called, and a title, a price or a day of sale that no header names is the column that looks like one.
 */
export function checkedColumns(
  named: ReadonlyMap<Field, number>,
  header: readonly string[],
  rows: Cells,
  context: SalesContext,
): Map<Field, number> {
  const looks = looksOf(rows, context)
  const columns = new Map(named)
  const drop = (field: Field, isWrong: (at: number) => boolean) => {
    const at = columns.get(field)
    if (at !== undefined && isWrong(at)) columns.delete(field)
  }
  drop('price', (at) => looks.dates(at) > 0.5)
  drop('soldOn', (at) => looks.dates(at) < 0.2 && looks.amounts(at) + looks.words(at) > 0.8)
  drop('title', (at) => looks.dates(at) > 0.5 || looks.amounts(at) > 0.8)
  if (columns.size === 0) return columns
  const free = () => [...header.keys()].filter((at) => ![...columns.values()].includes(at))
  const fill = (field: Field, at: number | undefined) => {
    if (!columns.has(field) && at !== undefined) columns.set(field, at)
  }
  const none = named.has('title') && named.has('price') && named.has('soldOn')
  if (none && columns.size === named.size) return columns
  fill(
    'soldOn',
    free().find((at) => looks.dates(at) >= 0.8 && !saysListed(header[at]!)),
  )
  fill('price', likeliestPrice(free(), columns.has('soldOn'), looks))
  fill(
    'title',
    longestOf(
      free().filter((at) => looks.words(at) >= 0.8),
      rows,
    ),
  )
  return columns
}

/** The day on which a thing was put up is not the day on which it was sold. */
const listed = new PhraseSet(
  phrases(`
    listed, posted, added, updated, created, start, started, seen, since, eingestellt, online, publie, publiee, ajoute,
    publicado, publicada, anadido, inlagd, upplagd, startdatum
  `),
)
const saysListed = (cell: string) => listed.has(wordsOf(plainText(cell)))

/** Money is written with a sign or decimals; a count is not, so that it is a price only beside a day of sale. */
function likeliestPrice(free: readonly number[], isDated: boolean, looks: Looks): number | undefined {
  const amounts = free.filter((at) => looks.amounts(at) >= 0.8)
  return amounts.find((at) => looks.money(at) >= 0.5) ?? (isDated ? amounts[0] : undefined)
}

/** What the columns hold, of a table without a header: one of dates, one of amounts, the longest of words. */
export function byContent(rows: Cells, width: number, context: SalesContext): Map<Field, number> | null {
  const looks = looksOf(rows, context)
  const columns = Array.from({ length: width }, (_, at) => at)
  const soldOn = columns.find((at) => looks.dates(at) >= 0.8)
  const amounts = columns.filter((at) => at !== soldOn && looks.amounts(at) >= 0.8)
  const money = amounts.filter((at) => looks.money(at) >= 0.5)
  // a count or a number of the row is no amount beside amounts with signs or decimals
  const [price, second] = money.length > 0 ? money : amounts
  const shipping =
    columns.find(
      (at) => at !== soldOn && at !== price && looks.shipping(at) >= 0.8 && !amounts.includes(at),
    ) ??
    second ??
    amounts.find((at) => at > price!)
  const words = columns.filter((at) => ![soldOn, shipping, ...amounts].includes(at) && looks.words(at) >= 0.8)
  const others = words.filter((at) => looks.share(at, (cell) => /\d/.test(cell)) < 0.8)
  const condition = others.find(
    (at) => looks.share(at, (cell) => cell === '' || conditionOf(cell) !== null) >= 0.8,
  )
  const manner = others.find(
    (at) =>
      at !== condition && looks.share(at, (cell) => /^[-–—]?$/.test(cell) || mannerOf(cell) !== null) >= 0.8,
  )
  const title = longestOf(
    words.filter((at) => at !== condition && at !== manner && looks.share(at, isLink) < 0.5),
    rows,
  )
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

const isLink = (cell: string) => /^https?:\/\//.test(cell)

interface Looks {
  share(at: number, fits: (cell: string) => boolean): number
  dates(at: number): number
  amounts(at: number): number
  money(at: number): number
  words(at: number): number
  shipping(at: number): number
}

const noMarks: Marks = { seenAsDecimal: new Set() }

/** Which share of the cells of a column looks like a date, an amount, words. */
function looksOf(rows: Cells, { today, currency }: SalesContext): Looks {
  const share = (at: number, fits: (cell: string) => boolean) =>
    rows.filter((cells) => fits(cells[at] ?? '')).length / Math.max(1, rows.length)
  const isDate = (cell: string) => {
    const date = findDate(cell, { today })
    return date !== null && date.end - date.start >= 0.5 * cell.trim().length
  }
  const isAmount = (cell: string) =>
    /^[^\p{L}]*\d[\d.,' ]*[^\p{L}]{0,3}$|^\D{0,4}\d[\d.,' ]*\s?\p{L}{0,3}$/u.test(cell.trim()) &&
    !isDate(cell) &&
    findAmounts(cell, currency, noMarks).length === 1
  return {
    share,
    dates: (at) => share(at, isDate),
    amounts: (at) => share(at, isAmount),
    money: (at) => share(at, (cell) => isAmount(cell) && /[.,]\d\d\b|\p{Sc}/u.test(cell)),
    shipping: (at) => share(at, (cell) => isAmount(cell.replace(/^\+/, '')) || saysShipping(cell)),
    words: (at) => share(at, (cell) => /\p{L}{3}/u.test(cell) && !isDate(cell) && !isAmount(cell)),
  }
}

/** `free`, `pickup`, `+ $10 ship`. */
function saysShipping(cell: string): boolean {
  const words = wordsOf(plainText(cell))
  return (
    (words.length <= 4 &&
      (['shipping', 'freeShipping', 'pickup'] as const).some((name) => wordsFor(name).has(words))) ||
    freeWords.at(words, 0) !== null
  )
}

function longestOf(columns: readonly number[], rows: Cells): number | undefined {
  const lengthOf = (at: number) => rows.reduce((sum, cells) => sum + (cells[at]?.length ?? 0), 0)
  return [...columns].sort((a, b) => lengthOf(b) - lengthOf(a))[0]
}
