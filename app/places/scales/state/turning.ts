import { targetName } from '#core/performance/model/targetName'
import { formatAmount } from '#core/money/formatAmount'
import { atPartPrice, type PartPrice } from '#core/comparison/tipping/atPartPrice'
import { tippingPoint, type TippingPoint } from '#core/comparison/tipping/tipping'
import { weigh, type Weighed } from '#core/comparison/weigh'
import { withAssumedCard, type AssumedCard, type TargetAt } from '#core/comparison/tipping/assumedCard'
import type { WeighingTerms, WeighedMachine } from '#core/comparison/weighedMachine'
import type { FrameMachine } from '#core/performance/model/frameTime'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'

/** A figure on which the verdict may turn. */
export interface Turning {
  readonly id: string
  readonly name: string
  readonly unit: 'money' | 'hours' | 'years' | 'tariff'
  readonly now: number
  readonly range: { readonly from: number; readonly to: number }
  /** What it is told in. */
  readonly step: number
  readonly point: TippingPoint
  /** Share of the range to the nearest turn: the smaller, the more it matters; 1 where it never turns. */
  readonly nearness: number
  weighedAt(value: number): Weighed
}

/** What figures are told in: minor units, a tenth of an hour, half a year, a tenth of a minor unit a kWh. */
const steps: Readonly<Record<Turning['unit'], number>> = { money: 1, hours: 0.1, years: 0.5, tariff: 0.1 }

function withoutPrice(edits: WeighingTerms['edits'], id: string): WeighingTerms['edits'] {
  const { price: _price, ...rest } = edits[id] ?? {}
  return { ...edits, [id]: rest }
}

interface Change {
  readonly own?: WeighedMachine
  readonly other?: WeighedMachine
  readonly terms?: Partial<WeighingTerms>
  readonly frames?: FrameMachine
}

/** Weighs the build of a view against one of its rivals, with something changed. */
export function weighChanged(view: BuildView, other: WeighedView, change: Change = {}): Weighed {
  const { settings, terms, frames, own } = view.weighing
  return weigh(change.own ?? own.machine, change.other ?? other.machine, {
    terms: { ...terms, ...change.terms },
    style: settings.style,
    workloads: view.workloads,
    ownFrames: change.frames ?? frames,
    equivalents: other.equivalents,
    formatMoney: (amount) => formatAmount(amount, view.currency),
  })
}

/** What the card of a build enters the scales at; null where it comes in a lot or there is none. */
export function cardCost(view: BuildView): (PartPrice & { readonly name: string }) | null {
  const choice = view.choices.find(
    (each) => each.scope !== 'test' && each.parts.length === 1 && each.parts[0]!.role === 'graphics',
  )
  if (!choice) return null
  const { expected, payNow, rebatesExpected } = choice
  const isPaid = view.weighing.settings.basis === 'paid' && (choice.kind !== 'item' || choice.paidOn !== null)
  const cost = isPaid ? payNow : (choice.anyoneCanPay ?? payNow)
  // of what has no price nothing can be moved
  if (cost === null) return null
  return {
    name: choice.label,
    partId: choice.parts[0]!.id,
    fault: expected === null || payNow === null ? 0 : expected - payNow + rebatesExpected,
    cost,
  }
}

/** Every figure that the verdict may turn on, the nearest turn first. */
export function turnings(view: BuildView, other: WeighedView): Turning[] {
  const { own, terms } = view.weighing
  const card = cardCost(view)
  // a price of the builder's own stands in for what its seller asks
  const rivalPrice = terms.edits[other.machine.id]?.price ?? other.machine.price
  const rules: {
    id: string
    name: string
    unit: Turning['unit']
    now: number
    range: Turning['range']
    change(value: number): Change
  }[] = [
    ...(card
      ? [
          {
            id: 'card',
            name: `price of ${card.name}`,
            unit: 'money' as const,
            now: card.cost,
            range: { from: 0, to: Math.max(3 * card.cost, 60_000) },
            change: (value: number) => ({ own: atPartPrice(own.machine, card, value) }),
          },
        ]
      : []),
    {
      id: 'rival',
      name: `price of ${other.machine.name}`,
      unit: 'money',
      now: rivalPrice,
      range: { from: 0, to: Math.max(2 * rivalPrice, 20_000) },
      change: (value) => ({
        other: { ...other.machine, price: value },
        terms: { edits: withoutPrice(terms.edits, other.machine.id) },
      }),
    },
    ...(terms.perHour > 0
      ? [
          {
            id: 'own-hours',
            name: 'your hours of work',
            unit: 'hours' as const,
            now: own.machine.hours,
            range: { from: 0, to: 60 },
            change: (value: number) => ({ own: { ...own.machine, hours: value } }),
          },
        ]
      : []),
    {
      id: 'hours',
      name: 'hours per day at full load',
      unit: 'hours',
      now: terms.fullHours,
      range: { from: 0, to: 16 },
      change: (value) => ({ terms: { fullHours: value } }),
    },
    {
      id: 'tariff',
      name: 'price of a kWh',
      unit: 'tariff',
      now: terms.tariff,
      range: { from: 0, to: Math.max(4 * terms.tariff, 100) },
      change: (value) => ({ terms: { tariff: value } }),
    },
    {
      id: 'years',
      name: 'years of use',
      unit: 'years',
      now: terms.years,
      range: { from: 0.5, to: 10 },
      change: (value) => ({ terms: { years: value } }),
    },
  ]
  return rules
    .map(({ change, ...asked }): Turning => {
      const rule = { ...asked, step: steps[asked.unit] }
      const weighedAt = (value: number) => weighChanged(view, other, change(value))
      const point = tippingPoint((value) => weighedAt(value).verdict.winner, {
        now: rule.now,
        range: rule.range,
        unit: rule.step,
      })
      const distances = [point.below, point.above].flatMap((turn) =>
        turn ? [Math.abs(turn.value - rule.now) / (rule.range.to - rule.range.from)] : [],
      )
      return { ...rule, point, weighedAt, nearness: distances.length === 0 ? 1 : Math.min(...distances) }
    })
    .sort((a, b) => a.nearness - b.nearness)
}

/** The verdict with a card that is not sold yet, and the price at which it turns. */
export function withCard(
  view: BuildView,
  other: WeighedView,
  card: AssumedCard,
): { readonly weighed: Weighed; readonly point: TippingPoint } | null {
  const { frames, own } = view.weighing
  if (!frames) return null
  // without a card of its own nothing leaves
  const now = cardCost(view)
  const targets = view.targets.map((target): TargetAt => ({
    name: targetName(target),
    workload: view.workloads.find((each) => each.id === target.workloadId)!,
    settings: target,
    averageFps: target.averageFps,
    lowFps: target.lowFps,
  }))
  const at = (price: number) => {
    const changed = withAssumedCard(
      own.machine,
      frames,
      { ...card, price },
      now === null ? 0 : now.cost,
      targets,
    )
    return weighChanged(view, other, { own: changed.machine, frames: changed.frames })
  }
  return {
    weighed: at(card.price),
    point: tippingPoint((price) => at(price).verdict.winner, {
      now: card.price,
      range: { from: 0, to: Math.max(3 * card.price, 60_000) },
      unit: 1,
    }),
  }
}
