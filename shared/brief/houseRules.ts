import type { SupplyRule } from '#core/machine/power/supplySize'
import type { Need, Role } from '#core/parts/part'
import type { FaultOverrides } from '#core/supply/risk/faultRisk'

/** What a machine is built for: only one to sell has a profit before it is sold. */
export const intents = ['keep', 'somebody', 'sell'] as const
export type Intent = (typeof intents)[number]
export const intentNames: Readonly<Record<Intent, string>> = {
  keep: 'to keep',
  somebody: 'for somebody',
  sell: 'to sell',
}

/** The builder's own policies for one build. */
export interface HouseRules {
  /** Left out: to keep. */
  readonly intent?: Intent
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
  /** Null: by the assumptions. */
  readonly roomC: number | null
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
  readonly tariff: number | null
  readonly fullHours: number
  readonly idleHours: number
}

/** A need of the brief and what it costs where a machine lacks it, minor units of the build's currency. */
export interface NeedEntry {
  readonly need: Need
  readonly price: number
}
