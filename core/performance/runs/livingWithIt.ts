import { medianSorted } from '../../statistics/medianSorted'
import type { FrameRun } from './run'
import { throttleNote } from './throttling'

export const noises = ['silent', 'quiet', 'audible', 'loud'] as const
export type Noise = (typeof noises)[number]

/** A judgement on one side of living with a machine. */
export interface LivingVerdict {
  readonly topic: 'heat' | 'power' | 'noise' | 'energy'
  readonly verdict: 'well' | 'watch' | 'bad' | 'not known'
  readonly words: string
}

/** Temperatures from which parts slow themselves down, and of a room where none is noted, °C; documented defaults. */
export const heatLimits = { cpu: 95, card: 87, near: 8, usualRoomC: 22 } as const

export interface LivingFacts {
  readonly runs: readonly (Pick<FrameRun, 'readings' | 'conditions' | 'lowsCause'> & {
    readonly noise: Noise | null
  })[]
  /** Rating of the supply as it is now, DC watts; its efficiency at that load; null where not known. */
  readonly supply: { readonly nowW: number; readonly efficiency: number } | null
  /** Wall watts at full load by the estimate; null where not known. */
  readonly estimatedWallW: number | null
  /** Yearly energy, already in words with its currency; null where not known. */
  readonly yearlyWords: string | null
  /** Whether the brief asks for quiet. */
  readonly wantsQuiet: boolean
  /** The room of the brief, °C. */
  readonly roomC: number
}

/**
 * What runs say of living with the machine, as a judgement each on heat (throttling or not, moved to the room of
 * the brief degree for degree), power (the highest wall watts against the supply's rating and the estimate), noise and energy.
 */
export function livingWithIt(facts: LivingFacts): LivingVerdict[] {
  return [
    heat(facts),
    power(facts),
    noise(facts),
    {
      topic: 'energy',
      verdict: facts.yearlyWords === null ? 'not known' : 'well',
      words: facts.yearlyWords ?? 'PSU rating unknown, so wall power cannot be estimated',
    },
  ]
}

function heat({ runs, roomC }: LivingFacts): LivingVerdict {
  const throttled = throttleNote(runs)
  const warm = runs.flatMap(({ readings, conditions }) => {
    // degree for degree: what the room is warmer, the part is warmer
    const more = roomC - (conditions.ambientC ?? heatLimits.usualRoomC)
    return [
      ...(readings.cpuC === null
        ? []
        : [{ part: 'CPU', now: readings.cpuC, then: readings.cpuC + more, limit: heatLimits.cpu }]),
      ...(readings.cardC === null
        ? []
        : [{ part: 'card', now: readings.cardC, then: readings.cardC + more, limit: heatLimits.card }]),
    ]
  })
  const worst =
    warm.length === 0 ? null : warm.reduce((a, b) => (b.limit - b.then < a.limit - a.then ? b : a))
  const there = worst
    ? `${worst.part} up to ${Math.round(worst.now)} °C, ${Math.round(worst.then)} °C in a ${roomC} °C room`
    : ''
  if (throttled !== null)
    return {
      topic: 'heat',
      verdict: 'bad',
      words: `it ${throttled}${there === '' ? '' : `, ${there}`}; improve the airflow or fit a larger cooler`,
    }
  if (!worst) return { topic: 'heat', verdict: 'not known', words: 'no run has a temperature' }
  if (worst.then >= worst.limit)
    return { topic: 'heat', verdict: 'bad', words: `${there}: it would throttle at ${worst.limit} °C` }
  if (worst.limit - worst.then < heatLimits.near)
    return {
      topic: 'heat',
      verdict: 'watch',
      words: `${there}: ${Math.round(worst.limit - worst.then)} °C below throttling`,
    }
  return { topic: 'heat', verdict: 'well', words: `${there}: far below throttling` }
}

function power({ runs, supply, estimatedWallW }: LivingFacts): LivingVerdict {
  const measured = runs.flatMap((run) => run.readings.wallW ?? [])
  if (measured.length === 0)
    return {
      topic: 'power',
      verdict: 'not known',
      words:
        estimatedWallW === null
          ? 'wall power not measured'
          : `wall power not measured; estimate ${Math.round(estimatedWallW)} W`,
    }
  const most = Math.max(...measured)
  const against =
    estimatedWallW === null
      ? ''
      : `, ${most > estimatedWallW ? '+' : '−'}${Math.round(Math.abs(most / estimatedWallW - 1) * 100)} ` +
        `% vs the estimate of ${Math.round(estimatedWallW)} W`
  if (!supply)
    return {
      topic: 'power',
      verdict: 'watch',
      words: `${most} W wall power${against}; PSU rating not known`,
    }
  const share = (most * supply.efficiency) / supply.nowW
  const words = `${most} W wall power${against}: ${Math.round(share * 100)} % of the PSU’s current rating`
  return { topic: 'power', verdict: share > 0.9 ? 'bad' : share > 0.75 ? 'watch' : 'well', words }
}

function noise({ runs, wantsQuiet }: LivingFacts): LivingVerdict {
  const heard = runs
    .flatMap((run) => (run.noise === null ? [] : noises.indexOf(run.noise)))
    .sort((a, b) => a - b)
  if (heard.length === 0) return { topic: 'noise', verdict: 'not known', words: 'no run has a noise level' }
  const usual = Math.round(medianSorted(heard))
  const worst = heard.at(-1)!
  const words = `${noises[usual]!} in ${heard.length} runs${worst > usual ? `, at worst ${noises[worst]!}` : ''}`
  return {
    topic: 'noise',
    verdict: usual >= 3 || (wantsQuiet && usual >= 2) ? 'bad' : worst >= 2 ? 'watch' : 'well',
    words: wantsQuiet ? `${words}; your brief asks for quiet` : words,
  }
}
