import { daysWaiting } from '#core/supply/risk/silence'
import { reading, sameContent } from '../readings/reading'

/** For how many days the seller of a lead owes a word; null where none is owed. */
export const waitingOf = reading(
  'waiting for a seller',
  (world, leadId: string, today: string): number | null => {
    const lead = world.rows.leads.one('id', leadId)!
    const isOpen = lead.deletedAt === null && lead.vanishedOn === null && lead.state === 'open'
    const said = world.rows.offers.where('leadId', leadId).filter(({ deletedAt }) => deletedAt === null)
    return isOpen ? daysWaiting(lead.askedOn, said, today) : null
  },
  { most: 20_000 },
)

/** Open leads whose seller owes a word, and for how many days. */
export const waitingDays = reading(
  'waiting for sellers',
  (world, today: string) =>
    world.rows.leads.all().flatMap(({ id, title }) => {
      const days = waitingOf(world, id, today)
      return days === null ? [] : [{ leadId: id, title, days }]
    }),
  { same: sameContent },
)
