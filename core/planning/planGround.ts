import { checkFit } from '../machine/fit/checkFit'
import { fitRules } from '../machine/fit/rules'
import type { Part, Role } from '../parts/part'
import { countedFps, estimateFrameRate } from '../performance/model/estimateFrameRate'
import { frameMachineOf } from '../performance/model/machineOf'
import type { BuildQuestion } from './buildQuestion'
import type { PlanPair } from './problem'

/** What is the same for every wish: pairs that clash, and frames of every pair. */
export interface PlanGround {
  readonly apart: readonly (readonly string[])[]
  /** Of CPU and card alone: nothing makes the pair faster. */
  readonly frames: readonly PlanPair[]
}

export function groundOf(question: BuildQuestion): PlanGround {
  return { apart: apartOf(question), frames: pairsOf(question) }
}

/** Roles of which pairs are asked for before anything is solved, by the rules that read both. */
const pairRoles = [
  ['cpu', 'motherboard'],
  ['memory', 'motherboard'],
  ['motherboard', 'case'],
  ['graphics', 'case'],
  ['graphics', 'motherboard'],
  ['cooler', 'case'],
  ['cooler', 'motherboard'],
  ['storage', 'motherboard'],
  ['supply', 'case'],
  ['supply', 'motherboard'],
] as const satisfies readonly (readonly [Role, Role])[]

/** Pairs of parts that stop each other, whatever else is in the machine but what is in it already. */
function apartOf({ parts, brief, fixed, settled }: BuildQuestion): string[][] {
  const ofRole = (role: Role) => parts.filter((part) => part.role === role)
  const extras = fixed.filter(({ role }) => role === 'extra')
  const isSettled = new Set(settled)
  return pairRoles.flatMap(([one, other]) => {
    const rules = fitRules.filter((rule) => rule.reads.some(({ role }) => role === one || role === other))
    return ofRole(one).flatMap((a) =>
      ofRole(other).flatMap((b) =>
        checkFit({ parts: [a, b, ...extras], brief, settled: isSettled }, rules).findings.some(
          ({ severity, why }) =>
            severity === 'stops' && [a.id, b.id].every((id) => why.some(({ partId }) => partId === id)),
        )
          ? [[a.id, b.id]]
          : [],
      ),
    )
  })
}

function pairsOf(question: BuildQuestion): PlanPair[] {
  if (question.targets.length === 0) return []
  const ofRole = (role: Role) => question.parts.filter((part) => part.role === role)
  return ofRole('cpu').flatMap((cpu) =>
    ofRole('graphics').flatMap((graphics): PlanPair[] => {
      const rates = ratesOf(question, [cpu, graphics])
      return rates ? [{ cpu: cpu.id, graphics: graphics.id, ...rates }] : []
    }),
  )
}

/** Frame rates and lows of a machine, one for each target; null where it has no CPU, nothing that draws, or no index. */
export function ratesOf(
  { targets, workloads }: Pick<BuildQuestion, 'targets' | 'workloads'>,
  parts: readonly Part[],
): { readonly fps: readonly number[]; readonly lows: readonly number[] } | null {
  const { machine } = frameMachineOf(parts)
  if (!machine) return null
  const estimates = targets.map(({ workloadId, settings }) =>
    estimateFrameRate(
      workloads.find(({ id }) => id === workloadId)!,
      machine,
      settings,
    ),
  )
  return { fps: estimates.map(countedFps), lows: estimates.map(({ lowFps }) => lowFps) }
}

/** What the lows must reach, one for each target: as much of them as of the average is asked for. */
export const lowsOf = ({ targets, wishes }: BuildQuestion): number[] =>
  targets.map(({ averageFps, lowFps }, at) => {
    const floor = wishes.floors[at] ?? 0
    return lowFps === null || lowFps === undefined ? 0 : (lowFps * floor) / averageFps
  })
