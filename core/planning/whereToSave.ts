import { formatAmount } from '../money/formatAmount'
import { partLabel, type Part } from '../parts/part'
import type { BuildQuestion } from './buildQuestion'
import type { BuildPlan } from './planBuild'
import type { WishCost } from './wishCosts'
import { wishWords } from './wishWords'

/** Sentences told at the most. */
const most = 3

/**
 * Where money might be saved, for somebody else to read: the wishes that save most for what they lose, each with the
 * parts that change and the frames that go. What saves nothing is left out. Loss is the share of frames lost in the
 * target that loses most; a wish that loses none comes first where it saves as much.
 *
 * @param costs what each wish costs, from `wishCosts`
 */
export function whereToSave(question: BuildQuestion, plan: BuildPlan, costs: readonly WishCost[]): string[] {
  return costs
    .flatMap(({ name, cost, without }) => {
      if (!cost || !without) return []
      const lost = mostLost(plan, without)
      return [{ sentence: sentenceOf(question, plan, name, cost, without), merit: cost / (1 + lost) }]
    })
    .sort((a, b) => b.merit - a.merit)
    .slice(0, most)
    .map(({ sentence }) => sentence)
}

function sentenceOf(
  question: BuildQuestion,
  plan: BuildPlan,
  name: WishCost['name'],
  cost: number,
  without: BuildPlan,
): string {
  const saved = `${formatAmount(cost, question.currency)} ${question.currency} less without “${wishWords(question, name)}”`
  const swaps = partsChanged(plan, without).map(([was, is]) =>
    is === null ? `no ${partLabel(was)}` : `${partLabel(is)} instead of ${partLabel(was)}`,
  )
  const slower = question.targets.flatMap((target, at) => {
    const [now, then] = [plan.fps?.[at], without.fps?.[at]]
    return now === undefined || then === undefined || Math.round(then) >= Math.round(now)
      ? []
      : [`${Math.round(then)} fps instead of ${Math.round(now)} in ${target.name}`]
  })
  const change = swaps.length > 0 ? `: ${swaps.join(', ')}` : ''
  return `${saved}${change}${slower.length > 0 ? `; ${slower.join(', ')}` : ''}.`
}

/** Parts of a plan that another has not, each with what fills its role there; null where nothing does. */
function partsChanged(plan: BuildPlan, other: BuildPlan): (readonly [Part, Part | null])[] {
  const there = new Set(other.kept.map(({ part }) => part.id))
  const here = new Set(plan.kept.map(({ part }) => part.id))
  return plan.kept.flatMap(({ part }) =>
    there.has(part.id)
      ? []
      : [
          [
            part,
            other.kept.find((each) => each.part.role === part.role && !here.has(each.part.id))?.part ?? null,
          ] as const,
        ],
  )
}

function mostLost(plan: BuildPlan, without: BuildPlan): number {
  return Math.max(0, ...(plan.fps ?? []).map((now, at) => 1 - (without.fps?.[at] ?? now) / now))
}
