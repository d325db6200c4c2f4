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
  question: 'Does every power connector of a strong card have its own cable?',
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
          what:
            `${partLabel(strong[0]!)} draws more than ${cableW} W through ${plugs} connectors; ` +
            `${partLabel(supply)} has ${cables} GPU ${cables === 1 ? 'cable' : 'cables'}`,
          why: [cite(strong[0]!, 'boardPowerW'), cite(supply, 'cardCables')],
          fixes: [
            replace(
              'supply',
              `a PSU with ${plugs} GPU cables`,
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
