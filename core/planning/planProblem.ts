import type { Part } from '../parts/part'
import { startsMachine } from '../parts/startsMachine'
import type { Code } from '../supply/landed/codes'
import type { Order } from '../supply/landed/landedCost'
import { maybeSold, pinsOf, type BuildQuestion, type BuildWay, type PlanWishes } from './buildQuestion'
import { leastInOrder } from './leastInOrder'
import { lowsOf, type PlanGround } from './planGround'
import type { PlanCostly, PlanDearer, PlanMost, PlanProblem, PlanSlower, PlanWay } from './problem'

/** What was learnt of machines that were looked at: it keeps the program from promising what none of them holds. */
export interface PlanCuts {
  readonly atMost: readonly PlanMost[]
  readonly dearer: readonly PlanDearer[]
  readonly slower: readonly PlanSlower[]
  readonly costly: readonly PlanCostly[]
}

const chance = 0.8
/** Watts that no listed part of the program draws: board, drive, fans, USB. */
const besides = 54
/** Below so many times its draw a supply is never planned. */
export const leastFactor = 1.15

/** The program's question: nothing in it costs more, or is slower, than the machine that it stands for. */
export function problemOf(question: BuildQuestion, ground: PlanGround, cuts: PlanCuts): PlanProblem {
  const { wishes, roles, goal, maySell, own: toOwn } = question
  const isOwned = (way: BuildWay) => maySell > 0 && maybeSold(way)
  const isLarge = isLargeEnough(wishes)
  const pins = pinsOf(question)
  const stays = new Set(
    question.ways.flatMap((way) => (pins.includes(way.id) || isOwned(way) ? way.partIds : [])),
  )
  const parts = new Map(
    question.parts.filter((part) => isLarge(part) || stays.has(part.id)).map((part) => [part.id, part]),
  )
  const tooSmall = question.ways.filter(
    (way) =>
      isOwned(way) &&
      !pins.includes(way.id) &&
      way.partIds.some((id) => parts.has(id) && !isLarge(parts.get(id)!)),
  )
  const offered = question.ways
    .map((way) => ({ way, own: way.partIds.filter((id) => parts.has(id)) }))
    .filter(({ own }) => own.length > 0)
  const floors = question.targets.map((_, at) => wishes.floors[at] ?? 0)
  const counts = goal === 'fastest' || floors.some((floor) => floor > 0)
  const having = (isIt: (part: Part) => boolean) =>
    new Set([...parts.values()].filter((part) => part.role === 'cpu' && isIt(part)).map(({ id }) => id))
  const plain = question.orders.filter(({ terms }) => terms !== null)
  return {
    goal: {
      kind: goal,
      budget: wishes.budget === null ? null : wishes.budget + besideOf(question),
      floors: counts ? floors : [],
      lows: counts ? lowsOf(question) : [],
      ...(toOwn && { own: toOwn.most }),
    },
    roles,
    parts,
    ways: [
      ...offered.map(({ way, own }): PlanWay => ({
        id: way.id,
        things: own.map((partId) => ({
          partId,
          resale: maySell > 0 ? (way.resale ?? 0) : 0,
          own: toOwn?.ways[way.id]?.parts[partId] ?? 0,
        })),
        own: toOwn?.ways[way.id]?.way ?? 0,
        ...(isOwned(way) ? { owned: true } : {}),
        ...moneyOf(question, way),
        perDay: way.perDay,
      })),
      ...plain.flatMap(({ source, beside }): PlanWay[] =>
        beside.length === 0
          ? []
          : [
              {
                id: `beside:${source}`,
                source,
                things: [],
                price: beside.reduce((sum, { order }) => sum + itemsOf(order), 0),
                expectedExtra: 0,
                beside: true,
                perDay: null,
              },
            ],
      ),
    ],
    sources: new Map(plain.map(({ source, terms }) => [source, terms!])),
    codes: new Map(plain.flatMap(({ source, code }): [string, Code][] => (code ? [[source, code]] : []))),
    frames: ground.frames.filter(({ cpu, graphics }) => parts.has(cpu) && parts.has(graphics)),
    within: wishes.days === null ? null : { days: wishes.days, chance },
    // what never comes in by itself is named, and keeps no plan from being made
    waits: question.otherWaits.filter((perDay) => perDay > 0 && (wishes.days ?? 0) > 0),
    trips: question.trips,
    pins,
    ...(maySell > 0 ? { mostSold: maySell } : {}),
    // what is mine and too small is there to be sold, not to be kept
    bans: [...question.bans, ...tooSmall.map(({ id }) => id)],
    preferred: new Set(offered.flatMap(({ way }) => (way.isPresent ? [way.id] : []))),
    standsIn: new Map([
      ['cooler', having(({ facts }) => facts.coolerIncluded === true)],
      ...(counts ? [] : [['graphics', having(({ facts }) => facts.integratedGraphics === true)] as const]),
    ]),
    apart: ground.apart,
    ...cuts,
    watts: { factor: wishes.supplyFactor ?? leastFactor, besides },
  }
}

/** What lies in the orders whatever is planned, as the program prices it: no part of what the plan costs. */
export const besideOf = ({ orders }: BuildQuestion): number =>
  orders.reduce((sum, { terms, besidePays }) => sum + (terms === null ? 0 : besidePays), 0)

function moneyOf(
  { orders }: BuildQuestion,
  way: BuildWay,
): Pick<PlanWay, 'source' | 'order' | 'price' | 'expectedExtra'> {
  const order = orders.find(({ source }) => source === way.source)
  if (!order || !way.order)
    return { source: null, price: way.payNow, expectedExtra: way.expected - way.payNow }
  const least = leastInOrder(way.order, way.leftover ?? 0, order)
  if (order.terms === null) return { source: null, order: order.source, ...least }
  // in an order on known terms it is what stands in the cart
  return { source: order.source, price: itemsOf(way.order), expectedExtra: least.expectedExtra }
}

const itemsOf = ({ items }: Order) => items.reduce((sum, { price, quantity }) => sum + price * quantity, 0)

const isLargeEnough =
  ({ memoryGb, driveGb }: PlanWishes) =>
  (part: Part) => {
    const { role, facts } = part
    const isOfSize = (least: number | null) => least === null || (facts.capacityGb ?? 0) >= least
    if (role === 'memory') return isOfSize(memoryGb)
    return startsMachine(part) && (role !== 'storage' || isOfSize(driveGb))
  }
