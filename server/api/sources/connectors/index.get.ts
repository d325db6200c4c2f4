import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { connectorViews } from '#server/places/sources/connectors/connectors'

export default jsonRoute(async () => connectorViews(await useDatabase()))
