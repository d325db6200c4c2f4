import { medianSorted } from '../../statistics/medianSorted'

/** Work that is no game: cutting a clip, starting up, forty tabs. */
export interface WorkTask {
  readonly id: string
  readonly name: string
  /** What is counted: `min`, `s`, `frames a second`. */
  readonly unit: string
  /** Whether less is better, as of times. */
  readonly lessIsBetter: boolean
  /** How far more threads help: 0 not at all, 1 in full. */
  readonly threadsExponent: number
  /** Threads beyond these do not help. */
  readonly mostThreads: number
}

/** How it felt; recorded as such, never calculated with. */
export const feelings = ['fluent', 'bearable', 'poor'] as const
export type Feeling = (typeof feelings)[number]

export interface WorkMachine {
  readonly cpuIndex: number
  readonly threads: number
}

export interface WorkResult {
  readonly taskId: string
  readonly machine: WorkMachine
  readonly value: number
}

export interface WorkEstimate {
  readonly value: number
  /** From the fastest and the slowest of the references; the same where there is one. */
  readonly range: { readonly low: number; readonly high: number }
  readonly references: number
}

/**
 * Throughput relative to measured references: speed = CPU index · min(threads, most)^exponent; the estimate is the
 * median over the references of value · speed ratio (divided for times).
 *
 * @returns null without a reference
 * @example 12 min at index 100 and 12 threads, exponent 0.8: at index 120 and 12 threads 12 / 1.2 = 10 min
 */
export function estimateWork(
  task: WorkTask,
  machine: WorkMachine,
  results: readonly WorkResult[],
): WorkEstimate | null {
  const values = results
    .filter((each) => each.taskId === task.id && each.value > 0)
    .map((reference) => {
      const ratio = speedOf(task, machine) / speedOf(task, reference.machine)
      return task.lessIsBetter ? reference.value / ratio : reference.value * ratio
    })
    .sort((a, b) => a - b)
  if (values.length === 0) return null
  return {
    value: medianSorted(values),
    range: { low: values[0]!, high: values.at(-1)! },
    references: values.length,
  }
}

function speedOf(task: WorkTask, { cpuIndex, threads }: WorkMachine): number {
  return cpuIndex * Math.min(threads, task.mostThreads) ** task.threadsExponent
}
