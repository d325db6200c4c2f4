import { assumptionsWith } from '#core/assumptions/assumptions'
import { moneyAssumption } from '#core/assumptions/money'
import { rateTable } from '#core/money/rates'
import { readSetting, writeSetting } from '#server/context/settings'
import type { Database } from '#server/db/client'
import type { MoneyInput } from '#shared/settings/schemas'

/** Sets the builder's own figure in place of an assumption; null takes it back to the default. */
export async function setAssumption(db: Database, key: string, value: number | null): Promise<void> {
  await db.transaction(async (tx) => {
    const { [key]: _old, ...others } = await readSetting(tx, 'assumptions')
    const own = value === null ? others : { ...others, [key]: value }
    // an unknown key or a figure out of range is refused here, before anything is written
    assumptionsWith({ ...own, ...(value === null ? {} : { [key]: value }) })
    await writeSetting(tx, 'assumptions', own)
  })
}

/** The same for an assumption in money. */
export async function setMoney(db: Database, { key, value }: MoneyInput, today: string): Promise<void> {
  await db.transaction(async (tx) => {
    const { [key]: _old, ...others } = await readSetting(tx, 'money')
    if (value !== null) moneyAssumption(key, value.currency, value, rateTable([]), today)
    await writeSetting(tx, 'money', value === null ? others : { ...others, [key]: value })
  })
}

export async function setHomeCurrency(db: Database, currency: string): Promise<void> {
  await writeSetting(db, 'homeCurrency', currency)
}
