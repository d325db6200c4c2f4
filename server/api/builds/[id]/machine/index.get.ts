import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { machineView } from '#server/places/machine/readMachine'

export default pageRoute(async (event) =>
  machineView(await useDatabase(), getRouterParam(event, 'id')!, today()),
)
