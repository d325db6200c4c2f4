import type { Part, PartFacts } from '../../parts/part'
import { leadKind, leadWatts, plugsNamed, type LeadKind } from './leadKind'

/** Sockets a card is fed by. */
export type CardSocket = '6-pin' | '8-pin' | '12+4-pin'

/** What runs through one socket of a card, W; `adapter` where no lead of the supply's own reaches it. */
export interface CardFeed {
  readonly card: Part
  readonly socket: CardSocket
  readonly loadW: number
  readonly adapter: Part | null
}

export interface CardFeeds {
  readonly feeds: readonly CardFeed[]
  /** Sockets that nothing feeds. */
  readonly bare: readonly { readonly card: Part; readonly socket: CardSocket }[]
}

/** What a slot gives, W, unless its board states another figure. */
export const slotWatts = 75
/**
 * What a card with plugs draws from its slot at most, W, and as a share of its board power (docs/formulas.md, Power
 * and fit).
 */
export const slotShare = { mostW: 66, share: 0.35 } as const

const socketFacts = {
  '6-pin': 'sixPinLeads',
  '8-pin': 'eightPinLeads',
  '12+4-pin': 'sixteenPinLeads',
} as const
const sockets = ['12+4-pin', '8-pin', '6-pin'] as const
/** By what the sockets of one card share its load; the plug of 12 + 4 pins takes all a card needs. */
const weight: Readonly<Record<CardSocket, number>> = { '6-pin': 75, '8-pin': 150, '12+4-pin': 600 }

export const hasPlugs = ({ sixPinLeads = 0, eightPinLeads = 0, sixteenPinLeads = 0 }: PartFacts) =>
  sixPinLeads + eightPinLeads + sixteenPinLeads > 0

/** Watts that a card draws from its slot. */
export function slotDraw(card: Part): number {
  const watts = card.facts.boardPowerW ?? 0
  return hasPlugs(card.facts) ? Math.min(slotShare.mostW, slotShare.share * watts) : watts
}

/**
 * Which lead feeds which socket of which card: leads of the supplies first (8-pin ones split and so feed 6-pin sockets
 * too), then adapters, each where the plugs it hangs on are free. All cards and all leads together.
 *
 * @param unknownAs how many leads a supply has of a kind that it does not state
 */
export function cardFeeds(parts: readonly Part[], unknownAs = 0): CardFeeds {
  const of = (role: Part['role']) => parts.filter((part) => part.role === role)
  const free = freeLeads(parts, unknownAs)
  const adapters = of('extra').filter(({ facts }) => isCardSocket(leadKind(facts.feedsTo)))
  const open = of('graphics').flatMap((card) => socketsOf(card).map((socket) => ({ card, socket })))
  const feeds: CardFeed[] = []
  const bare: { card: Part; socket: CardSocket }[] = []
  for (const socket of sockets)
    for (const each of open.filter((one) => one.socket === socket)) {
      const lead = [socket, ...(socket === '6-pin' ? (['8-pin'] as const) : [])].find(
        (kind) => free[kind] > 0,
      )
      if (lead) free[lead] -= 1
      const at = lead
        ? -1
        : adapters.findIndex((adapter) => fits(adapter, socket) && hasPlugFree(adapter, free))
      const adapter = at < 0 ? null : adapters.splice(at, 1)[0]!
      if (adapter) takePlugs(adapter, free)
      if (lead || adapter) feeds.push({ ...each, loadW: socketLoad(each.card, socket), adapter })
      else bare.push(each)
    }
  return { feeds, bare }
}

function socketsOf({ facts }: Part): CardSocket[] {
  return sockets.flatMap((socket) =>
    Array.from({ length: facts[socketFacts[socket]] ?? 0 }, (): CardSocket => socket),
  )
}

function socketLoad(card: Part, socket: CardSocket): number {
  const all = socketsOf(card).reduce((sum, each) => sum + weight[each], 0)
  return (((card.facts.boardPowerW ?? 0) - slotDraw(card)) * weight[socket]) / all
}

function freeLeads(parts: readonly Part[], unknownAs: number): Record<LeadKind, number> {
  const sum = (fact: 'sixPinLeads' | 'eightPinLeads' | 'sixteenPinLeads' | 'sataLeads') =>
    parts
      .filter(({ role }) => role === 'supply')
      .reduce((total, { facts }) => total + (facts[fact] ?? unknownAs), 0)
  const drives = parts.filter(({ role, facts }) => role === 'storage' && takesSataLead(facts)).length
  const saysSata = parts.some(({ role, facts }) => role === 'supply' && facts.sataLeads !== undefined)
  return {
    '6-pin': sum('sixPinLeads'),
    '8-pin': sum('eightPinLeads'),
    '12+4-pin': sum('sixteenPinLeads'),
    // what is not stated is there: the adapter is judged by what it carries
    sata: saysSata ? sum('sataLeads') - drives : Infinity,
    drive: Infinity,
    cpu: Infinity,
  }
}

/** Whether a drive hangs on a SATA power lead: one in a bay, not one on a card of M.2. */
export const takesSataLead = ({ interface: speaks, driveShape, m2LengthMm }: PartFacts) =>
  speaks === 'sata' && driveShape !== 'M.2' && m2LengthMm === undefined

const isCardSocket = (kind: LeadKind | null): kind is CardSocket =>
  kind === '6-pin' || kind === '8-pin' || kind === '12+4-pin'

const fits = ({ facts }: Part, socket: CardSocket) => {
  const to = leadKind(facts.feedsTo)
  return to === socket || (to === '8-pin' && socket === '6-pin')
}

const plugsOf = ({ facts }: Part) => facts.plugs ?? plugsNamed(facts.feedsFrom)

function hasPlugFree(adapter: Part, free: Readonly<Record<LeadKind, number>>): boolean {
  const from = leadKind(adapter.facts.feedsFrom)
  return from === null || free[from] >= (from === 'sata' || from === 'drive' ? 1 : plugsOf(adapter))
}

function takePlugs(adapter: Part, free: Record<LeadKind, number>): void {
  const from = leadKind(adapter.facts.feedsFrom)
  if (from !== null) free[from] -= plugsOf(adapter)
}

/**
 * What an adapter may carry, W: the lower of what is stated and what every lead on the way carries. Plugs on one cable
 * carry what one carries; whether they sit apart may not be known, so there are two ends.
 *
 * @returns `low` is certain, `high` cannot be exceeded; equal where all is known
 */
export function adapterLimit({ facts }: Part): { readonly low: number; readonly high: number } {
  const stated = facts.carriesW ?? Infinity
  const from = leadKind(facts.feedsFrom)
  const one = from === null ? null : leadWatts[from]
  if (one === null) return { low: facts.carriesW === undefined ? 0 : stated, high: stated }
  const count = facts.plugs ?? plugsNamed(facts.feedsFrom)
  const apart = Math.min(stated, count * one)
  const together = Math.min(stated, one)
  if (facts.plugsApart === undefined) return { low: together, high: apart }
  return facts.plugsApart ? { low: apart, high: apart } : { low: together, high: together }
}
