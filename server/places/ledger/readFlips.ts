import { and, asc, eq, isNull, lt } from 'drizzle-orm'
import { flipsOf, type MachineInStock, type SoldMachine } from '#core/ledger/flips'
import type { FlipsView } from '#shared/ledger/views'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { actions, ledgerEntries, sales } from '#server/db/schema/ledger'
import { buildView } from '../builds/buildView'

/** Machines that were sold, and those built to be, with money in them, by currency. */
export async function flipsView(db: Database, today: string): Promise<FlipsView[]> {
  const rows = await db.select({ id: builds.id }).from(builds).where(isNull(builds.deletedAt))
  const read = await Promise.all(rows.map(({ id }) => machineOf(db, id, today)))
  const found = read.flatMap((each) => each ?? [])
  const currencies = [...new Set(found.map(({ currency }) => currency))].sort()
  return currencies.map((currency) => {
    const own = found.filter((each) => each.currency === currency)
    return {
      currency,
      flips: flipsOf(
        own.flatMap(({ sold }) => sold ?? []),
        own.flatMap(({ stock }) => stock ?? []),
        today,
      ),
    }
  })
}

interface FoundMachine {
  readonly currency: string
  readonly sold: SoldMachine | null
  readonly stock: MachineInStock | null
}

/** A build as a machine that was sold or that money stands in; null where nothing was ever paid for it. */
async function machineOf(db: Database, id: string, today: string): Promise<FoundMachine | null> {
  const begunOn = await firstPayment(db, id)
  if (begunOn === null) return null
  const { name, currency, state, receipt, houseRules } = await buildView(db, id, today)
  const { cost, sale, profit, toPay, worthToday, hours } = receipt.account
  const [sold] = await db
    .select({ day: sales.day })
    .from(sales)
    .where(and(eq(sales.buildId, id), isNull(sales.itemId), isNull(sales.returnedOn)))
  if (state === 'sold' && sold)
    return {
      currency,
      sold: {
        id,
        name,
        begunOn,
        soldOn: sold.day,
        sale: sale.amount,
        cost: cost.amount,
        profit: profit?.amount ?? sale.amount - cost.amount,
        hours,
      },
      stock: null,
    }
  if (state === 'apart' || cost.amount <= 0 || houseRules.intent !== 'sell') return null
  return {
    currency,
    sold: null,
    stock: {
      id,
      name,
      begunOn,
      capital: cost.amount,
      toPay: toPay?.amount ?? null,
      worthToday: worthToday?.amount ?? null,
    },
  }
}

/** Day of the first money that left for a build and was not taken back; null without one. */
async function firstPayment(db: Database, buildId: string): Promise<string | null> {
  const rows = await db
    .select({ day: ledgerEntries.day, undoneOn: actions.undoneOn })
    .from(ledgerEntries)
    .leftJoin(actions, eq(actions.id, ledgerEntries.actionId))
    .where(and(eq(ledgerEntries.buildId, buildId), lt(ledgerEntries.cash, 0)))
    .orderBy(asc(ledgerEntries.day))
  return rows.find(({ undoneOn }) => undoneOn === null)?.day ?? null
}
