import type { Need } from '../parts/part'

/** Result of one machine at one workload and setting. */
export interface MachineRate {
  readonly workloadId: string
  /** Settings as one text, equal only where the settings are: `2560x1440 high`; null where not known. */
  readonly settings: string | null
  readonly averageFps: number
  readonly lowFps: number | null
  readonly kind: 'measured' | 'estimate' | 'stated'
}

/** One machine on the scales. Amounts in minor units of the build's currency. */
export interface WeighedMachine {
  readonly id: string
  readonly name: string
  readonly kind: 'build' | 'prebuilt' | 'console' | 'configured' | 'own'
  /** Price before tax as asked for; for a build what anyone can pay, tax included. */
  readonly price: number
  /** Percent of tax that comes on top of the price. */
  readonly taxPercent: number
  readonly shipping: number
  /** Which of the brief's needs it brings along. */
  readonly brings: readonly Need[]
  readonly rates: readonly MachineRate[]
  /** What its seller does not state. */
  readonly notStated: readonly string[]
}

/** What a need costs where a machine lacks it, by the brief. */
export type NeedPrices = Readonly<Partial<Record<Need, number>>>
