import type { Part } from '../parts/part'
import { countedFps, estimateFrameRate } from '../performance/model/estimateFrameRate'
import { frameMachineOf } from '../performance/model/machineOf'
import type { BuildQuestion } from './buildQuestion'
import { planBuild, type BuildPlan, type PlanGround } from './planBuild'
import type { Solver } from './solvePlan'

/** Frame rates of the machine as it stands, one for each target; null where it has no CPU or card, or there is no target. */
export function ratesToday(question: BuildQuestion): readonly number[] | null {
  const { targets, workloads } = question
  const { machine } = frameMachineOf(partsToday(question))
  if (!machine || targets.length === 0) return null
  return targets.map(({ workloadId, settings }) =>
    countedFps(
      estimateFrameRate(
        workloads.find(({ id }) => id === workloadId)!,
        machine,
        settings,
      ),
    ),
  )
}

function partsToday({ ways, parts, fixed }: BuildQuestion): Part[] {
  const present = new Set(ways.flatMap(({ isPresent, partIds }) => (isPresent ? partIds : [])))
  return [...parts.filter(({ id }) => present.has(id)), ...fixed]
}

/** So many other ways to spend the same are looked for. */
const others = 2

/**
 * Other ways to spend the same sum: the plan without its dearest new way, and then without the dearest of that. None
 * where nothing new is planned, and no more where no plan is left.
 *
 * @example a card for 180.00 is planned: the best without it may be a CPU with its board and memory
 */
export function* otherSpends(
  question: BuildQuestion,
  plan: BuildPlan,
  solve: Solver,
  ground: PlanGround,
): Generator<BuildPlan> {
  let last = plan
  const bans = [...question.bans]
  for (let count = 0; count < others; count += 1) {
    const [dearest] = last.ways
      .filter(({ id, payNow }) => payNow > 0 && !question.pins.includes(id))
      .sort((a, b) => b.payNow - a.payNow)
    if (!dearest) return
    // every way to the same part is the same idea
    const same = question.ways.filter(
      (way) => !way.isPresent && way.partIds.some((id) => dearest.partIds.includes(id)),
    )
    bans.push(...same.map(({ id }) => id), ...(dearest.isPresent ? [dearest.id] : []))
    last = planBuild({ ...question, bans: [...bans] }, solve, ground)
    if (last.status === 'infeasible') return
    yield last
  }
}
