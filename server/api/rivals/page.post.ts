import { readRivalPage } from '#server/places/rivals/rivalPages'
import { defineCall } from '#server/http/defineCall'

/** What the source of a page says of a machine; nothing is stored. */
export default defineCall('POST /api/rivals/page', async ({ db, body, today }) =>
  readRivalPage(db, body.source, today),
)
