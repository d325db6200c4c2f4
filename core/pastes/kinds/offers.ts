import type { PasteKindRecord } from '../pasteKind'
import { readAsksOf, type AsksOfPaste } from './listings'

/** What a shop asks, a row for each thing. */
export const offers: PasteKindRecord<AsksOfPaste> = {
  label: 'shop prices',
  claim: ({ asks }) => (asks.isPage && asks.isShop ? 70 : 0),
  read: readAsksOf,
}
