import { useOpenDatabase } from '#server/db/useDatabase'
import { connectorViews } from '#server/places/sources/connectors/connectors'
import { poll } from '#server/places/sources/connectors/poll'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/sources/connectors/:id/poll', async ({ params, today }) => {
  const database = await useOpenDatabase()
  await poll(database, params.id, { now: new Date(), today })
  return connectorViews(database.db)
})
