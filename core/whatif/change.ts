import type { Scope } from '../ledger/scopes'

/**
 * A change of what is chosen for a build, as data: what a proposal is made of, what is asked of a what-if, and what is
 * written when the proposal is taken. Several apply in order; `new:0` names the choice that the first of them made.
 * Amounts in minor units of the build's currency.
 */
export type Change =
  /** A lead, a part to hunt for, or a thing of mine; it takes the place of what fills a role with room for one. */
  | (Chosen & {
      readonly kind: 'choose'
      readonly scope?: Scope
      readonly reason?: string
      readonly keepBoth?: boolean
    })
  /** What is chosen is chosen no more; a thing of mine goes to the shelf; what a variant came with it does without. */
  | { readonly kind: 'remove'; readonly choice: string }
  /** One part of several stays out of the machine. */
  | { readonly kind: 'leave-out'; readonly line: string; readonly part: string }
  /** One that stayed out of it comes in. */
  | { readonly kind: 'bring-in'; readonly line: string; readonly part: string }
  /** A thing of mine goes to the shelf, for sale. */
  | { readonly kind: 'sell'; readonly item: string }
  /** What a hunt may pay; null: the street price. */
  | { readonly kind: 'limit'; readonly choice: string; readonly limit: number | null }
  /** In which order of its shop what is chosen lies; null: with the others. */
  | { readonly kind: 'group'; readonly choice: string; readonly order: string | null }
  /** A finding is fixed by hand. */
  | { readonly kind: 'settle'; readonly finding: string }
  | LeadChange
  | TermsChange

/** What may turn out, or be agreed, of a lead; amounts in minor units of its own currency. */
export type LeadChange =
  /** It is had for so much. */
  | { readonly kind: 'price'; readonly lead: string; readonly amount: number }
  /** What its seller says, or what is seen at the door; null: not known. */
  | {
      readonly kind: 'answer'
      readonly lead: string
      readonly fact: string
      readonly value: 'yes' | 'no' | null
    }
  /** It is fetched on a trip; null: on none. */
  | { readonly kind: 'trip'; readonly lead: string; readonly trip: string | null }
  /** A thing of mine is taken in part payment; null: nothing is. */
  | {
      readonly kind: 'trade-in'
      readonly lead: string
      readonly item: string | null
      readonly credit: number | null
    }

/** What is asked of the machine, and what it is weighed by. What is left out stays. */
export type TermsChange =
  | {
      readonly kind: 'brief'
      readonly budget?: number
      readonly stretch?: number
      readonly wantedBy?: string | null
      readonly targets?: readonly ChangedTarget[]
      readonly houseRules?: object
    }
  /** A fact of a part, in the library of this question alone. */
  | { readonly kind: 'fact'; readonly of: string; readonly name: string; readonly value: unknown }
  /** Years, hours a day, price of a kilowatt-hour and of an hour of mine; a rival's price. */
  | {
      readonly kind: 'weigh'
      readonly years?: number
      readonly fullHours?: number
      readonly idleHours?: number
      readonly tariff?: number
      readonly perHour?: number
      readonly rival?: { readonly id: string; readonly price: number }
    }

export interface ChangedTarget {
  readonly workloadId: string
  readonly width: number
  readonly height: number
  readonly preset: string
  readonly upscaling: string | null
  readonly frameGeneration: boolean
  readonly averageFps: number
  readonly lowFps: number | null
}

export interface Hunt {
  readonly part: string
  readonly condition?: 'used' | 'new' | null
  readonly limit?: number | null
}

/** One of the three. */
type Chosen =
  | { readonly lead: string; readonly hunt?: undefined; readonly item?: undefined }
  | { readonly hunt: Hunt; readonly lead?: undefined; readonly item?: undefined }
  | { readonly item: string; readonly lead?: undefined; readonly hunt?: undefined }

/** Roles with room for one. */
export const singleRoles = ['cpu', 'motherboard', 'graphics', 'supply', 'case', 'cooler'] as const
