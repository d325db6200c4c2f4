/**
 * What a language says in listings and on pages of results. Words are lower case, without accents, as `plainText`
 * leaves them; several words are one entry. To teach Tarvin a word, add it to its language.
 */
export interface LanguageWords {
  /** Names of the months and their short forms, January first. */
  readonly months: readonly (readonly string[])[]
  readonly today: readonly string[]
  readonly yesterday: readonly string[]
  /** Before or after a count of `units`: that long ago. */
  readonly ago: readonly string[]
  readonly units: {
    readonly hour: readonly string[]
    readonly day: readonly string[]
    readonly week: readonly string[]
    readonly month: readonly string[]
    readonly year: readonly string[]
  }
  /** What stands beside a date without saying more: days of the week, `sold on`, `at`. */
  readonly besideDate: readonly string[]
  /** Says that something was sold, beside a date or not. */
  readonly sold: readonly string[]
  readonly shipping: readonly string[]
  readonly freeShipping: readonly string[]
  /** Picked up, not sent. */
  readonly pickup: readonly string[]
  /** Import charges and other money that is not shipping. */
  readonly importCharges: readonly string[]
  /** Beside a price, without changing it. */
  readonly besidePrice: readonly string[]
  /** Before an amount: it is not what was paid. */
  readonly notThePrice: readonly string[]
  /** Before an amount: it is what was paid, whatever else stands there. */
  readonly nowPrice: readonly string[]
  /** Stands in place of a price: the amount is not shown. */
  readonly hiddenPrice: readonly string[]
  readonly each: readonly string[]
  readonly auction: readonly string[]
  readonly fixedPrice: readonly string[]
  readonly state: {
    readonly new: readonly string[]
    readonly opened: readonly string[]
    readonly refurbished: readonly string[]
    readonly used: readonly string[]
    readonly damaged: readonly string[]
  }
  /** Said before a word, it denies it; said after it, it was put right. */
  readonly denies: readonly string[]
  readonly putRight: readonly string[]
  /** A line that begins so tells of the seller, the place, the page: no title. */
  readonly aboutSeller: readonly string[]
  /** Lines of a page that say nothing of the thing. */
  readonly pageNoise: readonly string[]
  /** What a page of a shop says beside each of its things. */
  readonly shopPage: readonly string[]
  /** Says that a price is asked for, not that it was paid. */
  readonly asked: readonly string[]
  /** Heads a column of scores. */
  readonly scoreColumn: readonly string[]
  /** An advertisement of somebody who wants or swaps. */
  readonly wanted: readonly string[]
  /** A whole machine that is sold with the part in it. */
  readonly machine: readonly string[]
  readonly includes: readonly string[]
  readonly joins: readonly string[]
  readonly forThe: readonly string[]
  readonly choice: readonly string[]
}
