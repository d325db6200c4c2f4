import type { Part, PartFacts, Role } from '../../parts/part'
import type { CalendarDate } from '../../time/calendarDate'
import type { Condition } from '../sales/soldRecord'
import type { TitleReader } from '../titles/partsInTitle'
import type { DefectName, PieceName } from './listingWords'

export type Works = 'yes' | 'no' | 'doubtful' | 'unknown'

/** A fact of a thing: stated only where the text states it. */
export interface OfferFact {
  readonly value: string | number | boolean | readonly string[]
  readonly certainty: 'stated' | 'deduced'
}

/** One thing of a listing. */
export interface OfferThing {
  readonly partId: string | null
  readonly role: Role | null
  /** The words that name it. */
  readonly words: string
  readonly quantity: number
  /** For one piece, decimal text; null where it has no price of its own. */
  readonly price: string | null
  readonly works: Works
  readonly facts: Readonly<Partial<Record<keyof PartFacts, OfferFact>>>
}

/** What a listing says, all its fields null or empty where it does not. */
export interface OfferRead {
  /** For all things together, decimal text. */
  readonly price: string | null
  readonly priceCurrency: string | null
  readonly shipping: string | null
  readonly condition: Condition | null
  readonly listedOn: CalendarDate | null
  readonly place: string | null
  readonly distanceKm: number | null
  readonly things: readonly OfferThing[]
  readonly works: Works
  readonly includes: readonly PieceName[]
  readonly lacks: readonly PieceName[]
  readonly defects: readonly DefectName[]
}

export interface OfferContext {
  readonly today: CalendarDate
  readonly currency: string
  readonly library: readonly Part[]
  readonly reader: TitleReader
}

/** A thing as it is found in a text. */
export interface Found {
  readonly partId: string | null
  readonly role: Role | null
  readonly words: string
  readonly quantity: number
  readonly facts: OfferThing['facts']
  /** The piece of text that names it. */
  readonly start: number
  readonly end: number
}
