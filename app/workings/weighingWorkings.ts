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
