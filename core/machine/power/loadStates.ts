import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'

/** States of use a machine is looked at in. */
export const loadStateNames = { idle: 'idle', work: 'office work', full: 'full load' } as const
export type LoadState = keyof typeof loadStateNames

/** Shares in use in a state: of the CPU's limit, of the card's board power, of all the rest; 1 at full load. */
export function shareInUse(
  state: LoadState,
  power: PowerAssumptions = powerDefaults,
): { readonly cpu: number; readonly card: number; readonly rest: number } {
  if (state === 'full') return { cpu: 1, card: 1, rest: 1 }
  return { cpu: power[`${state}.cpu`], card: power[`${state}.card`], rest: power[`${state}.rest`] }
}
