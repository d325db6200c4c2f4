import type { Role } from '../../../parts/part'
import type { Verdict } from '../dropReasons'

/** A pattern over the title in plain letters, with what it says of a role whatever stands around it. */
export interface Outright {
  readonly pattern: RegExp
  readonly roles: readonly Role[] | 'all'
  readonly reason: Verdict['reason']
  readonly says: string
}
