import { targetName } from '#core/performance/model/targetName'
import { partLabel } from '#core/parts/part'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { targetRatio } from '#core/performance/model/judgeTarget'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { baseWishes, baseMachines, supplyFor, type BaseMachine } from '#core/machine/upgrades/baseMachines'
import { capSplits, type CapOption } from '#core/machine/upgrades/capSplit'
import { eq } from 'drizzle-orm'
import type { Part } from '#core/parts/part'
import type { CapSplitView, CapView } from '#shared/brief/views'
import type { Database } from '#server/db/client'
import { targets } from '#server/db/schema/brief'
import { useMarket } from '#server/context/market'
import { partsAtTheirWays, suggestedWays } from '#server/context/waysToGet'
import { usePerformance } from '#server/context/performance'
import { findBuild } from '#server/context/findBuild'

/** The best pair, and the best one that puts the money differently: around another base machine. */
function bestAndNext<Split extends { readonly base: BaseMachine }>(splits: readonly Split[]): Split[] {
  const [best] = splits
  const next = best && (splits.find((each) => each.base.id !== best.base.id) ?? splits[1])
  return [...(best ? [best] : []), ...(next ? [next] : [])]
}

interface CardOption extends CapOption {
  readonly part: Part
}

/**
 * What the brief's budget buys in the ways there are today, leads and things on the shelf among them: the best split
 * between base machine and card, and the next best.
 */
export async function capView(db: Database, buildId: string, today: string): Promise<CapView> {
  const [build, market, workloads, targetRows] = await Promise.all([
    findBuild(db, buildId),
    useMarket(db),
    usePerformance(db).then((performance) => performance.workloads),
    db.select().from(targets).where(eq(targets.buildId, buildId)),
  ])
  const needs = build.needs.reduce((sum, need) => sum + need.price, 0)
  const empty = { cap: build.budget, currency: build.currency, needs, splits: [] }
  if (targetRows.length === 0) return { ...empty, problem: 'Add a target to see where the money helps most.' }
  const priced = partsAtTheirWays(await suggestedWays(db, build, { today, choices: [] }))
  const wishes = { ...baseWishes, power: market.assumptions.power }
  const bases = baseMachines(priced, wishes)
  const cards: CardOption[] = priced
    .filter(({ part }) => part.role === 'graphics' && part.facts.graphicsIndex !== undefined)
    .map(({ part, price }) => ({ id: part.id, name: partLabel(part), price, part }))
  if (bases.length === 0 || cards.length === 0)
    return {
      ...empty,
      problem:
        `Prices missing for ${bases.length === 0 ? 'a complete platform' : 'any graphics card'}: ` +
        'import past sales or shop prices.',
    }
  const ratios = (base: BaseMachine, card: CardOption) => {
    const { machine } = frameMachineOf([...base.parts.map(({ part }) => part), card.part])
    return machine === null
      ? []
      : targetRows.map((target) => {
          const workload = workloads.find((each) => each.id === target.workloadId)!
          return {
            name: targetName({ ...target, workload: workload.name }),
            ratio: targetRatio(estimateFrameRate(workload, machine, target), target),
          }
        })
  }
  const splits = capSplits(bases, cards, build.budget - needs, {
    joint: (base, card) => supplyFor(priced, base.cpu, card.part, wishes)?.price ?? null,
    weakest: (base, card) => Math.min(...ratios(base, card).map((each) => each.ratio)),
  })
  return {
    ...empty,
    splits: bestAndNext(splits).map(({ base, card, total, left, weakest }): CapSplitView => {
      const supply = supplyFor(priced, base.cpu, card.part, wishes)
      return {
        base: {
          name: partLabel(base.cpu),
          price: base.price,
          parts: base.parts.map(({ part, price }) => ({ name: partLabel(part), price })),
        },
        card: { name: card.name, price: card.price },
        supply: supply ? { name: partLabel(supply.part), price: supply.price } : null,
        total,
        left,
        weakest,
        weakestTarget: ratios(base, card).sort((a, b) => a.ratio - b.ratio)[0]!.name,
      }
    }),
    problem:
      splits.length === 0 ? 'No complete PC with a graphics card is possible within the budget today.' : '',
  }
}
