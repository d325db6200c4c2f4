import { partLabel, type Part } from '../../../parts/part'
import { adapterLimit, cardFeeds, type CardFeed } from '../../power/cardFeeds'
import { leadKind } from '../../power/leadKind'
import { cite, notTold, remove, replace, type FitRule, type Clash, type Outcome } from '../rule'

/** Over this share of its limit an adapter needs another way. */
const nearly = 0.8

/**
 * An adapter carries what the weakest of its leads carries: a SATA power lead 54 W, a 4-pin drive lead 60 W, a 6-pin
 * 75 W, an 8-pin 150 W; or less, where it states less. Judged by what runs through it, all cards together.
 */
export const adapterLoad: FitRule = {
  id: 'adapter-load',
  area: 'power',
  severity: 'stops',
  question: 'Is every adapter rated for its load?',
  reads: [
    { role: 'graphics', facts: ['boardPowerW', 'sixPinLeads', 'eightPinLeads'] },
    { role: 'extra', facts: ['feedsFrom', 'feedsTo', 'carriesW', 'plugs', 'plugsApart'] },
  ],
  tellsUnknown: true,
  concerns: (machine) =>
    machine.all('graphics').length > 0 &&
    machine
      .all('extra')
      .some(({ facts }) => ['6-pin', '8-pin', '12+4-pin'].includes(leadKind(facts.feedsTo) ?? '')),
  check: (machine) =>
    cardFeeds(machine.parts).feeds.flatMap((feed): Outcome[] => {
      if (!feed.adapter) return []
      if (feed.card.facts.boardPowerW === undefined) return [notTold(feed.card, 'boardPowerW')]
      return judged(feed, feed.adapter)
    }),
}

function judged({ card, socket, loadW }: CardFeed, adapter: Part): Outcome[] {
  const { low, high } = adapterLimit(adapter)
  const clash = (severity: 'stops' | 'needs', carries: number): Clash => ({
    what:
      `${partLabel(adapter)} is rated for ${Math.round(carries)} W; ${partLabel(card)} ` +
      `draws ${Math.round(loadW)} W through ` +
      `it${severity === 'stops' ? ': it can melt' : ''}`,
    why: [
      cite(card, 'boardPowerW'),
      cite(adapter, adapter.facts.carriesW === undefined ? 'feedsFrom' : 'carriesW'),
    ],
    severity,
    fixes: [
      remove(adapter, 'remove the adapter', {
        leavesOpen: 'the card needs a PSU with a matching cable',
      }),
      replace(
        'graphics',
        'a card that draws less through it',
        (part) => cardFeeds([part, adapter]).feeds.every((feed) => feed.loadW <= nearly * low),
        { leavesOpen: 'lower fps' },
      ),
    ],
  })
  // a 6-pin lead has the wires of an 8-pin one, but for a sense: between 75 and 150 W it is a matter of care
  if (leadKind(adapter.facts.feedsFrom) === '6-pin' && socket === '8-pin') {
    const stated = Math.min(150, adapter.facts.carriesW ?? 150)
    return loadW > stated ? [clash('stops', stated)] : loadW > 75 ? [clash('needs', 75)] : []
  }
  if (loadW > high) return [clash('stops', high)]
  if (loadW > low) return [notTold(adapter, ...unknownOf(adapter))]
  return loadW > nearly * low ? [clash('needs', low)] : []
}

/** What is to be asked of an adapter whose limit is not certain. */
function unknownOf({ facts }: Part): ('feedsFrom' | 'plugsApart' | 'carriesW')[] {
  if (leadKind(facts.feedsFrom) === null)
    return facts.carriesW === undefined ? ['feedsFrom', 'carriesW'] : ['feedsFrom']
  return facts.carriesW === undefined && leadKind(facts.feedsFrom) === '12+4-pin'
    ? ['carriesW']
    : ['plugsApart']
}
