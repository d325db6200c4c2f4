import type { SupplyRule } from '#core/machine/power/supplySize'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import type { FaultOverrides } from '#core/supply/risk/faultRisk'
import { defaultAnswerDays } from '#core/supply/risk/silence'
import type { HouseRules, MachineRules } from '#shared/brief/houseRules'
import { machineRulesSchema, type BriefInput } from '#shared/brief/schemas'

export function briefRow({ targets: _targets, budget, stretch, needs, houseRules, ...brief }: BriefInput) {
  const { currency } = brief
  return {
    ...brief,
    houseRules: houseRulesRow(houseRules, currency),
    budget: parseDecimal(budget, currency, 'budget'),
    stretch: parseDecimal(stretch, currency, 'stretch'),
    needs: needs.map(({ need, price }, index) => ({
      need,
      price: parseDecimal(price, currency, `needs[${index}].price`),
    })),
  }
}

/** House rules as they are kept, of what their form states. */
export function houseRulesRow(
  { perKm, perHour, faults, machine, ...rules }: BriefInput['houseRules'],
  currency: string,
): HouseRules {
  return {
    ...rules,
    machine: {
      ...machine,
      supplyRule: supplyRuleRow(machine.supplyRule),
      tariff:
        machine.tariff === null ? null : parseDecimal(machine.tariff, currency, 'houseRules.machine.tariff'),
    } as MachineRules,
    perKm: parseDecimal(perKm, currency, 'houseRules.perKm'),
    perHour: parseDecimal(perHour, currency, 'houseRules.perHour'),
    ...(faults && {
      faults: {
        ...faults,
        ...(faults.hassle === undefined
          ? { hassle: undefined }
          : { hassle: parseDecimal(faults.hassle, currency, 'houseRules.faults.hassle') }),
      } as FaultOverrides,
    }),
  }
}

function supplyRuleRow({
  kind,
  factor,
  watts,
}: BriefInput['houseRules']['machine']['supplyRule']): SupplyRule {
  return kind === 'factor'
    ? { kind, factor }
    : kind === 'minimum'
      ? { kind, watts }
      : { kind: kind ?? 'twice' }
}

export function houseRulesInput(
  { perKm = 0, perHour = 0, faults, machine, ...rules }: HouseRules,
  currency: string,
): BriefInput['houseRules'] {
  return {
    neverUsed: [...rules.neverUsed],
    intent: rules.intent ?? 'keep',
    patience: rules.patience ?? 'typical',
    mostFault: rules.mostFault ?? null,
    answerDays: rules.answerDays ?? defaultAnswerDays,
    pickupKm: rules.pickupKm ?? null,
    lowMethod: rules.lowMethod ?? 'percentile',
    perKm: toDecimal(perKm, currency),
    perHour: toDecimal(perHour, currency),
    machine: machineRulesInput(machine, currency),
    ...(faults && {
      faults: {
        ...faults,
        ...(faults.hassle === undefined
          ? { hassle: undefined }
          : { hassle: toDecimal(faults.hassle, currency) }),
      } as BriefInput['houseRules']['faults'],
    }),
  } as BriefInput['houseRules']
}

function machineRulesInput(
  machine: MachineRules | undefined,
  currency: string,
): BriefInput['houseRules']['machine'] {
  if (!machine) return machineRulesSchema.getDefault() as BriefInput['houseRules']['machine']
  const { supplyRule, tariff, ...rest } = machine
  return {
    ...rest,
    supplyRule: { ...machineRulesSchema.getDefault().supplyRule, ...supplyRule },
    tariff: tariff === null ? null : toDecimal(tariff, currency),
    avoidedMakes: [...rest.avoidedMakes],
    screenPlugs: [...rest.screenPlugs],
  }
}
