import type { PasteKindRecord } from '../pasteKind'

/** What no kind speaks for: told what was seen in it, and what to do. */
export const nothing: PasteKindRecord<string> = {
  label: 'unknown text',
  claim: () => 1,
  read: ({ plain }) =>
    plain === ''
      ? 'nothing pasted: copy a page of results, a listing or a spec sheet first'
      : `${plain.split('\n').length} lines without a price, a sale date or a spec: copy the whole block, from title to price`,
}
