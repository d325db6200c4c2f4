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
    title: `${machine.name}: what it takes to own`,
    result: amount(cost.total, currency),
    formula: 'the sum of its steps, the same list for every machine; what is switched off counts nothing',
    lines: cost.steps.map((step) => ({
      label: step.label,
      value: step.isOff ? 'switched off' : amount(step.amount, currency),
      kind: stepKinds[step.from],
      note: step.why,
    })),
    change:
      'Steps are switched off on Scales, own figures written there; needs and house rules are in Brief, a rival’s facts in Rivals.',
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
              note: 'your own figure stands in its place; empty it to have this again',
            },
          ]),
      ...detailsOf(machine, step, currency),
    ],
    change:
      step.id === 'price' && machine.kind === 'build'
        ? 'The parts are in Machine, their street prices in Prices.'
        : 'An own figure can be written on Scales; needs and house rules are in Brief, a rival’s facts in Rivals.',
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
    note: `${part.condition}, ${part.warrantyMonths} months of warranty${part.state === 'missing' ? '; not stated, the cheapest plausible part' : ''}`,
  }))
}

const rateKinds = { measured: 'measured', estimate: 'estimate', stated: 'stated' } as const

/** A frame rate of one machine on the scales. */
export function rateWorking(name: string, workload: string, rate: MachineRate, same: boolean): Working {
  return {
    title: `${name} in ${workload}`,
    result: `${rate.averageFps.toFixed(1)} fps`,
    formula: same
      ? 'at the settings of the target, so that the ratio means something'
      : 'at settings of its own: shown beside the target, left out of every mean',
    lines: [
      { label: 'average', value: rate.averageFps.toFixed(1), kind: rateKinds[rate.kind] },
      { label: '1 % low', value: rate.lowFps?.toFixed(1) ?? 'not stated', kind: rateKinds[rate.kind] },
      { label: 'settings', value: rate.settings ?? 'not known', kind: rateKinds[rate.kind] },
    ],
    ...(rate.kind === 'estimate' ? { change: 'The estimate of your build is worked out on Bench.' } : {}),
  }
}
