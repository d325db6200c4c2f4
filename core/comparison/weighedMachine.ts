import type { Condition } from '../reading/sales/soldRecord'
import type { Need, PartFacts, Role } from '../parts/part'
import type { TargetVerdict } from '../performance/model/judgeTarget'
import type { KeptValue } from './adjustments/keptValue'
import type { YearlyFaults } from './adjustments/yearlyFaults'

/** Result of one machine at one workload and setting. */
export interface MachineRate {
  readonly workloadId: string
  /** Settings as one text, equal only where the settings are: `2560x1440 high`; null where not known. */
  readonly settings: string | null
  readonly averageFps: number
  readonly lowFps: number | null
  readonly kind: 'measured' | 'estimate' | 'stated'
  /** 90 % range of an estimate; null for what was measured or stated. */
  readonly range?: { readonly low: number; readonly high: number } | null
}

/** How far the identity of a component is known; a missing one stands as the cheapest plausible part. */
export type FactState = 'stated' | 'deduced' | 'missing' | 'contradictory'

/** A part of a machine on the scales. Amounts in minor units. */
export interface WeighedComponent {
  readonly role: Role
  readonly label: string
  readonly partId: string | null
  readonly state: FactState
  readonly facts: PartFacts
  /** Which of the facts nobody states: what stands there is taken for it; left out: all are stated. */
  readonly assumed?: readonly (keyof PartFacts)[]
  readonly condition: Condition
  /** What a replacement costs: its typical street price, else new. */
  readonly street: number
  /** What it fetches today, used; null where nobody knows. */
  readonly worthToday: number | null
  /** Whether it is in the price: value is left only for what was counted. */
  readonly counted: boolean
  /** Months in which a fault is somebody else's cost. */
  readonly warrantyMonths: number
}

/** A fixed mode of a console: resolution and rate, settings of its own. */
export interface FixedMode {
  readonly workloadId: string
  readonly width: number
  readonly height: number
  /** Null: only its lowest rate is known. */
  readonly fps: number | null
  readonly lowFps: number | null
}

/** Something wanted that a machine brings beyond the list of needs, and what it is worth. */
export interface BroughtExtra {
  readonly label: string
  readonly worth: number
}

/** One machine on the scales. Amounts in minor units of the build's currency. */
export interface WeighedMachine {
  readonly id: string
  readonly name: string
  readonly kind: 'build' | 'prebuilt' | 'console' | 'configured' | 'own' | 'offered'
  /** Price before tax as asked for; for a build the market price (or what was paid), tax included. */
  readonly price: number
  /** Percent of tax that comes on top of the price. */
  readonly taxPercent: number
  /** Delivery; null where its seller does not say whether it is in the price. */
  readonly shipping: number | null
  /** Which of the brief's needs it brings along. */
  readonly brings: readonly Need[]
  readonly extras: readonly BroughtExtra[]
  readonly rates: readonly MachineRate[]
  readonly modes: readonly FixedMode[]
  /** Empty where its parts are not known at all, as of a console. */
  readonly components: readonly WeighedComponent[]
  /** What its seller does not state, in words. */
  readonly notStated: readonly string[]
  /** Of the machine as a whole: what counts where its parts are not known. */
  readonly warrantyMonths: number
  /** At the wall; null where it cannot be told. */
  readonly watts: {
    readonly full: number
    readonly idle: number
    readonly kind: 'measured' | 'estimate' | 'stated'
  } | null
  /**
   * Why it is no machine yet that can be used, as it goes on after its name: roles that are empty, what keeps it from
   * working; null where it is one.
   */
  readonly notYet: string | null
  /** What its own runs say of throttling, as it goes on after "it"; null where none throttled or none is known. */
  readonly heat: string | null
  readonly subscriptionPerYear: number
  /** How much dearer a game is on it. */
  readonly gameSurcharge: number
  /** Hours of the builder that go into it. */
  readonly hours: number
  /**
   * What it would fetch today as a whole, where its parts are not known; null: nobody knows, or what a machine of mine
   * is entered at.
   */
  readonly resaleToday: number | null
  /**
   * Expected loss by what is dead on arrival, once: an amount for a build, a share of its price for a rival; 0 for
   * what stands.
   */
  readonly arrivalFault: number
  readonly arrivalShare: number
  /** The brief's targets by their verdict on this machine; null where no rate is known at their settings. */
  readonly targets: readonly { readonly name: string; readonly verdict: TargetVerdict | null }[]
}

/** What a need costs where a machine lacks it, by the brief. */
export type NeedPrices = Readonly<Partial<Record<Need, number>>>

/** What the weighing goes by; the same for every machine on the scales. */
export interface WeighingTerms {
  readonly years: number
  /** Hours a day at full load and idling. */
  readonly fullHours: number
  readonly idleHours: number
  /** Minor units a kilowatt hour. */
  readonly tariff: number
  /** What an hour of the builder is worth. */
  readonly perHour: number
  readonly gamesPerYear: number
  /** Delivery where a seller does not state it. */
  readonly usualShipping: number
  readonly needPrices: NeedPrices
  readonly yearly: YearlyFaults
  /** Year of today: old parts fail more often. */
  readonly year: number
  /** Share of its value that a part keeps over a year, by kind; `whole` where the parts are not known. */
  readonly keeps: KeptValue
  /** The same at both ends of its 90 % range. */
  readonly keepsRange: { readonly low: KeptValue; readonly high: KeptValue }
  /** What a thing is taken to fetch of its price where nobody knows; null: then it is not known. */
  readonly assumedWorth: number | null
  /** What on the scales nobody knows the worth of, where it is not assumed: then value left counts on no machine. */
  readonly worthUnknown: readonly string[]
  /** Machines of which nobody knows what they draw: then energy counts on no machine. */
  readonly energyUnknown: readonly string[]
  /** So many times its cheapest plausible part a thing that is not stated may be worth. */
  readonly unstatedUpTo: number
  /** What a whole machine fetches over the sum of its parts. */
  readonly wholeFactor: number
  /** Steps switched off on every machine. */
  readonly off: readonly string[]
  /** The builder's own figures: by machine, then by step. */
  readonly edits: Readonly<Record<string, Readonly<Record<string, number>>>>
}
