import { createConnector } from '#server/places/sources/connectors/connectors'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/sources/connectors', async ({ db, body }) => ({
  id: await createConnector(db, body, new Date()),
}))
