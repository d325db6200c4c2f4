import { roundHalfAway } from '../../money/decimal'
import type { Role } from '../../parts/part'
import type { Condition } from '../../reading/sales/soldRecord'
import { recoveredShare } from './recoveredShare'
import { faultProbability, type FaultAssumptions, type Protection } from './faultRisk'

/**
 * The fault loss of a hunt: that of the way it stands for, so that the same thing has the same loss as a lead and as
 * a hunt; docs/formulas.md (Landed cost). P(fault) · ((1 − recovered) · (item and its tax) + hassle), rounded once.
 *
 * @param itemWithTax what the item and its tax come to, minor units; used ones carry no tax
 * @example a used card of 8 % risk at 100.00, hassle 8.00, no protection: 8.64
 */
export function huntFaultLoss({
  role,
  condition,
  itemWithTax,
  protection,
  assumptions,
}: {
  readonly role: Role
  readonly condition: Condition
  readonly itemWithTax: number
  readonly protection: Protection
  readonly assumptions: FaultAssumptions
}): number {
  const lost = 1 - recoveredShare(condition, protection, assumptions)
  return roundHalfAway(
    faultProbability(role, condition, assumptions) * (lost * itemWithTax + assumptions.hassle),
  )
}
