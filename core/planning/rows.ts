/** A factor on a variable of the program. */
export type Term = readonly [factor: number, variable: string]
/** Adds a row to the program. */
export type Row = (terms: readonly Term[], sense: '<=' | '>=' | '=', right: number) => void

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
