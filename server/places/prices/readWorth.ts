import { buyOrWait } from '#core/pricing/shops/buyOrWait'
import { cheapestWays, priceByWay, type Way } from '#core/supply/ways/way'
import { moneySize } from '#core/assumptions/moneySize'
import { partLabel, type Part, type Role } from '#core/parts/part'
import { estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { targetRatio } from '#core/performance/model/judgeTarget'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { indexOfPart, indexUnit } from '#core/parts/indexOfPart'
import { agreementOf } from '#core/supply/ways/opinions'
import { bestAtEach, worthBuying, type Candidate } from '#core/supply/ways/worthBuying'
import type { BuildView } from '#shared/builds/views'
import type { WorthRow, WorthView } from '#shared/prices/views'
import type { Queryable } from '#server/db/client'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import { buildPage } from '../builds/buildView'
import { readStreetPrice } from '#server/context/market'
import { marketOf } from '#server/context/marketReadings'
import type { Market } from '#server/context/marketState'
import { newOffers } from '#server/context/newOffers'
import { suggested, wayWords } from '#server/context/waysToGet'
import { waitNotesFor } from './notes'
import { buildRow, type BuildRow } from '#server/context/findBuild'

/** Every candidate of the library for a role: what it costs, what it brings in the brief's targets, and what the guides say. */
export async function worthView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  role: Role,
  today: string,
): Promise<WorthView> {
  return worthPage(await useWorld(db), buildId, role, today)
}

const worthPage = reading('worth buying', (world, buildId: string, role: Role, today: string): WorthView => {
  const build = buildRow(world, buildId)
  const market = marketOf(world)
  const view = buildPage(world, buildId, today)
  const best = cheapestWays(suggested(world, build.id, view))
  const ofRole = market.library.filter((part) => part.role === role && !part.open)
  const candidates = ofRole.filter((part) => indexOfPart(part) !== null)
  const waitNotes = candidates[0] ? waitNotesFor(world, { id: '', role }) : []
  const opinions = candidates
    .flatMap(({ id }) => world.rows.guideOpinions.where('partId', id))
    .filter(({ deletedAt }) => deletedAt === null)
    .sort((a, b) => (a.saidOn < b.saidOn ? -1 : a.saidOn > b.saidOn ? 1 : 0))
  const chosen = chosenParts(market, view)
  const priced = candidates.map((part) => ({
    part,
    ...pricesOf(market, part, build, best.get(part.id), today),
    ratio: weakestWith(part, chosen, view),
    notes: waitNotesFor(world, part),
  }))
  const weighed: Candidate[] = priced.flatMap(({ part, price, ratio }) =>
    price === null
      ? []
      : [{ id: part.id, name: partLabel(part), index: indexOfPart(part)!, price, targetRatio: ratio }],
  )
  const worth = worthBuying(weighed)
  const rows = priced
    .map(({ part, street, fresh, price, way, how, ratio, reading, offer, notes }): WorthRow => ({
      partId: part.id,
      name: partLabel(part),
      index: indexOfPart(part)!,
      grade: reading.grade,
      kept: reading.kept.length,
      street,
      fresh,
      price,
      way,
      how,
      perPoint: worth.perPoint.get(part.id) ?? null,
      targetRatio: ratio,
      year: part.facts.year ?? null,
      platform: part.facts.socket ?? part.facts.memoryGeneration ?? null,
      goesWith: goesWith(part, chosen),
      step: worth.steps.find((step) => step.id === part.id) ?? null,
      beatenBy: nameOf(market, worth.beaten.find((each) => each.id === part.id)?.by),
      inBuild: chosen.some((each) => each.id === part.id),
      later:
        price === null
          ? null
          : buyOrWait(
              {
                price: way === 'new' && offer ? offer.price : price,
                kind: way === 'new' ? 'new' : 'used',
                today,
                wantedBy: build.wantedBy,
                trend: reading.trend,
                rhythm: offer?.rhythm ?? null,
                notes,
              },
              market.assumptions.pricing,
            ),
      agreement: agreementOf(opinions.filter((each) => each.partId === part.id)),
      opinions: opinions
        .filter((each) => each.partId === part.id)
        .map(({ id, guide, saidOn, verdict, note }) => ({ id, guide, saidOn, verdict, note })),
    }))
    .sort((a, b) => (a.price ?? Infinity) - (b.price ?? Infinity))
  return {
    role,
    unit: indexUnit(role),
    notRanked: ofRole.filter((part) => indexOfPart(part) === null).map(partLabel),
    byTargets: weighed.length > 0 && weighed.every((each) => each.targetRatio !== null),
    rows,
    limits: bestAtEach(weighed, priceSteps(build.currency, weighed)).map(({ limit, id }) => ({
      limit,
      partId: id,
    })),
    waitNotes,
    besides: besidesText(role, chosen),
  }
})

/** What a candidate costs used and new, and the cheapest way to get it, which it is weighed by. */
function pricesOf(market: Market, part: Part, build: BuildRow, best: Way | undefined, today: string) {
  const reading = readStreetPrice(market, part.id, today, build.currency)
  const [offer] = newOffers(market, part.id, build.currency, today)
  return {
    reading,
    offer,
    street: reading.marks?.[build.houseRules.patience ?? 'typical'] ?? null,
    fresh: offer?.landed ?? null,
    way: best ? (best.condition === 'new' ? ('new' as const) : ('used' as const)) : null,
    how: best ? wayWords(best) : '',
    price: best ? priceByWay(best) : null,
  }
}

function chosenParts(market: Market, view: BuildView): Part[] {
  return view.choices
    .filter((choice) => choice.scope !== 'test')
    .flatMap((choice) => choice.parts.map(({ id }) => market.library.find((part) => part.id === id)!))
}

/** Ratio of the weakest target with the candidate in its role, the rest as chosen; null without a whole machine or a target. */
function weakestWith(part: Part, chosen: readonly Part[], view: BuildView): number | null {
  if (part.role !== 'cpu' && part.role !== 'graphics') return null
  const { machine } = frameMachineOf([...chosen.filter((each) => each.role !== part.role), part])
  if (!machine || view.targets.length === 0) return null
  return Math.min(
    ...view.targets.map((target) =>
      targetRatio(
        estimateFrameRate(
          view.workloads.find((each) => each.id === target.workloadId)!,
          machine,
          target,
        ),
        target,
      ),
    ),
  )
}

/** CPU and board by socket, memory and board by generation; null where the other one is not chosen or the fact is not known. */
function goesWith(part: Part, chosen: readonly Part[]): boolean | null {
  const board = chosen.find((each) => each.role === 'motherboard')
  if (part.role === 'cpu')
    return board?.facts.socket && part.facts.socket ? board.facts.socket === part.facts.socket : null
  if (part.role === 'memory')
    return board?.facts.memoryGeneration && part.facts.memoryGeneration
      ? board.facts.memoryGeneration === part.facts.memoryGeneration
      : null
  return null
}

/** Round limits over the range of prices, about eight of them. */
function priceSteps(currency: string, candidates: readonly Candidate[]): number[] {
  if (candidates.length === 0) return []
  const highest = Math.max(...candidates.map((each) => each.price))
  const unit = moneySize(currency)
  const step =
    [5, 10, 25, 50, 100, 250, 500, 1000, 5000].find((each) => highest / (each * unit) <= 9) ?? 10_000
  return Array.from({ length: Math.ceil(highest / (step * unit)) }, (_, index) => (index + 1) * step * unit)
}

function nameOf(market: Market, id: string | undefined): string | null {
  const part = market.library.find((each) => each.id === id)
  return part ? partLabel(part) : null
}

function besidesText(role: Role, chosen: readonly Part[]): string {
  const others = chosen.filter(
    (part) =>
      part.role !== role && (part.role === 'cpu' || part.role === 'graphics' || part.role === 'memory'),
  )
  return others.map(partLabel).join(', ')
}
