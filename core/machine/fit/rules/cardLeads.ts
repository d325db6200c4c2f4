import { partLabel, type Part } from '../../../parts/part'
import { cardFeeds } from '../../power/cardFeeds'
import { leadKind, leadWatts } from '../../power/leadKind'
import { add, cite, notTold, replace, type FitRule, type MachineRead } from '../rule'

const leadFacts = ['sixPinLeads', 'eightPinLeads', 'sixteenPinLeads'] as const
/** More of a kind than any supply has, or card asks for. */
const plenty = 9

/**
 * An 8-pin supply lead splits into 6 + 2 and so feeds a 6-pin socket as well; never the other way round. Adapters count
 * as the lead they feed. What is not known is tried at none and at plenty: only where that changes the answer is it open.
 */
export const cardLeads: FitRule = {
  id: 'card-leads',
  area: 'connections',
  severity: 'stops',
  question: 'Does the PSU have the GPU power connectors the card needs?',
  reads: [
    { role: 'graphics', facts: ['sixPinLeads', 'eightPinLeads', 'sixteenPinLeads'] },
    { role: 'supply', facts: ['sixPinLeads', 'eightPinLeads', 'sixteenPinLeads'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('graphics').length > 0 && machine.all('supply').length > 0,
  check(machine) {
    const cards = machine.all('graphics')
    const [supply] = machine.all('supply') as [Part]
    const least = bareWith(machine, 0, plenty)
    if (least.length > 0) {
      const { card, socket } = least[0]!
      const fact =
        socket === '12+4-pin' ? 'sixteenPinLeads' : socket === '8-pin' ? 'eightPinLeads' : 'sixPinLeads'
      return [
        {
          what:
            `${cards.length > 1 ? `${cards.length} cards need ${leadsText(...cards)}` : `${partLabel(card)} needs ${leadsText(card)}`}; ` +
            `${partLabel(supply)} has ${leadsText(supply)}`,
          why: [cite(card, fact), cite(supply, fact)] as const,
          fixes: fixesFor(machine, supply, card, socket),
        },
      ]
    }
    if (bareWith(machine, plenty, 0).length === 0) return []
    const wantsSixteen = cards.some(({ facts }) => (facts.sixteenPinLeads ?? 0) > 0)
    return [...cards, supply].flatMap((part) => {
      const unknown = leadFacts.filter(
        (fact) =>
          part.facts[fact] === undefined &&
          (fact !== 'sixteenPinLeads' || (wantsSixteen && part.role === 'supply')),
      )
      return unknown.length > 0 ? [notTold(part, ...unknown)] : []
    })
  },
}

/** Sockets without a lead, where cards have so many unknown sockets and supplies so many unknown leads. */
function bareWith(machine: MachineRead, sockets: number, leads: number) {
  const parts = machine.parts.map((part): Part => {
    if (part.role !== 'graphics') return part
    const { sixPinLeads = Math.min(sockets, 2), eightPinLeads = Math.min(sockets, 3) } = part.facts
    return { ...part, facts: { ...part.facts, sixPinLeads, eightPinLeads } }
  })
  return cardFeeds(parts, leads).bare
}

function fixesFor(machine: MachineRead, supply: Part, card: Part, socket: '6-pin' | '8-pin' | '12+4-pin') {
  const feedsAll = (part: Part) => {
    const others = machine.parts.filter((each) => each.role !== 'supply')
    return cardFeeds([...others, part], 0).bare.length === 0
  }
  const wanted = leadsText(card)
  const feeds = (part: Part, isSata: boolean) =>
    leadKind(part.facts.feedsTo) === socket && (leadKind(part.facts.feedsFrom) === 'sata') === isSata
  return [
    replace(
      'supply',
      `another PSU with ${wanted}`,
      (part) =>
        feedsAll(part) &&
        part.facts.supplyShape === supply.facts.supplyShape &&
        (part.facts.ratedW ?? 0) >= (supply.facts.ratedW ?? 0),
    ),
    replace(
      'supply',
      `a PSU of another form factor with ${wanted}`,
      (part) => feedsAll(part) && part.facts.supplyShape !== supply.facts.supplyShape,
    ),
    add('extra', `an adapter to ${socket}`, (part) => feeds(part, false), {
      limitW: leadWatts[socket] ?? 0,
      leavesOpen: 'the cable it is plugged into carries the full load',
    }),
    add('extra', `an adapter from SATA to ${socket}`, (part) => feeds(part, true), {
      limitW: 54,
      leavesOpen: 'a SATA power connector is rated for only 54 W',
    }),
    replace(
      'graphics',
      'a card powered by its slot alone',
      (part) => part.facts.sixPinLeads === 0 && part.facts.eightPinLeads === 0,
      { limitW: 75, leavesOpen: 'lower fps' },
    ),
  ]
}

function leadsText(...parts: readonly Part[]): string {
  const sum = (fact: (typeof leadFacts)[number]) =>
    parts.reduce((total, { facts }) => total + (facts[fact] ?? 0), 0)
  const named = [
    [sum('sixteenPinLeads'), '12 + 4-pin'],
    [sum('eightPinLeads'), '8-pin'],
    [sum('sixPinLeads'), '6-pin'],
  ] as const
  const leads = named.flatMap(([count, name]) => (count > 0 ? [`${count} × ${name}`] : []))
  return leads.length === 0 ? 'no GPU power connector' : leads.join(' and ')
}
