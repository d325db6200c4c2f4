import { powerDrawFormula } from '#core/machine/power/powerDraw'
import { wallDrawFormula } from '#core/machine/power/wallDraw'
import type { BuildView } from '#shared/builds/views'
import type { MachineView, StepsView, StepView } from '#shared/machine/views'
import { loadStateNames, shareInUse } from '#core/machine/power/loadStates'
import { supplyRuleText } from '#core/machine/power/supplySize'
import { amount, signedAmount, signedPercent } from '~/utils/show'
import type { Working } from './working'

export function stepWorking(step: StepView, role: StepsView['roles'][number], currency: string): Working {
  const besides = step.more - step.price + (role.present?.cost ?? 0)
  return {
    title: `Upgrade: ${step.name}`,
    result: signedAmount(step.more, currency),
    formula:
      'expected total of the build with it − that of the build as it is; fps: geometric mean over the brief’s targets',
    lines: [
      {
        label: step.name,
        value: amount(step.price, currency),
        kind: 'lead',
        note: `${step.how}: expected total, landed, fault risk counted`,
      },
      {
        label: role.present ? role.present.name : 'none yet',
        value: `−${amount(role.present?.cost ?? 0, currency)}`,
        kind: 'sum',
        note: role.present && !role.present.choiceId ? 'paid, or part of a lot: nothing is saved' : '',
      },
      ...(besides === 0
        ? []
        : [
            {
              label: 'the rest of the build',
              value: signedAmount(besides, currency),
              kind: 'sum' as const,
              note: 'shipping, codes and thresholds that change with it',
            },
          ]),
      ...step.targets.map((target) => ({
        label: target.name,
        value:
          target.before > 0
            ? `${target.before.toFixed(0)} → ${target.after.toFixed(0)} fps`
            : `${target.after.toFixed(0)} fps`,
        kind: 'estimate' as const,
        note: `target ${target.wanted}`,
      })),
      ...(step.perTen === null
        ? []
        : [{ label: 'gain per 10 spent', value: signedPercent(step.perTen), kind: 'sum' as const }]),
    ],
    change: 'The threshold is in Brief, under your rules for the machine.',
  }
}

export function drawWorking(power: MachineView['power']): Working {
  return {
    title: 'Sustained power draw',
    result: `${Math.round(power.sustained)} W`,
    formula: powerDrawFormula,
    lines: [
      ...power.lines.map((line) => ({
        label: line.label,
        value: `${line.watts} W`,
        kind: line.stated ? ('stated' as const) : ('assumption' as const),
      })),
      { label: 'with GPU power spikes', value: `${Math.round(power.peak)} W`, kind: 'sum' },
    ],
  }
}

export function wallWorking(machine: MachineView, { currency, assumptions }: BuildView): Working {
  const { power, rules } = machine
  return {
    title: 'Wall power',
    result: power.wall ? `${Math.round(power.wall.full)} W` : '—',
    formula: wallDrawFormula,
    lines: [
      ...(power.wall
        ? (['idle', 'work', 'full'] as const).map((state) => ({
            label: loadStateNames[state],
            value: `${Math.round(power.wall![state])} W`,
            kind: 'estimate' as const,
            note:
              `CPU at ${Math.round(100 * shareInUse(state, assumptions.power).cpu)} % of its ` +
              `limit, card at ${Math.round(100 * shareInUse(state, assumptions.power).card)} %`,
          }))
        : []),
      {
        label: 'per year',
        value: amount(power.yearly, currency),
        kind: 'estimate',
        note: `${rules.fullHours} h per day at full load, ${rules.idleHours} h idle, ${amount(rules.tariff, currency)} per kWh`,
      },
      {
        label: 'your rule asks for',
        value: `${Math.ceil(power.wanted)} W`,
        kind: 'assumption',
        note: supplyRuleText(rules.supplyRule, assumptions.power),
      },
    ],
    change: 'Hours, electricity price and the PSU rule are in Brief, under your rules for the machine.',
  }
}
