import type { MoneyKey, OwnMoney } from '#core/assumptions/money'

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
