import type { PasteKindRecord } from '../pasteKind'

/** A file that Tarvin wrote: its JSON names its own format. It is opened, not read. */
export const file: PasteKindRecord<null> = {
  label: 'a Tarvin file',
  claim: ({ plain }) => (/^[[{]/.test(plain) && plain.includes('"format"') ? 100 : 0),
  read: () => null,
}
