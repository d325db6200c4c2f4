import { reading, sameContent } from '#server/readings/reading'

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
