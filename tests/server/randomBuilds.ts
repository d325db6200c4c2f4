import { CoreError } from '#core/errors/coreError'
import { builds } from '#server/db/schema/builds'
import { items } from '#server/db/schema/ledger'
import { leads } from '#server/db/schema/leads'
import { NotFoundError } from '#server/errors/notFoundError'
import { createBuild } from '#server/places/builds/builds'
import { createVariant } from '#server/places/builds/variants'
import { createLead } from '#server/places/leads/leads'
import { addChoice } from '#server/places/machine/choices'
import { importLibrary } from '#server/places/parts/importLibrary'
import { savePart } from '#server/places/parts/parts'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { addToShelf } from '#server/places/shelf/shelf'
import { briefSchema } from '#shared/brief/schemas'
import { leadSchema } from '#shared/leads/schemas'
import { choiceSchema } from '#shared/machine/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { shelfSchema } from '#shared/shelf/schemas'
import type { chance } from '../../demo/random'
import { demoWorkloads } from '../../demo/trade'
import { machineWith } from '../core/machine/fit/soundMachine'
import { marketWithBuild, today, type MarketWithBuild } from './marketWithBuild'

/** A market of three kinds of machine, of which random builds are made. */
export interface RandomMarket extends MarketWithBuild {
  readonly library: readonly { readonly id: string; readonly role: string }[]
}

export async function randomMarket(): Promise<RandomMarket> {
  const place = await marketWithBuild()
  const library: { id: string; role: string }[] = []
  await place.client.execute('PRAGMA synchronous = OFF')
  const kinds = [
    machineWith(),
    // another platform, a longer card, a weaker supply, a turning drive: what clashes, and what is a step up
    machineWith({
      cpu: { socket: 'ZZ-9', cpuIndex: 150 },
      motherboard: { socket: 'ZZ-9' },
      graphics: { lengthMm: 420, graphicsIndex: 180 },
      supply: { ratedW: 200 },
      storage: { drive: 'hdd', interface: 'sata', driveShape: '3.5', capacityGb: 2000 },
      cooler: { heightMm: 190 },
    }),
    machineWith({ cpu: { cpuIndex: 130 }, graphics: { graphicsIndex: 140 }, memory: { capacityGb: 32 } }),
  ]
  for (const [kind, parts] of kinds.entries())
    for (const { role, facts } of parts) {
      const id = `${role}-${kind}`
      library.push({ id, role })
      await savePart(place.db, { id, role, make: 'Make', name: `${role} ${kind}`, facts: facts as never })
      // of some parts nobody knows a price
      if (id !== 'case-1' && id !== 'memory-2')
        await noteShopPrice(
          place.db,
          { partId: id, shop: 'Pantry', price: `${40 + 9 * kind}.00`, currency: 'CAD', date: today },
          today,
        )
    }
  // one that is bought whole, for some of what is in it
  const contains = ['cpu', 'motherboard', 'memory', 'storage', 'supply', 'case'].map((role) => `${role}-0`)
  await savePart(place.db, {
    id: 'tower',
    role: 'donor',
    make: 'Make',
    name: 'tower',
    facts: { contains } as never,
  })
  library.push({ id: 'tower', role: 'donor' })
  await importLibrary(
    place.db,
    librarySchema.validateSync({ format: 'tarvin-library', version: '1', workloads: demoWorkloads }),
  )
  return { ...place, library }
}

export type Draw = ReturnType<typeof chance>
export const pick = <T>(draw: Draw, list: readonly T[]): T => list[draw.whole(0, list.length - 1)]!

/** A build with some of it chosen, offers around it, now and then a variant of it, or of that one. */
export async function builtAt(
  { db, library }: RandomMarket,
  draw: Draw,
  targets: readonly object[] = [],
): Promise<{ build: string; leads: string[]; items: string[] }> {
  // what was offered to the build before is gone: each looks at its own
  await db.update(leads).set({ state: 'gone' })
  await db.update(items).set({ place: 'gone' })
  // now and then the build before stands on, and shares its carts
  if (draw.whole(0, 2) > 0) await db.update(builds).set({ deletedAt: `${today}T00:00:00Z` })
  const budget = draw.whole(0, 1) === 0 ? '900' : '120'
  const brief = { name: 'Attic', currency: 'CAD', budget, stretch: budget, targets }
  let build = await createBuild(db, briefSchema.validateSync(brief), today)
  const offers: string[] = []
  for (let each = 0; each < 7; each += 1) {
    const things = Array.from({ length: draw.whole(0, 3) === 0 ? 3 : 1 }, (_, at) => ({
      partId: pick(draw, library).id,
      plan: at === 0 ? 'keep' : pick(draw, ['keep', 'resell', 'discard'] as const),
    }))
    const isShop = draw.whole(0, 1) === 0
    offers.push(
      await createLead(
        db,
        leadSchema.validateSync({
          sourceId: isShop ? 'shop' : 'yard',
          title: `an offer ${build} ${each}`,
          price: `${draw.whole(15, 90)}.00`,
          currency: 'CAD',
          condition: isShop ? 'new' : 'used',
          manner: isShop ? 'fixed' : 'local',
          listedOn: today,
          things,
          ...(isShop && each === 0 ? { codes: [{ code: 'FIVE', kind: 'fixed', value: '5.00' }] } : {}),
        }),
      ),
    )
  }
  const mine: string[] = []
  for (let each = 0; each < 2; each += 1)
    mine.push(
      (
        await addToShelf(
          db,
          shelfSchema.validateSync({
            partId: pick(draw, library).id,
            condition: 'used',
            cost: '5',
            currency: 'CAD',
          }),
        )
      ).id,
    )
  const choose = (input: object) => addChoice(db, build, choiceSchema.validateSync(input), today)
  const some = async (most: number) => {
    for (let each = draw.whole(1, most); each > 0; each -= 1) {
      const what = draw.whole(0, 4)
      const input =
        what === 0
          ? { kind: 'lead', leadId: pick(draw, offers), keepBoth: draw.whole(0, 3) === 0 }
          : what === 1
            ? { kind: 'owned', shelfId: pick(draw, mine) }
            : { kind: 'hunt', partId: pick(draw, library).id, limit: `${draw.whole(10, 80)}.50` }
      await choose(input).catch(refusal)
    }
  }
  await some(10)
  for (let depth = draw.whole(0, 4) - 2; depth > 0; depth -= 1) {
    build = await createVariant(db, build, 'Another', today)
    await some(3)
  }
  return { build, leads: offers, items: mine }
}

/** A mistake that is told is no fault; anything else is. */
export function refusal(error: unknown): { code: string } {
  if (error instanceof CoreError) return { code: error.code }
  if (error instanceof NotFoundError) return { code: 'not-found' }
  throw error
}
