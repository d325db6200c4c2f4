import type { GoneReason, ItemPlace, ItemState } from '#core/ledger/itemLife'
import type { Role } from '#core/parts/part'
import type { Condition } from '#core/reading/sales/soldRecord'

/** A thing of mine as the shelf shows it: on it, or gone from it. Amounts in minor units of its currency. */
export interface ShelfView {
  readonly id: string
  readonly partId: string
  readonly name: string
  readonly role: Role
  readonly condition: Condition
  readonly place: ItemPlace
  readonly state: ItemState
  readonly goneBecause: GoneReason | null
  readonly remaining: number
  readonly currency: string
  readonly note: string
  /** The build it is for, or was bought by. */
  readonly build: { readonly id: string; readonly name: string } | null
  readonly soldFor: number
  readonly leftOn: string | null
}
