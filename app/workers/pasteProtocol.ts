import type { Part } from '#core/parts/part'
import type { PasteKind } from '#core/reading/pastes/kindOf'
import type { AsksRead } from '#core/reading/asks/readAsks'
import type { OfferRead } from '#core/reading/listings/offer'
import type { SalesOf } from '#core/pricing/proposals/salesOf'
import type { SalesContext, SalesRead } from '#core/reading/sales/saleRead'
import type { ScoresRead } from '#core/reading/scores/readScores'
import type { SpecRead } from '#core/reading/specs/readSpec'

/** What the page and the paste worker say to each other. */
export interface PasteQuestion {
  readonly text: string
  readonly today: string
  readonly currency: string
  readonly dayFirst?: boolean
  readonly decimalMark?: '.' | ','
  /** What words of a table mean, as said once. */
  readonly values?: SalesContext['values']
  readonly library: readonly Part[]
}

/** A row of a table of scores, and the part its name means; several where the name fits more than one. */
export interface ScoreOf {
  readonly partIds: readonly string[]
}

export interface PasteReading {
  readonly kind: PasteKind
  readonly why: string
  /** The text whose lines the readings count: of the source of a page, what is seen of it. */
  readonly seen: string
  readonly sales: SalesRead
  readonly of: readonly SalesOf[]
  readonly specs: readonly SpecRead[]
  readonly offer: OfferRead
  readonly asks: AsksRead
  /** One for each ask: what its text says. */
  readonly offersOf: readonly OfferRead[]
  readonly scores: ScoresRead
  /** One for each row of the scores. */
  readonly scoresOf: readonly ScoreOf[]
}

export interface PasteWorker {
  read(question: PasteQuestion): PasteReading
}
