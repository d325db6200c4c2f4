import loadHighs from 'highs'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import type { Part } from '#core/parts/part'
import { readFacts } from '#core/parts/statedFacts'
import type { PlanProblem } from '#core/planning/problem'
import { readSolution, solverOptions } from '#core/planning/readSolution'
import { solvePlan, type Solver } from '#core/planning/solvePlan'
import type { Code } from '#core/supply/landed/codes'
import type { PlanRequest } from '#shared/calc/schemas'

const usualSeconds = 10

/** `POST /api/calc/plan`: the best set of ways for a stated problem. */
export async function calcPlan(request: PlanRequest) {
  const problem = problemOf(request)
  const plan = solvePlan(problem, await solver(request.seconds ?? usualSeconds))
  const money = (amount: number | null) => (amount === null ? null : { amount, currency: request.currency })
  return {
    ...plan,
    cost: money(plan.cost),
    payNow: money(plan.payNow),
    orders: plan.orders.map(({ discount, shipping, tax, total, ...order }) => ({
      ...order,
      discount: money(discount),
      shipping: money(shipping),
      tax: money(tax),
      total: money(total),
    })),
  }
}

/** The solver, within what is left of the time; after that the best known, or that none was found. */
async function solver(seconds: number): Promise<Solver> {
  const highs = await loadHighs()
  const until = Date.now() + seconds * 1000
  return (program) => {
    const left = Math.max(0.05, (until - Date.now()) / 1000)
    return readSolution(highs.solve(program, solverOptions(left) as Parameters<typeof highs.solve>[1]))
  }
}

function problemOf(request: PlanRequest): PlanProblem {
  const { currency, goal, roles, ways, sources, codes, frames, within } = request
  const amount = (text: string, path: string) => parseDecimal(text, currency, path)
  const parts = new Map<string, Part>()
  for (const [at, { id, role, facts }] of request.parts.entries()) {
    if (parts.has(id)) throw new CoreError('part-twice', { id }, `parts[${at}].id`)
    parts.set(id, { id, role, make: '', name: id, facts: readFacts(facts).facts })
  }
  const known = new Set(sources.map(({ id }) => id))
  const problem: PlanProblem = {
    goal: {
      kind: goal.kind,
      budget: goal.budget === undefined ? null : amount(goal.budget, 'goal.budget'),
      floors: goal.floors ?? [],
    },
    roles,
    parts,
    ways: ways.map((way, at) => ({
      id: way.id,
      source: way.source,
      things: way.things.map(({ partId, resale }, index) => ({
        partId,
        resale: amount(resale, `ways[${at}].things[${index}].resale`),
      })),
      price: amount(way.price, `ways[${at}].price`),
      expectedExtra: amount(way.expectedExtra, `ways[${at}].expectedExtra`),
      perDay: way.perDay,
    })),
    sources: new Map(
      sources.map(({ id, shipping, freeFrom, taxPercent }, at) => [
        id,
        {
          shipping: amount(shipping, `sources[${at}].shipping`),
          freeFrom: freeFrom === null ? null : amount(freeFrom, `sources[${at}].freeFrom`),
          taxPercent,
        },
      ]),
    ),
    codes: codesOf(request, amount),
    frames,
    within: within ?? null,
    pins: (request.pins ?? []) as string[],
    bans: (request.bans ?? []) as string[],
  }
  refuseStrange(problem, known, codes)
  return problem
}

function codesOf({ codes }: PlanRequest, amount: (text: string, path: string) => number): Map<string, Code> {
  const found = new Map<string, Code>()
  for (const [at, code] of codes.entries()) {
    if (found.has(code.source)) throw new CoreError('several-codes', {}, `codes[${at}].source`)
    found.set(code.source, {
      id: code.id,
      kind: code.kind,
      value: code.kind === 'percent' ? Number(code.value) : amount(code.value, `codes[${at}].value`),
      scope: {},
      stackable: true,
      ...(code.minSpend === undefined ? {} : { minSpend: amount(code.minSpend, `codes[${at}].minSpend`) }),
      ...(code.cap === undefined ? {} : { cap: amount(code.cap, `codes[${at}].cap`) }),
    })
  }
  return found
}

/** What is named and not there, or does not go together. */
function refuseStrange(
  { ways, parts, frames, goal, pins, bans, roles }: PlanProblem,
  sources: ReadonlySet<string>,
  codes: PlanRequest['codes'],
): void {
  const ids = new Set<string>()
  for (const [at, { id, source, things }] of ways.entries()) {
    if (ids.has(id)) throw new CoreError('way-twice', { id }, `ways[${at}].id`)
    ids.add(id)
    if (source !== null && !sources.has(source))
      throw new CoreError('unknown-source', { id: source }, `ways[${at}].source`)
    const thing = things.findIndex(({ partId }) => !parts.has(partId))
    if (thing >= 0)
      throw new CoreError('no-part', { id: things[thing]!.partId }, `ways[${at}].things[${thing}].partId`)
  }
  const strayCode = codes.findIndex(({ source }) => !sources.has(source))
  if (strayCode >= 0) throw new CoreError('code-of-unknown-source', {}, `codes[${strayCode}].source`)
  for (const [list, name] of [
    [pins, 'pins'],
    [bans, 'bans'],
  ] as const) {
    const at = list.findIndex((id) => !ids.has(id))
    if (at >= 0) throw new CoreError('unknown-way', { id: list[at]! }, `${name}[${at}]`)
  }
  if (new Set(roles).size !== roles.length) throw new CoreError('role-twice', {}, 'roles')
  const targets = frames[0]?.fps.length ?? goal.floors.length
  for (const [at, { cpu, graphics, fps }] of frames.entries()) {
    if (!parts.has(cpu) || !parts.has(graphics))
      throw new CoreError('frames-of-unknown-part', {}, `frames[${at}]`)
    if (fps.length !== targets) throw new CoreError('unequal-frames', {}, `frames[${at}].fps`)
  }
  if (goal.floors.length > 0 && frames.length > 0 && goal.floors.length !== targets)
    throw new CoreError('unequal-floors', {}, 'goal.floors')
}
