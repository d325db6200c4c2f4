import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'
import { exportParts } from '#server/places/parts/parts'

export default defineCall('GET /api/library/export', async ({ db, query, event }) =>
  asFile(event, JSON.stringify(await exportParts(db, query.role)), 'application/json', 'tarvin-parts.json'),
)
