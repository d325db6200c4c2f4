import { inArray } from 'drizzle-orm'
import type { InferType } from 'yup'
import type { orderGroupSchema } from '#shared/ledger/schemas'
import type { Database } from '#server/db/client'
import { act } from '#server/db/action'
import { choices } from '#server/db/schema/machine'
import { NotFoundError } from '#server/errors/notFoundError'

/** Orders some choices of a shop apart from its others, or together with them again. */
export async function groupOrder(
  db: Database,
  { choiceIds, group }: InferType<typeof orderGroupSchema>,
  today: string,
): Promise<void> {
  const ids = [...new Set(choiceIds as string[])]
  const text = group === null ? 'combined into one order again' : 'split into its own order'
  await act(db, { kind: 'group', text, day: today, buildId: null }, today, async (action) => {
    const rows = await action.tx.select({ id: choices.id }).from(choices).where(inArray(choices.id, ids))
    const missing = ids.find((id) => !rows.some((row) => row.id === id))
    if (missing !== undefined) throw new NotFoundError('choice', missing)
    for (const id of ids) await action.update('choices', id, { orderGroup: group })
  })
}
