import { desc, eq, isNull } from 'drizzle-orm'
import type { Database } from '#server/db/client'
import { undo } from '#server/db/action'
import { actions, items } from '#server/db/schema/ledger'
import { payOrder } from '#server/places/ledger/payOrder'
import { itemSteps } from '#shared/ledger/schemas'
import * as steps from '#server/places/ledger/itemSteps'
import { today } from './marketWithBuild'

/** What is done to things, as the routes do it. */
export async function pay(
  db: Database,
  choiceIds: readonly string[],
  total: string | null = null,
  day = today,
): Promise<void> {
  await payOrder(db, { choiceIds: [...choiceIds], day, total, amounts: [] }, today)
}

export function itemsOf(db: Database, buildId: string) {
  return db.select().from(items).where(eq(items.payerId, buildId)).orderBy(items.id)
}

/** Takes the last action that stands back. */
export async function undoLast(db: Database): Promise<void> {
  const [last] = await db
    .select()
    .from(actions)
    .where(isNull(actions.undoneOn))
    .orderBy(desc(actions.id))
    .limit(1)
  await undo(db, last!.id, today)
}

/** Takes the last action of a kind back. */
export async function undoOf(db: Database, kind: string): Promise<void> {
  const [last] = await db
    .select()
    .from(actions)
    .where(eq(actions.kind, kind))
    .orderBy(desc(actions.id))
    .limit(1)
  await undo(db, last!.id, today)
}

const byName = {
  arrive: steps.arrive,
  cancel: steps.cancel,
  'send-back': steps.sendBack,
  refund: steps.refund,
  'come-back': steps.comeBack,
  move: steps.move,
  find: steps.find,
  sell: steps.sell,
  'write-off': steps.writeOff,
  'trade-in': steps.tradeIn,
  'take-back': steps.takeBack,
  split: steps.split,
  arrange: steps.arrange,
} as const

/** One step of a thing's life, its input checked as the route checks it. */
export async function itemStep(
  db: Database,
  itemId: string,
  step: keyof typeof byName,
  input: object = {},
): Promise<void> {
  const checked = itemSteps[step].validateSync({ day: today, ...input })
  await (byName[step] as (db: Database, id: string, input: never, today: string) => Promise<unknown>)(
    db,
    itemId,
    checked as never,
    today,
  )
}
