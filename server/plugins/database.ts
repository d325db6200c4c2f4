import { useOpenDatabase } from '../db/useDatabase'

/** Opens and migrates at start rather than at the first request, so that a bad setting shows at once. */
export default defineNitroPlugin(async () => {
  try {
    await useOpenDatabase()
  } catch (error) {
    console.error('The database could not be opened. TARVIN_DATABASE_URL says where it is:', error)
    process.exit(1)
  }
})
