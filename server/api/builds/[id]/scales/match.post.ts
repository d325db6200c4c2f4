import { object } from 'yup'
import { oneOf, text } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { streamProgress } from '#server/http/importing'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { findMatch, matchContext } from '#server/places/scales/match'

const schema = object({ goal: oneOf(['match', 'spend']).required(), rivalId: text().required() })

/** Answers JSON lines: the share searched now and then, at last the machine found. Going away ends the search. */
export default jsonRoute(async (event) => {
  const wanted = await bodyOf(event, schema)
  const context = await matchContext(await useDatabase(), getRouterParam(event, 'id')!, wanted, today())
  return streamProgress(event, (onProgress) =>
    findMatch(
      context,
      () => performance.now(),
      (share) => onProgress(Math.round(100 * share), 100),
    ),
  )
})
