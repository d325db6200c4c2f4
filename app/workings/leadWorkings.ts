import { splitFormula } from '#core/supply/lots/splitLot'
import { expectedFormula, landedFormula } from '#core/supply/landed/landedCost'
import type { BuildView } from '#shared/builds/views'
import { countsAgainst } from '#core/reading/listings/completeness'
import { roleNames } from '#core/parts/part'
import { faultSignNames, type FaultAssumptions } from '#core/supply/risk/faultRisk'
import type { LeadView } from '#shared/leads/views'
import { amount, percent } from '~/utils/show'
import type { Working } from './working'

/** The build a lead is looked at for: its currency, and the assumptions in force. */
type InForce = Pick<BuildView, 'currency' | 'assumptions'>

export function landedWorking(lead: LeadView): Working {
  const { landed } = lead.value
  return {
    title: 'Total',
    result: `${amount(landed.payNow.amount, lead.currency)} ${lead.currency}`,
    formula: landedFormula,
    lines: landed.lines.map((line) => ({
      label: line.label,
      value: amount(line.amount.amount, lead.currency),
      kind: line.kind === 'item' ? ('stated' as const) : ('sum' as const),
    })),
    change: 'Edit the source’s terms in Sources.',
  }
}

export function faultWorking(lead: LeadView, table: FaultAssumptions): Working {
  const { landed, faultProbability, recoveredShare } = lead.value
  const roles = [...new Set(lead.things.map((thing) => thing.role))]
  return {
    title: 'Expected fault loss',
    result: amount(landed.faultLoss.amount, lead.currency),
    formula:
      'P(fault) × ((1 − recovered share) × (price after codes + its tax) + hassle); ' +
      'P(fault) = table figure × every factor, at most 95 %',
    lines: [
      ...roles.map((role) => ({
        label: `${roleNames[role]}, used`,
        value: percent(table.used[role], 1),
        kind: 'assumption' as const,
      })),
      {
        label: `condition: ${lead.condition}`,
        value: `×${table.byCondition[lead.condition]}`,
        kind: 'assumption',
      },
      ...lead.signs.map(({ sign, quote }) => ({
        label: faultSignNames[sign],
        value: `×${table.bySign[sign]}`,
        kind: 'assumption' as const,
        note: quote ? `“${quote}”` : 'set by you',
      })),
      ...lead.facts
        .filter((fact) => countsAgainst(fact) && fact.faultFactor !== 1)
        .map((fact) => ({
          label: `not ${fact.name}`,
          value: `×${fact.faultFactor}`,
          kind: 'assumption' as const,
          note: fact.state,
        })),
      {
        label: 'P(fault)',
        value: percent(faultProbability, 1),
        kind: 'sum',
        note: roles.length > 1 ? 'several parts: mean, weighted by street price' : '',
      },
      {
        label: 'recovered share',
        value: percent(recoveredShare),
        kind: 'assumption',
        note: 'depends on the purchase protection',
      },
      { label: 'cost of hassle per fault', value: amount(table.hassle, lead.currency), kind: 'assumption' },
      { label: 'price', value: amount(landed.lines[0]?.amount.amount, lead.currency), kind: 'stated' },
    ],
    change: 'The fault table is in Brief, under your rules; warning signs are ticked in Risk.',
  }
}

export function savingWorking(lead: LeadView, { currency, assumptions }: InForce): Working {
  const { street, expected, saving, resale } = lead.value
  return {
    title: 'Saved on the street price',
    result: amount(saving, currency),
    formula: 'street price of the kept parts − (expected total − net resale of the rest)',
    lines: [
      ...lead.things.flatMap((thing, index) =>
        thing.plan !== 'keep'
          ? []
          : [
              {
                label: `${thing.quantity > 1 ? `${thing.quantity} × ` : ''}${thing.name}`,
                value: amount(thing.street === null ? null : thing.street * thing.quantity, currency),
                kind: 'record' as const,
                note: 'street price at your patience',
              },
              ...(lead.value.worthShares[index]! < 1
                ? [
                    {
                      label: 'value after deductions for missing or unstated facts',
                      value: percent(lead.value.worthShares[index]!),
                      kind: 'assumption' as const,
                      note: lead.facts
                        .filter((fact) => fact.role === thing.role && countsAgainst(fact) && fact.lost > 0)
                        .map((fact) => fact.name)
                        .join(', '),
                    },
                  ]
                : []),
            ],
      ),
      { label: 'street price of the kept parts', value: amount(street, currency), kind: 'sum' },
      { label: 'expected total', value: amount(expected, currency), kind: 'sum' },
      {
        label: 'net resale',
        value: amount(resale, currency),
        kind: 'estimate',
        note: `chance to sell ${assumptions.resale.sells}`,
      },
    ],
  }
}

/** What one thing of a lead goes for on its own. */
export function thingStreetWorking(thing: LeadView['things'][number], currency: string): Working {
  return {
    title: `${thing.name}: street price`,
    result: amount(thing.street, currency),
    formula: 'typical price of its comps: the weighted median sale price',
    lines: [
      {
        label: 'typical',
        value: amount(thing.street, currency),
        kind: 'record',
        note: 'see every record in Prices',
      },
    ],
    change: 'Keep or drop records and change the query in Prices.',
  }
}

/** How the cost of a lead is shared among what is kept. */
export function splitWorking(lead: LeadView, { currency, assumptions }: InForce): Working {
  const { payNow, split } = lead.value
  return {
    title: 'Cost of the kept parts',
    result: amount(split.effectiveTotal.amount, currency),
    formula: splitFormula,
    lines: [
      { label: 'landed cost', value: amount(payNow, currency), kind: 'sum' },
      ...lead.things
        .filter((thing) => thing.plan === 'resell')
        .map((thing) => ({
          label: `${thing.name}, resold`,
          value: `−${amount(thing.netResale, currency)}`,
          kind: 'estimate' as const,
          note: `${assumptions.resale.sells} × its street price`,
        })),
      ...lead.things
        .filter((thing) => thing.plan === 'keep')
        .map((thing) => ({
          label: thing.name,
          value: amount(thing.effectiveCost, currency),
          kind: 'sum' as const,
          note: `street price ${amount(thing.street, currency)}${thing.quantity > 1 ? ` each, × ${thing.quantity}` : ''}`,
        })),
    ],
  }
}

/** Expected cost of a lead, before and after its leftovers are sold. */
export function expectedWorking(lead: LeadView): Working {
  const { landed } = lead.value
  return {
    title: 'Expected total',
    result: `${amount(landed.expected.amount, lead.currency)} ${lead.currency}`,
    formula: expectedFormula,
    lines: [
      { label: 'total', value: amount(landed.payNow.amount, lead.currency), kind: 'sum' },
      {
        label: 'after rebates, paid in full',
        value: amount(landed.afterRebates.amount, lead.currency),
        kind: 'sum',
        note: 'each open rebate counted at its chance',
      },
      {
        label: 'expected fault loss',
        value: amount(landed.faultLoss.amount, lead.currency),
        kind: 'assumption',
      },
    ],
  }
}
