/** A machine as far as value goes. Money in minor units of one currency, frames as the geometric mean over the targets. */
export interface ValuedMachine {
  readonly id: string
  readonly name: string
  readonly kind: 'build' | 'rival'
  readonly cost: number
  readonly frames: number
}

export interface ValueStep extends ValuedMachine {
  /** Money cost per frame a second, minor units. */
  readonly perFrame: number
  /** From the tread below: money added, frames gained, money for each frame gained; null on the first. */
  readonly added: { readonly money: number; readonly frames: number; readonly perFrame: number } | null
  /** Machine that costs no more and runs no slower; null for a tread of the staircase. */
  readonly beatenBy: string | null
}

/**
 * Frames for money: every machine by cost, those that none beats on both as treads of a staircase. Level on both, the
 * first by id stands. Machines without cost or frames are to be left out by the caller.
 */
export function frameValue(machines: readonly ValuedMachine[]): ValueStep[] {
  const sorted = [...machines].sort(
    (a, b) => a.cost - b.cost || b.frames - a.frames || (a.id < b.id ? -1 : 1),
  )
  let tread: ValuedMachine | null = null
  return sorted.map((machine) => {
    const perFrame = machine.cost / machine.frames
    if (tread && machine.frames <= tread.frames)
      return { ...machine, perFrame, added: null, beatenBy: tread.id }
    const below: ValuedMachine | null = tread
    tread = machine
    const added = below
      ? {
          money: machine.cost - below.cost,
          frames: machine.frames - below.frames,
          perFrame: (machine.cost - below.cost) / (machine.frames - below.frames),
        }
      : null
    return { ...machine, perFrame, added, beatenBy: null }
  })
}
