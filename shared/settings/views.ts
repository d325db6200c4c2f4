import type { MoneyKey, OwnMoney } from '#core/assumptions/money'

/** What the builder has set for the whole house; what is left out holds its default. */
export interface SettingsView {
  /** The builder's own figures in place of assumptions, by key such as `risk.rebateChance`. */
  readonly assumptions: Readonly<Record<string, number>>
  readonly money: Readonly<Partial<Record<MoneyKey, OwnMoney>>>
  /** Currency that amounts are asked in unless something else is said; null until it is chosen. */
  readonly homeCurrency: string | null
}
