import { carrySchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { carryView } from '#server/places/machine/readCarry'

export default pageRoute(async (event) => {
  const { months, ...query } = getQuery(event)
  const move = carrySchema.validateSync({ ...query, months: Number(months) })
  return carryView(await useDatabase(), getRouterParam(event, 'id')!, move, today())
})
