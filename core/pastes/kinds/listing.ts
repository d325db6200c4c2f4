import { amountsOf } from '../../reading/listings/listingMoney'
import type { OfferRead } from '../../reading/listings/offer'
import { readOffer } from '../../reading/listings/readOffer'
import type { PasteKindRecord } from '../pasteKind'

/** One thing, or one lot, offered at a price. */
export const listing: PasteKindRecord<OfferRead> = {
  label: 'a listing',
  claim: ({ plain, context }) => (asksSomething(plain.slice(0, 20_000), context.currency) ? 30 : 0),
  read: ({ text, offer }) => readOffer(text.slice(0, 200_000), offer),
}

/** An amount with a sign, or a figure with a word of price beside it. */
function asksSomething(text: string, currency: string): boolean {
  return amountsOf(text, currency).some(
    ({ kind, sure, amount }) => !amount.isBare || (kind === 'price' && sure === 3),
  )
}
