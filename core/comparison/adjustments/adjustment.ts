import type { WeighedMachine, WeighingTerms } from '../weighedMachine'

/** Where the figure of a step comes from. */
export type StepSource = 'record' | 'stated' | 'assumption' | 'estimate' | 'measured' | 'own'

/** What a step comes to on one machine. Minor units; above zero makes the machine dearer. */
export interface StepAmount {
  readonly amount: number
  readonly why: string
  readonly from: StepSource
}

/** A step of the like-for-like cost: one file, one line in `steps.ts`. */
export interface StepRule {
  readonly id: string
  readonly label: string
  /** Null where the step does not concern the machine. */
  amount(machine: WeighedMachine, terms: WeighingTerms): StepAmount | null
}
