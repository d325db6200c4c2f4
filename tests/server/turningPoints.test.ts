import { afterAll, beforeAll, expect, test } from 'vitest'
import type { Change } from '#core/whatif/change'
import type { Border } from '#core/comparison/tipping/tipping'
import { buildPage } from '#server/places/builds/buildView'
import { createRival } from '#server/places/rivals/rivals'
import { setRivals } from '#server/places/scales/setRivals'
import { whatIfWeighed } from '#server/places/scales/whatIfWeighed'
import { useWorld } from '#server/readings/useWorld'
import { rivalSchema } from '#shared/rivals/schemas'
import { turnings } from '~/places/scales/state/turning'
import { chance } from '../../demo/random'
import { today } from './marketWithBuild'
import { builtAt, randomMarket, type RandomMarket } from './randomBuilds'

/** P13: where a verdict is said to turn it does, with all that follows from the figure; one unit nearer it does not. */
const weighings = 15

let place: RandomMarket
beforeAll(async () => {
  place = await randomMarket()
})
afterAll(() => place.close())

/** A figure at a value, as it is set on screen. */
const asChange = (id: string, rivalId: string, value: number): Change | null => {
  if (id === 'years') return { kind: 'weigh', years: value }
  if (id === 'hours') return { kind: 'weigh', fullHours: value }
  if (id === 'tariff') return { kind: 'weigh', tariff: value }
  if (id === 'rival') return { kind: 'weigh', rival: { id: rivalId, price: value } }
  return null
}

test(
  `${weighings * 4} weighings: one unit to either side of a break-even point gives the outcome printed`,
  { timeout: 120_000 },
  async () => {
    const { db } = place
    const target = { workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 60 }
    let borders = 0
    const turned = new Set<string>()
    for (let seed = 1; seed <= weighings; seed += 1) {
      const draw = chance(4200 + seed)
      const { build } = await builtAt(place, draw, [target])
      // near what the build takes, so that something turns
      const { total } = buildPage(await useWorld(db), build, today).weighing.own.cost
      const price = Math.max(50, Math.round((total * draw.whole(60, 140)) / 10_000))
      const { id: rivalId } = await createRival(
        db,
        rivalSchema.cast({
          name: `The tower ${seed}`,
          kind: 'prebuilt',
          price: `${price}.00`,
          currency: 'CAD',
          taxPercent: draw.whole(0, 1) * 13,
          shippingStated: true,
          shipping: '0.00',
          cpuId: 'cpu-0',
          graphicsId: 'graphics-0',
          fullW: draw.whole(0, 1) === 0 ? null : 400,
          brings: [],
          warrantyMonths: 24,
        }),
      )
      await setRivals(db, build, [rivalId], today)
      const world = await useWorld(db)
      const view = buildPage(world, build, today)
      const other = view.weighing.others[0]!
      const winnerAt = (id: string, value: number) => {
        const change = asChange(id, rivalId, value)!
        const { weighing, refused } = whatIfWeighed(world, build, [change], today)
        expect(refused).toBeNull()
        return weighing!.after.others[0]!.verdict!.winner
      }
      for (const { id, point, step, now } of turnings(view, other)) {
        if (asChange(id, rivalId, 0) === null) continue
        for (const turn of [point.below, point.above]) {
          if (!turn) continue
          turned.add(id)
          const nearer = (border: Border) =>
            Math.round((border.value - Math.sign(border.value - now) * step) * 1e6) / 1e6
          const along = [{ border: turn, before: other.verdict!.winner }]
          if (turn.next) along.push({ border: { ...turn.next, next: null }, before: turn.winner })
          for (const { border, before } of along) {
            borders += 1
            const found = [winnerAt(id, border.value), winnerAt(id, nearer(border))]
            expect([seed, id, border.value, ...found]).toEqual([
              seed,
              id,
              border.value,
              border.winner,
              before,
            ])
          }
        }
      }
    }
    expect(borders).toBeGreaterThan(weighings)
    expect([...turned].sort()).toEqual(expect.arrayContaining(['rival', 'years']))
  },
)
