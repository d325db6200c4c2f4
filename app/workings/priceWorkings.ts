import { gradeFormula } from '#core/pricing/street/grade'
import { trendFormula } from '#core/pricing/trend/trend'
import { payUpToFormula, chanceFormula } from '#core/pricing/patience/patience'
import { markNames, markQuantiles, marks } from '#core/pricing/street/marks'
import type { PriceBrief, PriceView } from '#shared/prices/views'
import { amount, percent, shortDate, signedAmount, signedPercent } from '~/utils/show'
import type { Working } from './working'

export function markWorking(view: PriceView, mark: keyof typeof markQuantiles): Working {
  const kept = view.records
    .filter((record) => record.unitPrice !== null)
    .sort((a, b) => a.unitPrice! - b.unitPrice!)
  return {
    title: `${view.name}: ${mark} mark`,
    result: amount(view.marks?.[mark], view.currency),
    formula: `weighted quantile ${markQuantiles[mark]} of ${kept.length} comps: sorted by price, each weighing 0.5^(age / ${view.query.halfLifeDays} days), linear between neighbouring mid-positions`,
    lines: kept.map((record) => ({
      label: `${shortDate(record.soldOn)} · ${record.title}`,
      value: amount(record.unitPrice, view.currency),
      kind: 'record' as const,
      note: `weight ${record.weight!.toFixed(2)}`,
    })),
    change: 'Keep or drop records in Sift; change the words in the query.',
  }
}

export function gradeWorking(view: PriceView): Working {
  const { interval, marks } = view
  const half = interval && marks ? (interval.high - interval.low) / 2 / marks.typical : null
  return {
    title: `${view.name}: how far to trust it`,
    result: view.grade,
    formula: gradeFormula,
    lines: [
      { label: 'effective count (Σw)² / Σw²', value: view.effectiveCount.toFixed(1), kind: 'sum' },
      {
        label: '90 % interval of typical',
        value: interval
          ? `${amount(interval.low, view.currency)} – ${amount(interval.high, view.currency)}`
          : '—',
        kind: 'sum',
      },
      { label: 'half-width of typical', value: half === null ? '—' : percent(half, 1), kind: 'sum' },
      {
        label: 'comps a day',
        value: view.perDay.toFixed(2),
        kind: 'sum',
        note: `${view.kept} in ${view.query.coveredDays ?? view.query.windowDays} days`,
      },
    ],
    ...(view.grade === 'thin' || view.grade === 'none'
      ? { change: 'Widen the window, accept more conditions or import more records.' }
      : {}),
  }
}

export function trendWorking(view: PriceView): Working {
  const { trend } = view
  return {
    title: `${view.name}: movement`,
    result: trend ? `${signedPercent(trend.percentPer30Days)} a month` : 'not enough records',
    formula: trendFormula,
    lines: trend
      ? [
          { label: 'low end of 90 %', value: signedPercent(trend.low), kind: 'estimate' },
          { label: 'high end of 90 %', value: signedPercent(trend.high), kind: 'estimate' },
          {
            label: 'direction',
            value: trend.direction,
            kind: 'estimate',
            note: 'rising or falling only where the interval excludes zero',
          },
          ...(trend.sampledPairs > 0
            ? [
                {
                  label: 'pairs drawn by a fixed seed',
                  value: trend.sampledPairs.toLocaleString('en'),
                  kind: 'estimate' as const,
                  note: 'of many more: the median of them sits within about 0.2 percentiles of the full one',
                },
              ]
            : []),
        ]
      : [],
  }
}

/** Typical of one manner of sale. */
export function mannerWorking(view: PriceView, manner: PriceView['byManner'][number]['manner']): Working {
  const comps = view.records
    .filter((record) => record.unitPrice !== null && record.manner === manner)
    .sort((a, b) => a.unitPrice! - b.unitPrice!)
  return {
    title: `${view.name}: typical by ${manner}`,
    result: amount(view.byManner.find((each) => each.manner === manner)?.typical, view.currency),
    formula: `weighted median of the ${comps.length} comps sold by ${manner}`,
    lines: comps.map((record) => ({
      label: `${shortDate(record.soldOn)} · ${record.title}`,
      value: amount(record.unitPrice, view.currency),
      kind: 'record' as const,
      note: `weight ${record.weight!.toFixed(2)}`,
    })),
  }
}

/** The chance of buying at or below a price within some days. */
export function chanceWorking(
  view: PriceView,
  {
    limit,
    days,
    chance,
    share,
    catchShare,
  }: { limit: number; days: number; chance: number; share: number; catchShare: number },
): Working {
  return {
    title: `${view.name}: chance within ${days} days`,
    result: percent(chance),
    formula: chanceFormula,
    lines: [
      {
        label: 'λ: comps a day',
        value: view.perDay.toFixed(2),
        kind: 'record',
        note: `${view.kept} in ${view.query.coveredDays ?? view.query.windowDays} days`,
      },
      { label: 'c: part of them you get to', value: percent(catchShare), kind: 'assumption' },
      {
        label: `F: weighted share at or below ${amount(limit, view.currency)}`,
        value: percent(share),
        kind: 'record',
      },
      {
        label: 'T: days',
        value: String(days),
        kind: 'own',
        note: `${view.patienceDays} to the date wanted by, or 30 without one`,
      },
    ],
  }
}

/** The pay-up-to price that reaches a chance in time. */
export function wishWorking(view: PriceView, wish: PriceView['wishes'][number], catchShare: number): Working {
  return {
    title: `${view.name}: pay-up-to price for ${percent(wish.probability)} in ${wish.days} days`,
    result: amount(wish.price, view.currency),
    formula: payUpToFormula,
    lines: [
      { label: 'q: chance wanted', value: percent(wish.probability), kind: 'own' },
      { label: 'λ: comps a day', value: view.perDay.toFixed(2), kind: 'record' },
      { label: 'c: part of them you get to', value: percent(catchShare), kind: 'assumption' },
      { label: 'T: days', value: String(wish.days), kind: 'own' },
    ],
  }
}

/** A price in the list of parts. */
export function briefPriceWorking(brief: PriceBrief, currency: string): Working {
  return brief.marks
    ? {
        title: `${brief.name}: street price`,
        result: amount(brief.marks.typical, currency),
        formula: `weighted median of ${brief.kept} comps; open the part to see each of them`,
        lines: marks.map((mark) => ({
          label: markNames[mark],
          value: amount(brief.marks![mark], currency),
          kind: 'record' as const,
        })),
      }
    : {
        title: `${brief.name}: price new`,
        result: amount(brief.newPrice, currency),
        formula: 'the cheapest of the newest shop prices; no sold record counts for it',
        lines: [],
      }
}

/** How a record's unit price came about, or why it has none. */
export function recordWorking(view: PriceView, record: PriceView['records'][number]): Working {
  const own = (value: number) => `${amount(value, record.currency)} ${record.currency}`
  return {
    title: record.title,
    result:
      record.unitPrice === null
        ? `left out: ${record.detail}`
        : `${amount(record.unitPrice, view.currency)} ${view.currency}`,
    formula: '(price + shipping) / pieces, converted at the rate of the day of sale, rounded once',
    lines: [
      {
        label: 'price',
        value: own(record.price),
        kind: 'record',
        note: `${record.source}, ${record.manner}, ${record.condition}`,
      },
      { label: 'shipping', value: own(record.shipping), kind: 'record' },
      {
        label: 'pieces',
        value: String(record.quantity ?? 1),
        kind: record.quantity === null ? 'assumption' : 'record',
      },
      { label: 'sold on', value: record.soldOn, kind: 'record' },
      ...(record.weight === null
        ? []
        : [{ label: 'weight', value: record.weight.toFixed(3), kind: 'sum' as const }]),
    ],
    change: 'K keeps it, D drops it; your choice stays through later imports.',
  }
}

/** Local hand-overs against everything bought by post. */
export function gapWorking(view: PriceView): Working {
  const gap = view.gap!
  return {
    title: `${view.name}: local against online`,
    result: signedPercent(gap.percent),
    formula:
      'weighted median of local hand-overs over that of auctions and fixed prices together, shown where each has three comps or more',
    lines: [
      {
        label: 'local',
        value: amount(gap.local.typical, view.currency),
        kind: 'record',
        note: `${gap.local.count} comps`,
      },
      {
        label: 'online',
        value: amount(gap.online.typical, view.currency),
        kind: 'record',
        note: `${gap.online.count} comps`,
      },
    ],
  }
}

/** What the price may be expected to be by the date. */
export function laterWorking(view: PriceView, way: 'used' | 'new'): Working {
  const later = (way === 'used' ? view.usedLater : view.newLater)!
  return {
    title: `${view.name}, ${way}: expected within ${later.days} days`,
    result: amount(later.later, view.currency),
    formula:
      way === 'used'
        ? 'today’s street price, moved by its trend where one is declared, then by each thing noted to wait for, drop times chance'
        : 'today’s cheapest shop price; its sale floor where a sale is due before the date; then by each thing noted to wait for, drop times chance',
    lines: [
      {
        label: 'today',
        value: amount(
          way === 'used' ? view.marks?.[view.patienceMark] : view.offers[0]?.price,
          view.currency,
        ),
        kind: way === 'used' ? 'record' : 'lead',
        note: way === 'used' ? `${view.patienceMark} mark` : (view.offers[0]?.sourceName ?? ''),
      },
      ...later.reasons.map((reason) => ({
        label: reason.what,
        value: signedAmount(-reason.saving, view.currency),
        kind: reason.kind === 'note' ? ('own' as const) : ('estimate' as const),
      })),
    ],
    change:
      'A difference under 3 % of the price is called either way. Notes to wait for stand under Reads and notes.',
  }
}
