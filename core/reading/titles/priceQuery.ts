import { pricingDefaults } from '../../assumptions/groups/pricing'
import type { Currency } from '../../money/money'
import type { Role } from '../../parts/part'
import type { CalendarDate } from '../../time/calendarDate'
import type { Condition, Manner } from '../sales/soldRecord'

/** Facts that tell one variant of a thing from another. What is left out does not matter to the query. */
export interface VariantFacts {
  /** Whole capacity in GB (a kit of 2 × 8 is 16; a drive of 1 TB is 1000 or 1024). */
  readonly capacityGb?: number
  /** Modules in a memory kit. */
  readonly kitCount?: number
  /** Such as `DDR4`. */
  readonly memoryGeneration?: string
  readonly module?: 'desktop' | 'laptop'
  /** Of a drive. */
  readonly interface?: 'sata' | 'nvme'
  /** Of a drive: a title that says the other kind means another. */
  readonly drive?: 'ssd' | 'hdd'
  /** Size of a board, such as `ATX`: a title that states another means another. */
  readonly formFactor?: string
  /** Speed of memory in MT/s, where its name has it: a title that states another means another. */
  readonly speedMts?: number
  /** Of a processor: a title that states another number means another. */
  readonly cores?: number
  /** Of a processor or a board: a title that names another means another. */
  readonly socket?: string
  /** Names of sister models that a title must not mean, such as `640 S` for the plain `640`. */
  readonly siblings?: readonly string[]
}

/** What counts as the same thing, and over which time. */
export interface PriceQuery {
  /** Whether whole machines are asked for that name the wanted words. Default: a part. */
  readonly thing?: 'part' | 'machine'
  /** What kind of part it is; tells what describes the thing from what is sold along with it. */
  readonly role?: Role
  readonly must: readonly string[]
  readonly mustNot: readonly string[]
  readonly variant?: VariantFacts
  readonly conditions: readonly Condition[]
  readonly manners: readonly Manner[]
  /** Records of age 0 ≤ age < windowDays count. Default 90. */
  readonly windowDays: number
  /** Age at which a record weighs half. Default 30. */
  readonly halfLifeDays: number
  readonly asOf: CalendarDate
  readonly currency: Currency
  /** Only these makes; left out or empty: any make. */
  readonly makes?: readonly string[]
  /** Whether a wanted word of five letters or more is recognised with one slip of the fingers in it. Default false. */
  readonly forgiveSlips?: boolean
  /** Part of suitable sales a builder would get to, 0 to 1. Default 0.2. */
  readonly catchShare?: number
  /** Days the records really cover, where shorter than the window. */
  readonly coveredDays?: number
  /** Seed of the pair sample of the trend above 2 000 records. Default 1. */
  readonly seed?: number
}

export const priceQueryDefaults = {
  windowDays: pricingDefaults.windowDays,
  halfLifeDays: pricingDefaults.halfLifeDays,
  catchShare: pricingDefaults.catchShare,
  seed: 1,
  conditions: ['opened', 'refurbished', 'used'],
  manners: ['auction', 'fixed', 'local'],
} as const satisfies Partial<PriceQuery>
