import loadHighs from 'highs'
import { readSolution, solverOptions } from '#core/planning/readSolution'
import type { Solver } from '#core/planning/solvePlan'

/** The solver of the application. */
export async function newSolver(seconds = 10): Promise<Solver> {
  const highs = await loadHighs()
  return (program) =>
    readSolution(highs.solve(program, solverOptions(seconds) as Parameters<typeof highs.solve>[1]))
}
