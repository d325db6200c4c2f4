import type { BuildView } from './builds/views'

/** What is open in a place of a build, in two words. */
export interface Badge {
  readonly note: string
  readonly tone: 'stop' | 'waiting' | 'soft'
}

/** A place: everybody who lists places reads this and keeps no list of his own. */
interface Place {
  readonly name: string
  /** Below the build for a place of a build, else from the root. */
  readonly path: string
  /** The question it answers. */
  readonly question: string
  readonly isOfBuild: boolean
  /** Its tabs, and the member of the address that says which is open. */
  readonly tabs?: { readonly by: string; readonly names: Readonly<Record<string, string>> }
  /** Its single-letter keys with what each does; `↑`, `↓` are the arrows. */
  readonly keys?: Readonly<Record<string, string>>
  /** A page of its documentation in `docs/places/`. */
  readonly docs: string
  badge?(view: BuildView): Badge | null
}

export const places = {
  builds: {
    name: 'Builds',
    path: '/',
    question: 'Which build needs me today?',
    isOfBuild: false,
    docs: 'builds',
  },
  brief: {
    name: 'Brief',
    path: 'brief',
    question: 'What is it for, what may it cost, what must it reach?',
    isOfBuild: true,
    docs: 'brief',
    badge: ({ targets }) => (targets.length === 0 ? { note: 'no targets', tone: 'waiting' } : null),
  },
  prices: {
    name: 'Prices',
    path: 'prices',
    question: 'What does each part really sell for, and how long would I wait?',
    isOfBuild: true,
    docs: 'prices',
    keys: { '↓': 'next record', '↑': 'previous record', K: 'keep', D: 'drop', Z: 'undo' },
  },
  leads: {
    name: 'Leads',
    path: 'leads',
    question: 'Which offers are worth it, at what price, with what risk?',
    isOfBuild: true,
    docs: 'leads',
    keys: {
      '↓': 'next lead',
      '↑': 'previous lead',
      K: 'keep: add to the build',
      P: 'pass',
      A: 'asked',
      E: 'change',
      N: 'new',
      Z: 'undo',
    },
  },
  machine: {
    name: 'Machine',
    path: 'machine',
    question: 'Does everything fit, boot, stay cool and get enough power?',
    isOfBuild: true,
    docs: 'machine',
    tabs: {
      by: 'mode',
      names: {
        open: 'Open checks',
        chosen: 'Chosen',
        steps: 'Upgrades',
        power: 'Power and room',
        assembly: 'Assembly',
      },
    },
    keys: { N: 'add a hunt or an owned part' },
    badge({ fit, breaches, emptyRoles }) {
      const stops = fit.findings.length + breaches.length
      if (stops > 0) return { note: `${stops} to fix`, tone: 'stop' }
      return emptyRoles.length > 0 ? { note: `${emptyRoles.length} missing`, tone: 'waiting' } : null
    },
  },
  bench: {
    name: 'Bench',
    path: 'bench',
    question: 'How fast is it, how fast will it be, what limits it?',
    isOfBuild: true,
    docs: 'bench',
    tabs: {
      by: 'mode',
      names: {
        targets: 'Targets',
        runs: 'Runs',
        frames: 'Frame times',
        work: 'Games and work',
        value: 'Value',
      },
    },
    keys: { N: 'add a run' },
    badge({ targets }) {
      const missed = targets.filter(({ verdict }) => verdict === 'missed').length
      return missed > 0 ? { note: `${missed} missed`, tone: 'stop' } : null
    },
  },
  plan: {
    name: 'Plan',
    path: 'plan',
    question: 'What should I buy of everything on offer, and what does each wish cost?',
    isOfBuild: true,
    docs: 'plan',
  },
  scales: {
    name: 'Compare',
    path: 'scales',
    question: 'Is it better than buying a machine ready made?',
    isOfBuild: true,
    docs: 'scales',
    tabs: {
      by: 'mode',
      names: {
        weighing: 'Comparison',
        match: 'Match and spend',
        turning: 'Break-even points',
        editions: 'Editions',
      },
    },
    badge({ weighing }) {
      const others = weighing.others.length
      return others > 0 ? { note: String(others + 1), tone: 'soft' } : null
    },
  },
  ledger: {
    name: 'Ledger',
    path: 'ledger',
    question: 'What did I really pay, what is still to come back, what is it worth now?',
    isOfBuild: true,
    docs: 'ledger',
    tabs: {
      by: 'tab',
      names: { items: 'Orders and items', entries: 'Entries', dates: 'Dates', sell: 'Sell' },
    },
  },
  parts: {
    name: 'Parts',
    path: '/parts',
    question: 'Which parts do I know, and what do I know of them?',
    isOfBuild: false,
    docs: 'libraries',
  },
  sources: {
    name: 'Sources',
    path: '/sources',
    question: 'Where do offers and past sales come from, on what terms?',
    isOfBuild: false,
    docs: 'libraries',
  },
  rivals: {
    name: 'Rivals',
    path: '/rivals',
    question: 'Which machines do I compare my builds with?',
    isOfBuild: false,
    docs: 'libraries',
  },
  shelf: {
    name: 'Shelf',
    path: '/shelf',
    question: 'What do I own that is in no build?',
    isOfBuild: false,
    docs: 'libraries',
  },
  flips: {
    name: 'Flips',
    path: '/flips',
    question: 'What does selling builds come to?',
    isOfBuild: false,
    docs: 'libraries',
  },
  settings: {
    name: 'Settings',
    path: '/settings',
    question: 'What does Tarvin assume, and what do I say instead?',
    isOfBuild: false,
    docs: 'libraries',
  },
  new: {
    name: 'New build',
    path: '/new',
    question: 'What is the next build for?',
    isOfBuild: false,
    docs: 'builds',
  },
} as const satisfies Readonly<Record<string, Place>>

export type PlaceKey = keyof typeof places

/** Keys that work in every place of a build, and those that work everywhere. */
export const commonKeys = { R: 'open or close the receipt', '?': 'these keys', 'Ctrl K': 'search' } as const

/** A place with what may be left out of its record. */
export function placeOf(key: PlaceKey): Place {
  return places[key]
}

/** The places of a build in the order of the work, or those of the house. */
export function placesOf(side: 'build' | 'house'): readonly PlaceKey[] {
  return (Object.keys(places) as PlaceKey[]).filter((key) => places[key].isOfBuild === (side === 'build'))
}

/**
 * The address of a place, one of its tabs open.
 *
 * @example addressOfPlace('machine', 'couch', 'steps') // '/b/couch/machine?mode=steps'
 */
export function addressOfPlace(key: PlaceKey, buildId: string, tab?: string): string {
  const { path, isOfBuild, tabs } = placeOf(key)
  const page = isOfBuild ? `/b/${buildId}/${path}` : path
  return tab === undefined || !tabs ? page : `${page}?${tabs.by}=${tab}`
}
