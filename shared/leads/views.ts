import type { Role } from '#core/parts/part'
import type { Answer, LeadFact } from '#core/reading/listings/completeness'
import type { Condition, Manner } from '#core/reading/sales/soldRecord'
import type { HaggleSheet } from '#core/supply/haggle/haggleSheet'
import type { RebateState } from '#core/supply/landed/rebates'
import type { TradeInSheet } from '#core/supply/landed/tradeIn'
import type { LeadValue } from '#core/supply/leads/valueLead'
import type { FaultSign, Protection } from '#core/supply/risk/faultRisk'
import type { LeadShow } from './inbox'
import type { TripView } from '../ledger/views'
import type { PriceBrief } from '../prices/views'

export interface LeadView {
  readonly id: string
  /** Its number at the source. */
  readonly externalId: string
  readonly title: string
  readonly sourceId: string
  readonly sourceName: string
  readonly url: string
  readonly place: string
  readonly note: string
  readonly condition: Condition
  readonly manner: Manner
  readonly listedOn: string
  readonly endsOn: string | null
  readonly state: 'open' | 'bought' | 'gone' | 'passed'
  /** What was agreed with its seller, minor units of its currency, and until when it holds; null where nothing holds. */
  readonly agreed: { readonly amount: number; readonly until: string | null } | null
  /** Day it was found gone at its source; its price is then its last ask. */
  readonly vanishedOn: string | null
  /** Its parts were read from the title and nobody has said yes to them. */
  readonly tieDeduced: boolean
  /** First ask of a listing whose ask changed since, in its own currency; null otherwise. */
  readonly firstAsk: number | null
  readonly currency: string
  readonly things: readonly {
    readonly partId: string
    readonly name: string
    readonly role: Role
    readonly quantity: number
    readonly plan: 'keep' | 'resell' | 'discard'
    readonly street: number | null
    readonly effectiveCost: number | null
    readonly netResale: number
  }[]
  readonly value: LeadValue
  readonly marks: PriceBrief['marks']
  /** Build this lead is chosen in, if any: choice id. */
  readonly choiceId: string | null
  /** House rules it breaks, in words. */
  readonly breaches: readonly string[]
  readonly passReason: string
  readonly facts: readonly LeadFact[]
  readonly signs: readonly {
    readonly sign: FaultSign
    readonly quote: string
    readonly by: 'listing' | 'builder'
  }[]
  readonly protection: Protection
  /** Ask under which it is a warning; null with too few comps. */
  readonly tooCheapBelow: number | null
  readonly same: {
    readonly earlierId: string
    readonly earlierTitle: string
    readonly kind: 'double' | 'listed-again'
    readonly change: number | null
  } | null
  readonly askedOn: string | null
  /** Days the seller has owed a word; null where nothing is awaited. */
  readonly waiting: number | null
  readonly isSilent: boolean
  readonly tripId: string | null
  /** What is put in its place where it is chosen and gone. */
  readonly substitutes: readonly {
    readonly id: string
    readonly title: string
    readonly more: number
    readonly change: number | null
  }[]
  readonly rebates: readonly LeadRebateView[]
  /**
   * What a donor lacks for the brief: roles it does not fill, and what its fit check asks for; with the cheapest that
   * fills it. Null where nobody knows what is in it.
   */
  readonly lacks: readonly { readonly what: string; readonly cost: number | null }[] | null
  readonly photos: readonly { readonly id: string; readonly arrival: boolean }[]
}

export interface LeadRebateView {
  readonly id: string
  readonly kind: string
  readonly amount: number
  readonly claimBy: string
  readonly expectedBy: string | null
  readonly state: RebateState
  readonly proof: string
  /** Whether the household has had its share of the campaign already. */
  readonly isBeyond: boolean
  /** Trade-in against selling it oneself, in the build's currency. */
  readonly tradeIn: (TradeInSheet & { readonly name: string }) | null
}

/** The inbox of a build. */
export interface LeadInboxView {
  readonly trips: readonly TripView[]
  /** The first of those that are shown. */
  readonly leads: readonly LeadView[]
  /** How many are shown in all. */
  readonly total: number
  readonly counts: Readonly<Record<LeadShow, number>>
  /** Leads whose currency has no rate into the build's. */
  readonly unvalued: readonly {
    readonly id: string
    readonly title: string
    readonly reason: string
    readonly from: string
    readonly to: string
  }[]
}

/** What a note from the door changed, and how it was before. */
export interface DoorAnswered {
  readonly leadId: string
  readonly title: string
  readonly answered: number
  readonly before: Readonly<Record<string, Answer | null>>
  readonly offerId: string | null
}

/** The haggle sheet of a lead. Amounts of the sheet in the lead's currency, the alternative in the build's. */
export interface HaggleView extends HaggleSheet {
  readonly leadId: string
  readonly currency: string
  readonly buildCurrency: string
  readonly ask: number
  readonly askedBy: 'listing' | 'counter-offer'
  /** Expected cost at the ask, once the rest is sold, in the build's currency. */
  readonly costAtAsk: number
  /** The kept things at their patient price, or the best other lead where that is lower, in the build's currency. */
  readonly patient: number | null
  readonly alternative: {
    readonly amount: number
    readonly what: string
    readonly leadId: string | null
  } | null
  readonly asks: readonly { readonly day: string; readonly ask: number }[]
  readonly log: readonly {
    readonly id: string
    readonly by: 'me' | 'seller'
    readonly amount: number | null
    readonly day: string
    readonly note: string
  }[]
  readonly combinations: readonly {
    readonly titles: readonly string[]
    readonly cost: number
    readonly left: number
    readonly worth: number | null
  }[]
  /** Of an auction: the most to bid on it and on the later ones; null for what is none. */
  readonly bids: BidsView | null
}

/** Auctions of one part that end one after another. Amounts of the build's currency where none other is named. */
export interface BidsView {
  readonly rungs: readonly {
    readonly leadId: string
    readonly title: string
    readonly endsOn: string
    readonly currency: string
    /** What it stands at, and the most to bid, minor units of its currency; null where it is dearer than waiting. */
    readonly standsAt: number
    readonly bid: number | null
    readonly chance: number
  }[]
  /** What one is expected to cost by bidding so, the chance to win one, and what it costs otherwise. */
  readonly expected: number
  readonly chance: number
  readonly otherwise: number
  /** Sales that the chances rest on. */
  readonly sales: number
}
