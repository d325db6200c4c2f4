import { demoWorkloads } from '../../../demo/trade'
import { briefDefaults } from '#core/machine/fit/rule'
import { coreRoles, type Part } from '#core/parts/part'
import type { BuildQuestion, BuildWay } from '#core/planning/buildQuestion'
import type { Workload } from '#core/performance/model/workload'

/** A part to be had by a lead of its own. */
export const wayTo = (part: Part, payNow: number, some: Partial<BuildWay> = {}): BuildWay => ({
  id: `way:${part.id}`,
  text: part.name,
  from: 'a lead',
  url: '',
  source: null,
  partIds: [part.id],
  payNow,
  expected: payNow,
  perDay: null,
  isPresent: false,
  ...some,
})

/** What is asked of a plan where nothing is wished for: each part at its price. */
export function questionOf(
  parts: readonly Part[],
  priceOf: (part: Part) => number,
  some: Partial<BuildQuestion> = {},
): BuildQuestion {
  return {
    currency: 'CAD',
    goal: 'cheapest',
    roles: coreRoles,
    parts,
    ways: parts.map((part) => wayTo(part, priceOf(part))),
    fixed: [],
    settled: [],
    otherWaits: [],
    trips: [],
    orders: [],
    targets: [],
    workloads: demoWorkloads as readonly Workload[],
    brief: briefDefaults,
    wishes: { floors: [], budget: null, days: null, memoryGb: null, driveGb: null, supplyFactor: null },
    pins: [],
    bans: [],
    maySell: 0,
    ...some,
  }
}
