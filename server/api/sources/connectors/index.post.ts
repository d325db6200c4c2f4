import { connectorSchema } from '#shared/sources/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { createConnector } from '#server/places/sources/connectors/connectors'

export default jsonRoute(async (event) => ({
  id: await createConnector(await useDatabase(), await bodyOf(event, connectorSchema), new Date()),
}))
