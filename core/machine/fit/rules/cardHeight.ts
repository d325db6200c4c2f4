import { partLabel } from '../../../parts/part'
import { hasPlugs } from '../../power/cardFeeds'
import { cite, pairsOf, replace, type FitRule } from '../rule'

/** What a lead needs above the card until it may bend, mm. */
const bendMm = 35

/** A high card with its plug on top must close under the side panel. */
export const cardHeight: FitRule = {
  id: 'card-height',
  area: 'space',
  severity: 'stops',
  question: 'Does the side panel close over the card and its power connector?',
  reads: [
    { role: 'graphics', facts: ['heightMm'] },
    { role: 'case', facts: ['cardHeightMm'] },
  ],
  concerns: (machine) => machine.all('case').some(({ facts }) => facts.cardHeightMm !== undefined),
  check: (machine) =>
    pairsOf(machine, 'graphics', 'case').flatMap(([card, chassis]) => {
      const bend = hasPlugs(card.facts) ? bendMm : 0
      const room = chassis.facts.cardHeightMm!
      const high = card.facts.heightMm!
      if (high + bend <= room) return []
      return [
        {
          what:
            `${partLabel(card)} is ${high} mm ` +
            `high${bend > 0 ? ` plus ${bend} mm for its cable` : ''}; ${partLabel(chassis)} has ` +
            `room for ${room} mm`,
          why: [cite(card, 'heightMm'), cite(chassis, 'cardHeightMm')] as const,
          // a lead that is bent too sharply: an angled plug helps
          ...(high <= room ? { severity: 'needs' as const } : {}),
          fixes: [
            replace('case', 'a wider case', ({ facts }) => (facts.cardHeightMm ?? 0) >= high + bend),
            replace(
              'graphics',
              'a card of lower height',
              ({ facts }) =>
                (facts.heightMm ?? Infinity) + bend <= room &&
                (facts.graphicsIndex ?? 0) >= 0.9 * (card.facts.graphicsIndex ?? 0),
            ),
          ],
        },
      ]
    }),
}
