import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'
import { resaleDefaults } from '../../assumptions/groups/resale'
import type { PricedPart } from './baseMachines'
import { partLabel, type Part } from '../../parts/part'
import { powerDraw } from '../power/powerDraw'
import { ratedNow, wattsWanted, type SupplyRule } from '../power/supplySize'

/** What a machine leaves room for. Amounts in minor units. */
export interface UpgradeRoom {
  readonly memory: {
    readonly freeSlots: number
    readonly slots: number
    readonly nowGb: number
    readonly mostGb: number | null
  } | null
  /**
   * Add modules of the same kind, or sell the kit and buy one of twice the size; null where it cannot be done or has
   * no price.
   */
  readonly moreMemory: {
    readonly add: { readonly name: string; readonly cost: number } | null
    readonly replace: { readonly name: string; readonly cost: number; readonly sold: number } | null
    readonly better: 'add' | 'replace' | null
  } | null
  readonly m2Free: number | null
  readonly sataFree: number | null
  /** CPUs of more worth that the board takes, dearest last; `flash` where its firmware is too old for it. */
  readonly cpus: readonly {
    readonly name: string
    readonly cost: number
    readonly more: number
    readonly gain: number
    readonly flash: boolean | null
  }[]
  /** Watts the supply has over what your rule asks for. */
  readonly wattsFree: number | null
  /** The cheapest upgrade that brings a tenth or more. */
  readonly first: { readonly what: string; readonly cost: number } | null
}

export interface UpgradeTerms {
  readonly rule: SupplyRule
  readonly year: number
  readonly power?: PowerAssumptions
  /** Share of the street price that a part removed brings. Default: `resale.replacedShare`. */
  readonly sold?: number
}

/** What there is room for in a machine: memory, drives, CPUs, watts; and the first upgrade that is worth it. */
export function upgradeRoom(
  parts: readonly Part[],
  priced: readonly PricedPart[],
  { rule, year, power = powerDefaults, sold = resaleDefaults.replacedShare }: UpgradeTerms,
): UpgradeRoom {
  const one = (role: Part['role']) => parts.find((part) => part.role === role)
  const [board, cpu, supply] = [one('motherboard'), one('cpu'), one('supply')]
  const modules = parts.filter((part) => part.role === 'memory')
  const drives = (kind: 'nvme' | 'sata') =>
    parts.filter((part) => part.role === 'storage' && part.facts.interface === kind).length
  const used = modules.reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
  const nowGb = modules.reduce((sum, part) => sum + (part.facts.capacityGb ?? 0), 0)
  const memory =
    board?.facts.memorySlots === undefined
      ? null
      : {
          freeSlots: Math.max(0, board.facts.memorySlots - used),
          slots: board.facts.memorySlots,
          nowGb,
          mostGb: board.facts.maxMemoryGb ?? null,
        }
  const moreMemory = memory && modules[0] ? memoryWays(modules[0], nowGb, memory, priced, sold) : null
  const cpus = cpu && board ? nextCpus(cpu, board, priced, sold) : []
  const draw = powerDraw(parts, power)
  const memoryCost = moreMemory?.better ? moreMemory[moreMemory.better]!.cost : null
  const firsts = [
    ...(memoryCost === null || moreMemory === null
      ? []
      : [
          {
            what:
              moreMemory.better === 'add'
                ? `another ${moreMemory.add!.name}`
                : `${moreMemory.replace!.name} instead of the old kit`,
            cost: memoryCost,
          },
        ]),
    ...cpus
      .filter((each) => each.gain >= 0.1)
      .slice(0, 1)
      .map((each) => ({ what: each.name, cost: each.more })),
  ].sort((a, b) => a.cost - b.cost)
  return {
    memory,
    moreMemory,
    cpus,
    m2Free: board?.facts.m2Slots === undefined ? null : Math.max(0, board.facts.m2Slots - drives('nvme')),
    sataFree:
      board?.facts.sataPorts === undefined ? null : Math.max(0, board.facts.sataPorts - drives('sata')),
    wattsFree:
      supply?.facts.ratedW === undefined
        ? null
        : Math.round(ratedNow(supply, year, power) - wattsWanted(rule, draw, parts, power)),
    first: firsts[0] ?? null,
  }
}

function memoryWays(
  kit: Part,
  nowGb: number,
  { freeSlots, slots, mostGb }: NonNullable<UpgradeRoom['memory']>,
  priced: readonly PricedPart[],
  sold: number,
): UpgradeRoom['moreMemory'] {
  const count = kit.facts.kitCount ?? 1
  const own = priced.find(({ part }) => part.id === kit.id)
  const fits = (gb: number) => mostGb === null || gb <= mostGb
  const add =
    own && count <= freeSlots && fits(nowGb + (kit.facts.capacityGb ?? 0))
      ? { name: partLabel(kit), cost: own.price }
      : null
  const larger = priced
    .filter(
      ({ part }) =>
        part.role === 'memory' &&
        part.facts.memoryGeneration === kit.facts.memoryGeneration &&
        part.facts.module === kit.facts.module &&
        (part.facts.capacityGb ?? 0) >= 2 * nowGb &&
        (part.facts.kitCount ?? 1) <= slots &&
        fits(part.facts.capacityGb ?? 0),
    )
    .sort((a, b) => a.price - b.price)[0]
  const back = own ? Math.round(own.price * sold) : 0
  const replace = larger ? { name: partLabel(larger.part), cost: larger.price - back, sold: back } : null
  return {
    add,
    replace,
    better: add && (!replace || add.cost <= replace.cost) ? 'add' : replace ? 'replace' : null,
  }
}

function nextCpus(cpu: Part, board: Part, priced: readonly PricedPart[], sold: number): UpgradeRoom['cpus'] {
  const own = priced.find(({ part }) => part.id === cpu.id)
  const back = own ? Math.round(own.price * sold) : 0
  const had = cpu.facts.cpuIndex
  if (had === undefined) return []
  const better = priced
    .filter(
      ({ part }) =>
        part.role === 'cpu' &&
        part.facts.socket === board.facts.socket &&
        (part.facts.cpuIndex ?? 0) > 1.03 * had &&
        (part.facts.limitW ?? 0) <= (board.facts.limitW ?? Infinity),
    )
    .sort((a, b) => a.price - b.price)
  let best = 0
  return better
    .filter(({ part }) => (part.facts.cpuIndex! > best ? (best = part.facts.cpuIndex!) > 0 : false))
    .map(({ part, price }) => ({
      name: partLabel(part),
      cost: price,
      more: price - back,
      gain: part.facts.cpuIndex! / had - 1,
      flash:
        part.facts.firmwareNeeded === undefined || board.facts.firmwareLevel === undefined
          ? null
          : part.facts.firmwareNeeded > board.facts.firmwareLevel,
    }))
}
