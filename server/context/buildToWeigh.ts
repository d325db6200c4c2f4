import type { Part } from '#core/parts/part'
import type { BuildRow } from '#server/context/findBuild'
import type { Market } from '#server/context/marketState'
import type { Performance } from '#server/context/performance'
import type { TargetView } from '#shared/bench/views'
import type { ChoiceView } from '#shared/machine/views'

/** What a build is, as far as the scales want to know. */
export interface BuildToWeigh {
  readonly build: BuildRow
  readonly choices: readonly ChoiceView[]
  readonly parts: readonly Part[]
  readonly targets: readonly TargetView[]
  readonly hours: number
  /** The highest wall draw measured on these parts; null where none was. */
  readonly measuredW: number | null
  /** Why it is no machine yet, as it goes on after its name; null where it is one. */
  readonly notYet: string | null
}

export interface Scales {
  readonly market: Market
  readonly performance: Performance
  readonly today: string
}
