import { isCurrency } from '../../money/currencies'
import type { Currency } from '../../money/money'
import { plainText, wordsOf } from '../../text/plainText'
import { findAmounts, marksOf, readFigure, type Marks } from '../amounts/findAmounts'
import { dayFirstOf, findDate } from '../dates/findDate'
import { wordsFor } from '../words/allWords'
import { freeWords } from './lines/readLine'
import { zeroOf } from './readBlocks'
import type { SaleRead, SalesContext, SalesProblem, SalesProblemCode, SalesRead } from './saleRead'
import { wordsIn, type Field } from './salesHeaders'
import type { SalesTable } from './salesTable'
import { conditionOf, mannerOf } from './salesWords'
import { conditions, manners } from './soldRecord'
import { saysUnsold } from './unsold'
import { stateOfTitle, worse } from './stateOf'

/** Reads the rows of a table of past sales. */
export function readSalesTable({ rows, column, currency }: SalesTable, context: SalesContext): SalesRead {
  const cellOf = (cells: readonly string[], field: Field) => {
    const at = column.get(field)
    return at === undefined ? '' : (cells[at] ?? '').trim()
  }
  const prices = rows.flatMap(({ cells }) => [cellOf(cells, 'price'), cellOf(cells, 'shipping')])
  const table: TableContext = {
    ...context,
    stated: currency,
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
    if (title === '' || cells.some(saysUnsold)) {
      say('unread', title === '' ? 'no title' : 'not sold')
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
  /** Of the amounts of the table, where its header says so. */
  readonly stated: Currency | null
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
  const stated = isCurrency(said) ? said : context.stated
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
    say('hidden-price', 'price paid is not shown')
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
    say(isRange ? 'range' : 'several-prices', isRange ? 'price range' : 'several prices')
    return none
  }
  if (amount.value === null) say('ambiguous', 'thousands separator or three decimals?')
  if (amount.sign !== null && amount.currency === null && currency === null)
    say('ambiguous', `"${amount.sign}" is not a ${home} sign: which currency is it?`)
  if (isPrice && /^-|\(/.test(cell)) {
    say('no-price', 'below 0')
    return none
  }
  return { value: amount.value, currency: amount.currency }
}

function readShipping(cell: string, currency: string, context: TableContext, say: Say): string | null {
  if (cell === '') return null
  const words = wordsOf(plainText(cell))
  if (wordsFor('freeShipping').has(words) || wordsFor('pickup').has(words) || freeWords.at(words, 0) !== null)
    return zeroOf(currency)
  if (!/\d/.test(cell)) return null
  return readAmount(cell, currency, context, say, false).value
}

function readDay(cell: string, context: TableContext, say: Say): string | null {
  if (cell === '') {
    say('no-date', 'no sale date')
    return null
  }
  const date = findDate(cell, context)
  if (!date) say('bad-date', `"${cell.slice(0, 30)}" is not a date`)
  else if (date.problem === 'ambiguous') say('ambiguous', 'day or month first?')
  else if (date.problem === 'future-date') say('future-date', 'this date is in the future')
  else if (date.problem !== null) say('bad-date', 'this date does not exist')
  return date?.date ?? null
}

function readQuantity(cell: string, say: Say): number | null {
  if (cell === '') return null
  const value = Number(cell.replace(/\s?(pcs|x|st|stk)\.?$/i, ''))
  if (Number.isInteger(value) && value >= 1 && value <= 10_000) return value
  say('unknown-value', `"${cell.slice(0, 20)}" is not a quantity`)
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
  const given = Object.entries(values?.[field] ?? {}).find(([word]) => wordsIn(word) === wordsIn(cell))?.[1]
  const own = ours.find((each) => each === (given ?? wordsIn(cell)))
  if (own) return own
  const meant = known(cell)
  if (meant === null)
    say('unknown-value', `what does "${cell.slice(0, 40)}" mean for ${field}?`, {
      field,
      said: cell.slice(0, 100),
    })
  return meant
}
