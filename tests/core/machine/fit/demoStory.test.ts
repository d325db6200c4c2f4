import { expect, test } from 'vitest'
import { demoBuilds, demoShelf } from '../../../../demo/builds'
import { catalogue } from '../../../../demo/catalogue'
import { leadsCsv } from '../../../../demo/leads'
import { checkFit } from '#core/machine/fit/checkFit'
import { waysToMend } from '#core/machine/fit/fixes'
import { readLeads } from '#core/files/import/leadsFile'
import { expandDonors } from '#core/parts/expandDonors'
import type { Part } from '#core/parts/part'

/** What the three builds of the demo show, from the same files that are loaded into it. */
const library = new Map<string, Part>(catalogue.map((part) => [part.id, part]))
const leads = readLeads(leadsCsv(1), { currency: 'CAD', today: '2026-10-31' }).read.map(
  ({ value }) => value as unknown as { externalId: string; things: { partId: string; plan: string }[] },
)
function machineOf(name: string) {
  const build = demoBuilds.find((each) => each.brief.name === name)!
  const ids = [
    ...build.leads.flatMap(({ externalId }) =>
      leads
        .find((lead) => lead.externalId === externalId)!
        .things.filter((thing) => thing.plan === 'keep')
        .map((thing) => thing.partId),
    ),
    ...build.hunts.map((hunt) => hunt.partId),
    ...build.owned.map((id) => demoShelf.find((thing) => thing.id === id)!.partId),
  ]
  return {
    parts: expandDonors(
      ids.map((id) => library.get(id)!),
      library,
    ),
  }
}

test.each([
  ['Couch corner', 'memory-slots-full', 'hints'],
  ['Club edit box', 'board-firmware', 'needs'],
  ['Small white one', 'card-length', 'stops'],
  ['Small white one', 'adapter-load', 'stops'],
  ['Small white one', 'main-plug', 'stops'],
])('%s shows %s, which %s', (name, ruleId, severity) => {
  expect(checkFit(machineOf(name)).findings.find((finding) => finding.ruleId === ruleId)?.severity).toBe(
    severity,
  )
})

test('the donor’s supply can be decided in four ways or more', () => {
  const priced = catalogue.map((part) => ({ part, price: 100 * (part.street || part.fresh || 5) }))
  const machine = machineOf('Small white one')
  const decisions = checkFit(machine)
    .findings.filter((finding) => ['main-plug', 'adapter-load', 'supply-size'].includes(finding.ruleId))
    .flatMap((finding) => waysToMend(finding, machine, priced, catalogue))
  expect(decisions.length).toBeGreaterThanOrEqual(4)
})

test('in Couch corner nothing stops', () => {
  expect(
    checkFit(machineOf('Couch corner')).findings.filter((finding) => finding.severity === 'stops'),
  ).toEqual([])
})
