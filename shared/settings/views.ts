import type { MoneyKey, OwnMoney } from '#core/assumptions/money'
import type { Learnt } from '#core/statistics/learnt'

/** What the builder has set for the whole house; what is left out holds its default. */
export interface SettingsView {
  /** The builder's own figures in place of assumptions, by key such as `risk.rebateChance`. */
  readonly assumptions: Readonly<Record<string, number>>
  readonly money: Readonly<Partial<Record<MoneyKey, OwnMoney>>>
  /** Currency that amounts are asked in unless something else is said; null until it is chosen. */
  readonly homeCurrency: string | null
}

/** What a backup is. */
export interface BackupNote {
  readonly format: 'tarvin-backup'
  readonly version: '1'
  readonly madeOn: string
  /** The last migration the database has had. */
  readonly migration: string
}

/** What a backup holds, by table; shown before it takes the place of what is there. */
export interface BackupPreview extends BackupNote {
  readonly builds: readonly string[]
  readonly counts: Readonly<Record<string, number>>
}

/** What was foreseen held against what came; `key` names the assumption that the learnt figure may replace. */
export interface LearningView {
  readonly id: string
  readonly name: string
  readonly key: string | null
  /** What is in force; null where each case had a figure of its own. */
  readonly foreseen: number | null
  /** Outcomes so far; fewer than five say nothing yet. */
  readonly count: number
  readonly learnt: Learnt | null
}
