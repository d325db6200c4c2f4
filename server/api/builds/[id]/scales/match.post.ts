import { streamProgress } from '#server/http/importing'
import { findMatch, matchContext } from '#server/places/scales/match'
import { defineCall } from '#server/http/defineCall'

/** Answers JSON lines: the share searched now and then, at last the machine found. Going away ends the search. */
export default defineCall('POST /api/builds/:id/scales/match', async ({ db, params, body, today, event }) => {
  const wanted = body
  const context = await matchContext(db, params.id, wanted, today)
  return streamProgress(event, (onProgress) =>
    findMatch(
      context,
      () => performance.now(),
      (share) => onProgress(Math.round(100 * share), 100),
    ),
  )
})
