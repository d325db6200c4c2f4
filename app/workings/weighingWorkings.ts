import type { LikeForLikeStep } from '#core/comparison/adjustments/likeForLike'
import type { MachineRate } from '#core/comparison/weighedMachine'
import type { WeighedView } from '#shared/scales/views'
import { amount } from '~/utils/show'
import type { Working, WorkingLine } from './working'

const stepKinds = {
  record: 'record',
  stated: 'stated',
  assumption: 'assumption',
  estimate: 'estimate',
  measured: 'measured',
  own: 'own',
} as const

export function costWorking({ machine, cost }: WeighedView, currency: string): Working {
  return {
    title: `${machine.name}: cost of ownership`,
    result: amount(cost.total, currency),
    formula: 'sum of the steps, the same list for every machine; steps you untick are not counted',
    lines: cost.steps.map((step) => ({
      label: step.label,
      value: step.isOff ? 'not counted' : amount(step.amount, currency),
      kind: stepKinds[step.from],
      note: step.why,
    })),
    change:
      'Untick steps and enter your own figures in Compare; needs and your rules are in Brief, rival facts in Rivals.',
  }
}

/** One step of one machine, with what it is made of. */
export function stepWorking({ machine }: WeighedView, step: LikeForLikeStep, currency: string): Working {
  return {
    title: `${machine.name}: ${step.label}`,
    result: amount(step.amount, currency),
    formula: step.why,
    lines: [
      ...(step.calculated === null
        ? []
        : [
            {
              label: 'calculated',
              value: amount(step.calculated, currency),
              kind: 'sum' as const,
              note: 'replaced by your figure; clear it to use this again',
            },
          ]),
      ...detailsOf(machine, step, currency),
    ],
    change:
      step.id === 'price' && machine.kind === 'build'
        ? 'Parts are in Machine, street prices in Prices.'
        : 'Enter your own figure in Compare; needs and your rules are in Brief, rival facts in Rivals.',
  }
}

function detailsOf(machine: WeighedView['machine'], step: LikeForLikeStep, currency: string): WorkingLine[] {
  if (step.id === 'tax')
    return [
      { label: 'price', value: amount(machine.price, currency), kind: 'stated' },
      { label: 'tax', value: `${machine.taxPercent} %`, kind: 'stated' },
    ]
  if (step.id === 'extras')
    return machine.extras.map((extra) => ({
      label: extra.label,
      value: amount(extra.worth, currency),
      kind: 'assumption',
    }))
  if (step.id !== 'faults' && step.id !== 'value-left') return []
  return machine.components.map((part) => ({
    label: part.label,
    value: amount(part.street, currency),
    kind: part.state === 'stated' ? 'record' : 'assumption',
    note:
      `${part.condition}, ${part.warrantyMonths} months of ` +
      `warranty${part.state === 'missing' ? '; not stated, counted as the cheapest plausible part' : ''}`,
  }))
}

const rateKinds = { measured: 'measured', estimate: 'estimate', stated: 'stated' } as const

/** A frame rate of one machine on the scales. */
export function rateWorking(name: string, workload: string, rate: MachineRate, same: boolean): Working {
  return {
    title: `${name} in ${workload}`,
    result: `${rate.averageFps.toFixed(1)} fps`,
    formula: same
      ? 'at the target’s settings, so the results are comparable'
      : 'at its own settings: shown next to the target, left out of every mean',
    lines: [
      { label: 'average', value: rate.averageFps.toFixed(1), kind: rateKinds[rate.kind] },
      { label: '1 % low', value: rate.lowFps?.toFixed(1) ?? 'not stated', kind: rateKinds[rate.kind] },
      { label: 'settings', value: rate.settings ?? 'not known', kind: rateKinds[rate.kind] },
    ],
    ...(rate.kind === 'estimate' ? { change: 'See Bench for the estimate of your build.' } : {}),
  }
}
