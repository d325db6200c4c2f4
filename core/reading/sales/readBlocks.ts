import type { Amount } from '../amounts/findAmounts'
import { minorDigits } from '../../money/currencies'
import { PhraseSet } from '../words/phraseSet'
import { plainText, wordsOf } from '../../text/plainText'
import { groupBlocks, titleOf, type Block, type LineInPage } from './groupBlocks'
import { lineContextOf, linesOf, mostLines } from './lines/linesOf'
import type { LineContext, ReadLine } from './lines/readLine'
import type { SaleRead, SalesContext, SalesProblem, SalesProblemCode, SalesRead } from './saleRead'
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
      message: `only the first ${mostLines.toLocaleString('en')} lines are read: paste the rest separately`,
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
              ? 'no date, unlike the others: treated as an advertisement'
              : title === ''
                ? 'no title for this line'
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

const tellsOfSale: ReadonlySet<ReadLine['kind']> = new Set(['price', 'bare', 'hidden', 'date'])

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
    say(priceLine!, 'ambiguous', `"${amount.sign}" is not a ${home} sign: which currency is it?`)
  const dateLines = block.filter(({ kind }) => kind === 'date')
  const date = dateLines[0]?.date
  if (!date) say(first, 'no-date', 'no sale date')
  else if (date.problem !== null) say(dateLines[0]!, date.problem, dateWords[date.problem])
  else if (isOpen) say(dateLines[0]!, 'ambiguous', 'is the date above or below its title?')
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
  'bad-date': 'this date does not exist',
  'future-date': 'this date is in the future',
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
    say(hidden, 'hidden-price', 'price paid is not shown')
    return { amount: null, line: null }
  }
  const paid = lines.filter((each) => !total.has(wordsOf(plainText(each.raw))))
  const [line, ...others] = paid.length > 0 ? paid : lines
  if (!line) {
    const bare = block.find((each) => each.kind === 'bare')
    say(bare ?? first, 'no-price', 'no price with a currency sign or word')
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
  range: 'price range: which price was paid?',
  'several-prices': 'several prices, and it is not clear which was paid',
  'hidden-price': 'price paid is not shown',
  ambiguous: 'thousands separator or three decimals?',
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
