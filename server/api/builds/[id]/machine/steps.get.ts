import { roles } from '#core/parts/part'
import { object } from 'yup'
import { oneOf } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { stepsView } from '#server/places/machine/readSteps'

const schema = object({ role: oneOf(roles) })

export default pageRoute(async (event) =>
  stepsView(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    today(),
    schema.validateSync(getQuery(event)).role,
  ),
)
