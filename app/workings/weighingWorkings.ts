import type { LikeForLikeStep } from '#core/weighing/likeForLike'
import type { MachineRate } from '#core/weighing/machine'
import type { WeighedView } from '#shared/views'
import { amount } from '~/utils/show'
import type { Working } from './working'

export function costWorking({ machine, cost }: WeighedView, currency: string): Working {
  return {
    title: `${machine.name}: what it takes to own`, result: amount(cost.total, currency), formula: 'price + tax + shipping + what it lacks from the one list of needs in the brief',
    lines: cost.steps.map((step) => ({ label: step.label, value: amount(step.amount, currency), kind: step.id === 'price' ? (machine.kind === 'build' ? 'record' : 'stated') : step.id === 'tax' || step.id === 'shipping' ? 'stated' : 'assumption', note: step.why })),
    change: 'The prices of what a machine lacks are in Brief; a rival’s facts are in Rivals.',
  }
}

/** One step of one machine. */
export function stepWorking({ machine }: WeighedView, step: LikeForLikeStep, currency: string): Working {
  return {
    title: `${machine.name}: ${step.label}`, result: amount(step.amount, currency), formula: step.why,
    lines: step.id === 'tax' ? [{ label: 'price', value: amount(machine.price, currency), kind: 'stated' }, { label: 'tax', value: `${machine.taxPercent} %`, kind: 'stated' }] : [],
    change: step.id === 'price' && machine.kind === 'build' ? 'The parts are in Machine, their street prices in Prices.' : 'The prices of what a machine lacks are in Brief; a rival’s facts are in Rivals.',
  }
}

const rateKinds = { measured: 'measured', estimate: 'estimate', stated: 'stated' } as const

/** A frame rate of one machine on the scales. */
export function rateWorking(name: string, workload: string, rate: MachineRate, same: boolean): Working {
  return {
    title: `${name} in ${workload}`, result: `${rate.averageFps.toFixed(1)} fps`,
    formula: same ? 'at the settings of the target, so that the ratio means something' : 'at settings of its own: shown beside the target, left out of every mean',
    lines: [
      { label: 'average', value: rate.averageFps.toFixed(1), kind: rateKinds[rate.kind] }, { label: '1 % low', value: rate.lowFps?.toFixed(1) ?? 'not stated', kind: rateKinds[rate.kind] },
      { label: 'settings', value: rate.settings ?? 'not known', kind: rateKinds[rate.kind] },
    ],
    ...(rate.kind === 'estimate' ? { change: 'The estimate of your build is worked out on Bench.' } : {}),
  }
}
