import { isNull } from 'drizzle-orm'
import { readStreetPrice, useMarket } from '../context/market'
import { builds } from '../db/schema/builds'
import { useDatabase } from '../db/useDatabase'
import { today } from '../http/today'

/**
 * After the start the street prices that the builds are read from are worked out part by part, giving way to every
 * request in between, so that the first page does not wait for all of them at once.
 */
export default defineNitroPlugin((nitro) => {
  let isOver = false
  nitro.hooks.hook('close', () => {
    isOver = true
  })
  const warmUp = async () => {
    const db = await useDatabase()
    const market = await useMarket(db)
    const rows = await db
      .selectDistinct({ currency: builds.currency })
      .from(builds)
      .where(isNull(builds.deletedAt))
    for (const { currency } of rows)
      for (const partId of market.queries.keys()) {
        if (isOver) return
        readStreetPrice(market, partId, today(), currency)
        await new Promise((resolve) => setImmediate(resolve))
      }
  }
  warmUp().catch((error: unknown) => console.error('warming up failed:', error))
})
