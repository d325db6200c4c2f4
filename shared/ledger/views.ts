import type { ArrivalVerdict } from '#core/ledger/arrival'
import type { EntryKind } from '#core/ledger/ledger'
import type { Resale } from '#core/ledger/resale'
import type { RebateState } from '#core/supply/landed/rebates'

export interface TripView {
  readonly id: string
  readonly name: string
  readonly km: number
  readonly fare: number
  readonly hours: number
  readonly cost: number
}

/** How far a chosen thing is: what was paid, what arrived, what goes back. */
export interface PurchaseView {
  readonly choiceId: string
  readonly paidOn: string | null
  /** Cash that left for it less what came back, minor units of the build's currency. */
  readonly paid: number
  readonly checklist: readonly string[]
  readonly arrival: {
    readonly day: string
    readonly verdict: ArrivalVerdict
    readonly foundPartId: string | null
    readonly foundName: string | null
    readonly checks: readonly string[]
    readonly note: string
    readonly returnBy: string | null
    readonly returnState: 'to-send' | 'sent' | 'refunded' | null
  } | null
  readonly rebates: readonly {
    readonly id: string
    readonly kind: string
    readonly amount: number
    readonly currency: string
    readonly claimBy: string
    readonly state: RebateState
  }[]
  /** By when it may go back, as the source's protection has it, counted from today. */
  readonly returnBy: string | null
}

export interface LedgerView {
  readonly currency: string
  readonly entries: readonly {
    readonly id: string
    readonly day: string
    readonly kind: EntryKind
    readonly cash: number
    readonly hours: number
    readonly choiceId: string | null
    readonly text: string
    readonly correctsId: string | null
    readonly standing: number
  }[]
  readonly totals: {
    readonly paid: number
    readonly cameBack: number
    readonly net: number
    readonly due: number
    readonly toComeBack: number
    readonly inTheEnd: number
    readonly hours: number
  }
  readonly lines: readonly {
    readonly choiceId: string
    readonly label: string
    readonly net: number
    readonly anyoneCanPay: number | null
    readonly difference: number | null
    readonly takenOut: boolean
  }[]
  readonly compared: { readonly net: number; readonly anyoneCanPay: number }
  /** Chosen leads still to be paid, source by source, put together. */
  readonly orders: readonly {
    readonly source: string
    readonly currency: string
    readonly titles: readonly string[]
    readonly together: number
    readonly saved: number
    readonly freeShippingGap: number | null
    readonly codesUsed: readonly string[]
  }[]
  readonly resale: Resale
  /** Dates ahead: claims, returns, auctions, the day it is wanted. */
  readonly deadlines: readonly {
    readonly day: string
    readonly what: string
    readonly kind: 'claim' | 'expected' | 'return' | 'auction' | 'wanted'
  }[]
}
