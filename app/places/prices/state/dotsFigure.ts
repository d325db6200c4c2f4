import { inUnits } from '#core/money/formatAmount'
import { dayNumber } from '#core/time/calendarDate'
import type { PriceView } from '#shared/prices/views'
import { amount } from '~/utils/show'
import type { Brush } from './brush'

type Priced = Pick<PriceView, 'marks' | 'newPrice' | 'ownFigure' | 'currency'>

/**
 * Where the price axis ends, in units of the currency: a round number above 1.6 times the hurried mark, the new price
 * and the builder's own figure; dearer things are lots and slips. Nothing known: no end.
 */
export function priceCeiling(view: Priced): number | undefined {
  const top = inUnits(
    Math.max(
      view.marks ? view.marks.hurried * 1.6 : 0,
      (view.newPrice ?? 0) * 1.08,
      view.ownFigure?.amount ?? 0,
    ),
    view.currency,
  )
  const step = 10 ** Math.floor(Math.log10(Math.max(top, 10))) / 2
  return Math.ceil(top / step) * step || undefined
}

/**
 * What is drawn over the dots: the band of the marks, the typical mark, the new price, the builder's own figure, the
 * region marked.
 */
export function dotAnnotations(view: Priced, brush: Brush | null, colour: (token: `--${string}`) => string) {
  const units = (value: number) => inUnits(value, view.currency)
  const level = (value: number, text: string, token: `--${string}`, dash: number[]) => ({
    type: 'line' as const,
    yMin: units(value),
    yMax: units(value),
    borderColor: colour(token),
    borderWidth: 1.5,
    borderDash: dash,
    label: {
      display: true,
      content: text,
      position: 'start' as const,
      backgroundColor: `${colour('--sheet')}cc`,
      color: colour(token),
      yAdjust: -9,
      padding: 2,
      font: { size: 11 },
    },
  })
  return {
    ...(view.marks
      ? {
          band: {
            type: 'box' as const,
            yMin: units(view.marks.patient),
            yMax: units(view.marks.hurried),
            backgroundColor: `${colour('--series-1')}22`,
            borderWidth: 0,
            drawTime: 'beforeDatasetsDraw' as const,
          },
          typical: {
            type: 'line' as const,
            yMin: units(view.marks.typical),
            yMax: units(view.marks.typical),
            borderColor: colour('--series-1'),
            borderWidth: 2,
          },
        }
      : {}),
    ...(view.newPrice !== null
      ? { fresh: level(view.newPrice, `new ${amount(view.newPrice, view.currency)}`, '--ink', [3, 3]) }
      : {}),
    ...(view.ownFigure
      ? {
          own: level(
            view.ownFigure.amount,
            `yours ${amount(view.ownFigure.amount, view.currency)}`,
            '--info',
            [2, 2],
          ),
        }
      : {}),
    ...(brush
      ? {
          region: {
            type: 'box' as const,
            xMin: dayNumber(brush.from) - 0.5,
            xMax: dayNumber(brush.to) + 0.5,
            yMin: units(brush.low),
            yMax: units(brush.high),
            backgroundColor: `${colour('--info')}22`,
            borderColor: colour('--info'),
            borderWidth: 1,
          },
        }
      : {}),
  }
}
