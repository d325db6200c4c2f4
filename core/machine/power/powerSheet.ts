import type { Part } from '../../parts/part'
import { drawAt, powerDraw, type PowerDraw } from './powerDraw'
import { ratedNow, wattsWanted, type SupplyRule } from './supplySize'
import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'
import type { LoadState } from './loadStates'
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
  /** Wall watts by state; null without a supply whose rating is known. */
  readonly wall: { readonly idle: number; readonly work: number; readonly full: number } | null
  readonly leads: readonly LeadLoad[]
  /** Minor units; null where the wall draw is not known. */
  readonly yearly: number | null
}

/** What each kind of lead may carry, W. */
export const leadLimits = { slot: 75, '6-pin': 75, '8-pin': 150, sata: 54 } as const

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
  const wall = supply ? wallByState(parts, draw, supply, measuredFullW, power) : null
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
  supply: Part,
  measuredFullW: number | undefined,
  power: PowerAssumptions,
) {
  const at = (state: LoadState) =>
    wallDraw(drawAt(parts, draw, state, power), supply.facts.ratedW!, supply.facts.efficiency)
  return { idle: at('idle'), work: at('work'), full: measuredFullW ?? at('full') }
}

/**
 * Loads of the leads to the cards: the slot gives up to 75 W, the rest comes by the leads in proportion to what they
 * carry; an adapter bears what the lead it feeds bears.
 */
export function leadLoads(parts: readonly Part[]): LeadLoad[] {
  const loads: LeadLoad[] = []
  const adapters = parts.filter((part) => part.role === 'extra' && part.facts.feedsTo !== undefined)
  for (const card of parts.filter(
    (part) => part.role === 'graphics' && part.facts.boardPowerW !== undefined,
  )) {
    const { boardPowerW = 0, sixPinLeads = 0, eightPinLeads = 0 } = card.facts
    const slot = Math.min(boardPowerW, leadLimits.slot)
    loads.push({ what: 'slot of the card', loadW: slot, limitW: leadLimits.slot })
    const sockets = [
      ...Array.from({ length: eightPinLeads }, () => '8-pin' as const),
      ...Array.from({ length: sixPinLeads }, () => '6-pin' as const),
    ]
    const carried = sockets.reduce((sum, socket) => sum + leadLimits[socket], 0)
    const free = [...adapters]
    for (const socket of sockets) {
      const loadW = ((boardPowerW - slot) * leadLimits[socket]) / carried
      loads.push({ what: `${socket} lead`, loadW, limitW: leadLimits[socket] })
      const at = free.findIndex((adapter) => adapter.facts.feedsTo === socket)
      const [adapter] = at < 0 ? [] : free.splice(at, 1)
      if (adapter)
        loads.push({
          what: `${adapter.name} (${adapter.facts.feedsFrom ?? '?'} to ${socket})`,
          loadW,
          limitW: adapter.facts.carriesW ?? 0,
        })
    }
  }
  return loads
}
