import { partLabel } from '../../../parts/part'
import { add, cite, pairsOf, replace, type FitRule } from '../rule'
import { leadsThere } from '../sums'

/** An 8-pin supply lead splits into 6 + 2 and so feeds a 6-pin socket as well; never the other way round. Adapters count as the lead they feed. */
export const cardLeads: FitRule = {
  id: 'card-leads',
  area: 'connections',
  severity: 'stops',
  question: 'Has the supply the leads that the card needs?',
  reads: [
    { role: 'graphics', facts: ['sixPinLeads', 'eightPinLeads'] },
    { role: 'supply', facts: ['sixPinLeads', 'eightPinLeads'] },
  ],
  check: (machine) =>
    pairsOf(machine, 'graphics', 'supply').flatMap(([card, supply]) => {
      const wanted = { six: card.facts.sixPinLeads!, eight: card.facts.eightPinLeads! }
      const there = leadsThere(machine, supply)
      const sixByEight = Math.max(0, wanted.six - there.six)
      if (there.eight >= wanted.eight + sixByEight) return []
      const short = there.eight < wanted.eight ? ('8-pin' as const) : ('6-pin' as const)
      const fact = short === '8-pin' ? ('eightPinLeads' as const) : ('sixPinLeads' as const)
      const enough = (six: number, eight: number) => eight >= wanted.eight + Math.max(0, wanted.six - six)
      const bySocket = short === '8-pin' ? 150 : 75
      return [
        {
          what: `${partLabel(card)} needs ${leads(wanted)}; ${partLabel(supply)} has ${leads(there)}`,
          why: [cite(card, fact), cite(supply, fact)] as const,
          fixes: [
            replace(
              'supply',
              `another supply with ${leads(wanted)}`,
              (part) =>
                enough(part.facts.sixPinLeads ?? 0, part.facts.eightPinLeads ?? 0) &&
                part.facts.supplyShape === supply.facts.supplyShape &&
                (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
            ),
            replace(
              'supply',
              `a supply of another shape with ${leads(wanted)}`,
              (part) =>
                enough(part.facts.sixPinLeads ?? 0, part.facts.eightPinLeads ?? 0) &&
                part.facts.supplyShape !== supply.facts.supplyShape,
            ),
            add(
              'extra',
              `an adapter to ${short}`,
              (part) => part.facts.feedsTo === short && part.facts.feedsFrom !== 'sata',
              { limitW: bySocket, leavesOpen: 'the lead it hangs on carries all of it' },
            ),
            add(
              'extra',
              `an adapter from SATA to ${short}`,
              (part) => part.facts.feedsTo === short && part.facts.feedsFrom === 'sata',
              { limitW: 54, leavesOpen: 'a SATA lead is rated for 54 W and no more' },
            ),
            replace(
              'graphics',
              'a card that is fed by its slot',
              (part) => part.facts.sixPinLeads === 0 && part.facts.eightPinLeads === 0,
              { limitW: 75, leavesOpen: 'fewer frames' },
            ),
          ],
        },
      ]
    }),
}

function leads({ six, eight }: { six: number; eight: number }): string {
  const parts = [eight > 0 ? `${eight} × 8-pin` : '', six > 0 ? `${six} × 6-pin` : ''].filter(
    (part) => part !== '',
  )
  return parts.length === 0 ? 'no card lead' : parts.join(' and ')
}
