import { describe, expect, test } from 'vitest'
import { buyingSummary, faultSummary, machineSummary } from '~/places/brief/state/ruleSummaries'
import { asKept, asTyped, assumptionSheets, moneyRows } from '~/places/settings/state/assumptionRows'
import { typedDate } from '~/utils/typedDate'
import { houseRulesSchema } from '#shared/brief/schemas'

const rules = (change: object = {}) =>
  houseRulesSchema.validateSync({ ...houseRulesSchema.getDefault(), ...change })

describe('a date as people type it', () => {
  test.each([
    '2026-11-21',
    '21 Nov 2026',
    '21 November 2026',
    '21.11.2026',
    '21.11.26',
    '21/11/2026',
    'Sat 21 Nov 2026',
    ' 21 Nov 2026 ',
  ])('%s is the 21st of November', (text) => {
    const date = typedDate(text)!
    expect([date.getFullYear(), date.getMonth(), date.getDate()]).toEqual([2026, 10, 21])
  })
  test.each(['', 'soon', '31.02.2026', '11/21/2026', '21 Nov', '2026-13-01'])('"%s" is none', (text) =>
    expect(typedDate(text)).toBeNull(),
  )
})

describe('what the folded rules say', () => {
  test('nothing set: only what always holds', () => {
    expect(buyingSummary(rules(), 'CAD')).toBe('seller silent after 4 days')
    expect(machineSummary(rules())).toBe('PSU: 1.5 × the sustained draw')
    expect(faultSummary(rules())).toBe('faults as in Settings · 1 % low: 99th percentile')
  })
  test('each rule that is set is named with its unit', () => {
    const set = rules({ mostFault: 0.08, pickupKm: 25, answerDays: 1, perKm: '0.30', perHour: '12.00' })
    expect(buyingSummary(set, 'CAD')).toBe(
      'fault risk up to 8 % · pickup up to 25 km · seller silent after 1 day · 0.30 CAD per km · 12.00 CAD per hour',
    )
    const machine = {
      ...rules().machine,
      roomC: 30,
      oldestCpuYear: 2018,
      avoidedMakes: ['Quell'],
      cablesHidden: true,
    }
    expect(machineSummary(rules({ machine }))).toBe(
      'PSU: 1.5 × the sustained draw · room 30 °C · CPU from 2018 or newer · no Quell · hidden cables',
    )
  })
  test('own figures in the table of faults are counted, singular and plural', () => {
    expect(faultSummary(rules({ faults: { used: { cpu: 0.1 } } }))).toMatch(/^1 fault figure changed by you/)
    expect(
      faultSummary(rules({ faults: { used: { cpu: 0.1 }, hassle: '5.00' }, lowMethod: 'worst-share' })),
    ).toBe('2 fault figures changed by you · 1 % low: mean of the worst 1 %')
  })
})

describe('assumptions as rows of Settings', () => {
  test('a share is typed in percent and kept as a share, exact in tenths', () => {
    const share = { unit: '%' }
    for (const typed of [0, 0.1, 8, 33.3, 85, 100]) expect(asTyped(share, asKept(share, typed))).toBe(typed)
    expect([asTyped({ unit: 'W' }, 65), asKept({ unit: 'W' }, 65)]).toEqual([65, 65])
  })
  test('own figures stand beside their default, and are counted by group', () => {
    const sheets = assumptionSheets({ assumptions: { 'risk.rebateChance': 0.7, 'power.roomC': 35 } })
    const risk = sheets.find((sheet) => sheet.group === 'risk')!
    expect(risk.changed).toBe(1)
    expect(risk.rows.find((row) => row.key === 'risk.rebateChance')).toMatchObject({
      own: 70,
      byDefault: 85,
      unit: '%',
    })
    expect(sheets.find((sheet) => sheet.group === 'power')!.rows.find((row) => row.own !== null)!.own).toBe(
      35,
    )
    expect(sheets.find((sheet) => sheet.group === 'pricing')!.changed).toBe(0)
  })
  test('money is stated in the home currency, at its size', () => {
    const of = (currency: string) => moneyRows({ money: {} }, currency).map((row) => row.byDefault)
    expect(of('CAD')).toEqual(['8.00', '0.14', '35.00'])
    expect(of('SEK')).toEqual(['80.00', '1.40', '350.00'])
    expect(of('JPY')).toEqual(['800', '14', '3500'])
    expect(of('KWD')).toEqual(['4.000', '0.070', '17.500'])
    const own = { amount: '9.50', currency: 'CAD' }
    expect(moneyRows({ money: { hassle: own } }, 'SEK')[0]).toMatchObject({ own, byDefault: '80.00' })
  })
})
