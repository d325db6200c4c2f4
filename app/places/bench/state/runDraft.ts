import { noReadings, plainConditions } from '#core/performance/runs/run'
import type { RunInput } from '#shared/bench/schemas'
import type { BuildView } from '#shared/builds/views'

/** A blank run on the machine of a build, at the settings of its first target. */
export function blankRun(view: BuildView): RunInput {
  const target = view.targets[0]
  const partOf = (role: string) => view.parts.find((part) => part.role === role)?.id ?? null
  const modules = view.parts
    .filter((part) => part.role === 'memory')
    .reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
  return {
    workloadId: target?.workloadId ?? view.workloads[0]?.id ?? '',
    cpuId: partOf('cpu'),
    graphicsId: partOf('graphics') ?? partOf('cpu'),
    memoryChannels: modules === 1 ? 1 : 2,
    width: target?.width ?? 1920,
    height: target?.height ?? 1080,
    preset: target?.preset ?? 'high',
    upscaling: null,
    frameGeneration: false,
    scene: '',
    averageFps: undefined as unknown as number,
    lowFps: null,
    minFps: null,
    maxFps: null,
    kind: 'own-reading',
    origin: '',
    ranOn: view.today,
    note: '',
    repeats: [],
    conditions: { ...plainConditions, capFps: null, memoryMts: null, drive: null },
    readings: { ...noReadings },
    lowsCause: null,
    noise: null,
    feeling: null,
    overruled: false,
    buildId: view.id,
  }
}
