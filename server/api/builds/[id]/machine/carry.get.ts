import { carrySchema } from '#shared/machine/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { carryView } from '#server/places/machine/readCarry'

export default jsonRoute(async (event) => {
  const { months, ...query } = getQuery(event)
  const move = carrySchema.validateSync({ ...query, months: Number(months) })
  return carryView(await useDatabase(), getRouterParam(event, 'id')!, move, today())
})
