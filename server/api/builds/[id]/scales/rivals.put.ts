import { array, object } from 'yup'
import { text } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { setRivals } from '#server/places/scales/setRivals'
import { buildView } from '#server/places/builds/buildView'

const schema = object({ rivals: array().of(text().required()).required().max(20) })

export default buildRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  await setRivals(db, id, (await bodyOf(event, schema)).rivals, today())
  return buildView(db, id, today())
})
