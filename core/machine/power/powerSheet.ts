import type { Part } from '../../parts/part'
import { drawAt, powerDraw, type PowerDraw } from './powerDraw'
import { ratedNow, wattsWanted, type SupplyRule } from './supplySize'
import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'
import type { LoadState } from './loadStates'
import { adapterLimit, cardFeeds, slotDraw, slotWatts } from './cardFeeds'
import { leadWatts } from './leadKind'
import { wallDraw, yearlyEnergyCost } from './wallDraw'

/** A lead or adapter with its load against what it carries, W. */
export interface LeadLoad {
  readonly what: string
  readonly loadW: number
  readonly limitW: number
}

export interface PowerSheet extends PowerDraw {
  readonly supply: { readonly id: string; readonly ratedW: number; readonly nowW: number } | null
  readonly wanted: number
  /** Wall watts by state; null without a supply whose rating is known, unless it was measured. */
  readonly wall: { readonly idle: number; readonly work: number; readonly full: number } | null
  readonly leads: readonly LeadLoad[]
  /** Minor units; null where the wall draw is not known. */
  readonly yearly: number | null
}

export interface PowerUse {
  readonly rule: SupplyRule
  readonly year: number
  /** Hours a day at full load and idling; minor units a kilowatt hour. */
  readonly fullHours: number
  readonly idleHours: number
  readonly tariff: number
  /** A measured wall draw at full load takes the estimate's place. */
  readonly measuredFullW?: number
  readonly power?: PowerAssumptions
}

/** Everything about the power of a machine: draw, size wanted, wall draw by state, leads against their limits, yearly cost. */
export function powerSheet(
  parts: readonly Part[],
  { rule, year, fullHours, idleHours, tariff, measuredFullW, power = powerDefaults }: PowerUse,
): PowerSheet {
  const draw = powerDraw(parts, power)
  const supply = parts.find((part) => part.role === 'supply' && part.facts.ratedW !== undefined)
  const wall = wallByState(parts, draw, supply, measuredFullW, power)
  return {
    ...draw,
    supply: supply
      ? { id: supply.id, ratedW: supply.facts.ratedW!, nowW: ratedNow(supply, year, power) }
      : null,
    wanted: wattsWanted(rule, draw, parts, power),
    wall,
    leads: leadLoads(parts),
    yearly: wall
      ? yearlyEnergyCost(wall.full, fullHours, tariff) + yearlyEnergyCost(wall.idle, idleHours, tariff)
      : null,
  }
}

function wallByState(
  parts: readonly Part[],
  draw: PowerDraw,
  supply: Part | undefined,
  measuredFullW: number | undefined,
  power: PowerAssumptions,
): PowerSheet['wall'] {
  const dc = (state: LoadState) => drawAt(parts, draw, state, power)
  if (!supply) {
    if (measuredFullW === undefined) return null
    // a draw that was measured says how much more is drawn at the wall
    const share = measuredFullW / dc('full')
    return { idle: share * dc('idle'), work: share * dc('work'), full: measuredFullW }
  }
  const at = (state: LoadState) => wallDraw(dc(state), supply.facts.ratedW!, supply.facts.efficiency)
  return { idle: at('idle'), work: at('work'), full: measuredFullW ?? at('full') }
}

/** Loads of slots, leads and adapters to the cards, all cards together, against what each carries. */
export function leadLoads(parts: readonly Part[]): LeadLoad[] {
  const known = parts.filter(({ role, facts }) => role !== 'graphics' || facts.boardPowerW !== undefined)
  const slotW = parts.find(({ role }) => role === 'motherboard')?.facts.slotW ?? slotWatts
  return [
    ...known
      .filter(({ role }) => role === 'graphics')
      .map((card) => ({ what: 'PCIe slot of the card', loadW: slotDraw(card), limitW: slotW })),
    ...cardFeeds(known, Infinity).feeds.map(({ socket, loadW }) => ({
      what: `${socket} cable`,
      loadW,
      limitW: leadWatts[socket] ?? loadW,
    })),
    ...cardFeeds(known).feeds.flatMap(({ adapter, socket, loadW }) =>
      adapter
        ? [
            {
              what: `${adapter.name} (${adapter.facts.feedsFrom ?? '?'} to ${socket})`,
              loadW,
              limitW: adapterLimit(adapter).low,
            },
          ]
        : [],
    ),
  ]
}
