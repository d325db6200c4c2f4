import type { FrameRun } from './run'

/**
 * What a machine's own runs say of throttling, as it goes on after the machine's name; null where none throttled. It
 * stands wherever the machine's frames are praised: an estimate is for a machine that stays cool.
 *
 * @example throttleNote([{ lowsCause: 'heat' }, { lowsCause: null }]) // 'throttled in 1 of 2 runs'
 */
export function throttleNote(runs: readonly Pick<FrameRun, 'lowsCause'>[]): string | null {
  const hot = runs.filter(({ lowsCause }) => lowsCause === 'heat').length
  return hot === 0 ? null : `throttled in ${hot} of ${runs.length} ${runs.length === 1 ? 'run' : 'runs'}`
}
