import { writeSecret } from '#server/context/settings'
import { defineCall } from '#server/http/defineCall'
import { doorChanged, newSeal, signOut } from '#server/http/signIn'

/** Ends the session of this browser; `everywhere`: every session, by another seal. */
export default defineCall('DELETE /api/session', async ({ db, query, event }) => {
  await signOut(event)
  if (query.everywhere === '1') await writeSecret(db, 'seal', newSeal())
  doorChanged()
  return { done: true as const }
})
