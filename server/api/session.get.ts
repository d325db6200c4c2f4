import { sessionView } from '#server/places/builds/readBuilds'
import { defineCall } from '#server/http/defineCall'
import { isOffLoopback } from '#server/http/signIn'

export default defineCall('GET /api/session', async ({ db, today }) => ({
  ...(await sessionView(db, today)),
  asksPassphrase: isOffLoopback(),
}))
