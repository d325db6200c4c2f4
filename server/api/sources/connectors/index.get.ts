import { connectorViews } from '#server/places/sources/connectors/connectors'
import { defineCall } from '#server/http/defineCall'

export default defineCall('GET /api/sources/connectors', async ({ db }) => connectorViews(db))
