import type { AsksRead } from '../../reading/asks/readAsks'
import type { OfferRead } from '../../reading/listings/offer'
import { readOffer } from '../../reading/listings/readOffer'
import { wordsFor } from '../../reading/words/allWords'
import { plainText, wordsOf } from '../../text/plainText'
import type { PasteKindRecord } from '../pasteKind'
import type { PasteSeen } from '../pasteSeen'

/** The asks of a page, and what the text of each says. */
export interface AsksOfPaste {
  readonly asks: AsksRead
  readonly offersOf: readonly OfferRead[]
}

/** Several listings on one page. */
export const listings: PasteKindRecord<AsksOfPaste> = {
  label: 'several listings',
  claim: (seen) => (seen.asks.isPage && (seen.sales.kind === 'table' || seen.stated < 4) ? 50 : 0),
  read: readAsksOf,
}

/** As many leads, or prices of a shop, fit one paste. */
const mostAsks = 200

export function readAsksOf({ asks, offer }: PasteSeen): AsksOfPaste {
  const first = asks.asks.slice(0, mostAsks)
  return { asks: { ...asks, asks: first }, offersOf: first.map(({ text }) => readOffer(text, offer)) }
}

/** A page that says what is asked, and nowhere that something was sold. */
export function areAsks(text: string): boolean {
  const words = wordsOf(plainText(text.slice(0, 50_000)))
  return wordsFor('asked').has(words) && !wordsFor('sold').has(words)
}
