import type { Scope } from '#core/ledger/scopes'
import type { Change } from '#core/whatif/change'
import type { ItemView } from '../ledger/views'
import type { AssemblyStep } from '#core/machine/assembly/assemblySheet'
import type { FitReport } from '#core/machine/fit/checkFit'
import type { Finding } from '#core/machine/fit/finding'
import type { FixRow } from '#core/machine/fit/fixes'
import type { machinePlan } from '#core/machine/fit/plan'
import type { PowerSheet } from '#core/machine/power/powerSheet'
import type { CarryForward } from '#core/machine/upgrades/carryForward'
import type { Step as StepUp } from '#core/machine/upgrades/stepsUp'
import type { UpgradeRoom } from '#core/machine/upgrades/upgradeRoom'
import type { Role } from '#core/parts/part'
import type { Condition } from '#core/reading/sales/soldRecord'
import type { MachineRules } from '../brief/houseRules'

export interface ChoiceView {
  readonly id: string
  /** What is meant to fill a role: a lead, a hunt; or a thing of mine that does. */
  readonly kind: 'lead' | 'hunt' | 'item'
  /** The thing, where it is one of mine. */
  readonly item: ItemView | null
  readonly label: string
  readonly scope: Scope
  readonly reason: string
  /** Parts of it that are not built in. */
  readonly leftOut: readonly string[]
  /** Whether it comes from the build that this one is a variant of. */
  readonly isInherited: boolean
  /** The day a thing of mine was paid for this build; null for what is not paid, or was owned before. */
  readonly paidOn: string | null
  /** Why it counts no more. */
  readonly voidBecause: 'bought' | 'gone' | 'passed' | null
  readonly leadId: string | null
  readonly partId: string | null
  readonly limit: number | null
  readonly huntCondition: 'used' | 'new' | null
  /** Condition of a lead, or the one that is hunted for. */
  readonly condition: Condition | null
  /** Day a chosen lead was found gone at its source. */
  readonly vanishedOn: string | null
  readonly roles: readonly Role[]
  readonly parts: readonly { readonly id: string; readonly name: string; readonly role: Role }[]
  /** Null where not known. */
  readonly payNow: number | null
  readonly afterRebates: number | null
  readonly rebatesExpected: number
  readonly expected: number | null
  readonly anyoneCanPay: number | null
  /** Hunts: expected wait in days, null where no comp is that cheap. */
  readonly expectedWait: number | null
  /** Hunts: chance to come in by the date wanted; null without a date. */
  readonly chanceByDate: number | null
  readonly source: string
}

/** A finding as it is shown; its ways are asked for apart. */
export type FindingView = Omit<Finding, 'fixes'>

export interface FitView extends Omit<FitReport, 'findings' | 'settled'> {
  readonly findings: readonly FindingView[]
  readonly settled: readonly FindingView[]
}

/** A next step of a machine, with all it takes along. Minor units. */
export interface GrowStep {
  readonly name: string
  /** By how much the build's total changes. */
  readonly cost: number
  /** What the thing of mine that leaves brings when it is sold on; and the cost less that. */
  readonly brings: number
  readonly more: number
  readonly changes: readonly Change[]
}

/** What the place Machine shows beyond the build: ways to fix, power, room to grow, the plan, the sheet of assembly. */
export interface MachineView {
  /** By key of the finding. */
  readonly ways: Readonly<Record<string, readonly FixProposed[]>>
  /** Money at risk by key of the finding: what its parts cost, or the cheapest way. */
  readonly atRisk: Readonly<Record<string, number | null>>
  /** Cheapest sensible candidates of empty roles. */
  readonly candidates: readonly {
    readonly role: Role
    readonly options: readonly {
      readonly way: string
      readonly partId: string
      readonly name: string
      readonly price: number
      readonly how: string
      readonly changes: readonly Change[]
    }[]
  }[]
  readonly power: PowerSheet
  readonly rules: MachineRules
  readonly room: UpgradeRoom & {
    /** The same kit again; and a larger one in place of what is there. */
    readonly add: GrowStep | null
    readonly replace: GrowStep | null
    /** CPUs of more worth that the board takes, dearest last; `flash` where its firmware is too old for it. */
    readonly cpus: readonly (GrowStep & { readonly gain: number; readonly flash: boolean | null })[]
    /** Why it cannot be told which CPUs the board takes; empty where it can. */
    readonly cpusUnknown: string
    /** The cheapest that brings a tenth or more. */
    readonly first: GrowStep | null
  }
  readonly plan: ReturnType<typeof machinePlan>
  readonly assembly: readonly AssemblyStep[]
  /** Lines of it that are done, as they read. */
  readonly assembled: readonly string[]
}

/** A way to fix, and the changes it is made of: carried out they come to what is shown. */
export interface FixProposed extends FixRow {
  readonly changes: readonly Change[]
  /** Why it cannot be taken, in words; null where it can, or where nobody knows its price. */
  readonly refused: string | null
}

export interface StepView extends Omit<StepUp, 'option'> {
  readonly changes: readonly Change[]
  /** The way; see `Way`. */
  readonly id: string
  readonly how: string
  readonly partId: string
  readonly name: string
  /** Expected cost; and what is paid now. */
  readonly price: number
  readonly payNow: number
}

export interface StepsView {
  /** Null where not known. */
  readonly left: number | null
  readonly threshold: number
  readonly roles: readonly {
    readonly role: Role
    readonly present: {
      readonly name: string
      readonly cost: number
      readonly choiceId: string | null
    } | null
    readonly steps: readonly StepView[]
    /** Parts that may be a step up and cannot be told: without the figure that ranks them, or without a price. */
    readonly notRanked: readonly string[]
    readonly noPrice: readonly string[]
  }[]
}

/** A card that moves to the next machine. */
export interface CarryView extends CarryForward {
  readonly name: string
  readonly next: string
  readonly replaces: string | null
  readonly months: number
  readonly price: number
  readonly percentPer30Days: number
  /** Every card worth a look by its price: what it brings with the CPU of today, and with the next. */
  readonly stairs: readonly CarryStep[]
}

/** A card in both machines: frames against the card of today, 0.1 is 10 % more. */
export interface CarryStep {
  readonly partId: string
  readonly name: string
  readonly price: number
  readonly framesNow: number
  readonly framesAfter: number
  readonly isChosen: boolean
}

/** A remark of an adviser beside the line it is about, with what its swap would do. */
export interface AdviceView {
  readonly id: string
  readonly by: string
  readonly receivedOn: string
  /** Empty: the whole build. */
  readonly line: string
  readonly remark: string
  readonly instead: string
  readonly state: 'open' | 'taken' | 'declined'
  /** Null where nothing is to be swapped, or what is named is not known. */
  readonly swap: {
    readonly partId: string
    readonly name: string
    /** The way it would be taken; null where it has no price today. */
    readonly way: string | null
    /** The part that goes; null where the line is no longer in the build. */
    readonly out: string | null
    /** By how much what is paid now changes, minor units; null where it is not known. */
    readonly more: number | null
    /** Findings that come with it, and that go. */
    readonly comes: readonly string[]
    readonly goes: readonly string[]
    /** Frames in the build's targets, 0.1 is 10 % more; null where they are not known. */
    readonly frames: number | null
    /** What taking it is made of; nothing where it has no price. */
    readonly changes: readonly Change[]
  } | null
}
