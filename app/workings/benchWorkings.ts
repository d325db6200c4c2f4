import { estimateAssumptions } from '#core/performance/estimateFrameRate'
import type { BuildView, TargetView } from '#shared/views'
import type { Working } from './working'

export function estimateWorking(view: BuildView, target: TargetView): Working {
  const estimate = target.estimate!
  const workload = view.workloads.find((each) => each.id === target.workloadId)!
  const { sharpness, residualSpread } = estimateAssumptions
  return {
    title: `${target.workload}, ${target.width}×${target.height} ${target.preset}`,
    result: `${estimate.averageFps.toFixed(0)} fps (${estimate.range.low.toFixed(0)}–${estimate.range.high.toFixed(0)})`,
    formula: `t = (g^${sharpness} + c^${sharpness})^(1/${sharpness}); g = a · megapixels^α · preset / graphics index, c = b · preset / CPU index; average = 1000 / t; range at 90 %`,
    lines: [
      { label: `card: ${view.machineName.graphics ?? '—'}`, value: `${estimate.graphicsMs.toFixed(2)} ms`, kind: 'estimate' }, { label: `CPU: ${view.machineName.cpu ?? '—'}`, value: `${estimate.cpuMs.toFixed(2)} ms`, kind: 'estimate' },
      { label: 'frame', value: `${estimate.frameMs.toFixed(2)} ms`, kind: 'sum' }, { label: 'share of the limit on the card', value: estimate.graphicsShare.toFixed(2), kind: 'sum', note: 'above 0.65 the card limits, below 0.35 the CPU' },
      { label: 'a, ms at index 100 and 1 megapixel', value: String(workload.graphicsMs), kind: 'assumption' }, { label: 'b, ms at index 100', value: String(workload.cpuMs), kind: 'assumption' }, { label: 'α', value: String(workload.pixelExponent), kind: 'assumption' },
      { label: 'video memory needed over had', value: estimate.videoMemoryShortage.toFixed(2), kind: 'sum' }, { label: 'spread of one result', value: String(residualSpread), kind: 'assumption' }, { label: 'spread of the defaults', value: String(workload.priorSpread), kind: 'assumption', note: 'rough: no run of yours is in it yet' },
      { label: '1 % low', value: `${estimate.lowFps.toFixed(0)} fps`, kind: 'estimate' },
    ],
  }
}
