import { copyOfTheDay } from '../db/backup'
import { useOpenDatabase } from '../db/useDatabase'
import { today } from '../http/today'

const everyMs = 10 * 60_000

/** A copy each day something changed; the newest seven stay beside the database. */
export default defineNitroPlugin((nitro) => {
  const copy = async () => {
    try {
      const { client, file } = await useOpenDatabase()
      if (file) await copyOfTheDay(client, file, today())
    } catch (error) {
      console.error('daily backup failed:', error)
    }
  }
  const timer = setInterval(() => void copy(), everyMs)
  nitro.hooks.hook('close', () => clearInterval(timer))
})
