import { recoveredShare } from '../../supply/risk/recoveredShare'
import { faultProbability, type FaultAssumptions } from '../../supply/risk/faultRisk'
import type { WeighedMachine } from '../weighedMachine'

/**
 * Share of its price that a machine is expected to lose by being dead on arrival: nothing where it stands at home already; a
 * new one is made good under warranty, a used one by nobody.
 *
 * @example a used tower: 0.08 · (1 − 0) = 0.08; a new one: 0.08 · 0.2 · (1 − 0.95) = 0.0008
 */
export function arrivalShare(kind: WeighedMachine['kind'], faults: Omit<FaultAssumptions, 'hassle'>): number {
  if (kind === 'own' || kind === 'build') return 0
  const condition = kind === 'offered' ? 'used' : 'new'
  return faultProbability('donor', condition, faults) * (1 - recoveredShare(condition, 'none', faults))
}
