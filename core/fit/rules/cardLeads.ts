import { partLabel } from '../../parts/part'
import type { FitRule } from '../rule'

/** An 8-pin supply lead splits into 6 + 2 and so feeds a 6-pin socket as well; never the other way round. */
export const cardLeads: FitRule = {
  id: 'card-leads',
  question: 'Has the supply the leads that the card wants?',
  severity: 'stops',
  reads: [{ role: 'graphics', facts: ['sixPinLeads', 'eightPinLeads'] }, { role: 'supply', facts: ['sixPinLeads', 'eightPinLeads'] }],
  clash(card, supply) {
    const wanted = { six: card.facts.sixPinLeads!, eight: card.facts.eightPinLeads! }
    const there = { six: supply.facts.sixPinLeads!, eight: supply.facts.eightPinLeads! }
    const sixByEight = Math.max(0, wanted.six - there.six)
    if (there.eight >= wanted.eight + sixByEight) return null
    const eightIsShort = there.eight < wanted.eight
    return {
      what: `${partLabel(card)} wants ${leads(wanted)}; ${partLabel(supply)} has ${leads(there)}`,
      why: eightIsShort ? ['eightPinLeads', 'eightPinLeads'] : ['sixPinLeads', 'sixPinLeads'],
      mends: [
        { what: `another supply with ${leads(wanted)}`, leavesOpen: '' },
        { what: 'a card that is fed by its slot (up to 75 W)', leavesOpen: 'fewer frames' },
      ],
    }
  },
}

function leads({ six, eight }: { six: number; eight: number }): string {
  const parts = [eight > 0 ? `${eight} × 8-pin` : '', six > 0 ? `${six} × 6-pin` : ''].filter((part) => part !== '')
  return parts.length === 0 ? 'no card lead' : parts.join(' and ')
}
