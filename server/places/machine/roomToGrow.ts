import type { FitMachine } from '#core/machine/fit/finding'
import { takenIn } from '#core/machine/fit/fixes'
import { cpusUnknown, isWorthNaming, lessResale, nextParts } from '#core/machine/upgrades/nextParts'
import { upgradeRoom } from '#core/machine/upgrades/upgradeRoom'
import type { Part, Role } from '#core/parts/part'
import type { PartAtItsWay } from '#server/context/waysToGet'
import type { RulesInForce } from '#server/context/fitBrief'
import type { World } from '#server/readings/world'
import { whatIf } from '#server/whatif/whatIf'
import type { BuildView } from '#shared/builds/views'
import type { GrowStep, MachineView } from '#shared/machine/views'
import { presentWays } from '../plan/presentWays'
import { libraryOf } from '../plan/planBasis'
import { changesOfFix } from './fix'

/** So many parts of a kind are tried before none is said to go in. */
const mostTries = 4
const mostCpus = 6

/** What a machine has room for, and the next steps: each with what it takes along, at what the build then costs. */
export function roomToGrow(
  world: World,
  view: BuildView,
  machine: FitMachine,
  priced: readonly PartAtItsWay[],
  { supplyRule }: Pick<RulesInForce, 'supplyRule'>,
): MachineView['room'] {
  const { parts } = machine
  const brings = new Map(
    presentWays(view, libraryOf(world)).flatMap(({ way }) =>
      way.resale === undefined ? [] : way.partIds.map((id) => [id, way.resale!] as const),
    ),
  )
  const stepOf = (next: PartAtItsWay, out: readonly Part[]): GrowStep | null => {
    const way = takenIn(machine, next, out, priced)
    if (!way) return null
    const changes = changesOfFix(view, way, priced, '')
    const cost = whatIf(world, view.id, changes, view.today).difference?.payNow ?? null
    if (cost === null) return null
    const resale = way.replaces.flatMap(({ id }) => brings.get(id) ?? [])
    return { name: way.parts.map(({ name }) => name).join(' + '), changes, ...lessResale(cost, resale) }
  }
  const firstOf = (list: readonly PartAtItsWay[], out: readonly Part[]) =>
    list.slice(0, mostTries).reduce<GrowStep | null>((found, next) => found ?? stepOf(next, out), null)
  const ofRole = (role: Role) => parts.filter((part) => part.role === role)
  const next = nextParts(parts, priced)
  const add = firstOf(next.add, [])
  const replace = firstOf(next.replace, ofRole('memory'))
  const cpus = next.cpus.slice(0, mostCpus).flatMap(({ offer, ...told }) => {
    const step = stepOf(offer, ofRole('cpu'))
    return step ? [{ ...step, ...told }] : []
  })
  const { brief } = machine
  const firsts = [add, replace, ...cpus.filter(isWorthNaming)]
  const [first = null] = firsts.filter((step) => step !== null).sort((a, b) => a.more - b.more)
  return {
    ...upgradeRoom(parts, {
      rule: supplyRule,
      year: brief?.year ?? Number(view.today.slice(0, 4)),
      ...(brief?.power ? { power: brief.power } : {}),
    }),
    add,
    replace,
    cpus,
    cpusUnknown: cpusUnknown(parts),
    first,
  }
}
