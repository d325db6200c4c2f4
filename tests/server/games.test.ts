import { afterEach, beforeEach, expect, test } from 'vitest'
import { typicalGames } from '#core/performance/model/typicalGames'
import { loadWorkloads } from '#server/context/workloads'
import { addRun } from '#server/places/bench/runs'
import { exportParts, savePart } from '#server/places/parts/parts'
import { keepPaste, undoPaste } from '#server/places/pastes/keepPaste'
import { removeGame, saveGame } from '#server/places/work/games'
import { runSchema } from '#shared/bench/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { pasteSchema } from '#shared/pastes/schemas'
import { gameSchema } from '#shared/work/schemas'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** Games and indexes made on screen, on an empty database. */
let place: MarketWithBuild
beforeEach(async () => {
  place = await marketWithBuild({ empty: true })
  await savePart(place.db, {
    id: 'cpu',
    role: 'cpu',
    make: 'Linnet',
    name: 'Dovecote',
    facts: { cpuIndex: 80, threads: 12 },
  })
  await savePart(place.db, { id: 'card', role: 'graphics', make: '', name: 'Quill 70', facts: { vramGb: 8 } })
})
afterEach(() => place.close())

const shape = typicalGames[1]!
const game = (known: object | null, id = 'moorfell') =>
  gameSchema.validateSync({ ...shape, saying: undefined, id, name: 'Moorfell', known })
const known = { cpuId: 'cpu', graphicsId: 'card', width: 1920, height: 1080, preset: 'high', averageFps: 72 }
const index = (value: number) =>
  keepPaste(
    place.db,
    pasteSchema.validateSync({ indexes: [{ partId: 'card', fact: 'graphicsIndex', value }] }),
    today,
  )

test('a known rate needs indexes, then fixes the game; a run is estimated from it', async () => {
  await expect(saveGame(place.db, game(known))).rejects.toThrow("the card's index")
  await index(60)
  await saveGame(place.db, game(known))
  const [kept] = await loadWorkloads(place.db)
  expect(kept!.graphicsMs / kept!.cpuMs).toBeCloseTo(shape.graphicsMs / shape.cpuMs)
  expect(kept!.graphicsMs).not.toBeCloseTo(shape.graphicsMs)
})

test('a game that a run names keeps its presets and is not removed; one that none names goes', async () => {
  await index(60)
  await saveGame(place.db, game(known))
  await addRun(
    place.db,
    runSchema.validateSync({
      workloadId: 'moorfell',
      ...known,
      kind: 'own-reading',
      ranOn: today,
    }),
    today,
  )
  const without = game(null)
  const { high: _, ...presets } = without.presets
  await expect(saveGame(place.db, { ...without, presets })).rejects.toThrow('"high": it must stay')
  await expect(removeGame(place.db, 'moorfell')).rejects.toThrow(
    '1 run and 0 targets use this game: remove them first',
  )
  await saveGame(place.db, game(known, 'copy'))
  await removeGame(place.db, 'copy')
  await expect(removeGame(place.db, 'copy')).rejects.toThrow('there is no game')
})

test('indexes are taken back to what stood there before; none below one', async () => {
  const first = await index(60)
  const second = await index(75)
  const now = async () => (await exportParts(place.db, 'graphics')).parts[0]!.facts.graphicsIndex
  expect(await now()).toBe(75)
  await undoPaste(place.db, second.paste)
  expect(await now()).toBe(60)
  await undoPaste(place.db, first.paste)
  expect(await now()).toBeUndefined()
  // one that was changed by hand since stays as it is
  const third = await index(90)
  await savePart(place.db, {
    id: 'card',
    role: 'graphics',
    make: '',
    name: 'Quill 70',
    facts: { graphicsIndex: 95 },
  })
  await undoPaste(place.db, third.paste)
  expect(await now()).toBe(95)
  expect(() =>
    pasteSchema.validateSync({ indexes: [{ partId: 'card', fact: 'cpuIndex', value: 0 }] }),
  ).toThrow('more than 0')
})

test('a library file carries games and comes back in as it went out', async () => {
  await index(60)
  await saveGame(place.db, game(known))
  const file = JSON.parse(JSON.stringify(await exportParts(place.db)))
  expect(librarySchema.validateSync(file, { strict: true }).workloads).toMatchObject([{ id: 'moorfell' }])
})
