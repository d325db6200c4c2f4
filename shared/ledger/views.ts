import type { Flips } from '#core/ledger/flips'
import type { ItemPlan } from '#core/ledger/itemCosts'
import type { GoneReason, ItemPlace, ItemState } from '#core/ledger/itemLife'
import type { Grade } from '#core/pricing/street/grade'
import type { EntryKind } from '#core/ledger/ledger'
import type { Resale } from '#core/ledger/resale'
import type { BuildState } from '#core/ledger/account'
import type { Scope } from '#core/ledger/scopes'
import type { Role } from '#core/parts/part'
import type { WorthBasis } from './selling'
import type { Condition } from '#core/reading/sales/soldRecord'
import type { RebateState } from '#core/supply/landed/rebates'

export interface TripView {
  readonly id: string
  readonly name: string
  readonly km: number
  readonly fare: number
  readonly hours: number
  readonly cost: number
  readonly drivenOn: string | null
}

/** A thing of mine. Amounts in minor units of the build's currency. */
export interface ItemView {
  readonly id: string
  readonly partId: string
  readonly name: string
  readonly role: Role
  /** What it was listed as, where that was another part. */
  readonly listedAs: string | null
  readonly condition: Condition
  readonly place: ItemPlace
  readonly state: ItemState
  readonly goneBecause: GoneReason | null
  /** Handed on to another build: this one only paid for it. */
  readonly isHandedOn: boolean
  readonly scope: Scope
  readonly plan: ItemPlan
  readonly isBuiltIn: boolean
  readonly cost: number
  readonly remaining: number
  readonly worthToday: number | null
  readonly expectedBack: number
  readonly soldFor: number
  readonly paidOn: string | null
  readonly source: string | null
  readonly lineId: string | null
  readonly arrivedOn: string | null
  readonly leftOn: string | null
  readonly returnBy: string | null
  /** The trip that is planned to fetch it; null where none is. */
  readonly trip: { readonly id: string; readonly name: string } | null
  readonly checklist: readonly string[]
  readonly checks: readonly string[]
  readonly facts: Readonly<Record<string, unknown>>
  readonly note: string
}

/** A rebate of something bought. */
export interface RebateOfLine {
  readonly id: string
  readonly lineId: string
  readonly label: string
  readonly kind: string
  readonly amount: number
  readonly currency: string
  readonly claimBy: string
  readonly expectedBy: string | null
  readonly state: RebateState
}

/** An order still to be paid as the shop's cart has it. Amounts in minor units of `currency`. */
export interface CartView<Line = CartLine> {
  readonly source: string
  readonly currency: string
  readonly lines: readonly Line[]
  /** Codes, shipping, tax, fees. */
  readonly steps: readonly { readonly label: string; readonly amount: number }[]
  readonly total: number
}

export interface CartLine {
  readonly choiceId: string
  /** Whether it is for this build. */
  readonly isOwn: boolean
  readonly price: number
}

/** An order still to be paid, with what paying one line alone would make of the others. */
export interface PlannedOrderView extends CartView<PlannedOrderLine> {
  readonly saved: number
  readonly freeShippingGap: number | null
  /** Whether lines of it may be ordered apart by hand. */
  readonly isShop: boolean
}

export interface PlannedOrderLine extends CartLine {
  readonly leadId: string
  readonly label: string
  readonly build: string
  /** Ordered apart from the others of its shop, by hand. */
  readonly isApart: boolean
  readonly share: number
  /** What it costs if only this is paid now, and what the others then cost; null where it is the only one. */
  readonly alone: { readonly this: number; readonly others: number } | null
}

export interface LedgerView {
  readonly currency: string
  readonly state: BuildState
  readonly entries: readonly {
    readonly id: string
    readonly day: string
    readonly kind: EntryKind
    readonly cash: number
    readonly hours: number
    readonly text: string
    readonly correctsId: string | null
    /** Written by something done to a thing: taken back with it, never by itself. */
    readonly isOfAction: boolean
    /** What came before it in all, itself included; null where it counts nowhere: its action was undone. */
    readonly standing: number | null
  }[]
  readonly items: readonly ItemView[]
  readonly orders: readonly PlannedOrderView[]
  readonly hunts: readonly {
    readonly choiceId: string
    readonly label: string
    readonly limit: number | null
  }[]
  readonly trips: readonly TripView[]
  readonly rebates: readonly RebateOfLine[]
  /** What was done, newest first; the newest that stands can be taken back. */
  readonly actions: readonly {
    readonly id: number
    readonly day: string
    readonly text: string
    readonly isUndone: boolean
  }[]
  /** Paid or to pay for things with a known price for anyone, and that price. */
  readonly compared: { readonly own: number; readonly anyoneCanPay: number }
  readonly resale: Resale
  readonly selling: SellingView
  /** Dates ahead, and those that should have come. */
  readonly deadlines: readonly Deadline[]
}

/** What whole machines like it went for, and what to ask week by week. Amounts in minor units of the build's currency. */
export interface SellingView {
  readonly basis: WorthBasis
  readonly own: number | null
  readonly must: readonly string[] | null
  readonly mustNot: readonly string[]
  readonly leftOut: readonly number[]
  /** Null where nothing tells what is like it. */
  readonly machines: {
    /** What they have in common with it: `with Kettle 4600`. */
    readonly like: string
    readonly words: readonly string[]
    readonly grade: Grade
    readonly typical: number | null
    readonly interval: { readonly low: number; readonly high: number } | null
    /** How many count, of which the newest are listed. */
    readonly count: number
    /** Newest first; those the builder left out among them. */
    readonly comps: readonly {
      readonly id: number
      readonly title: string
      readonly price: number
      readonly soldOn: string
      readonly source: string
      readonly isLeftOut: boolean
    }[]
  } | null
  /**
   * Days until it is sold with a chance of 80 %, whole as such machines went, whole at what its parts say, and all of
   * its parts; null: not known.
   */
  readonly wholeDays: number | null
  readonly byPartsDays: number | null
  readonly partingDays: number | null
  /** What to ask week by week; empty where no such machine was sold. */
  readonly ladder: readonly {
    readonly week: number
    readonly ask: number
    readonly price: number
    readonly chance: number
    /** The least to take in that week. */
    readonly least: number
  }[]
}

/** A date of a build: a claim, a return, an auction, a code, the end of a warranty, the day it is wanted. */
export interface Deadline {
  readonly day: string
  readonly what: string
  readonly kind:
    'claim' | 'expected' | 'return' | 'auction' | 'wanted' | 'code' | 'agreed' | 'delivery' | 'warranty'
  /** What it is about, where that is an amount. */
  readonly money: { readonly amount: number; readonly currency: string } | null
  /** Whether it should have come by today. */
  readonly isLate: boolean
}

/** A date of one of the builds. */
export interface DatedBuild extends Deadline {
  readonly buildId: string
  readonly build: string
}

/** Machines sold and in stock, in one currency. */
export interface FlipsView {
  readonly currency: string
  readonly flips: Flips
}
