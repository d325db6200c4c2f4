import type { BuildQuestion } from './buildQuestion'
import type { BuildPlan } from './planBuild'
import type { AskPlan } from './wishCosts'

/** So many other ways to spend the same are looked for. */
const others = 2

/**
 * Other ways to spend the same sum: the plan without its dearest new way, and then without the dearest of that. None
 * where nothing new is planned, and no more where no plan is left.
 *
 * @example a card for 180.00 is planned: the best without it may be a CPU with its board and memory
 */
export async function* otherSpends(
  question: BuildQuestion,
  plan: BuildPlan,
  ask: AskPlan,
): AsyncGenerator<BuildPlan> {
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
    last = await ask({ ...question, bans: [...bans] })
    if (last.status === 'infeasible') return
    yield last
  }
}
