import { buyOrWait } from '#core/pricing/shops/buyOrWait'
import { newOrUsed } from '#core/supply/ways/newOrUsed'
import { partLabel, roles } from '#core/parts/part'
import type { NewOrUsedRow } from '#shared/prices/views'
import type { Database } from '#server/db/client'
import { faultsOf } from '#server/context/faults'
import { buildView } from '../builds/buildView'
import { readStreetPrice, useMarket } from '#server/context/market'
import { newOffers } from '#server/context/newOffers'
import { waitNotesFor } from './notes'
import { findBuild } from '#server/context/findBuild'

/** New or used for every part of a build that is not owned and not yet paid. */
export async function newOrUsedSheet(db: Database, buildId: string, today: string): Promise<NewOrUsedRow[]> {
  const [build, market, view] = await Promise.all([
    findBuild(db, buildId),
    useMarket(db),
    buildView(db, buildId, today),
  ])
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
                notes: await waitNotesFor(db, part),
              },
              market.assumptions.pricing,
            )
          : null,
      })
    }
  }
  return rows.sort((a, b) => roles.indexOf(a.role) - roles.indexOf(b.role))
}
