import type { Assumptions } from '#core/assumptions/assumptions'
import type { FaultAssumptions } from '#core/supply/risk/faultRisk'
import type { WeighingTerms } from '#core/comparison/weighedMachine'
import type { EditionContent, EditionDrift } from '#core/files/editions/edition'
import type { BudgetScope, BuildState } from '#core/ledger/account'
import type { Receipt } from '#core/ledger/receipt'
import type { Need, Part, Role } from '#core/parts/part'
import type { FrameMachine } from '#core/performance/model/frameTime'
import type { TargetVerdict } from '#core/performance/model/judgeTarget'
import type { Workload } from '#core/performance/model/workload'
import type { TargetView } from '../bench/views'
import type { ChoiceView, FindingView, FitView } from '../machine/views'
import type { CartView } from '../ledger/views'
import type { WorthBasis } from '../ledger/selling'
import type { LookoutHit } from '../prices/views'
import type { WeighedView } from '../scales/views'
import type { HouseRules } from '../brief/houseRules'
import type { WeighingSettings } from '../scales/settings'

/** What the server answers to the interface. Amounts are minor units of the build's currency unless said. */

export interface SessionView {
  /** Currency that amounts are asked in unless something else is said; null until it is chosen. */
  readonly homeCurrency: string | null
  readonly today: string
  readonly builds: readonly { readonly id: string; readonly name: string }[]
  readonly soldRecords: number
  /** Whether a passphrase is asked for: it is open to others in the network. */
  readonly asksPassphrase: boolean
}

export interface BuildView {
  readonly id: string
  readonly name: string
  readonly purpose: string
  readonly currency: string
  readonly region: string
  readonly budget: number
  readonly stretch: number
  readonly budgetScope: BudgetScope
  readonly state: BuildState
  readonly wantedBy: string | null
  readonly saleText: string
  /** Orders still to be paid, as the carts of their shops have them. */
  readonly carts: readonly CartView[]
  /** What its worth today is read from. */
  readonly worthBasis: WorthBasis
  readonly variantOf: string | null
  readonly houseRules: HouseRules
  /** The assumptions in force, and the table of faults for this build. */
  readonly assumptions: Assumptions
  readonly faults: FaultAssumptions
  readonly needs: readonly { readonly need: Need; readonly price: number }[]
  readonly today: string
  readonly targets: readonly TargetView[]
  readonly choices: readonly ChoiceView[]
  readonly receipt: Receipt
  /** What the machine is made of, donors taken apart. */
  readonly parts: readonly Part[]
  readonly fit: FitView
  /** All hunts together; null without one. */
  readonly hunts: {
    readonly count: number
    readonly days: number | null
    readonly chanceByDate: number | null
    readonly daysForMost: number | null
    /** Hunts of which nobody knows how long they take. */
    readonly uncounted: readonly string[]
  } | null
  readonly emptyRoles: readonly Role[]
  readonly breaches: readonly string[]
  readonly machineName: { readonly cpu: string | null; readonly graphics: string | null }
  readonly weighing: {
    readonly settings: WeighingSettings
    readonly terms: WeighingTerms
    readonly frames: FrameMachine | null
    readonly own: WeighedView
    readonly others: readonly WeighedView[]
  }
  readonly workloads: readonly Workload[]
  /** Undoable: choices removed in this build, newest first. */
  readonly removedChoices: readonly { readonly id: string; readonly label: string }[]
}

/** Frozen copies of a build, and what has changed since each. */
export interface EditionsView {
  readonly now: EditionContent['totals']
  readonly editions: readonly {
    readonly id: string
    readonly name: string
    readonly frozenOn: string
    readonly currency: string
    readonly totals: EditionContent['totals']
    readonly drift: EditionDrift
  }[]
}

/** Somebody's edition re-priced here. Amounts in minor units of `currency`. */
export interface RepricedView {
  readonly buildId: string
  readonly currency: string
  readonly total: number
  /** `there`: what anyone pays for it where it comes from, converted; null without a rate or for part of a lot. */
  readonly lines: readonly {
    readonly label: string
    readonly price: number | null
    readonly there: number | null
  }[]
  readonly notFound: readonly string[]
}

/** A build beside its variants. Amounts in minor units of each one's currency. */
export interface VariantsView {
  readonly shared: readonly { readonly id: string; readonly label: string }[]
  readonly machines: readonly {
    readonly id: string
    readonly name: string
    readonly currency: string
    readonly isVariant: boolean
    readonly totals: Receipt['totals']
    readonly left: number | null
    readonly findings: readonly { readonly severity: FindingView['severity']; readonly what: string }[]
    readonly targets: readonly {
      readonly name: string
      readonly fps: number | null
      readonly wanted: number
      readonly verdict: TargetVerdict | null
    }[]
    /** What it does not share with all the others. */
    readonly lines: readonly {
      readonly id: string
      readonly label: string
      readonly payNow: number | null
    }[]
  }[]
  /** Rates between the currencies of the columns, each with its day; null: there is none. */
  readonly rates: readonly {
    readonly from: string
    readonly to: string
    readonly rate: string | null
    readonly date: string
  }[]
}

/** A build on the first page. */
export interface BuildStrip extends Pick<
  BuildView,
  | 'id'
  | 'name'
  | 'purpose'
  | 'wantedBy'
  | 'currency'
  | 'budget'
  | 'stretch'
  | 'state'
  | 'variantOf'
  | 'receipt'
  | 'targets'
  | 'emptyRoles'
  | 'breaches'
> {
  readonly findings: readonly FindingView[]
  /** Sellers who owe a word for longer than the house rules wait. */
  readonly silent: readonly { readonly leadId: string; readonly title: string; readonly days: number }[]
  /** Chosen leads that are gone. */
  readonly gone: readonly { readonly leadId: string; readonly title: string }[]
  readonly hits: readonly LookoutHit[]
}
