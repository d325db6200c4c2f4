import { part } from '#server/context/marketReadings'
import { isNull } from 'drizzle-orm'
import { hasUnsaved, keepReadings } from '../context/keptReadings'
import { readStreetPrice, useMarket } from '../context/market'
import { builds } from '../db/schema/builds'
import { writerOf, type Database } from '../db/client'
import { useOpenDatabase } from '../db/useDatabase'
import { useWorld } from '../readings/useWorld'
import { today } from '../http/today'

const everyMs = 3000
/** While many are read, what has been read is kept so often: a restart goes on from there. */
const keepEveryMs = 10_000

/**
 * After the start, and after each change, the street prices that the builds are read from are worked out
 * part by part, giving way to every request in between, so that no page waits for all of them at once; then they are
 * kept for the next start.
 */
export default defineNitroPlugin((nitro) => {
  let isOver = false
  let isBusy = false
  let warm = ''
  const warmUp = async () => {
    const { db, version, alone } = await useOpenDatabase()
    // what another program has written to the file
    await alone(async () => writerOf(db)?.lookAround())
    const day = today()
    const state = `${version()} ${day}`
    if (warm === state) return
    const market = await useMarket(db)
    const { world } = market
    let keptAt = performance.now()
    const save = () => {
      if (hasUnsaved(world)) keepReadings(db, world, day)
      keptAt = performance.now()
    }
    for (const currency of await currenciesOf(db))
      for (const partId of market.queries.keys()) {
        // what is read again meanwhile is read at the next turn
        if (isOver || (await useWorld(db)) !== world) return
        // it may be gone meanwhile
        if (part(world, partId) === null) continue
        const reading = readStreetPrice(market, partId, day, currency)
        // read when it is asked for: now, so that it is kept as well
        void reading.trend
        if (performance.now() - keptAt > keepEveryMs) save()
        await new Promise((resolve) => setImmediate(resolve))
      }
    save()
    warm = state
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
