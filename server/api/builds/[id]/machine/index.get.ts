import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { machineView } from '#server/places/machine/readMachine'

export default jsonRoute(async (event) =>
  machineView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
