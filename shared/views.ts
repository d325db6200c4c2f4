import type { AssemblyStep } from '../core/machine/assembly/assemblySheet'
import type { FitReport } from '../core/machine/fit/checkFit'
import type { Finding } from '../core/machine/fit/finding'
import type { MendRow } from '../core/machine/fit/mending'
import type { machinePlan } from '../core/machine/fit/plan'
import type { PowerSheet } from '../core/machine/power/powerSheet'
import type { CarryForward } from '../core/machine/upgrades/carryForward'
import type { Step as StepUp } from '../core/machine/upgrades/stepsUp'
import type { UpgradeRoom } from '../core/machine/upgrades/upgradeRoom'
import type { LeadValue } from '../core/supply/leads/valueLead'
import type { HaggleSheet } from '../core/supply/haggle/haggleSheet'
import type { ArrivalVerdict } from '../core/ledger/arrival'
import type { EntryKind } from '../core/ledger/ledger'
import type { Resale } from '../core/ledger/resale'
import type { RebateState } from '../core/supply/landed/rebates'
import type { BuyOrWait } from '../core/pricing/shops/buyOrWait'
import type { Grade } from '../core/pricing/street/grade'
import type { LastAsks } from '../core/pricing/street/lastAsks'
import type { PlaceGap } from '../core/pricing/street/localAgainstOnline'
import type { NewOrUsed } from '../core/supply/ways/newOrUsed'
import type { OwnFigureStanding } from '../core/pricing/street/ownFigure'
import type { ReadChange } from '../core/pricing/street/readHistory'
import type { ShopRhythm } from '../core/pricing/shops/shopRhythm'
import type { Loosening } from '../core/pricing/sieve/waysToLoosen'
import type { ExchangeRate } from '../core/money/rates'
import type { Agreement, OpinionVerdict } from '../core/supply/ways/opinions'
import type { Step } from '../core/supply/ways/worthBuying'
import type { DropReason } from '../core/reading/titles/dropReasons'
import type { Condition, Manner } from '../core/reading/sales/soldRecord'
import type { Trend } from '../core/pricing/trend/trend'
import type { PartQuery } from '../core/reading/titles/queryForPart'
import type { Need, Part, Role } from '../core/parts/part'
import type { FrameEstimate } from '../core/performance/model/estimateFrameRate'
import type { TargetVerdict } from '../core/performance/model/judgeTarget'
import type { Forecast, ForecastRecord, KeptForecast } from '../core/performance/runs/forecast'
import type { FrameMachine } from '../core/performance/model/frameTime'
import type { ValueStep } from '../core/performance/model/frameValue'
import type { LivingVerdict, Noise } from '../core/performance/runs/livingWithIt'
import type { NextMeasurement } from '../core/performance/fitting/nextMeasurement'
import type { LowsCause, Repeat, RunConditions, RunKind, RunReadings } from '../core/performance/runs/run'
import type { Feeling, WorkEstimate, WorkTask } from '../core/performance/model/throughput'
import type { FrameSettings, Workload } from '../core/performance/model/workload'
import type { LeadFact } from '../core/reading/listings/completeness'
import type { Receipt, Scope } from '../core/ledger/receipt'
import type { FaultSign, Protection } from '../core/supply/risk/faultRisk'
import type { EditionContent, EditionDrift } from '../core/files/editions/edition'
import type { TradeInSheet } from '../core/supply/landed/tradeIn'
import type { LikeForLike } from '../core/comparison/adjustments/likeForLike'
import type { RateComparison } from '../core/comparison/components/compareRates'
import type { ComponentLine } from '../core/comparison/components/compareComponents'
import type { Equivalent } from '../core/comparison/components/consoleModes'
import type { RivalParts } from '../core/comparison/components/rivalFacts'
import type { WeighedMachine, WeighingTerms } from '../core/comparison/weighedMachine'
import type { WeighingVerdict } from '../core/comparison/verdict/verdict'
import type { HouseRules, MachineRules, PollReport, WeighingSettings } from './types'

/** What the server answers to the interface. Amounts are minor units of the build's currency unless said. */

export interface SessionView {
  readonly today: string
  readonly builds: readonly { readonly id: string; readonly name: string }[]
  readonly soldRecords: number
}

/** What is known about one price, small enough for a row. */
export interface PriceBrief {
  /** Whether the build has it in a role. */
  readonly inBuild?: boolean
  readonly partId: string
  readonly name: string
  readonly role: Role
  readonly grade: Grade
  readonly kept: number
  readonly marks: { readonly patient: number; readonly typical: number; readonly hurried: number } | null
  readonly newPrice: number | null
}

export interface RecordView {
  readonly id: number
  readonly title: string
  readonly source: string
  readonly soldOn: string
  readonly manner: Manner
  readonly condition: Condition
  /** As the record states it, in its own currency. */
  readonly price: number
  readonly shipping: number
  readonly currency: string
  readonly quantity: number | null
  /** Set where it counts. */
  readonly unitPrice: number | null
  readonly weight: number | null
  readonly reason: DropReason | null
  readonly detail: string
  /** The builder's own word on it. */
  readonly decision: 'keep' | 'drop' | null
}

export interface PriceView extends PriceBrief {
  readonly part: Part
  readonly currency: string
  readonly asOf: string
  readonly query: PartQuery
  readonly queryIsOwn: boolean
  readonly interval: { readonly low: number; readonly high: number } | null
  readonly effectiveCount: number
  readonly trend: Trend | null
  readonly perDay: number
  readonly byManner: readonly { readonly manner: Manner; readonly count: number; readonly typical: number }[]
  readonly records: readonly RecordView[]
  /** Records that speak of other things altogether: left out of the list, counted here. */
  readonly unrelated: number
  readonly newPriceFrom: { readonly source: string; readonly date: string } | null
  readonly patience: readonly { readonly price: number; readonly chance: number }[]
  readonly patienceDays: number
  readonly wishes: readonly {
    readonly probability: number
    readonly days: number
    readonly price: number | null
  }[]
  readonly gap: PlaceGap | null
  /** What would bring more comps; looked for where the grade is thin or none. */
  readonly loosen: readonly Loosening[]
  readonly reads: readonly ReadView[]
  readonly change: ReadChange | null
  readonly ownFigure: {
    readonly amount: number
    readonly note: string
    readonly setOn: string
    readonly standing: OwnFigureStanding
  } | null
  readonly offers: readonly OfferView[]
  readonly newOrUsed: NewOrUsed
  readonly patienceMark: 'patient' | 'typical' | 'hurried'
  readonly usedLater: BuyOrWait | null
  readonly newLater: BuyOrWait | null
  readonly lastAsks: LastAsks
  readonly paidToAsked: { readonly ratio: number; readonly count: number } | null
  readonly waitNotes: readonly WaitNoteView[]
  readonly lookout: { readonly id: string; readonly limit: number } | null
  /** Rates in force, so that a reading can be made anew in the browser. */
  readonly rates: readonly ExchangeRate[]
}

/** A kept read. */
export interface ReadView {
  readonly id: number
  readonly readOn: string
  readonly patient: number
  readonly typical: number
  readonly hurried: number
  readonly low: number
  readonly high: number
  readonly kept: number
  readonly grade: Grade
  readonly note: string
}

/** A part bought new at a shop, and the rhythm of its price there. */
export interface OfferView {
  readonly sourceId: string
  readonly sourceName: string
  /** Before tax and shipping. */
  readonly price: number
  readonly date: string
  /** With tax and shipping, bought alone. */
  readonly landed: number
  readonly rhythm: ShopRhythm | null
}

export interface WaitNoteView {
  readonly id: string
  readonly role: Role
  readonly partId: string | null
  readonly what: string
  readonly expectedOn: string
  readonly dropPercent: number
  readonly chance: number
}

/** A row of the sheet "new or used" of a build. */
export interface NewOrUsedRow {
  readonly partId: string
  readonly name: string
  readonly role: Role
  readonly chosenAs: 'used' | 'new' | 'hunt'
  readonly grade: Grade
  readonly offer: { readonly source: string; readonly price: number; readonly landed: number } | null
  readonly figures: NewOrUsed
  readonly newLater: BuyOrWait | null
}

/** A candidate of the sheet "worth buying". */
export interface WorthRow {
  readonly partId: string
  readonly name: string
  readonly index: number
  readonly grade: Grade
  readonly kept: number
  readonly street: number | null
  readonly fresh: number | null
  /** What it is weighed at: the street price at the builder's patience, or new where used is barred or not seen. */
  readonly price: number | null
  readonly way: 'used' | 'new' | null
  readonly perPoint: number | null
  readonly targetRatio: number | null
  readonly year: number | null
  readonly platform: string | null
  /** Whether it goes with what is chosen; null where that cannot be said. */
  readonly goesWith: boolean | null
  readonly step: Step | null
  readonly beatenBy: string | null
  readonly inBuild: boolean
  readonly later: BuyOrWait | null
  readonly agreement: Agreement
  readonly opinions: readonly {
    readonly id: string
    readonly guide: string
    readonly saidOn: string
    readonly verdict: OpinionVerdict
    readonly note: string
  }[]
}

export interface WorthView {
  readonly role: Role
  readonly unit: string
  readonly byTargets: boolean
  readonly rows: readonly WorthRow[]
  readonly limits: readonly { readonly limit: number; readonly partId: string | null }[]
  readonly waitNotes: readonly WaitNoteView[]
  /** What the targets are reckoned with besides the candidate. */
  readonly besides: string
}

/** The Brief's live line. */
export interface CapView {
  readonly cap: number
  readonly currency: string
  /** Set aside for what the brief needs beyond the machine. */
  readonly needs: number
  readonly splits: readonly CapSplitView[]
  readonly problem: string
}

export interface CapSplitView {
  readonly base: {
    readonly name: string
    readonly price: number
    readonly parts: readonly { readonly name: string; readonly price: number }[]
  }
  readonly card: { readonly name: string; readonly price: number }
  readonly supply: { readonly name: string; readonly price: number } | null
  readonly total: number
  readonly left: number
  readonly weakest: number
  readonly weakestTarget: string
}

/** Something that came in under a lookout. */
export interface LookoutHit {
  readonly lookoutId: string
  readonly leadId: string
  readonly buildId: string
  readonly buildName: string
  readonly partName: string
  readonly title: string
  readonly source: string
  readonly cost: number
  readonly limit: number
  readonly currency: string
  readonly listedOn: string
  readonly manner: Manner
  /** So far under the street that something is likely wrong with it. */
  readonly tooCheap: boolean
}

export interface LeadView {
  readonly id: string
  /** Its number at the source. */
  readonly externalId: string
  readonly title: string
  readonly sourceId: string
  readonly sourceName: string
  readonly url: string
  readonly place: string
  readonly note: string
  readonly condition: Condition
  readonly manner: Manner
  readonly listedOn: string
  readonly endsOn: string | null
  readonly state: 'open' | 'passed'
  /** Day it was found gone at its source; its price is then its last ask. */
  readonly vanishedOn: string | null
  /** Its parts were read from the title and nobody has said yes to them. */
  readonly tieDeduced: boolean
  /** First ask of a listing whose ask changed since, in its own currency; null otherwise. */
  readonly firstAsk: number | null
  readonly currency: string
  readonly things: readonly {
    readonly partId: string
    readonly name: string
    readonly role: Role
    readonly quantity: number
    readonly plan: 'keep' | 'resell' | 'discard'
    readonly street: number | null
    readonly effectiveCost: number | null
    readonly netResale: number
  }[]
  readonly value: LeadValue
  readonly marks: PriceBrief['marks']
  /** Build this lead is chosen in, if any: choice id. */
  readonly choiceId: string | null
  /** House rules it breaks, in words. */
  readonly breaches: readonly string[]
  readonly passReason: string
  readonly facts: readonly LeadFact[]
  readonly signs: readonly {
    readonly sign: FaultSign
    readonly quote: string
    readonly by: 'listing' | 'builder'
  }[]
  readonly protection: Protection
  /** Ask under which it is a warning; null with too few comps. */
  readonly tooCheapBelow: number | null
  readonly same: {
    readonly earlierId: string
    readonly earlierTitle: string
    readonly kind: 'double' | 'listed-again'
    readonly change: number | null
  } | null
  readonly askedOn: string | null
  /** Days the seller has owed a word; null where nothing is awaited. */
  readonly waiting: number | null
  readonly isSilent: boolean
  readonly tripId: string | null
  /** What is put in its place where it is chosen and gone. */
  readonly substitutes: readonly {
    readonly id: string
    readonly title: string
    readonly more: number
    readonly change: number | null
  }[]
  readonly rebates: readonly LeadRebateView[]
  /** What a donor lacks for the brief: roles it does not fill, and what its fit check asks for; with the cheapest that fills it. */
  readonly lacks: readonly { readonly what: string; readonly cost: number | null }[]
  readonly photos: readonly { readonly id: string; readonly arrival: boolean }[]
}

export interface LeadRebateView {
  readonly id: string
  readonly kind: string
  readonly amount: number
  readonly claimBy: string
  readonly expectedBy: string | null
  readonly state: RebateState
  readonly proof: string
  /** Whether the household has had its share of the campaign already. */
  readonly isBeyond: boolean
  /** Trade-in against selling it oneself, in the build's currency. */
  readonly tradeIn: (TradeInSheet & { readonly name: string }) | null
}

export interface TripView {
  readonly id: string
  readonly name: string
  readonly km: number
  readonly fare: number
  readonly hours: number
  readonly cost: number
}

/** The inbox of a build. */
export interface LeadInboxView {
  readonly trips: readonly TripView[]
  readonly leads: readonly LeadView[]
  /** Leads whose currency has no rate into the build's. */
  readonly unvalued: readonly { readonly id: string; readonly title: string; readonly reason: string }[]
}

export interface ChoiceView {
  readonly id: string
  readonly kind: 'lead' | 'hunt' | 'owned'
  readonly label: string
  readonly scope: Scope
  readonly reason: string
  /** Parts of it that are not built in. */
  readonly leftOut: readonly string[]
  /** Whether it comes from the build that this one is a variant of. */
  readonly isInherited: boolean
  readonly paidOn: string | null
  readonly leadId: string | null
  readonly partId: string | null
  readonly limit: number | null
  /** Condition of a lead; null for a hunt. */
  readonly condition: Condition | null
  /** Day a chosen lead was found gone at its source. */
  readonly vanishedOn: string | null
  readonly roles: readonly Role[]
  readonly parts: readonly { readonly id: string; readonly name: string; readonly role: Role }[]
  readonly payNow: number
  readonly afterRebates: number
  readonly expected: number
  readonly anyoneCanPay: number | null
  /** Hunts: expected wait in days, null where no comp is that cheap. */
  readonly expectedWait: number | null
  /** Hunts: chance to come in by the date wanted; null without a date. */
  readonly chanceByDate: number | null
  readonly source: string
}

export interface TargetView {
  readonly id: string
  readonly workloadId: string
  readonly workload: string
  readonly width: number
  readonly height: number
  readonly preset: string
  readonly averageFps: number
  readonly lowFps: number | null
  readonly estimate: FrameEstimate | null
  readonly verdict: TargetVerdict | null
  readonly missing: readonly string[]
  /** Measured results of the very same parts at these settings. */
  readonly measured: readonly {
    readonly id: string
    readonly averageFps: number
    readonly lowFps: number | null
    readonly kind: RunKind
    readonly ranOn: string
    readonly note: string
    /** Why it is left out; null where it counts. */
    readonly excluded: string | null
    /** Whether it takes the place of the estimate: the builder's own, and nothing speaks against it. */
    readonly stands: boolean
  }[]
}

/** A measured result as the bench shows it. */
export interface RunView {
  readonly id: string
  readonly workloadId: string
  readonly workload: string
  readonly pair: string
  readonly machine: string
  readonly isThisMachine: boolean
  readonly kind: RunKind
  readonly settings: FrameSettings
  readonly scene: string
  readonly averageFps: number
  readonly lowFps: number | null
  readonly minFps: number | null
  readonly maxFps: number | null
  readonly repeats: readonly Repeat[]
  readonly spread: number | null
  readonly conditions: RunConditions
  readonly readings: RunReadings
  readonly lowsCause: LowsCause | null
  readonly noise: Noise | null
  readonly feeling: Feeling | null
  readonly origin: string
  readonly ranOn: string
  readonly note: string
  readonly excluded: string | null
  readonly overruled: boolean
  /** What the fit says of it: ln of measured over fitted frame time, and against a fit without this pair of parts. */
  readonly residual: { readonly fitted: number; readonly leftOut: number } | null
  readonly logs: readonly { readonly id: string; readonly name: string; readonly frames: number }[]
}

/** What the bench says of a target beyond its estimate. */
export interface BenchTarget {
  readonly id: string
  readonly graphicsNeeded: number | null
  readonly cpuNeeded: number | null
  readonly nextCard: { readonly name: string; readonly gain: number } | null
  readonly nextCpu: { readonly name: string; readonly gain: number } | null
  /** The cheapest change that reaches it; null where it is reached, or nothing at hand does. */
  readonly change: {
    readonly name: string
    readonly role: Role
    readonly more: number
    readonly fps: number
  } | null
  readonly measure: NextMeasurement
}

/** Bench of a build. */
export interface BenchView {
  readonly machine: FrameMachine | null
  readonly pair: string | null
  readonly targets: readonly BenchTarget[]
  readonly runs: readonly RunView[]
  /** Machines that have runs. */
  readonly machines: readonly { readonly pair: string; readonly name: string; readonly runs: number }[]
  readonly forecasts: readonly (Forecast & {
    readonly workload: string
    readonly settings: string
    readonly madeOn: string
    readonly kept: KeptForecast | null
  })[]
  readonly record: readonly (ForecastRecord & { readonly workload: string })[]
  readonly tasks: readonly (WorkTask & {
    readonly estimate: WorkEstimate | null
    readonly results: readonly {
      readonly id: string
      readonly cpu: string
      readonly value: number
      readonly feeling: Feeling | null
      readonly kind: string
      readonly ranOn: string
      readonly note: string
      readonly isThisMachine: boolean
    }[]
  })[]
  readonly value: {
    readonly anyone: readonly ValueStep[]
    readonly paid: readonly ValueStep[]
    readonly leftOut: readonly string[]
  }
  readonly living: readonly LivingVerdict[]
}

export interface WeighedView {
  readonly machine: WeighedMachine
  readonly equivalents: readonly Equivalent[]
  readonly cost: LikeForLike
  readonly comparison: RateComparison | null
  readonly verdict: WeighingVerdict | null
  /** The build against it, part by part; empty where its parts are not known. */
  readonly components: readonly ComponentLine[]
  /** What to ask its seller. */
  readonly questions: readonly { readonly key: string; readonly question: string }[]
  /** What it would take to bring each side up to the other; null where its parts are not known. */
  readonly toEqual: {
    readonly own: readonly { readonly name: string; readonly price: number }[]
    readonly other: readonly { readonly name: string; readonly price: number }[]
  } | null
  /** The first sensible upgrade. */
  readonly room: { readonly what: string; readonly cost: number } | null
}

export interface BuildView {
  readonly id: string
  readonly name: string
  readonly purpose: string
  readonly currency: string
  readonly region: string
  readonly budget: number
  readonly stretch: number
  readonly wantedBy: string | null
  readonly saleText: string
  readonly variantOf: string | null
  readonly houseRules: HouseRules
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
  /** Undoable: choices taken out in this build, newest first. */
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

/** A machine found that matches a rival, or the best for its money. */
export interface MatchView {
  readonly goal: 'match' | 'spend'
  readonly rivalName: string
  /** False where time ran out before it was proven the best. */
  readonly isComplete: boolean
  /** How far from the best it may be, as a share; null where nothing was found. */
  readonly gap: number | null
  readonly checked: number
  readonly tookMs: number
  /** What the rival takes to own; null for a match. */
  readonly budget: number | null
  readonly found: {
    readonly options: readonly {
      readonly id: string
      readonly partId: string
      readonly name: string
      readonly role: Role
      readonly payNow: number
      readonly from: 'lead' | 'street' | 'build'
    }[]
    /** Expected cost: risk counted, what comes along sold on. */
    readonly price: number
    readonly payNow: number
    /** What it takes to own, on the scales; null for a match. */
    readonly toOwn: number | null
    readonly targets: readonly {
      readonly name: string
      readonly fps: number
      readonly wanted: number
      readonly floor: number | null
    }[]
    readonly findings: readonly { readonly severity: FindingView['severity']; readonly what: string }[]
    /** Its expected cost over that of the build's own core machine. */
    readonly againstOwn: number
  } | null
}

/** A finding as it is shown; its ways are asked for apart. */
export type FindingView = Omit<Finding, 'mends'>
export interface FitView extends Omit<FitReport, 'findings' | 'settled'> {
  readonly findings: readonly FindingView[]
  readonly settled: readonly FindingView[]
}

/** What the place Machine shows beyond the build: ways to mend, power, room to grow, the plan, the sheet of assembly. */
export interface MachineView {
  /** By key of the finding. */
  readonly ways: Readonly<Record<string, readonly MendRow[]>>
  /** Money at risk by key of the finding: what its parts cost, or the cheapest way. */
  readonly atRisk: Readonly<Record<string, number>>
  /** Cheapest sensible candidates of empty roles. */
  readonly candidates: readonly {
    readonly role: Role
    readonly options: readonly { readonly partId: string; readonly name: string; readonly price: number }[]
  }[]
  readonly power: PowerSheet
  readonly rules: MachineRules
  readonly room: UpgradeRoom
  readonly plan: ReturnType<typeof machinePlan>
  readonly assembly: readonly AssemblyStep[]
}

export interface StepView extends Omit<StepUp, 'option'> {
  readonly id: string
  readonly from: 'lead' | 'street'
  readonly partId: string
  readonly name: string
  readonly price: number
}
export interface StepsView {
  readonly left: number
  readonly threshold: number
  readonly roles: readonly {
    readonly role: Role
    readonly present: {
      readonly name: string
      readonly cost: number
      readonly choiceId: string | null
    } | null
    readonly steps: readonly StepView[]
  }[]
  readonly slimming: {
    readonly over: number
    readonly stillOver: number
    readonly swaps: readonly {
      readonly choiceId: string
      readonly out: string
      readonly id: string
      readonly partId: string
      readonly from: 'lead' | 'street'
      readonly name: string
      readonly saved: number
      readonly lost: number
    }[]
  } | null
}

/** A card that moves to the next machine. */
export interface CarryView extends CarryForward {
  readonly name: string
  readonly next: string
  readonly replaces: string | null
  readonly months: number
  readonly price: number
  readonly percentPer30Days: number
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
    readonly left: number
    readonly findings: readonly { readonly severity: FindingView['severity']; readonly what: string }[]
    readonly targets: readonly {
      readonly name: string
      readonly fps: number | null
      readonly wanted: number
      readonly verdict: TargetVerdict | null
    }[]
    /** What it does not share with all the others. */
    readonly lines: readonly { readonly id: string; readonly label: string; readonly payNow: number }[]
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

export interface LibraryView {
  readonly parts: readonly Part[]
  readonly sources: readonly SourceView[]
  readonly workloads: readonly Workload[]
  readonly rivals: readonly RivalView[]
  readonly shelf: readonly ShelfView[]
}

export interface SourceView {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly currency: string
  readonly taxPercent: number
  readonly taxOnShipping: boolean
  readonly shippingKind: string
  readonly shippingAmount: number
  readonly shippingFreeFrom: number | null
  readonly paymentFeePercent: number
  readonly sellerFeePercent: number
  readonly protection: string
  readonly note: string
}

export interface RivalView {
  readonly id: string
  readonly kind: string
  readonly name: string
  readonly price: number
  readonly currency: string
  readonly taxPercent: number
  readonly shipping: number
  readonly brings: readonly Need[]
  readonly notStated: readonly string[]
  readonly cpuId: string | null
  readonly graphicsId: string | null
  readonly parts: Partial<Omit<RivalParts, 'cpuId' | 'graphicsId'>>
  readonly shippingStated: boolean
  readonly warrantyMonths: number | null
  readonly note: string
}

export interface ShelfView {
  readonly id: string
  readonly partId: string
  readonly name: string
  readonly role: Role
  readonly condition: Condition
  readonly cost: number
  readonly currency: string
  readonly note: string
  /** Build whose purchase it was left over from. */
  readonly buildId: string | null
  /** Build it is used in. */
  readonly usedIn: string | null
  readonly soldOn: string | null
}

export interface PollView extends PollReport {
  readonly id: number
  readonly startedAt: string
  readonly finishedAt: string | null
  readonly outcome: 'running' | 'done' | 'failed' | 'cut-short'
  readonly message: string
}

export interface ConnectorView {
  readonly id: string
  readonly sourceId: string
  readonly sourceName: string
  readonly kind: 'sold-csv' | 'lead-feed' | 'shop-csv'
  readonly url: string
  readonly everyMinutes: number
  readonly allowPrivate: boolean
  readonly paused: boolean
  readonly failures: number
  readonly dueAt: string
  readonly polls: readonly PollView[]
}

/** The haggle sheet of a lead. Amounts of the sheet in the lead's currency, the alternative in the build's. */
export interface HaggleView extends HaggleSheet {
  readonly leadId: string
  readonly currency: string
  readonly buildCurrency: string
  readonly ask: number
  readonly askedBy: 'listing' | 'counter-offer'
  /** Expected cost at the ask, once the rest is sold, in the build's currency. */
  readonly costAtAsk: number
  readonly street: number | null
  readonly alternative: {
    readonly amount: number
    readonly what: string
    readonly leadId: string | null
  } | null
  readonly asks: readonly { readonly day: string; readonly ask: number }[]
  readonly log: readonly {
    readonly id: string
    readonly by: 'me' | 'seller'
    readonly amount: number | null
    readonly day: string
    readonly note: string
  }[]
  readonly combinations: readonly {
    readonly titles: readonly string[]
    readonly cost: number
    readonly left: number
    readonly worth: number
  }[]
}

/** How far a chosen thing is: what was paid, what arrived, what goes back. */
export interface PurchaseView {
  readonly choiceId: string
  readonly paidOn: string | null
  /** Cash that left for it less what came back, minor units of the build's currency. */
  readonly paid: number
  readonly checklist: readonly string[]
  readonly arrival: {
    readonly day: string
    readonly verdict: ArrivalVerdict
    readonly foundPartId: string | null
    readonly foundName: string | null
    readonly checks: readonly string[]
    readonly note: string
    readonly returnBy: string | null
    readonly returnState: 'to-send' | 'sent' | 'refunded' | null
  } | null
  readonly rebates: readonly {
    readonly id: string
    readonly kind: string
    readonly amount: number
    readonly currency: string
    readonly claimBy: string
    readonly state: RebateState
  }[]
  /** By when it may go back, as the source's protection has it, counted from today. */
  readonly returnBy: string | null
}

export interface LedgerView {
  readonly currency: string
  readonly entries: readonly {
    readonly id: string
    readonly day: string
    readonly kind: EntryKind
    readonly cash: number
    readonly hours: number
    readonly choiceId: string | null
    readonly text: string
    readonly correctsId: string | null
    readonly standing: number
  }[]
  readonly totals: {
    readonly paid: number
    readonly cameBack: number
    readonly net: number
    readonly due: number
    readonly toComeBack: number
    readonly inTheEnd: number
    readonly hours: number
  }
  readonly lines: readonly {
    readonly choiceId: string
    readonly label: string
    readonly net: number
    readonly anyoneCanPay: number | null
    readonly difference: number | null
    readonly takenOut: boolean
  }[]
  readonly compared: { readonly net: number; readonly anyoneCanPay: number }
  /** Chosen leads still to be paid, source by source, put together. */
  readonly orders: readonly {
    readonly source: string
    readonly currency: string
    readonly titles: readonly string[]
    readonly together: number
    readonly saved: number
    readonly freeShippingGap: number | null
    readonly codesUsed: readonly string[]
  }[]
  readonly resale: Resale
  /** Dates ahead: claims, returns, auctions, the day it is wanted. */
  readonly deadlines: readonly {
    readonly day: string
    readonly what: string
    readonly kind: 'claim' | 'expected' | 'return' | 'auction' | 'wanted'
  }[]
}
