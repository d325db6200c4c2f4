import { object } from 'yup'
import { roles } from '#core/parts/part'
import { oneOf } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { exportParts } from '#server/places/parts/parts'

const schema = object({ role: oneOf(roles) })

export default jsonRoute(async (event) => {
  const file = await exportParts(await useDatabase(), schema.validateSync(getQuery(event)).role)
  setHeader(event, 'content-disposition', 'attachment; filename="tarvin-parts.json"')
  return file
})
