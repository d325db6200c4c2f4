import type { Solved } from './solvePlan'

/** What the solver answers, as far as it is read. */
export interface RawSolution {
  readonly Status: string
  readonly ObjectiveValue?: number
  readonly Columns?: Readonly<Record<string, object>>
}

/** How exactly a program is solved: to the best there is, within a part of a minor unit. */
export const solverOptions = (seconds: number) => ({
  time_limit: seconds,
  mip_rel_gap: 0,
  mip_abs_gap: 0.004,
  output_flag: false,
})

/** The solver's answer as a plan reads it: proven, the best known when time ran out, or none. */
export function readSolution({ Status, Columns = {}, ObjectiveValue = 0 }: RawSolution): Solved {
  const objective = ObjectiveValue
  const values = new Map(
    Object.entries(Columns).map(([name, column]) => [name, 'Primal' in column ? Number(column.Primal) : 0]),
  )
  if (Status === 'Optimal') return { status: 'optimal', gap: 0, values, objective }
  const hasValues = [...values.values()].some((value) => value > 0.5)
  if (/limit/i.test(Status) && hasValues) return { status: 'feasible', gap: null, values, objective }
  return { status: 'infeasible', gap: null, values: new Map(), objective }
}
