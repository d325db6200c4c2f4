import { changeConnector, connectorViews } from '#server/places/sources/connectors/connectors'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/sources/connectors/:id/restore', async ({ db, params }) => {
  await changeConnector(db, params.id, { deletedAt: null })
  return connectorViews(db)
})
