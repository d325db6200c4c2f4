import { itemSteps } from '#shared/ledger/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { NotFoundError } from '#server/errors/notFoundError'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import * as steps from '#server/places/ledger/itemSteps'

/** One step of a thing's life, named in the path. */
export default writeRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const name = getRouterParam(event, 'step')!
  const step = (Object.keys(itemSteps) as (keyof typeof itemSteps)[]).find((each) => each === name)
  if (!step) throw new NotFoundError(`unknown item step "${name}"`)
  const body = <S extends keyof typeof itemSteps>(of: S) => bodyOf(event, itemSteps[of] as never) as never
  const run = {
    arrive: async () => steps.arrive(db, id, await body('arrive'), today()),
    cancel: async () => steps.cancel(db, id, await body('cancel'), today()),
    'send-back': async () => steps.sendBack(db, id, await body('send-back'), today()),
    refund: async () => steps.refund(db, id, await body('refund'), today()),
    'come-back': async () => steps.comeBack(db, id, await body('come-back'), today()),
    move: async () => steps.move(db, id, await body('move'), today()),
    find: async () => steps.find(db, id, await body('find'), today()),
    sell: async () => steps.sell(db, id, await body('sell'), today()),
    'write-off': async () => steps.writeOff(db, id, await body('write-off'), today()),
    'trade-in': async () => steps.tradeIn(db, id, await body('trade-in'), today()),
    split: async () => steps.split(db, id, await body('split'), today()),
    'take-back': async () => steps.takeBack(db, id, await body('take-back'), today()),
    arrange: async () => steps.arrange(db, id, await body('arrange'), today()),
  } satisfies Record<keyof typeof itemSteps, () => Promise<string | null>>
  return { build: await run[step]() }
})
