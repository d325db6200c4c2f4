import { assumptionGroups, type AssumptionGroup } from '#core/assumptions/assumptions'
import type { Assumption } from '#core/assumptions/assumption'
import { moneyGroup, type MoneyKey } from '#core/assumptions/money'
import { moneySize } from '#core/assumptions/moneySize'
import { toDecimal } from '#core/money/decimal'
import type { SettingsView } from '#shared/settings/views'

/** An assumption as a row of Settings; figures as they are typed: a share in percent. */
export interface AssumptionRow {
  readonly key: string
  readonly name: string
  readonly unit: string
  readonly byDefault: number
  readonly own: number | null
  readonly min: number
  readonly max: number
  readonly moves: string
  readonly source: string
}

export interface AssumptionSheet {
  readonly group: AssumptionGroup
  readonly name: string
  readonly rows: readonly AssumptionRow[]
  readonly changed: number
}

/** A share is kept as 0 to 1 and typed in percent; tenths of a percent stay exact. */
export function asTyped({ unit }: Pick<Assumption, 'unit'>, value: number): number {
  return unit === '%' ? Number((value * 100).toPrecision(12)) : value
}

export function asKept({ unit }: Pick<Assumption, 'unit'>, typed: number): number {
  return unit === '%' ? Number((typed / 100).toPrecision(12)) : typed
}

/** Every assumption by group, the builder's own figure beside the default. */
export function assumptionSheets({ assumptions }: Pick<SettingsView, 'assumptions'>): AssumptionSheet[] {
  return Object.entries(assumptionGroups).map(([group, { name, figures }]) => {
    const rows = Object.entries(figures as Record<string, Assumption>).map(([key, each]): AssumptionRow => {
      const own = assumptions[`${group}.${key}`]
      return {
        ...each,
        key: `${group}.${key}`,
        byDefault: asTyped(each, each.default),
        own: own === undefined ? null : asTyped(each, own),
        min: asTyped(each, each.min),
        max: asTyped(each, each.max),
      }
    })
    return {
      group: group as AssumptionGroup,
      name,
      rows,
      changed: rows.filter((row) => row.own !== null).length,
    }
  })
}

/** An assumption in money as a row: its default stated in the home currency. */
export interface MoneyRow {
  readonly key: MoneyKey
  readonly name: string
  readonly per: string
  readonly byDefault: string
  readonly own: { readonly amount: string; readonly currency: string } | null
  readonly moves: string
  readonly source: string
}

export function moneyRows({ money }: Pick<SettingsView, 'money'>, currency: string): MoneyRow[] {
  return Object.entries(moneyGroup).map(([key, { name, per, size, moves, source }]) => ({
    key: key as MoneyKey,
    name,
    per,
    byDefault: toDecimal(size * moneySize(currency), currency),
    own: money[key as MoneyKey] ?? null,
    moves,
    source,
  }))
}
