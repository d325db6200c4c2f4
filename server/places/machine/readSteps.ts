import { targetName } from '#core/performance/model/targetName'
import { buildRow } from '#server/context/findBuild'
import { moneySize } from '#core/assumptions/moneySize'
import { partLabel, type Part, type Role } from '#core/parts/part'
import { countedFps, estimateFrameRate } from '#core/performance/model/estimateFrameRate'
import { frameMachineOf } from '#core/performance/model/machineOf'
import { isTakeable, type Way } from '#core/supply/ways/way'
import {
  stepAtCost,
  stepsUp,
  type Step,
  type StepOption,
  type TargetReach,
} from '#core/machine/upgrades/stepsUp'
import { indexOfPart, rankedRoles } from '#core/parts/indexOfPart'
import type { BuildView } from '#shared/builds/views'
import type { StepsView, StepView } from '#shared/machine/views'
import { suggested, wayWords } from '#server/context/waysToGet'
import type { Queryable } from '#server/db/client'
import { reading } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { whatIf } from '#server/whatif/whatIf'
import type { Change } from '#core/whatif/change'
import { taken, takenOut } from '#core/whatif/proposed'
import { buildPage } from '../builds/buildView'
import { fitBriefOf, machineRules } from '#server/context/fitBrief'
import { marketOf } from '#server/context/marketReadings'

/** The next steps up of each role that can be ranked, of every way, within what is left. */
export async function stepsView(
  db: Pick<Queryable, 'select'>,
  buildId: string,
  today: string,
  only?: Role,
): Promise<StepsView> {
  return stepsPage(await useWorld(db), buildId, today, only ?? '')
}

/** The same of a world; of some of the roles, by their names with blanks between, or of all. */
export const stepsPage = reading(
  'steps page',
  (world, buildId: string, today: string, only: string): StepsView =>
    stepsOf(world, buildPage(world, buildId, today), only === '' ? rankedRoles : (only.split(' ') as Role[])),
  { most: 500 },
)

function stepsOf(world: World, view: BuildView, wanted: readonly Role[]): StepsView {
  const { today } = view
  const build = buildRow(world, view.id)
  const market = marketOf(world)
  const ways = suggested(world, build.id, view)
  const options = ways.filter(isTakeable).map(optionOf)
  const brief = fitBriefOf(market, build, today)
  const left = view.receipt.left === null ? null : Math.max(0, view.receipt.left)
  const unit = moneySize(build.currency)
  const reach = reachOf(view)
  const { stepThreshold } = machineRules(market, build, today)
  const roles = rankedRoles
    .filter((role) => wanted.includes(role))
    .map((role) => {
      const part = view.parts.find((each) => each.role === role)
      const choice = part && view.choices.find((each) => each.parts.some((own) => own.id === part.id))
      const isAlone = choice?.parts.length === 1 && choice.kind !== 'item' && choice.payNow !== null
      const cost = isAlone ? choice.expected! : 0
      const payNow = isAlone ? choice.payNow! : 0
      const at = part ? view.parts.indexOf(part) : -1
      const steps = stepsUp({
        role,
        others: view.parts.filter((_, index) => index !== at),
        present: part ? { part, cost, payNow } : null,
        options: options.filter(
          (option) => option.part.role === role && option.part.facts.module !== 'laptop',
        ),
        left: Infinity,
        brief,
        settled: new Set(build.settled),
        reach,
        threshold: stepThreshold,
        unit,
      })
      const changesOf = ({ option }: Step): Change[] => [
        ...(part ? takenOut(view.choices, part.id) : []),
        taken(
          ways.find(({ id }) => id === option.id)!,
          '',
        ),
      ]
      return {
        role,
        present: part ? { name: partLabel(part), cost, choiceId: isAlone ? choice.id : null } : null,
        ...untold(
          market.library.filter((each) => each.role === role && !each.open && each.id !== part?.id),
          part ?? null,
          new Set(options.map((option) => option.part.id)),
        ),
        steps: carriedOut(world, view, steps, { changesOf, left, threshold: stepThreshold, unit }),
      }
    })
  return { left, threshold: stepThreshold, roles }
}

/** Parts of a role that may be a step up and cannot be told: without an index, or without a price. */
function untold(parts: readonly Part[], present: Part | null, priced: ReadonlySet<string>) {
  const had = present ? indexOfPart(present) : null
  const isMore = (part: Part) => had === null || (indexOfPart(part) ?? 0) > had
  return {
    notRanked: parts.filter((part) => indexOfPart(part) === null).map(partLabel),
    noPrice: parts.filter((part) => isMore(part) && !priced.has(part.id)).map(partLabel),
  }
}

/** Steps that cannot be paid, one after the other, before no further one is looked at. */
const mostBeyond = 2

/** The steps that what is left can pay, each with what it comes to when it is taken. */
function carriedOut(
  world: World,
  view: BuildView,
  steps: readonly Step[],
  {
    changesOf,
    left,
    threshold,
    unit,
  }: { changesOf(step: Step): Change[]; left: number | null; threshold: number; unit: number },
): StepView[] {
  const found: StepView[] = []
  let beyond = 0
  for (const step of steps) {
    const changes = changesOf(step)
    const { difference } = whatIf(world, view.id, changes, view.today)
    if (!difference || difference.payNow === null || difference.expected === null) continue
    beyond = left !== null && difference.payNow > left ? beyond + 1 : 0
    if (beyond === mostBeyond) break
    if (beyond > 0) continue
    const { payNow, expected } = difference
    found.push({ ...stepView(stepAtCost(step, expected, payNow, { threshold, unit })), changes })
  }
  return found
}

function stepView({ option, ...step }: Step): Omit<StepView, 'changes'> {
  return {
    ...step,
    id: option.id,
    how: option.how!,
    partId: option.part.id,
    name: partLabel(option.part),
    price: option.price,
    payNow: option.payNow,
  }
}

/** A way as something that could fill a role: at its expected cost. */
function optionOf(way: Way): StepOption {
  const { id, part, expected, payNow } = way
  return { id, part, price: expected, payNow, how: wayWords(way) }
}

/** What a machine of these parts reaches of the build's targets. */
function reachOf(view: BuildView): (parts: readonly Part[]) => TargetReach[] {
  return (parts) => {
    const { machine } = frameMachineOf(parts)
    if (!machine) return []
    return view.targets.map((target) => ({
      name: targetName(target),
      fps: countedFps(
        estimateFrameRate(
          view.workloads.find((each) => each.id === target.workloadId)!,
          machine,
          target,
        ),
      ),
      wanted: target.averageFps,
    }))
  }
}
