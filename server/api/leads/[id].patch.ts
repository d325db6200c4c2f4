import { object } from 'yup'
import { oneOf, yesOrNo } from '#shared/schemas/fields'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { setLeadState } from '~~/server/services/leads'

const schema = object({ state: oneOf(['open', 'passed']), deleted: yesOrNo() })

export default jsonRoute(async (event) => {
  const { state, deleted } = await bodyOf(event, schema)
  await setLeadState(await useDatabase(), getRouterParam(event, 'id')!, { state, deletedAt: deleted === undefined ? undefined : deleted ? new Date().toISOString() : null })
  return { done: true }
})
