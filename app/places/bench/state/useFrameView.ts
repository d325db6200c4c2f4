import { useDebounceFn } from '@vueuse/core'
import type { LogStretch } from '~/workers/frameLogProtocol'
import type { FrameLogs } from './useFrameLogs'

const columns = 480

/** Which logs are laid over each other, how far in, and what of them the worker finds there. Two at most, the newest always. */
export function useFrameView(frames: FrameLogs, firstTarget: number) {
  const names = ref<string[]>([])
  const shift = ref(0)
  const target = ref(firstTarget)
  const range = ref<{ from: number; to: number } | null>(null)
  const stretches = shallowRef<readonly LogStretch[]>([])
  watch(
    () => frames.logs.value.length,
    () => {
      const open = frames.logs.value.map((log) => log.name)
      const standing = names.value.filter((name) => open.includes(name))
      const newest = open.at(-1)
      names.value =
        newest === undefined ? [] : standing.includes(newest) ? standing : [...standing, newest].slice(-2)
      range.value = null
    },
    { immediate: true },
  )
  const shown = computed(() =>
    names.value.flatMap((name) => frames.logs.value.find((log) => log.name === name) ?? []),
  )
  const shiftOf = (index: number) => (index === 1 ? shift.value : 0)
  const length = computed(() =>
    Math.max(1, ...shown.value.map((log, index) => log.seconds * 1000 + shiftOf(index))),
  )
  const from = computed(() => range.value?.from ?? 0)
  const to = computed(() => range.value?.to ?? length.value)
  const held = computed(() => Math.max(1, target.value))
  const budget = computed(() => 1000 / held.value)
  /** The trace is cut at a height that leaves the usual frames readable; longer ones stand at the top and in the table. */
  const highest = computed(() => {
    const slowest = Math.min(...shown.value.map((log) => log.frames / Math.max(0.001, log.seconds)))
    return Math.max(2.5 * budget.value, 3 * (1000 / Math.max(1, slowest)))
  })
  const ask = useDebounceFn(async () => {
    const asked = shown.value.map((log, index) => ({ name: log.name, shift: shiftOf(index) }))
    const found =
      asked.length === 0
        ? []
        : await frames.stretches(asked, from.value, to.value, held.value, columns, highest.value)
    if (found) stretches.value = found.map((each, index) => shifted(each, shiftOf(index)))
  }, 40)
  watch([shown, from, to, target, shift], ask, { immediate: true })

  return {
    names: readonly(names),
    shown,
    stretches,
    shift,
    target,
    range,
    from,
    to,
    budget,
    highest,
    async align() {
      const [first, second] = shown.value
      if (first && second) shift.value = await frames.align(first.name, second.name)
    },
    toggle(name: string) {
      names.value = names.value.includes(name)
        ? names.value.filter((each) => each !== name)
        : [...names.value, name].slice(-2)
      shift.value = 0
      range.value = null
    },
    /** The whole of the first log, for a run. */
    async whole(): Promise<{ name: string; stretch: LogStretch } | null> {
      const log = shown.value[0]
      if (!log) return null
      const asked = [{ name: log.name, shift: 0 }]
      const found = await frames.stretches(asked, 0, log.seconds * 1000, held.value, 1, highest.value)
      return found?.[0] ? { name: log.name, stretch: found[0] } : null
    },
  }
}

/** A stretch with its moments moved by `by` ms, as the second of two logs is. */
function shifted(stretch: LogStretch, by: number): LogStretch {
  if (by === 0) return stretch
  return {
    ...stretch,
    stutters: stretch.stutters.map((one) => ({ ...one, at: one.at + by })),
    pauses: stretch.pauses.map((at) => at + by),
  }
}
