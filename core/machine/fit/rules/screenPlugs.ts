import { partLabel } from '../../../parts/part'
import { add, citeBrief, cite, replace, type FitRule } from '../rule'

export const screenPlugs: FitRule = {
  id: 'screen-plugs',
  area: 'connections',
  severity: 'needs',
  question: 'Has the card an output that the screen takes?',
  reads: [{ role: 'graphics', facts: ['outputs'] }],
  concerns: (machine) => machine.brief.screenPlugs.length > 0,
  check: (machine) =>
    machine
      .all('graphics')
      .filter(
        (card) =>
          !card.facts.outputs!.some((output) => machine.brief.screenPlugs.includes(output)) &&
          !machine.extra(
            (facts) =>
              facts.feedsTo !== undefined &&
              machine.brief.screenPlugs.includes(facts.feedsTo) &&
              card.facts.outputs!.includes(facts.feedsFrom ?? ''),
          ),
      )
      .map((card) => ({
        what: `${partLabel(card)} gives ${card.facts.outputs!.join(', ')}; the screen takes ${machine.brief.screenPlugs.join(', ')}`,
        why: [cite(card, 'outputs'), citeBrief('the screen takes', machine.brief.screenPlugs.join(', '))],
        fixes: [
          add(
            'extra',
            'an adapter for the screen',
            (part) =>
              machine.brief.screenPlugs.includes(part.facts.feedsTo ?? '') &&
              card.facts.outputs!.includes(part.facts.feedsFrom ?? ''),
          ),
          replace(
            'graphics',
            'a card with that output',
            (part) =>
              (part.facts.outputs ?? []).some((output) => machine.brief.screenPlugs.includes(output)) &&
              (part.facts.graphicsIndex ?? 0) >= 0.9 * (card.facts.graphicsIndex ?? 0),
          ),
        ],
      })),
}
