import { buyOrWait } from '#core/pricing/shops/buyOrWait'
import { newOrUsed } from '#core/supply/ways/newOrUsed'
import { partLabel, roles } from '#core/parts/part'
import type { NewOrUsedRow } from '#shared/prices/views'
import type { Queryable } from '#server/db/client'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import { faultsOf } from '#server/context/faults'
import { buildPage } from '../builds/buildView'
import { readStreetPrice } from '#server/context/market'
import { marketOf } from '#server/context/marketReadings'
import { newOffers } from '#server/context/newOffers'
import { waitNotesFor } from './notes'
import { buildRow } from '#server/context/findBuild'

/** New or used for every part of a build that is not owned and not yet paid. */
export async function newOrUsedSheet(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
): Promise<readonly NewOrUsedRow[]> {
  return newOrUsedPage(await useWorld(db), buildId, today)
}

const newOrUsedPage = reading('new or used', (world, buildId: string, today: string): NewOrUsedRow[] => {
  const build = buildRow(world, buildId)
  const market = marketOf(world)
  const view = buildPage(world, buildId, today)
  const faults = faultsOf(market, build, today)
  const rows: NewOrUsedRow[] = []
  for (const choice of view.choices.filter((each) => each.kind !== 'item' && each.voidBecause === null)) {
    for (const { id, name, role } of choice.parts) {
      if (rows.some((row) => row.partId === id)) continue
      const part = market.library.find((each) => each.id === id)!
      const reading = readStreetPrice(market, id, today, build.currency)
      const [offer] = newOffers(market, id, build.currency, today)
      rows.push({
        partId: id,
        name: name || partLabel(part),
        role,
        grade: reading.grade,
        chosenAs: choice.kind === 'hunt' ? 'hunt' : choice.condition === 'new' ? 'new' : 'used',
        offer: offer ? { source: offer.sourceName, price: offer.price, landed: offer.landed } : null,
        figures: newOrUsed({
          role,
          street: reading.marks?.[build.houseRules.patience ?? 'typical'] ?? null,
          fresh: offer?.landed ?? null,
          usedForbidden: build.houseRules.neverUsed.includes(role),
          assumptions: faults,
        }),
        newLater: offer
          ? buyOrWait(
              {
                price: offer.price,
                kind: 'new',
                today,
                wantedBy: build.wantedBy,
                trend: null,
                rhythm: offer.rhythm,
                notes: waitNotesFor(world, part),
              },
              market.assumptions.pricing,
            )
          : null,
      })
    }
  }
  return rows.sort((a, b) => roles.indexOf(a.role) - roles.indexOf(b.role))
})
