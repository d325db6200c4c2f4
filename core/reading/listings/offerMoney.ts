import { minorDigits } from '../../money/currencies'
import { plainText, wordsOf } from '../../text/plainText'
import { wordsFor } from '../words/allWords'
import type { SaidAmount } from './listingMoney'
import type { Found } from './offer'

/** Whether an amount stands on the line of a thing, behind it and before the next. */
export function belongs(text: string, { start }: SaidAmount, thing: Pick<Found, 'start'>): boolean {
  const lineEnd = text.indexOf('\n', thing.start)
  return start >= thing.start && start < (lineEnd < 0 ? text.length : lineEnd)
}

/** `Quill 70 or Stook 640, you choose`: one of several. */
export function isOneOf(text: string, found: readonly Found[]): boolean {
  const plain = plainText(text)
  const [first, second] = [found[0]!, found[1]!]
  const between = plain.slice(Math.min(first.end, second.start), second.start)
  return /\b(or|oder|ou|eller)\b/.test(plain.slice(first.start, second.end)) &&
    /\b(or|oder|ou|eller)\b|^\s*$/.test(between) &&
    !/\b(and|und|et|och|both)\b/.test(between)
    ? true
    : /\b(only one of them|you choose|choose one|pick one|either)\b/.test(plain)
}

interface Money {
  readonly price: string | null
  readonly currency: string | null
  readonly perThing: ReadonlyMap<Found, string>
}

const together =
  /\b(for (everything|all|both|the (lot|set|pair|bundle))|for the (two|three|four)|together|takes (both|all|everything)|all together|zusammen|ensemble|tillsammans|in total|altogether)\b/

/** The price of all things together, and of each where each has its own; what is conditional is not the price. */
export function priceOf(
  text: string,
  said: readonly SaidAmount[],
  found: readonly Found[],
  isChoice: boolean,
  home: string,
): Money {
  const prices = said
    .filter((each) => each.kind === 'price' || each.kind === 'each')
    .filter((each) => !isConditional(text, each))
  const perThing = new Map<Found, string>()
  const each = prices.find((price) => price.kind === 'each')
  const currency = (each ?? prices[0])?.currency ?? null
  const [only] = found
  const plain = plainText(text)
  // the words behind an amount, up to the next
  const behind = ({ end }: SaidAmount) =>
    plain.slice(end, Math.min(end + 24, ...said.filter(({ start }) => start > end).map(({ start }) => start)))
  const whole = prices.find((price) => together.test(behind(price)))
  if (each && found.length === 1 && each.amount.value !== null) {
    perThing.set(only!, each.amount.value)
    const price = whole?.amount.value ?? times(each.amount.value, only!.quantity, each.currency ?? home)
    return { price, currency, perThing }
  }
  if (found.length > 1 && !whole) {
    for (const thing of found) {
      const own = prices
        .filter((price) => belongs(text, price, thing))
        .find((price) => isNearest(price, thing, found))
      if (own?.amount.value) perThing.set(thing, own.amount.value)
    }
    if (perThing.size >= 2 && perThing.size === found.length)
      return {
        price: isChoice
          ? null
          : sum(
              [...perThing].map(([thing, value]) => times(value, thing.quantity, currency ?? home)),
              currency!,
            ),
        currency,
        perThing,
      }
    perThing.clear()
  }
  if (isChoice) return { price: null, currency, perThing }
  const best = whole ?? mostSure(prices)
  return { price: best?.amount.value ?? null, currency: best?.currency ?? null, perThing }
}

/** Of several amounts the one surest to be the price; of as sure ones the first, unless one was before and one is now. */
function mostSure(prices: readonly SaidAmount[]): SaidAmount | undefined {
  const most = Math.max(0, ...prices.map((price) => price.sure))
  return prices.find((price) => price.sure === most)
}

/** The thing that stands closest before an amount is the one it is for. */
function isNearest(price: SaidAmount, thing: Found, found: readonly Found[]): boolean {
  const before = found.filter((each) => each.start <= price.start)
  return (
    before.reduce<Found | null>(
      (last, each) => (last === null || each.start > last.start ? each : last),
      null,
    ) === thing
  )
}

/** `if you take both I make it 120`, `10 off if …`: not the price. */
function isConditional(text: string, { start, end }: SaidAmount): boolean {
  const plain = plainText(text)
  const from = Math.max(plain.lastIndexOf('\n', start), plain.lastIndexOf('. ', start), 0)
  const line = plain.slice(from, plain.indexOf('\n', end) < 0 ? undefined : plain.indexOf('\n', end))
  return /\bif (you|both|taken)\b|\bwenn\b.*\bnimm|\bsi (vous|tu) pren|\bom du tar/.test(line)
}

function times(value: string, count: number, currency: string): string {
  return toText(Math.round(Number(value) * count * 10 ** minorDigits(currency)), currency)
}

function sum(values: readonly string[], currency: string): string {
  const unit = 10 ** minorDigits(currency)
  return toText(
    values.reduce((total, value) => total + Math.round(Number(value) * unit), 0),
    currency,
  )
}

function toText(minor: number, currency: string): string {
  const places = minorDigits(currency)
  return (minor / 10 ** places).toFixed(places)
}

/** `$98 shipped`, but not `+ $10 shipped`, nor `shipped in a box`. */
const shipped = /(?<!\+ ?\p{Sc}? ?[\d.,]+ ?\p{Sc}? ?)\bshipped\b(?! (?:in|with))/u
/** What shipping is said to cost; `shipped` and its kind are nothing to pay. */
export function shippingOf(text: string, said: readonly SaidAmount[], currency: string): string | null {
  const words = wordsOf(plainText(text))
  if (wordsFor('freeShipping').has(words) || shipped.test(plainText(text))) return toText(0, currency)
  return said.find((each) => each.kind === 'shipping')?.amount.value ?? null
}
