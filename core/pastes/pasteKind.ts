import type { PasteSeen } from './pasteSeen'

/**
 * One kind of paste: what it is called, how it is known, and what is read of it. Its preview is the component
 * `Pasted<Name>.vue` of the place; what it leaves behind is kept by the sections of the server.
 */
export interface PasteKindRecord<Read> {
  /** As the sheet and its list of kinds call it. */
  readonly label: string
  /**
   * How strongly a paste speaks for this kind, 0 (not at all) to 100 (it says so itself). The strongest claim wins;
   * a text may change it by hand.
   */
  claim(seen: PasteSeen): number
  /** What is understood of it as this kind, whatever it was taken for. */
  read(seen: PasteSeen): Read
}
