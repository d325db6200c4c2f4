import { eq } from 'drizzle-orm'
import { insertRivalRates, rivalInput, rivalNamesParts, rivalRow } from './rivalRow'
import type { Database } from '#server/db/client'
import { newId } from '#server/db/ids'
import { rivalRates, rivals } from '#server/db/schema/rivals'
import { NotFoundError } from '#server/errors/notFoundError'
import type { RivalInput } from '#shared/rivals/schemas'

export async function createRival(db: Database, rival: RivalInput): Promise<{ id: string }> {
  const id = newId(rival.name)
  await db.transaction(async (tx) => {
    await rivalNamesParts(tx, '', rival)
    await tx.insert(rivals).values(rivalRow(id, rival))
    await insertRivalRates(tx, id, rival)
  })
  return { id }
}

/** Changes what is said of a rival; its stated results are replaced as a whole. */
export async function changeRival(db: Database, id: string, rival: RivalInput): Promise<{ id: string }> {
  await db.transaction(async (tx) => {
    await rivalNamesParts(tx, '', rival)
    const { rowsAffected } = await tx.update(rivals).set(rivalRow(id, rival)).where(eq(rivals.id, id))
    if (rowsAffected === 0) throw new NotFoundError('rival', id)
    await tx.delete(rivalRates).where(eq(rivalRates.rivalId, id))
    await insertRivalRates(tx, id, rival)
  })
  return { id }
}

export async function setRivalDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(rivals).set({ deletedAt }).where(eq(rivals.id, id))
  if (rowsAffected === 0) throw new NotFoundError('rival', id)
}

/** A rival as its form states it. */
export async function rivalOf(db: Database, id: string): Promise<RivalInput> {
  const [row] = await db.select().from(rivals).where(eq(rivals.id, id))
  if (!row) throw new NotFoundError('rival', id)
  return rivalInput(row, await db.select().from(rivalRates).where(eq(rivalRates.rivalId, id)))
}
