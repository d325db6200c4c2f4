import type { PlayStyle } from '#core/comparison/verdict/playStyles'

/** How a build is weighed against others. */
export interface WeighingSettings {
  readonly years: number
  readonly style: PlayStyle
  /** What a build enters at: the market price, or what was paid. */
  readonly basis: 'anyone' | 'paid'
  readonly gamesPerYear: number
  /** Delivery where a seller does not state it, minor units of the build's currency. */
  readonly usualShipping: number | null
  /** Whether what nobody knows to fetch is assumed to fetch its usual share; else value left counts on no side. */
  readonly assumeWorth: boolean
  /** Other builds and variants on the scales. */
  readonly builds: readonly string[]
  /** Steps switched off. */
  readonly off: readonly string[]
  /** Own figures by machine and step, minor units of the build's currency. */
  readonly edits: Readonly<Record<string, Readonly<Record<string, number>>>>
}

/** How a build is weighed where nothing else was set. */
export const weighingDefaults: WeighingSettings = {
  years: 3,
  style: 'couch',
  basis: 'anyone',
  gamesPerYear: 4,
  assumeWorth: false,
  usualShipping: null,
  builds: [],
  off: [],
  edits: {},
}
