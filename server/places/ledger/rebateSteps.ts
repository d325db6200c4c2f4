import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { rebateShares } from '#core/ledger/itemCosts'
import { convertAmount, rateTable } from '#core/money/rates'
import type { rebateStepSchema } from '#shared/ledger/schemas'
import type { Database, Queryable } from '#server/db/client'
import { act, type OpenAction } from '#server/db/action'
import { builds } from '#server/db/schema/builds'
import { leads, rebates } from '#server/db/schema/leads'
import { items, orderLines, orders } from '#server/db/schema/ledger'
import { useMarket } from '#server/context/market'
import { NotFoundError } from '#server/errors/notFoundError'
import { writeEntry } from './ledgerEntries'

/** Moves a rebate on; paid, the money stands in the ledger of the build that bought what it is on. */
export async function stepRebate(
  db: Database,
  rebateId: string,
  { state, day }: InferType<typeof rebateStepSchema>,
  today: string,
): Promise<string | null> {
  const { rebate, title, line } = await findRebate(db, rebateId)
  if (!line) {
    if (state === 'paid') throw new CoreError('not-paid', {}, 'state')
    await db.update(rebates).set({ state }).where(eq(rebates.id, rebateId))
    return null
  }
  const text = `rebate on ${title}`
  await act(
    db,
    { kind: 'rebate', text: `${text}: ${state}`, day, buildId: line.buildId },
    today,
    async (action) => {
      const now = await findRebate(action.tx, rebateId)
      if (now.rebate.state === state) return
      await action.update('rebates', rebateId, { state })
      const amount = await inBuild(db, action, rebate.amount, line)
      if (state === 'paid') await pay(action, line, amount, text)
      else if (now.rebate.state === 'paid') await pay(action, line, 0 - amount, `not paid: ${text}`)
    },
  )
  return line.buildId
}

type Line = typeof orderLines.$inferSelect & { readonly from: string; readonly currency: string }

async function findRebate(tx: Pick<Queryable, 'select'>, id: string) {
  const [row] = await tx
    .select({ rebate: rebates, title: leads.title })
    .from(rebates)
    .innerJoin(leads, eq(leads.id, rebates.leadId))
    .where(eq(rebates.id, id))
  if (!row) throw new NotFoundError('rebate', id)
  const [line] =
    row.rebate.lineId === null
      ? []
      : await tx
          .select({ line: orderLines, from: orders.currency, currency: builds.currency })
          .from(orderLines)
          .innerJoin(orders, eq(orders.id, orderLines.orderId))
          .innerJoin(builds, eq(builds.id, orderLines.buildId))
          .where(eq(orderLines.id, row.rebate.lineId))
  return { ...row, line: line ? { ...line.line, from: line.from, currency: line.currency } : null }
}

async function inBuild(
  db: Database,
  action: OpenAction,
  amount: number,
  { from, currency }: Line,
): Promise<number> {
  if (from === currency) return amount
  const { rates } = await useMarket(db)
  return convertAmount(amount, from, currency, rateTable(rates).rateOn(action.day, from, currency))
}

/** An entry, and what is left of the cost of the line's things falls by their shares of it. */
async function pay(action: OpenAction, line: Line, amount: number, text: string): Promise<void> {
  const things = await action.tx.select().from(items).where(eq(items.lineId, line.id)).orderBy(items.id)
  const shares = rebateShares(
    amount,
    things.map(({ cost }) => cost),
  )
  for (const [index, { id, remaining }] of things.entries())
    await action.update('items', id, { remaining: remaining - shares[index]! })
  await writeEntry(
    action.tx,
    {
      buildId: line.buildId,
      day: action.day,
      kind: 'rebate',
      cash: amount,
      scope: things[0]?.scope ?? 'core',
      lineId: line.id,
      text,
      actionId: action.id,
    },
    action.today,
  )
}
