import { partLabel, type Part } from '../../../parts/part'
import { slotDraw } from '../../power/cardFeeds'
import { cite, notTold, replace, type FitRule, type Outcome } from '../rule'

/** What two plugs on one cable carry together, W. */
const cableW = 225

/** Two plugs of a card on one cable heat it: above 225 W each plug wants a cable of its own. */
export const cardCables: FitRule = {
  id: 'card-cables',
  area: 'power',
  severity: 'needs',
  question: 'Has every plug of a strong card a cable of its own?',
  reads: [
    { role: 'graphics', facts: ['boardPowerW', 'eightPinLeads'] },
    { role: 'supply', facts: ['cardCables'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('supply').length > 0 && machine.all('graphics').some(isStrong),
  check(machine) {
    const strong = machine.all('graphics').filter(isStrong)
    const plugs = strong.reduce((sum, card) => sum + plugsOf(card), 0)
    return machine.all('supply').flatMap((supply): Outcome[] => {
      const { cardCables: cables, eightPinLeads, sixPinLeads } = supply.facts
      // without leads enough there is no cable to share either: another rule says so
      if ((eightPinLeads ?? 9) + (sixPinLeads ?? 0) < plugs || (cables ?? 0) >= plugs) return []
      if (cables === undefined) return [notTold(supply, 'cardCables')]
      return [
        {
          what: `${partLabel(strong[0]!)} takes more than ${cableW} W through ${plugs} plugs; ${partLabel(supply)} has ${cables} ${cables === 1 ? 'cable' : 'cables'} for them`,
          why: [cite(strong[0]!, 'boardPowerW'), cite(supply, 'cardCables')],
          fixes: [
            replace(
              'supply',
              `a supply with ${plugs} cables for cards`,
              ({ facts }) =>
                (facts.cardCables ?? 0) >= plugs &&
                facts.supplyShape === supply.facts.supplyShape &&
                (facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
            ),
          ],
        },
      ]
    })
  },
}

const plugsOf = ({ facts }: Part) => (facts.sixPinLeads ?? 0) + (facts.eightPinLeads ?? 0)
const isStrong = (card: Part) => plugsOf(card) >= 2 && (card.facts.boardPowerW ?? 0) - slotDraw(card) > cableW
