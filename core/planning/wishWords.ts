import { formatAmount } from '../money/formatAmount'
import type { BuildQuestion, WishName } from './buildQuestion'

/** A wish in words, as it stands beside what it costs. */
export function wishWords(
  { wishes, targets, maySell, currency }: Pick<BuildQuestion, 'wishes' | 'targets' | 'maySell' | 'currency'>,
  name: WishName,
): string {
  const at = /^floors\[(\d+)\]$/.exec(name)
  if (at) return `${Math.round(wishes.floors[Number(at[1])]!)} fps in ${targets[Number(at[1])]!.name}`
  if (name === 'budget') {
    const most = formatAmount(wishes.budget!, currency)
    return maySell > 0
      ? `at most ${most} out of pocket`
      : `at most ${most} for these parts (within your stretch)`
  }
  if (name === 'days') return `everything here within ${wishes.days} days (8 of 10 cases)`
  if (name === 'memoryGb') return `${wishes.memoryGb} GB of memory`
  if (name === 'driveGb') return `a ${wishes.driveGb} GB drive`
  return `a PSU of ${wishes.supplyFactor} × the draw`
}
