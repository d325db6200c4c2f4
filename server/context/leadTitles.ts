import type { World } from '../readings/world'

/** Titles by id, of leads in any state. */
export function titlesOf(world: World, ids: readonly string[]): ReadonlyMap<string, string> {
  return new Map(
    ids.flatMap((id) => {
      const lead = world.rows.leads.one('id', id)
      return lead ? [[id, lead.title] as const] : []
    }),
  )
}
