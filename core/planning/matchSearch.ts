import { checkFit } from '../machine/fit/checkFit'
import type { FitBrief } from '../machine/fit/finding'
import type { Part, Role } from '../parts/part'
import { startsMachine } from '../parts/startsMachine'
import { geometricMean } from '../performance/runs/beforeAfter'

/** A way to fill a role: a lead at hand, or a part at its street price. `cost` is what is minimised or held under the budget. */
export interface SearchOption {
  readonly id: string
  readonly part: Part
  readonly cost: number
}

export interface SearchProblem {
  readonly options: readonly SearchOption[]
  readonly brief: Partial<FitBrief>
  /**
   * Frames in each of the brief's targets for a set of parts; null where they cannot be known. Never falls when a CPU
   * or a card is faster or memory is complete.
   */
  frames(parts: readonly Part[]): readonly number[] | null
  /**
   * *match*: the cheapest that reaches the floor in every target. *spend*: the most frames (geometric mean) within the
   * budget.
   */
  readonly goal: { readonly kind: 'match'; readonly floor: readonly number[] } | SpendGoal
  /** Whether to stop and answer with the best so far. */
  isTimeUp(): boolean
}

/**
 * The budget holds for what `total` says of a whole machine; the costs of the options are then the least each adds to it. Left
 * out: the total is the sum of the costs.
 */
export interface SpendGoal {
  readonly kind: 'spend'
  readonly budget: number
  total?(options: readonly SearchOption[]): number
}

export interface SearchAnswer {
  readonly found: {
    readonly options: readonly SearchOption[]
    readonly cost: number
    readonly frames: readonly number[]
  } | null
  /**
   * How far the answer may be from the best there is, as a share: of cost for a match, of frames for spending. 0: it
   * is the best. Null where nothing is found.
   */
  readonly gap: number | null
  readonly isComplete: boolean
  /** Whole machines whose fit was checked. */
  readonly checked: number
}

/** Told now and then while the search goes on. */
export interface SearchProgress {
  readonly share: number
  readonly best: number | null
}

/** Findings of house rules about one part: a machine that breaks one is not what the builder asked for, though it works. */
const rulesOfOnePart = new Set(['oldest-cpu', 'smallest-drive', 'least-supply', 'avoided-makes'])
/**
 * The size of the supply is a house rule about the whole machine; a CPU that slows down under its cooler does not give
 * the frames it is taken for.
 */
const rulesOfMachine = new Set([...rulesOfOnePart, 'supply-size', 'cooler-capacity'])
/** Roles after CPU and card, in the order in which they are filled; the supply last, since all others decide on it. */
const order = [
  'motherboard',
  'memory',
  'case',
  'cooler',
  'storage',
  'supply',
] as const satisfies readonly Role[]

/**
 * Branch and bound over whole machines. Pairs of CPU and card come first, since they decide the frames: for a match by
 * the least a machine around them can cost, for spending by the most frames they can give. Around a pair the roles are
 * filled in ascending cost; a branch ends where its cost with the cheapest rest cannot beat the best so far. Pruned are
 * only options that another of the same part undercuts, and parts that stop each other as a pair. Every answer has passed
 * the whole fit check: nothing stops, and no house rule is broken.
 *
 * A generator, so that a server can answer others in between; it yields its progress and returns its answer.
 */
export function* matchSearch(problem: SearchProblem): Generator<SearchProgress, SearchAnswer> {
  const allowed = problem.options.filter(
    ({ part }) =>
      part.facts.module !== 'laptop' &&
      startsMachine(part) &&
      !checkFit({ parts: [part], brief: problem.brief }).findings.some((finding) =>
        rulesOfOnePart.has(finding.ruleId),
      ),
  )
  const byRole = (role: Role) => cheapestOfEachPart(allowed.filter((option) => option.part.role === role))
  const rest = new Map<Role, readonly SearchOption[]>(order.map((role) => [role, byRole(role)]))
  const fits = new PairFits(problem.brief)
  const pairs = rankedPairs(problem, byRole('cpu'), byRole('graphics'), rest, fits)
  const search: Search = { problem, rest, fits, best: null, checked: 0, isOver: false }
  let done = 0
  yield { share: 0, best: null }
  for (const pair of pairs) {
    if (cannotBeat(search, pair)) break
    if (problem.isTimeUp()) search.isOver = true
    if (search.isOver) break
    if (suppliesFor(search, pair).length > 0) fill(search, pair, headOf(pair), pair.cost, 0)
    done += 1
    if (done % 4 === 0) yield { share: done / pairs.length, best: search.best?.cost ?? null }
  }
  const open = pairs[done]
  return {
    found: search.best,
    isComplete: !search.isOver,
    checked: search.checked,
    gap: search.best === null ? null : search.isOver && open ? gapTo(search, open) : 0,
  }
}

interface Pair {
  readonly cpu: SearchOption
  readonly card: SearchOption | null
  readonly cost: number
  /**
   * The least that a whole machine around the pair costs, and the least of what is still to be filled from each place
   * of the order on.
   */
  readonly least: number
  readonly leastFrom: readonly number[]
  /** The most frames it can give. */
  readonly frames: readonly number[]
  readonly merit: number
  /** Worked out when first asked for. */
  supplies?: readonly SearchOption[]
}

function headOf({ cpu, card }: Pick<Pair, 'cpu' | 'card'>): SearchOption[] {
  return card ? [cpu, card] : [cpu]
}

interface Search {
  readonly problem: SearchProblem
  readonly rest: ReadonlyMap<Role, readonly SearchOption[]>
  readonly fits: PairFits
  best: SearchAnswer['found']
  checked: number
  isOver: boolean
}

function cheapestOfEachPart(options: readonly SearchOption[]): SearchOption[] {
  const cheapest = new Map<string, SearchOption>()
  for (const option of options) {
    const known = cheapest.get(option.part.id)
    if (!known || option.cost < known.cost || (option.cost === known.cost && option.id < known.id))
      cheapest.set(option.part.id, option)
  }
  return [...cheapest.values()].sort((a, b) => a.cost - b.cost || (a.id < b.id ? -1 : 1))
}

function rankedPairs(
  problem: SearchProblem,
  cpus: readonly SearchOption[],
  cards: readonly SearchOption[],
  rest: Search['rest'],
  fits: PairFits,
): Pair[] {
  const { goal } = problem
  const pairs = cpus.flatMap((cpu) =>
    [...cards, null].flatMap((card): Pair[] => {
      if (card === null && !cpu.part.facts.integratedGraphics) return []
      const parts = [cpu.part, ...(card ? [card.part] : [])]
      // whole and quick memory is assumed here: the most that the pair can give
      const frames = problem.frames(parts)
      if (
        !frames ||
        frames.length === 0 ||
        (goal.kind === 'match' && frames.some((each, index) => each < goal.floor[index]! - 1e-9))
      )
        return []
      const leastOf = order.map((role) =>
        role === 'cooler' && cpu.part.facts.coolerIncluded
          ? 0
          : (rest.get(role)!.find((option) => parts.every((part) => fits.go(part, option.part)))?.cost ??
            Infinity),
      )
      const leastFrom = leastOf
        .map((_, index) => leastOf.slice(index).reduce((sum, each) => sum + each, 0))
        .concat(0)
      const cost = cpu.cost + (card?.cost ?? 0)
      const least = cost + leastFrom[0]!
      if (least === Infinity || (goal.kind === 'spend' && least > goal.budget)) return []
      return [{ cpu, card, cost, least, leastFrom, frames, merit: geometricMean(frames)! }]
    }),
  )
  const name = (pair: Pair) => `${pair.cpu.id} ${pair.card?.id ?? ''}`
  return goal.kind === 'match'
    ? pairs.sort((a, b) => a.least - b.least || b.merit - a.merit || (name(a) < name(b) ? -1 : 1))
    : pairs.sort((a, b) => b.merit - a.merit || a.least - b.least || (name(a) < name(b) ? -1 : 1))
}

function cannotBeat({ best, problem: { goal } }: Search, pair: Pair): boolean {
  if (!best) return false
  return goal.kind === 'match' ? pair.least >= best.cost : pair.merit <= geometricMean(best.frames)! + 1e-9
}

function gapTo({ best, problem: { goal } }: Search, open: Pair): number {
  return goal.kind === 'match'
    ? Math.max(0, 1 - open.least / best!.cost)
    : Math.max(0, open.merit / geometricMean(best!.frames)! - 1)
}

/** Fills the roles from one place of the order on. Answers whether the pair is done: for spending, once it gives all it can. */
function fill(
  search: Search,
  pair: Pair,
  chosen: readonly SearchOption[],
  cost: number,
  at: number,
): boolean {
  const { goal } = search.problem
  const limit = () => (goal.kind === 'match' ? (search.best?.cost ?? Infinity) : goal.budget)
  if (at === order.length) return take(search, pair, chosen, cost)
  const role = order[at]!
  const next =
    role === 'cooler' && pair.cpu.part.facts.coolerIncluded
      ? [null, ...search.rest.get(role)!]
      : role === 'supply'
        ? suppliesFor(search, pair)
        : search.rest.get(role)!
  for (const option of next) {
    const sum = cost + (option?.cost ?? 0)
    const least = sum + pair.leastFrom[at + 1]!
    if (goal.kind === 'match' ? least >= limit() : least > limit()) break
    if (search.isOver) return true
    if (option && !chosen.every((each) => search.fits.go(each.part, option.part))) continue
    if (fill(search, pair, option ? [...chosen, option] : chosen, sum, at + 1)) return true
  }
  return false
}

/** Supplies that can feed at least the pair: what is drawn besides only adds to it. */
function suppliesFor({ rest, problem: { brief } }: Search, pair: Pair): readonly SearchOption[] {
  pair.supplies ??= rest
    .get('supply')!
    .filter(
      (supply) =>
        !checkFit({ parts: [...headOf(pair), supply].map((option) => option.part), brief }).findings.some(
          (finding) =>
            finding.ruleId === 'supply-size' ||
            (finding.severity === 'stops' && finding.why.some((fact) => fact.partId === supply.part.id)),
        ),
    )
  return pair.supplies
}

const askTimeEvery = 64

function take(search: Search, pair: Pair, chosen: readonly SearchOption[], cost: number): boolean {
  const { problem } = search
  const parts = chosen.map((option) => option.part)
  const frames = problem.frames(parts)
  if (!frames) return false
  const { goal } = problem
  if (goal.kind === 'match' && frames.some((each, index) => each < goal.floor[index]! - 1e-9)) return false
  const merit = geometricMean(frames)!
  if (goal.kind === 'spend' && search.best && merit <= geometricMean(search.best.frames)! + 1e-9) return false
  if (goal.kind === 'spend' && goal.total && goal.total(chosen) > goal.budget) return false
  search.checked += 1
  if (search.checked % askTimeEvery === 0 && problem.isTimeUp()) search.isOver = true
  const { findings } = checkFit({ parts, brief: problem.brief })
  if (findings.some((finding) => finding.severity === 'stops' || rulesOfMachine.has(finding.ruleId)))
    return false
  search.best = { options: chosen, cost, frames }
  return goal.kind === 'spend' && merit >= pair.merit - 1e-9
}

/** Which parts stop each other as a pair, whatever else is there; remembered. */
class PairFits {
  private readonly known = new Map<string, boolean>()

  constructor(private readonly brief: Partial<FitBrief>) {}

  go(a: Part, b: Part): boolean {
    const key = `${a.id}|${b.id}`
    const known = this.known.get(key)
    if (known !== undefined) return known
    const ids = new Set([a.id, b.id])
    const clashes = checkFit({ parts: [a, b], brief: this.brief }).findings.filter(
      (finding) =>
        (finding.severity === 'stops' || finding.ruleId === 'cooler-capacity') &&
        finding.why.every((fact) => ids.has(fact.partId)) &&
        finding.why[0].partId !== finding.why[1].partId,
    )
    this.known.set(key, clashes.length === 0)
    return clashes.length === 0
  }
}
