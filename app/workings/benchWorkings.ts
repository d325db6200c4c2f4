import { helpText } from '#core/performance/model/targetName'
import { estimateMethod } from '#core/performance/model/estimateFrameRate'
import { frameFactors, type FrameFactor } from '#core/performance/model/frameFactors'
import { frameMachineOf } from '#core/performance/model/machineOf'
import type { BenchTarget, RunView, TargetView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { percent, signedPercent } from '~/utils/show'
import type { Working, WorkingLine } from './working'

/** An estimate: the model, its fitted figures beside the library's defaults, what evidence moved, and the runs that made it. */
export function estimateWorking(
  view: BuildView,
  target: TargetView,
  bench?: BenchTarget,
  runs: readonly RunView[] = [],
): Working {
  const estimate = target.estimate!
  const workload = view.workloads.find((each) => each.id === target.workloadId)!
  const { sharpness, graphicsLimitedFrom, cpuLimitedUpTo } = view.assumptions.performance
  const { z90 } = estimateMethod
  const { machine } = frameMachineOf(view.parts)
  const factors = machine ? frameFactors(workload, machine, target, estimate.anchor) : null
  const fitted = runs.filter((run) => run.workloadId === workload.id && run.residual !== null)
  return {
    title: `${target.workload}, ${target.width}×${target.height} ${target.preset}${helpText(target)}`,
    result: `${estimate.averageFps.toFixed(0)} fps (${estimate.range.low.toFixed(0)}–${estimate.range.high.toFixed(0)})`,
    formula:
      `t = (g^${sharpness} + c^${sharpness})^(1/${sharpness}); g = a · megapixels^α · ` +
      'preset / graphics index, c = b · preset / CPU index; average = 1000 / t; 90 % range ' +
      `= average · e^(±${z90} · √(s² + JᵀCJ))`,
    lines: [
      ...sideLines(
        `card: ${view.machineName.graphics ?? 'CPU graphics'}`,
        factors?.graphics,
        estimate.graphicsMs,
      ),
      ...sideLines(`CPU: ${view.machineName.cpu ?? '—'}`, factors?.cpu, estimate.cpuMs),
      { label: 'frame', value: `${estimate.frameMs.toFixed(2)} ms`, kind: 'sum' },
      {
        label: 'share of frame time set by the card',
        value: estimate.graphicsShare.toFixed(2),
        kind: 'sum',
        note: `above ${graphicsLimitedFrom}: GPU limited; below ${cpuLimitedUpTo}: CPU limited`,
      },
      ...(estimate.limitShift
        ? [
            {
              label: 'adjusted by your runs',
              value: `${estimate.limitShift.before.toFixed(2)} → ${estimate.limitShift.after.toFixed(2)}`,
              kind: 'measured' as const,
              note: estimate.limitShift.because.join('; '),
            },
          ]
        : []),
      ...parameterLines(workload),
      ...(estimate.isCapped
        ? [
            {
              label: 'engine fps cap',
              value: `${estimate.averageFps.toFixed(0)} fps`,
              kind: 'sum' as const,
            },
          ]
        : []),
      ...(estimate.generatedFps === null
        ? []
        : [
            {
              label: 'displayed with frame generation',
              value: `${estimate.generatedFps.toFixed(0)} fps`,
              kind: 'sum' as const,
              note: `× ${workload.frameGenerationFactor}; no gain in responsiveness, so the 1 % low is unchanged`,
            },
          ]),
      {
        label: '1 % low divided by, for memory and threads',
        value: estimate.lowsFactor.toFixed(2),
        kind: 'sum',
      },
      {
        label: 'video memory needed / available',
        value: estimate.videoMemoryShortage.toFixed(2),
        kind: 'sum',
      },
      {
        label: 's: spread of a single result',
        value: percent(estimate.spread.result, 1),
        kind: workload.fit ? 'measured' : 'assumption',
        note: workload.fit ? 'from runs compared with a fit without their own parts' : 'assumption',
      },
      {
        label: '√(JᵀCJ): uncertainty of a, b, α',
        value: percent(estimate.spread.parameters, 1),
        kind: 'sum',
        note: estimate.rough ? 'rough: based on fewer than three runs' : `based on ${estimate.runs} runs`,
      },
      {
        label: '1 % low',
        value: `${estimate.lowFps.toFixed(0)} fps (${estimate.lowRange.low.toFixed(0)}–${estimate.lowRange.high.toFixed(0)})`,
        kind: 'estimate',
      },
      ...fitted.map((run): WorkingLine => ({
        label: `${run.machine}, ${run.settings.height}p ${run.settings.preset}${run.scene ? `, ${run.scene}` : ''}`,
        value: `${run.averageFps} fps`,
        kind: 'measured',
        note:
          `${signedPercent(-100 * run.residual!.fitted)} vs the fit, ` +
          `${signedPercent(-100 * run.residual!.leftOut)} vs a fit without these parts; ` +
          `${run.ranOn}`,
      })),
    ],
    ...(bench
      ? {
          change:
            'The most useful next measurement: ' +
            `${bench.measure.settings.width}×${bench.measure.settings.height} ` +
            `${bench.measure.settings.preset}. It would narrow the range from ` +
            `±${percent(bench.measure.halfWidthNow)} to ` +
            `±${percent(bench.measure.halfWidthAfter)}. Choose which runs count under Runs.`,
        }
      : {}),
  }
}

/** A side's time: every factor, and their product. */
function sideLines(
  side: string,
  factors: readonly FrameFactor[] | undefined,
  milliseconds: number,
): WorkingLine[] {
  return [
    ...(factors ?? []).map(({ name, factor }, at): WorkingLine => ({
      label: name,
      value: at === 0 ? `${factor.toFixed(2)} ms` : `× ${factor.toFixed(3)}`,
      kind: name.startsWith('your runs') ? 'measured' : 'estimate',
      ...(name.startsWith('your runs')
        ? { note: 'e^ρ, ρ = Σ w·r ÷ (2 + Σ w) over the runs of this CPU with this card' }
        : {}),
    })),
    { label: side, value: `${milliseconds.toFixed(2)} ms`, kind: 'sum' },
  ]
}

function parameterLines(workload: BuildView['workloads'][number]): WorkingLine[] {
  const prior = workload.fit?.prior ?? workload
  const kind = workload.fit ? ('measured' as const) : ('assumption' as const)
  const note = (value: number, unit = '') =>
    workload.fit ? `fitted; library default ${value.toFixed(2)}${unit}` : 'library default'
  return [
    { label: 'a', value: workload.graphicsMs.toFixed(2), kind, note: note(prior.graphicsMs) },
    { label: 'b', value: workload.cpuMs.toFixed(2), kind, note: note(prior.cpuMs) },
    { label: 'α', value: workload.pixelExponent.toFixed(3), kind, note: note(prior.pixelExponent) },
    {
      label: '1 % low as a share of the average, GPU and CPU limited',
      value: `${workload.lowShare.graphics.toFixed(2)}, ${workload.lowShare.cpu.toFixed(2)}`,
      kind,
      note: note(prior.lowShare.graphics, ` and ${prior.lowShare.cpu.toFixed(2)}`),
    },
    ...Object.entries(workload.fit?.scenes ?? {}).map(([scene, factor]): WorkingLine => ({
      label: `scene “${scene}” vs the reference`,
      value: `× ${factor.toFixed(2)} ms`,
      kind: 'measured',
    })),
  ]
}
