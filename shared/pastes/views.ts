/** What came of a paste that was kept. */
export interface PasteKept {
  readonly paste: number
  readonly added: number
  readonly alreadyThere: number
  readonly parts: readonly string[]
  readonly leadIds: readonly string[]
}
