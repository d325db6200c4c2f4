import { object } from 'yup'
import { yesOrNo } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { setRivalDeleted } from '#server/places/rivals/rivals'

const schema = object({ deleted: yesOrNo().required() })

export default writeRoute(async (event) => {
  await setRivalDeleted(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    (await bodyOf(event, schema)).deleted ? new Date().toISOString() : null,
  )
  return { ok: true }
})
