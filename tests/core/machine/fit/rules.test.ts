import { describe, expect, test } from 'vitest'
import { checkFit } from '#core/machine/fit/checkFit'
import type { FitBrief } from '#core/machine/fit/finding'
import { fitRules } from '#core/machine/fit/rules'
import type { Part } from '#core/parts/part'
import { cases, extra, machinesOf } from './ruleCases'
import { machineWith } from './soundMachine'

const standing = (parts: readonly Part[], ruleId: string, brief: Partial<FitBrief> = {}) => {
  const report = checkFit({ parts, brief })
  if (report.findings.some((finding) => finding.ruleId === ruleId)) return 'clash'
  if (report.cannotCheck.some((open) => open.ruleId === ruleId)) return 'cannot check'
  return report.passed.some((each) => each.ruleId === ruleId) ? 'passes' : 'not asked'
}

describe('every rule passes, clashes, and says where it cannot be asked', () => {
  test('there are 45 rules or more, each with its case', () => {
    expect(fitRules.length).toBeGreaterThanOrEqual(45)
    expect(Object.keys(cases).sort()).toEqual(fitRules.map((rule) => rule.id).sort())
    expect(new Set(fitRules.map((rule) => rule.id)).size).toBe(fitRules.length)
  })
  test.each(Object.entries(cases))('%s', (id, each) => {
    const { passes, clashes, open } = machinesOf(id, each)
    expect(standing(passes, id, each.brief)).toBe('passes')
    expect(standing(clashes, id, each.brief)).toBe('clash')
    if (open) expect(standing(open, id, each.brief)).toBe('cannot check')
  })
  test.each(fitRules.map((rule) => [rule.id, rule] as const))(
    '%s is not asked of an empty machine',
    (_, rule) => {
      expect(checkFit({ parts: [] }, [rule])).toEqual({
        findings: [],
        cannotCheck: [],
        passed: [],
        settled: [],
      })
    },
  )
})

describe('single rules, closer', () => {
  test.each([
    [
      'an 8-pin lead feeds a 6-pin socket',
      { sixPinLeads: 1, eightPinLeads: 0 },
      { sixPinLeads: 0, eightPinLeads: 1 },
      'passes',
    ],
    [
      'never the other way round',
      { sixPinLeads: 0, eightPinLeads: 1 },
      { sixPinLeads: 2, eightPinLeads: 0 },
      'clash',
    ],
    [
      'one lead cannot feed both',
      { sixPinLeads: 1, eightPinLeads: 1 },
      { sixPinLeads: 0, eightPinLeads: 1 },
      'clash',
    ],
  ])('card leads: %s', (_, graphics, supply, expected) =>
    expect(standing(machineWith({ graphics, supply }), 'card-leads')).toBe(expected),
  )

  test('an adapter stands for the lead it feeds, and is judged by what it carries', () => {
    const adapter = extra('SATA to 8-pin', { feedsFrom: 'sata', feedsTo: '8-pin', carriesW: 54 })
    const parts = machineWith({ supply: { eightPinLeads: 0 } }, [adapter])
    expect([standing(parts, 'card-leads'), standing(parts, 'adapter-load')]).toEqual(['passes', 'clash']) // 130 − 45.5 = 84.5 W
    const smaller = machineWith({ supply: { eightPinLeads: 0 }, graphics: { boardPowerW: 66 } }, [adapter])
    expect(standing(smaller, 'adapter-load')).toBe('passes')
  })

  test('a board that cannot be flashed stops, one that can only needs it', () => {
    const severity = (flashWithoutCpu: boolean) =>
      checkFit({ parts: machineWith({ motherboard: { firmwareLevel: 1, flashWithoutCpu } }) }).findings.find(
        (finding) => finding.ruleId === 'board-firmware',
      )!.severity
    expect([severity(true), severity(false)]).toEqual(['needs', 'stops'])
  })

  test('a finding fixed by hand is set aside, and comes back when the parts change', () => {
    const parts = machineWith({ motherboard: { firmwareLevel: 1 } })
    const [finding] = checkFit({ parts }).findings.filter((each) => each.ruleId === 'board-firmware')
    const report = checkFit({ parts, settled: new Set([finding!.key]) })
    expect([
      report.findings.some((each) => each.ruleId === 'board-firmware'),
      report.settled.map((each) => each.ruleId),
    ]).toEqual([false, ['board-firmware']])
    const other = parts.map((part) => (part.role === 'cpu' ? { ...part, id: 'another' } : part))
    expect(
      checkFit({ parts: other, settled: new Set([finding!.key]) }).findings.some(
        (each) => each.ruleId === 'board-firmware',
      ),
    ).toBe(true)
  })
})
