import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import type { Database } from '#server/db/client'
import { newId } from '#server/db/ids'
import { parts } from '#server/db/schema/parts'
import { shelf } from '#server/db/schema/shelf'
import type { shelfSchema } from '#shared/shelf/schemas'

export async function addToShelf(
  db: Database,
  thing: InferType<typeof shelfSchema>,
): Promise<{ id: string }> {
  const [part] = await db.select({ id: parts.id }).from(parts).where(eq(parts.id, thing.partId))
  if (!part) throw new CoreError('unknown-part', `"${thing.partId}" is not in the parts library`, 'partId')
  const id = newId(thing.partId)
  await db.insert(shelf).values({ ...thing, id, cost: parseDecimal(thing.cost, thing.currency, 'cost') })
  return { id }
}
