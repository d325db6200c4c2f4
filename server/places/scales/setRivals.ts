import { eq } from 'drizzle-orm'
import { assertCalculable } from '#server/context/assertCalculable'
import type { Database } from '#server/db/client'
import { buildRivals } from '#server/db/schema/scales'

export async function setRivals(
  db: Database,
  buildId: string,
  rivalIds: readonly string[],
  today: string,
): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.delete(buildRivals).where(eq(buildRivals.buildId, buildId))
    for (const rivalId of new Set(rivalIds)) await tx.insert(buildRivals).values({ buildId, rivalId })
    await assertCalculable(tx, buildId, today, 'rivals')
  })
}
