import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { changeConnector, connectorViews } from '#server/places/sources/connectors/connectors'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  await changeConnector(db, getRouterParam(event, 'id')!, { deletedAt: today() })
  return connectorViews(db)
})
