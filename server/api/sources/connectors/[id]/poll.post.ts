import { useOpenDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { connectorViews } from '#server/places/sources/connectors/connectors'
import { poll } from '#server/places/sources/connectors/poll'

export default jsonRoute(async (event) => {
  const database = await useOpenDatabase()
  await poll(database, getRouterParam(event, 'id')!, { now: new Date(), today: today() })
  return connectorViews(database.db)
})
