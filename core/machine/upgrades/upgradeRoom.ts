import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'
import type { Part } from '../../parts/part'
import { powerDraw } from '../power/powerDraw'
import { ratedNow, wattsWanted, type SupplyRule } from '../power/supplySize'

/** What a machine leaves room for. */
export interface UpgradeRoom {
  readonly memory: {
    readonly freeSlots: number
    readonly slots: number
    readonly nowGb: number
    readonly mostGb: number | null
  } | null
  readonly m2Free: number | null
  readonly sataFree: number | null
  /** Watts the supply has over what your rule asks for. */
  readonly wattsFree: number | null
}

interface RoomTerms {
  readonly rule: SupplyRule
  readonly year: number
  readonly power?: PowerAssumptions
}

/**
 * What there is room for in a machine: memory, drives, watts; null where nobody knows.
 *
 * @example a board of four slots with a kit of two: two slots free
 */
export function upgradeRoom(
  parts: readonly Part[],
  { rule, year, power = powerDefaults }: RoomTerms,
): UpgradeRoom {
  const one = (role: Part['role']) => parts.find((part) => part.role === role)
  const [board, supply] = [one('motherboard')?.facts, one('supply')]
  const modules = parts.filter((part) => part.role === 'memory')
  const drives = (kind: 'nvme' | 'sata') =>
    parts.filter((part) => part.role === 'storage' && part.facts.interface === kind).length
  const used = modules.reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
  const nowGb = modules.reduce((sum, part) => sum + (part.facts.capacityGb ?? 0), 0)
  const free = (places: number | undefined, taken: number) =>
    places === undefined ? null : Math.max(0, places - taken)
  return {
    memory:
      board?.memorySlots === undefined
        ? null
        : {
            freeSlots: Math.max(0, board.memorySlots - used),
            slots: board.memorySlots,
            nowGb,
            mostGb: board.maxMemoryGb ?? null,
          },
    m2Free: free(board?.m2Slots, drives('nvme')),
    sataFree: free(board?.sataPorts, drives('sata')),
    wattsFree:
      supply?.facts.ratedW === undefined
        ? null
        : Math.round(
            ratedNow(supply, year, power) - wattsWanted(rule, powerDraw(parts, power), parts, power),
          ),
  }
}

/** The room in a few words: what is not known is left out. */
export function roomWords({ memory, m2Free, sataFree, wattsFree }: UpgradeRoom): string {
  const places = [
    memory && `${memory.freeSlots} of ${memory.slots} memory slots`,
    m2Free === null ? null : `${m2Free} M.2`,
    sataFree === null ? null : `${sataFree} SATA`,
  ].filter((each) => each !== null)
  return [
    ...(places.length === 0 ? [] : [`${places.join(', ')} free`]),
    ...(wattsFree === null ? [] : [`${wattsFree} W above your PSU rule`]),
  ].join(' and ')
}
