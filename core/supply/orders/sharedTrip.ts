import { splitByLargestRemainder } from '../../money/splitByLargestRemainder'
import { pickupCost } from '../landed/landedCost'

/** A drive to fetch one thing or several. Rates in minor units. */
export interface Trip {
  readonly km: number
  readonly perKm: number
  readonly fare: number
  readonly hours: number
  readonly perHour: number
}

/** What each of `stops` things fetched on one trip bears: equal shares that add up to the trip exactly. */
export function tripShares(trip: Trip, stops: number): number[] {
  return splitByLargestRemainder(
    pickupCost(trip),
    Array.from({ length: stops }, () => 1),
  )
}
