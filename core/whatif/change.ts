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
  /** A thing of mine goes to the shelf, for sale. */
  | { readonly kind: 'sell'; readonly item: string }
  /** What a hunt may pay; null: the street price. */
  | { readonly kind: 'limit'; readonly choice: string; readonly limit: number | null }
  /** A finding is fixed by hand. */
  | { readonly kind: 'settle'; readonly finding: string }

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
