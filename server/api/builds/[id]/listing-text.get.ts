import { listingText } from '#core/files/editions/listingText'
import { buildView } from '#server/places/builds/buildView'
import { editionContent } from '#server/places/builds/editionContent'
import { defineCall } from '#server/http/defineCall'

/** The text of a listing for the machine as it stands. */
export default defineCall('GET /api/builds/:id/listing-text', async ({ db, params, today }) => {
  const view = await buildView(db, params.id, today)
  return { text: listingText(editionContent(view, today)) }
})
