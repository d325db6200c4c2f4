import type { Condition } from '../../reading/sales/soldRecord'
import type { FaultAssumptions, Protection } from './faultRisk'

/**
 * Share of what a faulty thing cost that comes back: by the protection of where it is bought, and of a new thing by its
 * warranty where that gives more. The same for a part and for a whole machine.
 *
 * @example a new card of a seller without protection: what a warranty recovers; a used one: nothing
 */
export function recoveredShare(
  condition: Condition,
  protection: Protection,
  { recovered }: Pick<FaultAssumptions, 'recovered'>,
): number {
  return condition === 'new' ? Math.max(recovered[protection], recovered.warranty) : recovered[protection]
}
