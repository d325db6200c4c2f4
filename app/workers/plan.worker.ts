import { expose } from 'comlink'
import loadHighs from 'highs'
import runtime from 'highs/runtime?url'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import { groundOf, planBuild, type BuildPlan, type PlanGround } from '#core/planning/planBuild'
import { readSolution, solverOptions } from '#core/planning/readSolution'
import type { Solver } from '#core/planning/solvePlan'
import { otherSpends } from '#core/planning/upgrade'
import { frameCurve, nextBest, waitCurve, wishCosts } from '#core/planning/wishCosts'
import type { PlanWorker } from './planProtocol'

/** Longest that one program may take, s. */
const mostSeconds = 12

let asked: {
  readonly question: BuildQuestion
  readonly ground: PlanGround
  readonly plan: BuildPlan
  readonly solve: Solver
} | null = null

async function newSolver(): Promise<Solver> {
  const highs = await loadHighs({ locateFile: () => runtime })
  return (program) =>
    readSolution(highs.solve(program, solverOptions(mostSeconds) as Parameters<typeof highs.solve>[1]))
}

/** Plans away from the page. Cancelled by ending the worker. */
const worker: PlanWorker = {
  async plan(question) {
    const solve = asked?.solve ?? (await newSolver())
    // pairs that clash and frames of pairs stay as long as the same parts are asked about
    const ground = groundOf(question)
    const plan = planBuild(question, solve, ground)
    asked = { question, ground, plan, solve }
    return plan
  },
  async wishes(onWish) {
    if (!asked) return
    for (const cost of wishCosts(asked.question, asked.plan, asked.solve, asked.ground)) {
      onWish(cost)
      await pause()
    }
  },
  async curve(of, onPoint) {
    if (!asked) return
    const points = of === 'waiting' ? waitCurve : frameCurve
    for (const point of points(asked.question, asked.solve, asked.ground)) {
      onPoint(point)
      await pause()
    }
  },
  async otherSpends(onPlan) {
    if (!asked) return
    for (const plan of otherSpends(asked.question, asked.plan, asked.solve, asked.ground)) {
      onPlan(plan)
      await pause()
    }
  },
  async nextBest(wayId) {
    return asked && nextBest(asked.question, asked.plan, wayId, asked.solve, asked.ground)
  },
}

/** Lets messages out between two programs. */
const pause = () => new Promise((resolve) => setTimeout(resolve, 0))

expose(worker)
