import { eq } from 'drizzle-orm'
import { assumptionsWith, type Assumptions } from '#core/assumptions/assumptions'
import { moneyAssumption, type MoneyKey } from '#core/assumptions/money'
import { rateTable, type ExchangeRate } from '#core/money/rates'
import type { SettingsView } from '#shared/settings/views'
import type { Queryable } from '../db/client'
import { settings } from '../db/schema/settings'

/** A passphrase as it is kept: never itself. */
export interface KeptPassphrase {
  readonly salt: string
  readonly hash: string
}

/** Every setting of the house; the key of each is the key of its row. */
export type HouseSettings = SettingsView

const nothingSet: HouseSettings = { assumptions: {}, money: {}, homeCurrency: null }

export async function readSettings(db: Pick<Queryable, 'select'>): Promise<HouseSettings> {
  return settingsOf(await db.select().from(settings))
}

/** The settings that rows hold; what is secret is not among them. */
export function settingsOf(rows: readonly (typeof settings.$inferSelect)[]): HouseSettings {
  const told = rows.filter((row) => !row.key.startsWith(secretPrefix))
  return { ...nothingSet, ...Object.fromEntries(told.map((row) => [row.key, row.value])) }
}

/** What is kept beside the settings and never told. */
export interface HouseSecrets {
  readonly passphrase: KeptPassphrase
  /** seals the cookies of those who signed in */
  readonly seal: string
}

const secretPrefix = 'secret.'

export async function readSecret<Key extends keyof HouseSecrets>(
  db: Pick<Queryable, 'select'>,
  key: Key,
): Promise<HouseSecrets[Key] | null> {
  const [row] = await db
    .select()
    .from(settings)
    .where(eq(settings.key, `${secretPrefix}${key}`))
  return (row?.value as HouseSecrets[Key] | undefined) ?? null
}

export async function writeSecret<Key extends keyof HouseSecrets>(
  db: Queryable,
  key: Key,
  value: HouseSecrets[Key],
): Promise<void> {
  await db
    .insert(settings)
    .values({ key: `${secretPrefix}${key}`, value })
    .onConflictDoUpdate({ target: settings.key, set: { value } })
}

export async function readSetting<Key extends keyof HouseSettings>(
  db: Pick<Queryable, 'select'>,
  key: Key,
): Promise<HouseSettings[Key]> {
  const [row] = await db.select().from(settings).where(eq(settings.key, key))
  return (row?.value as HouseSettings[Key] | undefined) ?? nothingSet[key]
}

export async function writeSetting<Key extends keyof HouseSettings>(
  db: Queryable,
  key: Key,
  value: HouseSettings[Key],
): Promise<void> {
  await db
    .insert(settings)
    .values({ key, value })
    .onConflictDoUpdate({ target: settings.key, set: { value } })
}

/** The assumptions in force, and those in money in any currency. */
export interface AssumptionsInForce {
  readonly assumptions: Assumptions
  readonly ownMoney: HouseSettings['money']
  readonly rates: readonly ExchangeRate[]
}

export function inForce(set: HouseSettings): Pick<AssumptionsInForce, 'assumptions' | 'ownMoney'> {
  return { assumptions: assumptionsWith(set.assumptions), ownMoney: set.money }
}

/** An assumption in money, in minor units of a currency as of today. */
export function moneyIn(
  { ownMoney, rates }: Pick<AssumptionsInForce, 'ownMoney' | 'rates'>,
  key: MoneyKey,
  currency: string,
  today: string,
): number {
  return moneyAssumption(key, currency, ownMoney[key], rateTable(rates), today).amount
}
