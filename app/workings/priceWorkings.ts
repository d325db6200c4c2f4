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
    title: `${view.name}: ${mark} price`,
    result: amount(view.marks?.[mark], view.currency),
    formula:
      `weighted quantile ${markQuantiles[mark]} of ${kept.length} comps: sorted by price, ` +
      `each weighted 0.5^(age / ${view.query.halfLifeDays} days), interpolated linearly ` +
      'between mid-positions',
    lines: kept.map((record) => ({
      label: `${shortDate(record.soldOn)} · ${record.title}`,
      value: amount(record.unitPrice, view.currency),
      kind: 'record' as const,
      note: `weight ${record.weight!.toFixed(2)}`,
    })),
    change: 'Keep or drop records in Clean up; change the words in the query.',
  }
}

export function gradeWorking(view: PriceView): Working {
  const { interval, marks } = view
  const half = interval && marks ? (interval.high - interval.low) / 2 / marks.typical : null
  return {
    title: `${view.name}: confidence`,
    result: view.grade,
    formula: gradeFormula,
    lines: [
      { label: 'effective count (Σw)² / Σw²', value: view.effectiveCount.toFixed(1), kind: 'sum' },
      {
        label: '90 % interval of the typical price',
        value: interval
          ? `${amount(interval.low, view.currency)} – ${amount(interval.high, view.currency)}`
          : '—',
        kind: 'sum',
      },
      {
        label: 'half-width for the typical price',
        value: half === null ? '—' : percent(half, 1),
        kind: 'sum',
      },
      {
        label: 'comps per day',
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
    title: `${view.name}: trend`,
    result: trend ? `${signedPercent(trend.percentPer30Days)} per month` : 'not enough records',
    formula: trendFormula,
    lines: trend
      ? [
          { label: 'lower end of 90 %', value: signedPercent(trend.low), kind: 'estimate' },
          { label: 'upper end of 90 %', value: signedPercent(trend.high), kind: 'estimate' },
          {
            label: 'direction',
            value: trend.direction,
            kind: 'estimate',
            note: 'called rising or falling only if the interval excludes zero',
          },
          ...(trend.sampledPairs > 0
            ? [
                {
                  label: 'pairs drawn with a fixed seed',
                  value: trend.sampledPairs.toLocaleString('en'),
                  kind: 'estimate' as const,
                  note: 'sample of all pairs; its median is within about 0.2 percentiles of the full one',
                },
              ]
            : []),
        ]
      : [],
  }
}

/** Typical of one sale type. */
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
        label: 'λ: comps per day',
        value: view.perDay.toFixed(2),
        kind: 'record',
        note: `${view.kept} in ${view.query.coveredDays ?? view.query.windowDays} days`,
      },
      { label: 'c: share of them you can get', value: percent(catchShare), kind: 'assumption' },
      {
        label: `F: weighted share at or below ${amount(limit, view.currency)}`,
        value: percent(share),
        kind: 'record',
      },
      {
        label: 'T: days',
        value: String(days),
        kind: 'own',
        note: `${view.patienceDays} to your date, or 30 without one`,
      },
    ],
  }
}

/** The pay-up-to price that reaches a chance in time. */
export function wishWorking(view: PriceView, wish: PriceView['wishes'][number], catchShare: number): Working {
  return {
    title: `${view.name}: most to pay for a ${percent(wish.probability)} chance in ${wish.days} days`,
    result: amount(wish.price, view.currency),
    formula: payUpToFormula,
    lines: [
      { label: 'q: chance', value: percent(wish.probability), kind: 'own' },
      { label: 'λ: comps per day', value: view.perDay.toFixed(2), kind: 'record' },
      { label: 'c: share of them you can get', value: percent(catchShare), kind: 'assumption' },
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
        formula: `weighted median of ${brief.kept} comps; open the part to see them`,
        lines: marks.map((mark) => ({
          label: markNames[mark],
          value: amount(brief.marks![mark], currency),
          kind: 'record' as const,
        })),
      }
    : {
        title: `${brief.name}: new price`,
        result: amount(brief.newPrice, currency),
        formula: 'cheapest of the newest shop prices; sold records are not used',
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
    formula: '(price + shipping) / quantity, converted at the rate of the sale date, rounded once',
    lines: [
      {
        label: 'price',
        value: own(record.price),
        kind: 'record',
        note: `${record.source}, ${record.manner}, ${record.condition}`,
      },
      { label: 'shipping', value: own(record.shipping), kind: 'record' },
      {
        label: 'quantity',
        value: String(record.quantity ?? 1),
        kind: record.quantity === null ? 'assumption' : 'record',
      },
      { label: 'sold on', value: record.soldOn, kind: 'record' },
      ...(record.weight === null
        ? []
        : [{ label: 'weight', value: record.weight.toFixed(3), kind: 'sum' as const }]),
    ],
    change: 'K keeps it, D drops it; your choice survives later imports.',
  }
}

/** Local hand-overs against everything bought by post. */
export function gapWorking(view: PriceView): Working {
  const gap = view.gap!
  return {
    title: `${view.name}: local vs online`,
    result: signedPercent(gap.percent),
    formula:
      'weighted median of local hand-overs ÷ that of auctions and fixed prices together; ' +
      'shown when each has at least three comps',
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
    title: `${view.name}, ${way}: expected price within ${later.days} days`,
    result: amount(later.later, view.currency),
    formula:
      way === 'used'
        ? 'today’s street price, adjusted by its trend if there is one, then by each note on ' +
          'what is worth waiting for (price drop × chance)'
        : 'today’s cheapest shop price, or its lowest sale price if a sale is due before the ' +
          'date; then each note on what is worth waiting for (price drop × chance)',
    lines: [
      {
        label: 'today',
        value: amount(
          way === 'used' ? view.marks?.[view.patienceMark] : view.offers[0]?.price,
          view.currency,
        ),
        kind: way === 'used' ? 'record' : 'lead',
        note: way === 'used' ? `${view.patienceMark} price` : (view.offers[0]?.sourceName ?? ''),
      },
      ...later.reasons.map((reason) => ({
        label: reason.what,
        value: signedAmount(-reason.saving, view.currency),
        kind: reason.kind === 'note' ? ('own' as const) : ('estimate' as const),
      })),
    ],
    change: 'A difference under 3 % of the price counts as either way. Notes are under History and notes.',
  }
}
