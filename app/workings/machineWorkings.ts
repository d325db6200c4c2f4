import { powerDrawFormula } from '#core/machine/power/powerDraw'
import { wallDrawFormula } from '#core/machine/power/wallDraw'
import type { BuildView } from '#shared/builds/views'
import type { MachineView, StepsView, StepView } from '#shared/machine/views'
import { loadStateNames, shareInUse } from '#core/machine/power/loadStates'
import { supplyRuleText } from '#core/machine/power/supplySize'
import { amount, signedAmount, signedPercent } from '~/utils/show'
import type { Working } from './working'

export function stepWorking(step: StepView, role: StepsView['roles'][number], currency: string): Working {
  return {
    title: `A step up: ${step.name}`,
    result: signedAmount(step.more, currency),
    formula:
      'expected cost − that of the present one, or what it would bring; frames: geometric mean over the brief’s targets',
    lines: [
      {
        label: step.name,
        value: amount(step.price, currency),
        kind: 'lead',
        note: `${step.how}: expected cost, landed, risk counted`,
      },
      {
        label: role.present ? role.present.name : 'nothing there yet',
        value: `−${amount(role.present?.cost ?? 0, currency)}`,
        kind: 'sum',
        note: role.present && !role.present.choiceId ? 'what 80 % of its price would bring' : '',
      },
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
        : [{ label: 'gained for each 10 more', value: signedPercent(step.perTen), kind: 'sum' as const }]),
    ],
    change: 'The threshold is in Brief, under your rules for the machine.',
  }
}

export function drawWorking(power: MachineView['power']): Working {
  return {
    title: 'Sustained draw',
    result: `${Math.round(power.sustained)} W`,
    formula: powerDrawFormula,
    lines: [
      ...power.lines.map((line) => ({
        label: line.label,
        value: `${line.watts} W`,
        kind: line.stated ? ('stated' as const) : ('assumption' as const),
      })),
      { label: 'with the card’s short peaks', value: `${Math.round(power.peak)} W`, kind: 'sum' },
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
            note: `CPU at ${Math.round(100 * shareInUse(state, assumptions.power).cpu)} % of its limit, card at ${Math.round(100 * shareInUse(state, assumptions.power).card)} %`,
          }))
        : []),
      {
        label: 'a year',
        value: amount(power.yearly, currency),
        kind: 'estimate',
        note: `${rules.fullHours} h a day at full load, ${rules.idleHours} h idle, ${amount(rules.tariff, currency)} a kWh`,
      },
      {
        label: 'size your rule asks for',
        value: `${Math.ceil(power.wanted)} W`,
        kind: 'assumption',
        note: supplyRuleText(rules.supplyRule, assumptions.power),
      },
    ],
    change: 'Hours, tariff and the rule for size are in Brief, under your rules for the machine.',
  }
}
