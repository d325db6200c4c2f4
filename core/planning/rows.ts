/** A factor on a variable of the program. */
export type Term = readonly [factor: number, variable: string]
/** What stands on the left of a row: terms, or the factor of each variable by its name. */
type Left = readonly Term[] | Readonly<Record<string, number>>
/** Adds a row to the program: `row({ [kept]: 1, [taken]: -1 }, '<=', 0)`. */
export type Row = (left: Left, sense: '<=' | '>=' | '=', right: number) => void

export const termsOf = (left: Left): readonly Term[] =>
  Array.isArray(left)
    ? (left as readonly Term[])
    : Object.entries(left as Readonly<Record<string, number>>).map(([name, factor]): Term => [factor, name])

/** Terms added up, each variable once; the solver's format has no empty side. */
export function sumOf(terms: readonly Term[]): string {
  const sums = new Map<string, number>()
  for (const [factor, variable] of terms) sums.set(variable, (sums.get(variable) ?? 0) + factor)
  return [...sums]
    .filter(([, factor]) => factor !== 0)
    .map(([variable, factor]) => `${factor < 0 ? '-' : '+'} ${plainNumber(Math.abs(factor))} ${variable}`)
    .join('\n  ')
}

/** Without an exponent, which the format does not take everywhere. */
function plainNumber(value: number): string {
  return Number.isInteger(value) ? String(value) : value.toFixed(9).replace(/0+$/, '')
}

/** What terms come to where the variables have these values. */
export const valueOf = (terms: readonly Term[], values: ReadonlyMap<string, number>): number =>
  terms.reduce((sum, [factor, variable]) => sum + factor * (values.get(variable) ?? 0), 0)
