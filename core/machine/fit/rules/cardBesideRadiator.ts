import { partLabel } from '../../../parts/part'
import { cite, notTold, pairsOf, replace, type FitRule, type Outcome } from '../rule'

/** A radiator of usual depth with its fans, mm. */
const radiatorDepthMm = 52

/** A radiator in front takes its depth from the room that the case has for a card. */
export const cardBesideRadiator: FitRule = {
  id: 'card-beside-radiator',
  area: 'space',
  severity: 'stops',
  question: 'Does the card fit behind the radiator?',
  reads: [
    { role: 'cooler', facts: ['radiatorMm'] },
    { role: 'graphics', facts: ['lengthMm'] },
    { role: 'case', facts: ['maxCardMm', 'radiatorTopMm'] },
  ],
  tellsUnknown: true,
  concerns: (machine) =>
    machine.all('graphics').length > 0 &&
    machine.all('case').length > 0 &&
    machine.all('cooler').some(({ facts }) => (facts.radiatorMm ?? 0) > 0),
  check: (machine) =>
    pairsOf(machine, 'graphics', 'case').flatMap(([card, chassis]) =>
      machine.all('cooler').flatMap((cooler): Outcome[] => {
        const { radiatorMm = 0 } = cooler.facts
        const { maxCardMm, radiatorTopMm } = chassis.facts
        const { lengthMm } = card.facts
        // a radiator of one fan goes where the rear fan was
        if (radiatorMm <= 140 || lengthMm === undefined || maxCardMm === undefined) return []
        const left = maxCardMm - radiatorDepthMm
        if (lengthMm <= left || lengthMm > maxCardMm || (radiatorTopMm ?? 0) >= radiatorMm) return []
        if (radiatorTopMm === undefined) return [notTold(chassis, 'radiatorTopMm')]
        return [
          {
            what: `${partLabel(card)} is ${lengthMm} mm long; the front radiator leaves ${left} mm`,
            why: [cite(card, 'lengthMm'), cite(chassis, 'radiatorTopMm')],
            fixes: [
              replace(
                'cooler',
                'a cooler without a radiator',
                ({ facts }) =>
                  facts.radiatorMm === 0 && (facts.heightMm ?? Infinity) <= (chassis.facts.maxCoolerMm ?? 0),
              ),
              replace(
                'case',
                'a case with another radiator position',
                ({ facts }) => (facts.radiatorTopMm ?? 0) >= radiatorMm && (facts.maxCardMm ?? 0) >= lengthMm,
              ),
            ],
          },
        ]
      }),
    ),
}
