import { expose } from 'comlink'
import loadHighs from 'highs'
import runtime from 'highs/runtime?url'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import { planBuild, type BuildPlan } from '#core/planning/planBuild'
import { groundOf, type PlanGround } from '#core/planning/planGround'
import { readSolution, solverOptions } from '#core/planning/readSolution'
import type { Solver } from '#core/planning/solvePlan'
import { otherSpends } from '#core/planning/upgrade'
import { whyNone } from '#core/planning/whyNone'
import { frameCurve, nextBest, waitCurve, wishCosts, type AskPlan } from '#core/planning/wishCosts'
import type { PlanWorker } from './planProtocol'

/** Longest that one program may take, s. */
const mostSeconds = 12

interface Asked {
  readonly question: BuildQuestion
  readonly plan: BuildPlan
  readonly ask: AskPlan
  readonly solve: Solver
  readonly ground: PlanGround
}
let asked: Asked | null = null

async function newSolver(): Promise<Solver> {
  const highs = await loadHighs({ locateFile: () => runtime })
  return (program) =>
    readSolution(highs.solve(program, solverOptions(mostSeconds) as Parameters<typeof highs.solve>[1]))
}

/** Plans away from the page. Cancelled by ending the worker. */
const worker: PlanWorker = {
  async plan(question, carryOut) {
    const solve = asked?.solve ?? (await newSolver())
    // pairs that clash and frames of pairs stay as long as the same parts are asked about
    const ground = groundOf(question)
    const ask: AskPlan = (next) => planBuild(next, solve, carryOut, ground)
    const plan = await ask(question)
    asked = { question, plan, ask, solve, ground }
    return plan
  },
  async whyNone() {
    return asked && whyNone(asked.question, asked.ground, asked.solve)
  },
  async wishes(onWish) {
    if (asked) for await (const cost of wishCosts(asked.question, asked.plan, asked.ask)) onWish(cost)
  },
  async curve(of, onPoint) {
    const points = of === 'waiting' ? waitCurve : frameCurve
    if (asked) for await (const point of points(asked.question, asked.ask)) onPoint(point)
  },
  async otherSpends(onPlan) {
    if (asked) for await (const plan of otherSpends(asked.question, asked.plan, asked.ask)) onPlan(plan)
  },
  async nextBest(wayId) {
    return asked && nextBest(asked.question, asked.plan, wayId, asked.ask)
  },
}

expose(worker)
