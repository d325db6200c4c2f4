import { useOpenDatabase } from '../db/useDatabase'
import { today } from '../http/today'
import { pollDue, resumePolls } from '../places/sources/connectors/poll'

const everyMs = 30_000

/** Asks the sources by their schedule; `TARVIN_POLLING=off` leaves it to the builder. */
export default defineNitroPlugin(async (nitro) => {
  const database = await useOpenDatabase()
  await resumePolls(database, new Date())
  if (process.env.TARVIN_POLLING === 'off') return
  let busy = false
  const timer = setInterval(async () => {
    if (busy) return
    busy = true
    try {
      await pollDue(database, { now: new Date(), today: today() })
    } catch (error) {
      console.error('scheduled check failed:', error)
    } finally {
      busy = false
    }
  }, everyMs)
  nitro.hooks.hook('close', () => clearInterval(timer))
})
