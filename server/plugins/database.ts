import { keepReadingsIn } from '../context/keptReadings'
import { startSentence } from '../db/guard'
import { useOpenDatabase } from '../db/useDatabase'
import { useWorld } from '../readings/useWorld'
import { today } from '../http/today'

/** Reads the settings, opens and migrates at start rather than at the first request, so that a bad setting shows at once. */
export default defineNitroPlugin(async () => {
  try {
    today()
  } catch (error) {
    console.error((error as Error).message)
    process.exit(1)
  }
  try {
    const { db, file } = await useOpenDatabase()
    if (file) keepReadingsIn(db, `${file}.readings`, process.env.TARVIN_EDITION ?? '')
    // from the first write on somebody is told what is written
    await useWorld(db)
  } catch (error) {
    console.error(startSentence(error))
    process.exit(1)
  }
})
