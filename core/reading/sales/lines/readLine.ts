import { phrases } from '../../../text/phrases'
import type { Currency } from '../../../money/money'
import type { Amount, Marks } from '../../amounts/findAmounts'
import type { DateContext, FoundDate } from '../../dates/findDate'
import { PhraseSet } from '../../words/phraseSet'
import type { PlainWord } from '../../../text/plainText'
import type { Condition, Manner } from '../soldRecord'

/** What a line of a page of results says, as a whole: all its words belong to one class, else it is (part of) a title. */
export interface ReadLine {
  readonly line: number
  readonly raw: string
  readonly kind: 'date' | 'price' | 'hidden' | 'bare' | 'shipping' | 'manner' | 'state' | 'about' | 'title'
  readonly date?: FoundDate
  readonly price?: LinePrice
  /** Decimal text; null where it says that it is not known. */
  readonly shipping?: Amount | 'free' | null
  readonly manner?: Manner
  readonly condition?: Condition
  readonly isSold: boolean
  readonly isEach?: boolean
  /** A price or a day by a label that may mean another: it counts where the page states none that is sure. */
  readonly isUnsure?: boolean
  readonly quantity?: number
}

/** The price of a line, or why there is none. */
export interface LinePrice {
  readonly amount: Amount | null
  readonly problem: 'range' | 'several-prices' | 'hidden-price' | 'ambiguous' | null
}

export interface LineContext extends DateContext {
  readonly home: Currency
  readonly marks: Marks
}

/** Words that say nothing by themselves. */
export const neutral = new PhraseSet(
  phrases(`
  a, the, or, or best, it, and, x, est, estimated, standard, economy, tracked, international, to,
  in, is, of, cost, costs, type, typ, format, possible, available, disponible, moglich, mojlig,
  mojligt, posible, from, fran, ab, des, desde, calculated, total, local, incl, best, oder, ou, o,
  eller, condition, zustand, etat, estado, skick, state, item condition, per, order, exp, by, via,
  buyer, paid, charged, extra, additional, number, no, nr, last, was, after, excl, exkl, excluding,
  pour, la, fur, den, para, el, anzahl, antal, nombre, numero, not, specified, tillkommer, ingar,
  offerts, offert
`),
)
/** Said of shipping, nothing is to be paid for it. */
export const freeWords = new PhraseSet(
  phrases(`
    free, gratis, kostenlos, gratuit, gratuite, gratuits, fri, frei, offert, offerte, offerts, inclus, incluse, compris, incluido,
    incluidos, included, incl, inkl, ingar, none
  `),
)

/** What every line is: where it stands, as it stands, and whether it says that something was sold. */
export type Base = Pick<ReadLine, 'line' | 'raw' | 'isSold'>

/** The words outside of what was found among them. */
export function outside(
  words: readonly PlainWord[],
  spans: readonly { start: number; end: number }[],
): PlainWord[] {
  return words.filter((word) => !spans.some((span) => word.start < span.end && word.end > span.start))
}
