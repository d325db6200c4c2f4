import { CoreError } from '../errors/coreError'

/** A figure nobody measured: what it is called, in which unit, what it is unless the builder says otherwise, and what follows. */
export interface Assumption {
  readonly name: string
  /** As printed behind the figure; empty for a bare number, `%` for a share kept as 0 to 1. */
  readonly unit: string
  readonly default: number
  readonly min: number
  readonly max: number
  /** Which way a higher figure moves the result. */
  readonly moves: string
  /** Where the default comes from. */
  readonly source: string
}

/** The figures of a group of assumptions, by key. */
export type ValuesOf<Group extends Readonly<Record<string, Assumption>>> = {
  readonly [Key in keyof Group]: number
}

/** Every key of a group at its default. */
export function defaultsOf<const Group extends Readonly<Record<string, Assumption>>>(
  group: Group,
): ValuesOf<Group> {
  return Object.fromEntries(
    Object.entries(group).map(([key, each]) => [key, each.default]),
  ) as ValuesOf<Group>
}

/**
 * Refuses a figure outside the range of its assumption.
 * @throws CoreError `bad-assumption`, naming figure and range
 * @example assertInRange({ name: 'a chance', min: 0, max: 1 }, 1.2, '') // throws bad-assumption
 */
export function assertInRange({ name, min, max }: Assumption, value: number, path: string): void {
  if (Number.isFinite(value) && value >= min && value <= max) return
  throw new CoreError('bad-assumption', { name, min, max, value }, path)
}

const bench = 'not measured'

/** A share or a chance, kept as 0 to 1 and printed in percent. */
export function share(name: string, value: number, moves: string, source = bench): Assumption {
  return { name, unit: '%', default: value, min: 0, max: 1, moves, source }
}

/** A factor on something else. */
export function factor(name: string, value: number, moves: string, source = bench): Assumption {
  return { name, unit: '×', default: value, min: 0, max: 50, moves, source }
}

export function watts(name: string, value: number, moves: string, source = bench): Assumption {
  return { name, unit: 'W', default: value, min: 0, max: 2000, moves, source }
}

export function days(name: string, value: number, moves: string, source = bench): Assumption {
  return { name, unit: 'days', default: value, min: 0, max: 3650, moves, source }
}

export function months(name: string, value: number, moves: string, source = bench): Assumption {
  return { name, unit: 'months', default: value, min: 0, max: 120, moves, source }
}

export function celsius(name: string, value: number, moves: string, source = bench): Assumption {
  return { name, unit: '°C', default: value, min: 0, max: 120, moves, source }
}

/** A number of no unit, in a range of its own. */
export function plain(
  name: string,
  value: number,
  [min, max]: readonly [number, number],
  moves: string,
  source = bench,
): Assumption {
  return { name, unit: '', default: value, min, max, moves, source }
}
