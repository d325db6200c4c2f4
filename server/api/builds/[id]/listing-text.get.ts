import { listingText } from '#core/files/editions/listingText'
import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { buildView } from '#server/places/builds/buildView'
import { editionContent } from '#server/places/builds/editionContent'

/** The text of a listing for the machine as it stands. */
export default pageRoute(async (event) => {
  const view = await buildView(await useDatabase(), getRouterParam(event, 'id')!, today())
  return { text: listingText(editionContent(view, today())) }
})
