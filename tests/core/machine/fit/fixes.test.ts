import { describe, expect, test } from 'vitest'
import { catalogue } from '../../../../demo/catalogue'
import { chance as makeChance } from '../../../../demo/random'
import { checkFit, isNoWorse } from '#core/machine/fit/checkFit'
import { fixed, waysToMend } from '#core/machine/fit/fixes'
import { expandDonors } from '#core/parts/expandDonors'
import { coreRoles, type Part, type Role } from '#core/parts/part'

const library = new Map<string, Part>(catalogue.map((part) => [part.id, part]))
const priced = catalogue.map((part) => ({ part, price: 100 * (part.street || part.fresh || 5) }))
const ofRole = (role: Role) => catalogue.filter((part) => part.role === role)

/** Machines thrown together: some roles left out, some with two things, donors and adapters among them. */
function randomMachines(seed: number, count: number): Part[][] {
  const chance = makeChance(seed)
  return Array.from({ length: count }, () => {
    const roles = coreRoles.filter(() => !chance.happens(0.12))
    const parts: Part[] = roles.map((role) => chance.pick(ofRole(role)))
    if (chance.happens(0.2)) parts.unshift(chance.pick(ofRole('donor')))
    for (const role of ['storage', 'memory', 'extra', 'extra'] as const)
      if (chance.happens(0.25)) parts.push(chance.pick(ofRole(role)))
    return expandDonors(parts, library)
  })
}
const brief = {
  needs: ['wireless', 'licence'] as const,
  oldestCpuYear: 2018,
  smallestDriveGb: 480,
  needsSecurityModule: true,
  colour: 'white',
  screenPlugs: ['HDMI'],
  cablesHidden: true,
}

test(
  '300 random machines: no rule throws, each finding names two facts that exist, the ' +
    'order of the parts does not matter',
  () => {
    for (const parts of randomMachines(20_261_101, 300)) {
      const report = checkFit({ parts, brief })
      for (const finding of report.findings) {
        expect(finding.why).toHaveLength(2)
        for (const fact of finding.why) {
          expect(fact.value).not.toBe('')
          expect(fact.partId === 'brief' || parts.some((part) => part.id === fact.partId)).toBe(true)
        }
      }
      const keys = (list: readonly Part[]) =>
        checkFit({ parts: list, brief })
          .findings.map((finding) => finding.ruleId)
          .sort()
      expect(keys([...parts].reverse())).toEqual(keys(parts))
    }
  },
)

describe('fixing', () => {
  test('a finding fixed is gone or one less, and the machine is never worse', () => {
    let taken = 0
    for (const parts of randomMachines(7_777, 60)) {
      const machine = { parts, brief }
      const before = checkFit(machine)
      for (const finding of before.findings.slice(0, 4)) {
        for (const row of waysToMend(finding, machine, priced, catalogue)) {
          const after = checkFit(fixed(machine, row, (id) => library.get(id)!))
          const clashes = (report: typeof before) =>
            report.findings.filter((each) => each.ruleId === finding.ruleId).length
          expect(clashes(after)).toBeLessThan(clashes(before))
          expect(isNoWorse(after, before)).toBe(true)
          taken += 1
        }
      }
    }
    expect(taken).toBeGreaterThan(200)
  })

  test('a donor’s supply decision stands in four ways and more', () => {
    const donor = library.get('meridon-desk-20-tower')!
    const parts = expandDonors(
      [
        donor,
        library.get('murrowdun-tarn-560-8-gb')!,
        library.get('steadwell-slim-400-w')!,
        library.get('barrowcase-barrow-four-white')!,
      ],
      library,
    )
    const machine = { parts }
    const plug = checkFit(machine).findings.find((finding) => finding.ruleId === 'main-plug')!
    const leads = checkFit(machine).findings.find((finding) => finding.ruleId === 'card-leads')!
    expect(plug.why.map((fact) => fact.value)).toEqual(['ATX24', 'Desk'])
    const ways = [
      ...waysToMend(plug, machine, priced, catalogue),
      ...waysToMend(leads, machine, priced, catalogue),
    ]
    expect(ways.length).toBeGreaterThanOrEqual(4)
    expect(ways.flatMap((way) => way.parts.map((part) => part.name))).toContain('Tackle Desk main adapter')
  })

  test('where the first part makes something else stop, what fixes that goes with it', () => {
    const machine = {
      parts: expandDonors(
        [library.get('meridon-desk-20-tower')!, library.get('murrowdun-tarn-640-8-gb')!],
        library,
      ),
    }
    const peak = checkFit(machine).findings.find((finding) => finding.ruleId === 'supply-size')!
    const [way] = waysToMend(peak, machine, priced, catalogue).filter((each) => each.parts.length > 1)
    expect(way!.parts.map((part) => part.name)).toEqual(expect.arrayContaining(['Tackle Desk main adapter']))
    expect(way!.cost).toBe(
      way!.parts.reduce((sum, part) => sum + priced.find((each) => each.part.id === part.id)!.price, 0),
    )
  })

  test('what is chosen beside a donor takes the place of what is in it; drives stay', () => {
    const donor = library.get('meridon-desk-20-tower')!
    const parts = expandDonors(
      [donor, library.get('palisado-16-gb-ddr4-2-8')!, library.get('fathomline-race-500-gb-nvme')!],
      library,
    )
    expect(parts.filter((part) => part.role === 'memory').map((part) => part.id)).toEqual([
      'palisado-16-gb-ddr4-2-8',
    ])
    expect(parts.filter((part) => part.role === 'storage')).toHaveLength(2)
    expect(parts.some((part) => part.role === 'donor')).toBe(false)
  })
})
