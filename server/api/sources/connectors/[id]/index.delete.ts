import { changeConnector, connectorViews } from '#server/places/sources/connectors/connectors'
import { defineCall } from '#server/http/defineCall'

export default defineCall('DELETE /api/sources/connectors/:id', async ({ db, params, today }) => {
  await changeConnector(db, params.id, { deletedAt: today })
  return connectorViews(db)
})
