import { connectorPatchSchema } from '#shared/sources/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { changeConnector, connectorViews } from '#server/places/sources/connectors/connectors'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  await changeConnector(db, getRouterParam(event, 'id')!, await bodyOf(event, connectorPatchSchema))
  return connectorViews(db)
})
