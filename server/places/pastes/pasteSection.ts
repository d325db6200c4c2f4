import type { Queryable } from '#server/db/client'
import type { PasteInput, PasteMade } from '#shared/pastes/schemas'

/** What every section of a paste knows of the whole. */
export interface PasteBeingKept {
  readonly input: PasteInput
  /** Its import: what it makes can be told from it. */
  readonly paste: number
  /** The source that the paste names; null: none. */
  readonly source: { readonly id: string; readonly isNew: boolean } | null
  readonly today: string
}

/** One sort of thing that a paste leaves behind: how it is kept, and how it is taken back. */
export interface PasteSection<Name extends keyof PasteMade> {
  /** @returns what `takeBack` needs to know, stored with the import */
  keep(tx: Queryable, kept: PasteBeingKept): Promise<PasteMade[Name]>
  /** Leaves alone what was changed by hand since, refuses what is used by now. */
  takeBack(tx: Queryable, made: PasteMade[Name], paste: number): Promise<void>
}
