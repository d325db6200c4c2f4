import { useDatabase } from '#server/db/useDatabase'
import { writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { changeChoice } from '#server/places/machine/choices'
import { buildView } from '#server/places/builds/buildView'
import { isInherited, setDropped } from '#server/places/builds/variants'

export default writeRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const variant = getQuery(event).in
  if (typeof variant === 'string' && (await isInherited(db, id, variant))) {
    await setDropped(db, variant, id, false)
    return buildView(db, variant, today())
  }
  const buildId = await changeChoice(db, id, { deletedAt: null }, today())
  return buildView(db, buildId, today())
})
