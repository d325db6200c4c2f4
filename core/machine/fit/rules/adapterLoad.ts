import { leadLoads } from '../../power/powerSheet'
import { partLabel } from '../../../parts/part'
import { cite, remove, replace, type FitRule } from '../rule'

/** An adapter carries what its narrow end carries: a SATA power lead 54 W, a 6-pin 75 W, an 8-pin 150 W. */
export const adapterLoad: FitRule = {
  id: 'adapter-load',
  area: 'power',
  severity: 'stops',
  question: 'Does every adapter carry what hangs on it?',
  reads: [{ role: 'graphics', facts: ['boardPowerW', 'sixPinLeads', 'eightPinLeads'] }],
  concerns: (machine) =>
    machine.all('extra').some((part) => part.facts.feedsTo === '6-pin' || part.facts.feedsTo === '8-pin'),
  check: (machine) =>
    machine.all('graphics').flatMap((card) =>
      machine
        .all('extra')
        .filter((part) => part.facts.feedsTo !== undefined)
        .flatMap((adapter) => {
          const load = leadLoads([card, adapter]).find((each) => each.what.startsWith(adapter.name))
          if (!load || load.loadW <= load.limitW) return []
          return [
            {
              what: `${partLabel(adapter)} is rated for ${load.limitW} W; ${partLabel(card)} draws ${Math.round(load.loadW)} W through it: it melts`,
              why: [cite(card, 'boardPowerW'), cite(adapter, 'carriesW')] as const,
              fixes: [
                remove(adapter, 'leave the adapter out', {
                  leavesOpen: 'the card needs its lead from a supply that has it',
                }),
                replace(
                  'graphics',
                  `a card that draws ${load.limitW} W less the slot’s share`,
                  (part) =>
                    (part.facts.boardPowerW ?? Infinity) <= 75 + load.limitW &&
                    (part.facts.sixPinLeads ?? 9) <= (card.facts.sixPinLeads ?? 0) &&
                    (part.facts.eightPinLeads ?? 9) <= (card.facts.eightPinLeads ?? 0),
                  { leavesOpen: 'fewer frames' },
                ),
              ],
            },
          ]
        }),
    ),
}
