import type { Queryable } from '#server/db/client'
import { reading, sameContent } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'

/** Asks of a lead, oldest first. */
export const asksOfLead = reading(
  'asks of lead',
  (world, leadId: string): readonly { readonly day: string; readonly ask: number }[] =>
    world.rows.leadAsks
      .where('leadId', leadId)
      .map(({ day, ask }) => ({ day, ask }))
      .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)),
  { same: sameContent, most: 20_000 },
)

/** Asks of leads by lead, oldest first; a lead without asks is not among them. */
export async function asksOf(
  db: Pick<Queryable, 'select'>,
  leadIds: readonly string[],
): Promise<Map<string, readonly { readonly day: string; readonly ask: number }[]>> {
  const world = await useWorld(db)
  return new Map(
    leadIds.flatMap((id) => {
      const asks = asksOfLead(world, id)
      return asks.length === 0 ? [] : [[id, asks] as const]
    }),
  )
}
