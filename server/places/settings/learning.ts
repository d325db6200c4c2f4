import { and, inArray, isNotNull, isNull } from 'drizzle-orm'
import type { Assumptions } from '#core/assumptions/assumptions'
import { keepForecast } from '#core/performance/runs/forecast'
import { roleNames, roles, type Role } from '#core/parts/part'
import { learntRatio, learntShare, type Learnt } from '#core/statistics/learnt'
import { streetAt, useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { usePerformance } from '#server/context/performance'
import type { Database } from '#server/db/client'
import { forecasts } from '#server/db/schema/bench'
import { leads, rebates } from '#server/db/schema/leads'
import { items, sales } from '#server/db/schema/ledger'
import type { LearningView } from '#shared/settings/views'

/**
 * What was assumed beside what came, docs/formulas.md (What was foreseen): each with its number of outcomes, those
 * with none left out.
 */
export async function learningView(db: Database): Promise<LearningView[]> {
  const market = await useMarket(db)
  const { assumptions } = market
  const [bySale, byFault] = await Promise.all([salesRows(db, market), faultRows(db, market)])
  return [
    await rebateRow(db, assumptions),
    await haggleRow(db, assumptions),
    ...bySale,
    ...byFault,
    await frameRow(db),
  ].filter(({ count }) => count > 0)
}

const row = (
  id: string,
  name: string,
  learnt: { readonly count: number; readonly learnt: Learnt | null },
  key: string | null = null,
  foreseen: number | null = null,
): LearningView => ({ id, name, key, foreseen, ...learnt })

const share = (outcomes: readonly boolean[]) => ({
  count: outcomes.length,
  learnt: learntShare(outcomes.filter(Boolean).length, outcomes.length),
})
const ratio = (ratios: readonly number[]) => ({ count: ratios.length, learnt: learntRatio(ratios) })

async function rebateRow(db: Database, { risk }: Assumptions): Promise<LearningView> {
  const rows = await db
    .select({ state: rebates.state })
    .from(rebates)
    .where(and(isNotNull(rebates.lineId), inArray(rebates.state, ['paid', 'refused', 'missed'])))
  const paid = share(rows.map(({ state }) => state === 'paid'))
  return row('rebates', 'rebates paid', paid, 'risk.rebateChance', risk.rebateChance)
}

/** What sellers let go of their ask, where something was agreed. */
async function haggleRow(db: Database, { resale }: Assumptions): Promise<LearningView> {
  const rows = await db
    .select({ ask: leads.price, agreed: leads.agreedAmount })
    .from(leads)
    .where(and(isNull(leads.deletedAt), isNotNull(leads.agreedAmount)))
  const off = rows.flatMap(({ ask, agreed }) => (agreed !== null && ask > 0 ? [1 - agreed / ask] : []))
  return row('haggle', 'haggling discount', ratio(off), 'resale.haggleShare', resale.haggleShare)
}

/** Things and machines that were sold, each against the street price of that day. */
async function salesRows(db: Database, market: Market): Promise<LearningView[]> {
  const [sold, things] = await Promise.all([
    db.select().from(sales).where(isNull(sales.returnedOn)),
    db
      .select({
        id: items.id,
        partId: items.partId,
        buildId: items.buildId,
        payerId: items.payerId,
        because: items.goneBecause,
        leftOn: items.leftOn,
      })
      .from(items)
      .where(isNotNull(items.goneBecause)),
  ])
  const street = (partId: string, { day, currency }: { day: string; currency: string }) =>
    streetAt(market, partId, day, currency)
  const single = sold.flatMap((sale) => {
    const thing = things.find(({ id }) => id === sale.itemId)
    const worth = thing ? street(thing.partId, sale) : null
    return worth ? [sale.price / worth] : []
  })
  const whole = sold.flatMap((sale) => {
    if (sale.itemId !== null) return []
    const gone = things.filter(
      ({ because, leftOn, buildId, payerId }) =>
        because === 'sold-with-machine' && leftOn === sale.day && (buildId ?? payerId) === sale.buildId,
    )
    const worths = gone.map(({ partId }) => street(partId, sale))
    const all = worths.reduce<number>((sum, worth) => sum + (worth ?? 0), 0)
    return gone.length > 0 && worths.every((worth) => worth !== null) ? [sale.price / all] : []
  })
  const tried = things.filter(({ because }) => because === 'sold' || because === 'written-off')
  const { resale } = market.assumptions
  return [
    row(
      'whole',
      'price of a whole PC, as a share of its parts’ street prices',
      ratio(whole),
      'resale.wholeFactor',
      resale.wholeFactor,
    ),
    row(
      'single',
      'price of a part sold, as a share of its street price',
      ratio(single),
      'resale.replacedShare',
      resale.replacedShare,
    ),
    row(
      'sells',
      'parts sold rather than written off',
      share(tried.map(({ because }) => because === 'sold')),
      'resale.sells',
      resale.sells,
    ),
  ]
}

/** Used things that came, by role: how many were not what they should be. */
async function faultRows(db: Database, { library, assumptions }: Market): Promise<LearningView[]> {
  const came = await db
    .select({ partId: items.partId, state: items.state })
    .from(items)
    .where(and(isNotNull(items.arrivedOn), inArray(items.condition, ['used'])))
  const roleOf = new Map(library.map((part) => [part.id, part.role]))
  const seen = came.filter(({ state }) => state !== 'unseen')
  const used = (role: Role) => assumptions.risk[`used.${role}`]
  const faulty = ({ state }: { state: string }) => state !== 'works'
  return [
    row('faults', 'used parts that arrived faulty or dead, all kinds', share(seen.map(faulty))),
    ...roles.map((role) =>
      row(
        `faults-${role}`,
        `used parts that arrived faulty or dead: ${roleNames[role]}`,
        share(seen.filter(({ partId }) => roleOf.get(partId) === role).map(faulty)),
        `risk.used.${role}`,
        used(role),
      ),
    ),
  ]
}

/** Estimates frozen when the parts were bought, against the first run of the same parts at the same settings. */
async function frameRow(db: Database): Promise<LearningView> {
  const [frozen, { runs, rows }] = await Promise.all([db.select().from(forecasts), usePerformance(db)])
  const kept = frozen.flatMap((each) => {
    const at = rows.findIndex(
      (run) =>
        run.cpuId === each.cpuId &&
        run.graphicsId === each.graphicsId &&
        run.workloadId === each.workloadId &&
        run.width === each.width &&
        run.height === each.height &&
        run.preset === each.preset &&
        run.upscaling === null &&
        run.kind !== 'published',
    )
    const run = runs[at]
    return run
      ? [
          keepForecast(
            {
              id: each.id,
              workloadId: each.workloadId,
              averageFps: each.averageFps,
              range: { low: each.low, high: each.high },
            },
            run.averageFps,
          ),
        ]
      : []
  })
  return row(
    'frames',
    'runs within the forecast 90 % range',
    share(kept.map((each) => each.inRange)),
    null,
    0.9,
  )
}
