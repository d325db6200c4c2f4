import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'
import { doorPageOf } from '#server/places/leads/door'

/** The page for the door, to be kept on a phone: it needs no net. */
export default defineCall(
  'GET /api/builds/:id/leads/:lead/door',
  async ({ db, params: { id, lead }, today, event }) =>
    asFile(
      event,
      await doorPageOf(db, id, lead, today),
      'text/html',
      `door-${lead.replace(/[^\w-]/g, '')}.html`,
    ),
)
