import type { PriceQuery } from '../core/reading/titles/priceQuery'
import type { Need, Role } from '../core/parts/part'
import type { SupplyRule } from '../core/machine/power/supplySize'
import type { FaultOverrides } from '../core/supply/risk/faultRisk'
import type { PlayStyle } from '../core/comparison/verdict/playStyles'

/** The builder's own policies for one build. */
export interface HouseRules {
  /** Roles that are never bought used. */
  readonly neverUsed: readonly Role[]
  /** The builder's patience: which mark of a street price stands for what they would pay. Left out: typical. */
  readonly patience?: 'patient' | 'typical' | 'hurried'
  /** Own figures in the table of faults. */
  readonly faults?: FaultOverrides
  /** Highest probability of a fault accepted, 0 to 1. Left out: any. */
  readonly mostFault?: number | null
  /** Days after which a seller who was asked counts as silent. */
  readonly answerDays?: number
  /** What a kilometre and an hour of fetching cost, minor units of the build's currency; and how far to drive. */
  readonly perKm?: number
  readonly perHour?: number
  readonly pickupKm?: number | null
  /** Which definition of a 1 % low the build speaks of. Left out: percentile. */
  readonly lowMethod?: 'percentile' | 'worst-share'
  /** What the fit check and the power sheet go by. */
  readonly machine?: MachineRules
}

/** The house's rules about the machine itself, and how it will be used. */
export interface MachineRules {
  readonly supplyRule: SupplyRule
  readonly roomC: number
  readonly oldestCpuYear: number | null
  readonly smallestDriveGb: number | null
  readonly leastSupplyW: number | null
  readonly avoidedMakes: readonly string[]
  readonly screenPlugs: readonly string[]
  readonly colour: string | null
  readonly cablesHidden: boolean
  readonly needsSecurityModule: boolean
  /** Percent of frames or worth gained per 10.00 below which a step is not worth it. */
  readonly stepThreshold: number
  /** Minor units a kilowatt hour; hours a day at full load and idling. */
  readonly tariff: number
  readonly fullHours: number
  readonly idleHours: number
}

/** How a build is weighed against others. */
export interface WeighingSettings {
  readonly years: number
  readonly style: PlayStyle
  /** What a build enters at: what anyone can pay, or what was paid. */
  readonly basis: 'anyone' | 'paid'
  readonly gamesPerYear: number
  /** Delivery where a seller does not state it, minor units of the build's currency. */
  readonly usualShipping: number
  /** Other builds and variants on the scales. */
  readonly builds: readonly string[]
  /** Steps switched off. */
  readonly off: readonly string[]
  /** Own figures by machine and step, minor units of the build's currency. */
  readonly edits: Readonly<Record<string, Readonly<Record<string, number>>>>
}

/** A need of the brief and what it costs where a machine lacks it, minor units of the build's currency. */
export interface NeedEntry {
  readonly need: Need
  readonly price: number
}

/** The part of a price query that belongs to a part; date and currency come from the reading. */
export type QuerySettings = Omit<PriceQuery, 'asOf' | 'currency' | 'seed'>

/** What of a query can be used on other parts: all but its words and facts. */
export type RecipeSettings = Pick<
  QuerySettings,
  | 'mustNot'
  | 'conditions'
  | 'manners'
  | 'windowDays'
  | 'halfLifeDays'
  | 'makes'
  | 'forgiveSlips'
  | 'catchShare'
>

/** A line of a file or an entry of a feed that a poll could not take, and why. */
export interface PollProblem {
  readonly where: string
  readonly reason: string
}

/** What a poll brought. */
export interface PollReport {
  readonly added: number
  /** Leads whose ask changed. */
  readonly changed: number
  readonly alreadyThere: number
  readonly vanished: number
  readonly rejected: number
  readonly problems: readonly PollProblem[]
}
