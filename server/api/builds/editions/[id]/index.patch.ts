import { object } from 'yup'
import { yesOrNo } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { setEditionDeleted } from '#server/places/builds/editions'

const schema = object({ deleted: yesOrNo().required() })

export default writeRoute(async (event) => {
  await setEditionDeleted(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    (await bodyOf(event, schema)).deleted ? new Date().toISOString() : null,
  )
  return { ok: true }
})
