/** The step people round a price to, in minor units: 1 under 20, 5 under 200, 10 under 1 000, 50 from there on. */
export function customaryStep(amount: number, unit: number): number {
  const units = amount / unit
  return (units < 20 ? 1 : units < 200 ? 5 : units < 1000 ? 10 : 50) * unit
}

/** Down to a customary step; the step is that of the value rounded. */
export function roundDownCustomary(amount: number, unit: number): number {
  const step = customaryStep(amount, unit)
  return Math.floor(amount / step) * step
}
