import { eq } from 'drizzle-orm'
import type { Queryable } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { sources } from '#server/db/schema/sources'

/** A listing that was bought is open to nobody any more. */
export async function markBought(tx: Queryable, leadId: string): Promise<void> {
  const [row] = await tx
    .select({ kind: sources.kind, stock: leads.stock })
    .from(leads)
    .innerJoin(sources, eq(sources.id, leads.sourceId))
    .where(eq(leads.id, leadId))
  const isOne =
    (row?.stock ?? (row?.kind === 'classifieds' || row?.kind === 'auction' ? 'one' : 'many')) === 'one'
  if (isOne) await tx.update(leads).set({ state: 'bought' }).where(eq(leads.id, leadId))
}
