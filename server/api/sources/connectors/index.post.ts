import { connectorSchema } from '#shared/sources/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { createConnector } from '#server/places/sources/connectors/connectors'

export default writeRoute(async (event) => ({
  id: await createConnector(await useDatabase(), await bodyOf(event, connectorSchema), new Date()),
}))
