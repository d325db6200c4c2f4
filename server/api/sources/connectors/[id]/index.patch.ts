import { changeConnector, connectorViews } from '#server/places/sources/connectors/connectors'
import { defineCall } from '#server/http/defineCall'

export default defineCall('PATCH /api/sources/connectors/:id', async ({ db, params, body }) => {
  await changeConnector(db, params.id, body)
  return connectorViews(db)
})
