import type { PasteKind } from '#core/pastes/kinds'
import type { PasteContext } from '#core/pastes/pasteSeen'
import type { PasteReading } from '#core/pastes/readPaste'

/** What the page and the paste worker say to each other. */
export interface PasteQuestion extends PasteContext {
  readonly text: string
  /** What the builder has said it is; left out: what it is taken for. */
  readonly as?: PasteKind | undefined
}

export interface PasteWorker {
  read(question: PasteQuestion): PasteReading
}
