import { buildAfter } from '#server/places/builds/buildView'
import { settleAdvice } from '#server/places/machine/advice'
import { defineCall } from '#server/http/defineCall'

export default defineCall(
  'POST /api/builds/:id/machine/advice/:advice',
  async ({ db, params, body, today }) => {
    const { state } = body
    await settleAdvice(db, params.id, params.advice, state, today)
    return buildAfter(db, params.id, today)
  },
)
