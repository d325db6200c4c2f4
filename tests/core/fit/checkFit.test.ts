import { describe, expect, test } from 'vitest'
import { checkFit } from '#core/fit/checkFit'
import { fitRules } from '#core/fit/rules'
import type { Part, PartFacts, Role } from '#core/parts/part'

const part = (role: Role, facts: PartFacts): Part => ({ id: role, role, make: 'Make', name: `the ${role}`, facts })
const outcome = (a: Part, b: Part, ruleId: string) => {
  const report = checkFit({ parts: [a, b] })
  if (report.findings.some((finding) => finding.ruleId === ruleId)) return 'clash'
  if (report.cannotCheck.some((open) => open.ruleId === ruleId)) return 'cannot check'
  return report.passed.some((each) => each.ruleId === ruleId) ? 'passes' : 'not asked'
}

describe('the fit rules', () => {
  test.each([
    ['cpu-socket', part('cpu', { socket: 'SF-3' }), part('motherboard', { socket: 'SF-3' }), 'passes'],
    ['cpu-socket', part('cpu', { socket: 'TD-B' }), part('motherboard', { socket: 'SF-3' }), 'clash'],
    ['cpu-socket', part('cpu', {}), part('motherboard', { socket: 'SF-3' }), 'cannot check'],
    ['cpu-socket', part('cpu', { socket: 'SF-3' }), part('case', {}), 'not asked'],
    ['memory-generation', part('memory', { memoryGeneration: 'DDR4' }), part('motherboard', { memoryGeneration: 'DDR4' }), 'passes'],
    ['memory-generation', part('memory', { memoryGeneration: 'DDR4' }), part('motherboard', { memoryGeneration: 'DDR5' }), 'clash'],
    ['memory-generation', part('memory', { memoryGeneration: 'DDR4' }), part('motherboard', {}), 'cannot check'],
    ['card-leads', part('graphics', { sixPinLeads: 0, eightPinLeads: 1 }), part('supply', { sixPinLeads: 0, eightPinLeads: 2 }), 'passes'],
    ['card-leads', part('graphics', { sixPinLeads: 1, eightPinLeads: 0 }), part('supply', { sixPinLeads: 0, eightPinLeads: 1 }), 'passes'], // an 8-pin lead feeds a 6-pin socket
    ['card-leads', part('graphics', { sixPinLeads: 0, eightPinLeads: 1 }), part('supply', { sixPinLeads: 2, eightPinLeads: 0 }), 'clash'], // never the other way round
    ['card-leads', part('graphics', { sixPinLeads: 1, eightPinLeads: 1 }), part('supply', { sixPinLeads: 0, eightPinLeads: 1 }), 'clash'], // one lead cannot feed both
    ['card-leads', part('graphics', { sixPinLeads: 0 }), part('supply', { sixPinLeads: 0, eightPinLeads: 1 }), 'cannot check'],
  ] as const)('%s: %o against %o %s', (ruleId, a, b, expected) => {
    expect(outcome(a, b, ruleId)).toBe(expected)
    expect(outcome(b, a, ruleId)).toBe(expected)
  })

  test('a finding names two facts that exist, and a way to mend it', () => {
    const [finding] = checkFit({ parts: [part('cpu', { socket: 'TD-B' }), part('motherboard', { socket: 'SF-3' })] }).findings
    expect(finding!.why.map((fact) => `${fact.part}: ${fact.fact} ${fact.value}`)).toEqual(['Make the cpu: socket TD-B', 'Make the motherboard: socket SF-3'])
    expect(finding!.mends.length).toBeGreaterThan(0)
  })

  test('ids are different and an empty machine is no trouble', () => {
    expect(new Set(fitRules.map((rule) => rule.id)).size).toBe(fitRules.length)
    expect(checkFit({ parts: [] })).toEqual({ findings: [], cannotCheck: [], passed: [] })
  })
})
