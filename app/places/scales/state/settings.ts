import { toDecimal } from '#core/money/decimal'
import type { WeighingInput } from '#shared/scales/schemas'
import type { WeighingSettings } from '#shared/scales/settings'

/** A change of how a build is weighed; own figures are changed apart. */
export type SettingsChange = Partial<
  Pick<WeighingSettings, 'years' | 'style' | 'basis' | 'assumeWorth' | 'gamesPerYear' | 'off' | 'builds'>
>

/** The settings as the route takes them, with one change, and one own figure set or taken back (null). */
export function changedSettings(
  settings: WeighingSettings,
  currency: string,
  change: SettingsChange,
  edit?: { readonly machine: string; readonly step: string; readonly amount: string | null },
): WeighingInput {
  const decimals = Object.fromEntries(
    Object.entries(settings.edits).map(([machine, own]) => [
      machine,
      Object.fromEntries(Object.entries(own).map(([step, amount]) => [step, toDecimal(amount, currency)])),
    ]),
  )
  const edits = { ...decimals }
  if (edit) {
    const { [edit.step]: _old, ...rest } = edits[edit.machine] ?? {}
    edits[edit.machine] = edit.amount === null ? rest : { ...rest, [edit.step]: edit.amount }
  }
  const { years, style, basis, assumeWorth, gamesPerYear, off, builds } = { ...settings, ...change }
  return {
    years,
    style,
    basis,
    assumeWorth,
    gamesPerYear,
    off: [...off],
    builds: [...builds],
    usualShipping: settings.usualShipping === null ? null : toDecimal(settings.usualShipping, currency),
    edits,
  }
}
