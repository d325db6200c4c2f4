import type { Database } from '#server/db/client'
import { NotFoundError } from '#server/errors/notFoundError'
import { defineCall } from '#server/http/defineCall'
import { jsonRoute } from '#server/http/jsonRoute'
import * as steps from '#server/places/ledger/itemSteps'

const at = '/api/ledger/items/:id'
const routes = {
  arrive: defineCall(`POST ${at}/arrive`, async (asked) => told(steps.arrive, asked)),
  cancel: defineCall(`POST ${at}/cancel`, async (asked) => told(steps.cancel, asked)),
  'send-back': defineCall(`POST ${at}/send-back`, async (asked) => told(steps.sendBack, asked)),
  refund: defineCall(`POST ${at}/refund`, async (asked) => told(steps.refund, asked)),
  'come-back': defineCall(`POST ${at}/come-back`, async (asked) => told(steps.comeBack, asked)),
  move: defineCall(`POST ${at}/move`, async (asked) => told(steps.move, asked)),
  find: defineCall(`POST ${at}/find`, async (asked) => told(steps.find, asked)),
  sell: defineCall(`POST ${at}/sell`, async (asked) => told(steps.sell, asked)),
  'write-off': defineCall(`POST ${at}/write-off`, async (asked) => told(steps.writeOff, asked)),
  'trade-in': defineCall(`POST ${at}/trade-in`, async (asked) => told(steps.tradeIn, asked)),
  split: defineCall(`POST ${at}/split`, async (asked) => told(steps.split, asked)),
  'take-back': defineCall(`POST ${at}/take-back`, async (asked) => told(steps.takeBack, asked)),
  arrange: defineCall(`POST ${at}/arrange`, async (asked) => told(steps.arrange, asked)),
}

/** One step of an item's life, named in the path. */
export default jsonRoute((event) => {
  const name = getRouterParam(event, 'step')!
  if (!Object.hasOwn(routes, name)) throw new NotFoundError('step of an item', name)
  return routes[name as keyof typeof routes](event)
})

async function told<Body>(
  step: (db: Database, id: string, body: Body, today: string) => Promise<string | null>,
  { db, params, body, today }: { db: Database; params: { id: string }; body: Body; today: string },
) {
  return { build: await step(db, params.id, body, today) }
}
