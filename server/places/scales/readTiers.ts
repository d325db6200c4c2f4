import { isNull } from 'drizzle-orm'
import { tierOf } from '#core/comparison/tier'
import type { TierView } from '#shared/scales/views'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { buildView } from '../builds/buildView'

/** Every build that has a shop's machine made to its list on its scales, each beside it, from the smallest budget up. */
export async function tiersView(db: Database, today: string): Promise<TierView[]> {
  const rows = await db.select({ id: builds.id }).from(builds).where(isNull(builds.deletedAt))
  const views = await Promise.all(rows.map(({ id }) => buildView(db, id, today)))
  return views
    .sort((a, b) => a.budget - b.budget || (a.id < b.id ? -1 : 1))
    .flatMap(({ id, name, currency, budget, weighing }) =>
      weighing.others
        .filter(({ machine }) => machine.kind === 'configured')
        .map((shop): TierView => ({
          buildId: id,
          build: name,
          shop: shop.machine.name,
          currency,
          budget,
          hours: weighing.own.machine.hours,
          tier: tierOf(weighing.own.cost, shop.cost, {
            hours: weighing.own.machine.hours,
            perHour: weighing.terms.perHour,
          }),
        })),
    )
}
