import { isNull } from 'drizzle-orm'
import { keepReadings } from '../context/keptReadings'
import { readStreetPrice, useMarket } from '../context/market'
import type { Market } from '../context/marketState'
import { builds } from '../db/schema/builds'
import type { Database } from '../db/client'
import { useDatabase } from '../db/useDatabase'
import { today } from '../http/today'

const everyMs = 3000
/** While many are read, what has been read is kept so often: a restart goes on from there. */
const keepEveryMs = 10_000

/**
 * After the start, and after each change of the market, the street prices that the builds are read from are worked out
 * part by part, giving way to every request in between, so that no page waits for all of them at once; then they are
 * kept for the next start.
 */
export default defineNitroPlugin((nitro) => {
  let isOver = false
  let isBusy = false
  let warm: { market: Market; day: string } | null = null
  const warmUp = async () => {
    const db = await useDatabase()
    const market = await useMarket(db)
    const day = today()
    if (warm?.market === market && warm.day === day) return
    let known = market.readings.size
    let keptAt = performance.now()
    for (const currency of await currenciesOf(db))
      for (const partId of market.queries.keys()) {
        // what changed meanwhile is read at the next turn
        if (isOver || (await useMarket(db)) !== market) return
        const reading = readStreetPrice(market, partId, day, currency)
        // read when it is asked for: now, so that it is kept as well
        void reading.trend
        if (performance.now() - keptAt > keepEveryMs && market.readings.size > known) {
          keepReadings(db, market, day)
          known = market.readings.size
          keptAt = performance.now()
        }
        await new Promise((resolve) => setImmediate(resolve))
      }
    if (market.readings.size > known) keepReadings(db, market, day)
    warm = { market, day }
  }
  const turn = async () => {
    if (isBusy) return
    isBusy = true
    await warmUp().catch((error: unknown) => console.error('warming up failed:', error))
    isBusy = false
  }
  void turn()
  const timer = setInterval(turn, everyMs)
  nitro.hooks.hook('close', () => {
    isOver = true
    clearInterval(timer)
  })
})

async function currenciesOf(db: Database): Promise<string[]> {
  const rows = await db
    .selectDistinct({ currency: builds.currency })
    .from(builds)
    .where(isNull(builds.deletedAt))
  return rows.map(({ currency }) => currency)
}
