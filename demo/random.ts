import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'

/** A seeded source of chance with the few draws the generator needs. */
export interface Chance {
  /** 0 ≤ x < 1. */
  share(): number
  /** Whole number, both ends included. */
  whole(from: number, to: number): number
  /** True with a probability. */
  happens(probability: number): boolean
  pick<T>(list: readonly T[]): T
  /** One of a list by weight. */
  weighted<T>(list: readonly (readonly [T, number])[]): T
  /** Standard normal. */
  normal(): number
}

export function chance(seed: number): Chance {
  const generator = xoroshiro128plus(seed)
  const share = () => uniformFloat64(generator)
  const whole = (from: number, to: number) => uniformInt(generator, from, to)
  return {
    share,
    whole,
    happens: (probability) => share() < probability,
    pick: (list) => list[whole(0, list.length - 1)]!,
    weighted(list) {
      const total = list.reduce((sum, [, weight]) => sum + weight, 0)
      let left = share() * total
      for (const [value, weight] of list) {
        left -= weight
        if (left < 0) return value
      }
      return list[list.length - 1]![0]
    },
    normal: () => Math.sqrt(-2 * Math.log(1 - share())) * Math.cos(2 * Math.PI * share()),
  }
}
