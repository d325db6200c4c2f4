import type { Role } from '#core/parts/part'
import type { Condition } from '#core/reading/sales/soldRecord'

export interface ShelfView {
  readonly id: string
  readonly partId: string
  readonly name: string
  readonly role: Role
  readonly condition: Condition
  readonly cost: number
  readonly currency: string
  readonly note: string
  /** Build whose purchase it was left over from. */
  readonly buildId: string | null
  /** Build it is used in. */
  readonly usedIn: string | null
  readonly soldOn: string | null
}
