import { coreRoles, type Part, type Role } from '#core/parts/part'
import { singleRoles } from '#core/whatif/change'
import type { BuildWay } from '#core/planning/buildQuestion'
import type { BuildView } from '#shared/builds/views'
import type { LeadWay } from './planOrders'

export const isCore = (role: Role): boolean => (coreRoles as readonly Role[]).includes(role)

export interface PresentWay extends LeadWay {
  readonly choiceId: string
  readonly isBought: boolean
  /** Each part that it brings into the machine. */
  readonly pieces: readonly string[]
}

/**
 * What the build has already, each as a way: bought things stay, the rest may be planned otherwise. Of several drives
 * or kits of memory the plan decides about the largest; the others are in the machine whatever is planned.
 */
export function presentWays(view: BuildView, library: ReadonlyMap<string, Part>): PresentWay[] {
  const all = everyWay(view, library)
  const beside = new Set(
    (['memory', 'storage'] as const).flatMap((role) => besideLargest(all, role, library)),
  )
  return all.filter((each) => !beside.has(each))
}

/** Choices of drives and memory beside the largest: no plan touches them. */
export function choicesBeside(view: BuildView, library: ReadonlyMap<string, Part>): Set<string> {
  const decided = new Set(presentWays(view, library).map(({ choiceId }) => choiceId))
  return new Set(everyWay(view, library).flatMap(({ choiceId }) => (decided.has(choiceId) ? [] : [choiceId])))
}

function besideLargest(
  all: readonly PresentWay[],
  role: Role,
  library: ReadonlyMap<string, Part>,
): PresentWay[] {
  const sizeOf = ({ way }: PresentWay) => library.get(way.partIds[0]!)?.facts.capacityGb ?? 0
  return all
    .filter(({ way }) => way.partIds.every((id) => library.get(id)?.role === role))
    .sort((a, b) => Number(b.isBought) - Number(a.isBought) || sizeOf(b) - sizeOf(a))
    .slice(1)
}

function everyWay(view: BuildView, library: ReadonlyMap<string, Part>): PresentWay[] {
  return view.choices.flatMap((choice) => {
    const all = unfold(
      choice.parts.flatMap(({ id }) => library.get(id) ?? view.parts.find((part) => part.id === id) ?? []),
      library,
    )
      .filter((part) => isCore(part.role))
      .map(({ id }) => id)
    const ids = all.filter((id) => !choice.leftOut.includes(id))
    // a thing that is here is as it stands; of what is only chosen a plan may want what stayed out
    const offered = choice.item === null && choice.paidOn === null ? all : ids
    if (ids.length === 0 || choice.voidBecause !== null || choice.scope === 'test') return []
    const isBought = choice.item !== null || choice.paidOn !== null
    if (!isBought && (choice.payNow === null || choice.expected === null)) return []
    return [
      {
        choiceId: choice.id,
        isBought,
        pieces: ids,
        leadId: isBought ? null : choice.leadId,
        way: {
          id: `choice:${choice.id}`,
          text: choice.label,
          from: choice.item
            ? 'in the build, owned'
            : isBought
              ? 'in the build, bought'
              : `in the build: ${choice.source}`,
          url: '',
          source: null,
          partIds: onePiece(offered, library),
          leftOut: offered.filter((id) => !ids.includes(id)),
          payNow: isBought ? 0 : choice.payNow!,
          expected: isBought ? 0 : choice.expected!,
          perDay: choice.kind === 'hunt' && !isUncounted(view, choice) ? rateOf(choice.expectedWait) : null,
          isPresent: true,
          ...resaleOf(choice, ids),
        },
      },
    ]
  })
}

/** Things of a way as a plan decides about them: of memory and drives all of a kind together, of the rest each by itself. */
export function onePiece(ids: readonly string[], library: Pick<ReadonlyMap<string, Part>, 'get'>): string[] {
  const isSingle = (id: string) => (singleRoles as readonly string[]).includes(library.get(id)?.role ?? '')
  return ids.filter((id, index) => isSingle(id) || ids.indexOf(id) === index)
}

/** What a single thing of mine, whole and at its place, brings net when it is sold; of others that is not asked. */
function resaleOf({ item }: BuildView['choices'][number], ids: readonly string[]): Pick<BuildWay, 'resale'> {
  const isWhole = item?.place === 'build' && item.state !== 'dead' && item.state !== 'faulty'
  return isWhole && ids.length === 1 && item.worthToday !== null ? { resale: item.worthToday } : {}
}

/** Whether nobody knows how long a hunt takes: it is named, and keeps no date. */
const isUncounted = ({ hunts }: BuildView, { label }: BuildView['choices'][number]) =>
  hunts?.uncounted.includes(label) ?? false

/** Chances a day of a hunt that takes so long; null where it ends on any day. */
export const rateOf = (expectedWait: number | null) =>
  expectedWait === null ? 0 : expectedWait === 0 ? null : 1 / expectedWait

/** A donor is what is in it; one of which that is not known stands as itself and fills no role. */
export function unfold(parts: readonly Part[], library: ReadonlyMap<string, Part>): Part[] {
  return parts.flatMap((part) =>
    part.role === 'donor' && part.facts.contains
      ? part.facts.contains.flatMap((id) => library.get(id) ?? [])
      : [part],
  )
}
