import type { ExchangeRate } from '#core/money/rates'
import type { Part, Role } from '#core/parts/part'
import type { BuyOrWait } from '#core/pricing/shops/buyOrWait'
import type { ShopRhythm } from '#core/pricing/shops/shopRhythm'
import type { Loosening } from '#core/pricing/sieve/waysToLoosen'
import type { Grade } from '#core/pricing/street/grade'
import type { LastAsks } from '#core/pricing/street/lastAsks'
import type { PlaceGap } from '#core/pricing/street/localAgainstOnline'
import type { OwnFigureStanding } from '#core/pricing/street/ownFigure'
import type { ReadChange } from '#core/pricing/street/readHistory'
import type { Override } from '#core/pricing/street/streetPrice'
import type { Trend } from '#core/pricing/trend/trend'
import type { Manner, SoldRecord } from '#core/reading/sales/soldRecord'
import type { DropReason } from '#core/reading/titles/dropReasons'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import type { NewOrUsed } from '#core/supply/ways/newOrUsed'
import type { Agreement, OpinionVerdict } from '#core/supply/ways/opinions'
import type { Step } from '#core/supply/ways/worthBuying'
import type { RecipeSettings } from './queries'

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
  /** Of an open part: the part whose street price stands for it; null: none of the library may be it. */
  readonly standsFor?: { readonly partId: string; readonly name: string } | null
}

/** A sold record, and what the price query makes of it. */
export interface RecordView extends Omit<SoldRecord, 'id'> {
  readonly id: number
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
  /** Rates in force, so that a reading can be made again in the browser. */
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
  /** The open offer it is from; null for a shop price. */
  readonly leadId: string | null
  /** Before tax and shipping. */
  readonly price: number
  readonly date: string
  /** With tax and shipping, bought alone. */
  readonly landed: number
  /** With tax alone: what a fault would cost. */
  readonly itemWithTax: number
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
  /** The cheapest way to get it, in a few words; its price is what is paid now. */
  readonly how: string
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
  /** Parts of which the figure that ranks them is not known, by name. */
  readonly notRanked: readonly string[]
  readonly byTargets: boolean
  readonly rows: readonly WorthRow[]
  readonly limits: readonly { readonly limit: number; readonly partId: string | null }[]
  readonly waitNotes: readonly WaitNoteView[]
  /** What the targets are calculated with besides the candidate. */
  readonly besides: string
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

/** A saved query: settings that are used on other parts. */
export interface RecipeView {
  readonly id: string
  readonly name: string
  readonly settings: RecipeSettings
}

/** The records a changed query could count, for trying it out in the browser. */
export interface RecordPool {
  readonly records: readonly SoldRecord[]
  readonly overrides: Readonly<Record<string, Override>>
  readonly rates: readonly ExchangeRate[]
}
