/**
 * The builds under way and one that stands, as briefs with the choices made so far; leads are named by their number at
 * the source.
 */
import type { Intent } from '#shared/brief/houseRules'

const rules = (neverUsed: string[], intent: Intent = 'keep') => ({ intent, neverUsed })
const target = (
  workloadId: string,
  width: number,
  height: number,
  preset: string,
  averageFps: number,
  lowFps: number,
  help: { upscaling?: string; frameGeneration?: boolean } = {},
) => ({
  workloadId,
  width,
  height,
  preset,
  upscaling: help.upscaling ?? null,
  frameGeneration: help.frameGeneration ?? false,
  averageFps,
  lowFps,
})

export interface DemoBuild {
  readonly brief: Record<string, unknown>
  readonly leads: readonly {
    readonly externalId: string
    readonly paidOn?: string
    readonly reason: string
    readonly scope?: string
  }[]
  readonly hunts: readonly {
    readonly partId: string
    readonly limit: string | null
    readonly reason: string
    readonly scope?: string
  }[]
  readonly owned: readonly string[]
  /** Day since which it stands, where it does. */
  readonly stoodOn?: string
  readonly rivals: readonly string[]
  readonly lookouts: readonly { readonly partId: string; readonly limit: string }[]
  readonly reads: readonly { readonly partId: string; readonly readOn: string; readonly note: string }[]
  /** What was said about the price of leads, by their number at the source. */
  readonly offers: readonly {
    readonly externalId: string
    readonly by: 'me' | 'seller'
    readonly amount: string
    readonly day: string
    readonly note: string
  }[]
  readonly entries: readonly {
    readonly kind: string
    readonly day: string
    readonly amount?: string
    readonly hours?: number
    readonly text: string
  }[]
  readonly ownFigures: readonly { readonly partId: string; readonly amount: string; readonly note: string }[]
}

/** A machine of five years, all of it the reading room's own. */
const readingRoom = [
  'kaldric-sallowfen-2540',
  'murrowdun-tarn-460-4-gb',
  'northpine-n1-micro',
  'palisado-16-gb-ddr3-2-8',
  'fathomline-eddy-480-gb-sata',
  'steadwell-550-w',
  'barrowcase-barrow-four',
  'lullwater-lull-90',
] as const

export const demoBuilds: readonly DemoBuild[] = [
  {
    brief: {
      name: 'Couch corner',
      purpose: 'living-room machine for a café: split-screen racing and co-op nights, quiet',
      currency: 'CAD',
      region: 'Marrow Quay',
      budget: '620.00',
      stretch: '680.00',
      wantedBy: '2026-11-21',
      houseRules: rules(['supply']),
      needs: [
        { need: 'licence', price: '24.00' },
        { need: 'keyboard-mouse', price: '28.00' },
        { need: 'controller', price: '39.00' },
        { need: 'screen-cable', price: '9.00' },
        { need: 'wireless', price: '17.00' },
      ],
      targets: [
        target('lantern-drift', 2560, 1440, 'high', 60, 45),
        target('kite-arena', 1920, 1080, 'medium', 120, 80),
        target('moor-and-mire', 1920, 1080, 'medium', 60, 40),
      ],
    },
    leads: [
      { externalId: 'B-1001', reason: 'looks dear, is half price once the old card is sold on' },
      { externalId: 'C-3001', paidOn: '2026-10-24', reason: 'new: a used one is barred by the house rule' },
      { externalId: 'S-4001', reason: '90 days of returns; worn, but far from its limit' },
      { externalId: 'B-1005', reason: 'quiet enough for a café' },
    ],
    hunts: [
      { partId: 'murrowdun-tarn-640-8-gb', limit: '138.00', reason: 'falling; no hurry before 14 November' },
      { partId: 'latchkey-desktop-licence', limit: '24.00', reason: '', scope: 'ready' },
      { partId: 'tackle-controller', limit: '39.00', reason: 'two, if money is left', scope: 'ready' },
    ],
    owned: ['shelf-cable'],
    rivals: ['brindlewick-15', 'ovalis-one', 'last-winter'],
    offers: [
      { externalId: 'B-1001', by: 'me', amount: '110.00', day: '2026-10-29', note: 'cash, today' },
      {
        externalId: 'B-1001',
        by: 'seller',
        amount: '122.00',
        day: '2026-10-30',
        note: 'with the old card or not at all',
      },
    ],
    entries: [
      { kind: 'travel', day: '2026-10-24', amount: '4.50', text: 'bus to the counter and back' },
      { kind: 'hours', day: '2026-10-25', hours: 1.5, text: 'looking through listings' },
    ],
    lookouts: [
      { partId: 'murrowdun-tarn-640-8-gb', limit: '116.00' },
      { partId: 'murrowdun-tarn-640-s-8-gb', limit: '112.00' },
    ],
    reads: [
      { partId: 'murrowdun-tarn-640-8-gb', readOn: '2026-09-19', note: 'first look' },
      { partId: 'murrowdun-tarn-640-8-gb', readOn: '2026-10-10', note: '' },
      { partId: 'sundrel-stook-51-8-gb', readOn: '2026-09-19', note: 'before the drop' },
      { partId: 'palisado-16-gb-ddr4-2-8', readOn: '2026-09-19', note: '' },
    ],
    ownFigures: [
      { partId: 'murrowdun-tarn-640-8-gb', amount: '118.00', note: 'what the last two went for at the quay' },
    ],
  },
  {
    brief: {
      name: 'Club edit box',
      purpose: 'refresh of a robotics club’s tower for cutting video and streaming; keeps case and drives',
      currency: 'CAD',
      region: 'Marrow Quay',
      budget: '480.00',
      stretch: '480.00',
      wantedBy: '2026-12-05',
      houseRules: rules(['supply', 'storage']),
      needs: [],
      targets: [
        target('copper-parish', 1920, 1080, 'high', 60, 40, { upscaling: 'quality' }),
        target('gullmarsh', 1920, 1080, 'medium', 50, 25),
      ],
    },
    leads: [{ externalId: 'C-3003', reason: 'cutting needs 32 GB' }],
    hunts: [
      { partId: 'kaldric-sallowfen-6600', limit: '90.00', reason: 'twelve threads for the cuts' },
      { partId: 'northpine-n4-full', limit: '78.00', reason: 'overclocks, has room for drives' },
      { partId: 'lullwater-lull-120', limit: '20.00', reason: '' },
    ],
    owned: ['shelf-case', 'shelf-drive', 'shelf-supply', 'shelf-card'],
    rivals: ['trestle-configured'],
    reads: [],
    ownFigures: [],
    offers: [],
    entries: [],
    lookouts: [{ partId: 'kaldric-sallowfen-6600', limit: '84.00' }],
  },
  {
    brief: {
      name: 'Small white one',
      purpose: 'compact, one colour: margin per hour counts',
      currency: 'CAD',
      region: 'Marrow Quay',
      budget: '380.00',
      stretch: '420.00',
      wantedBy: null,
      houseRules: rules([], 'sell'),
      needs: [{ need: 'licence', price: '24.00' }],
      targets: [
        target('pixel-orchard', 1920, 1080, 'high', 120, 80),
        target('kite-arena', 1920, 1080, 'low', 100, 60),
      ],
    },
    leads: [
      { externalId: 'B-1009', paidOn: '2026-10-29', reason: 'white, and the supply comes with it' },
      { externalId: 'B-1007', reason: 'board, CPU, memory and drive in one' },
    ],
    hunts: [
      { partId: 'murrowdun-tarn-560-8-gb', limit: '100.00', reason: 'the buyer asks for 1080p' },
      { partId: 'tackle-sata-to-8-pin-adapter', limit: null, reason: 'the supply has no 8-pin lead' },
    ],
    owned: [],
    rivals: ['ovalis-mini', 'trestle-small'],
    lookouts: [],
    reads: [],
    ownFigures: [],
    offers: [],
    entries: [{ kind: 'hours', day: '2026-10-30', hours: 2, text: 'cleaning the case' }],
  },
  {
    brief: {
      name: 'Reading room',
      purpose: 'stands and works; to be made faster for the Thursday tournaments, what comes out is sold',
      currency: 'CAD',
      region: 'Marrow Quay',
      budget: '220.00',
      stretch: '220.00',
      wantedBy: null,
      houseRules: rules([]),
      needs: [],
      targets: [
        target('kite-arena', 1920, 1080, 'medium', 120, 80),
        target('copper-parish', 1920, 1080, 'medium', 60, 40),
      ],
    },
    leads: [],
    hunts: [],
    owned: readingRoom.map((partId) => `shelf-${partId}`),
    stoodOn: '2026-09-04',
    rivals: ['trestle-configured', 'barnstall-tower'],
    lookouts: [],
    reads: [],
    ownFigures: [],
    offers: [],
    entries: [],
  },
]

/**
 * What happened before the demo's day: a machine from paid hunts, with a memory kit that came dead and went back for a
 * part of its money, sold whole in October.
 */
export const demoPast = {
  brief: {
    name: 'Harbour office tower',
    purpose: 'a plain machine for the harbour office, sold in October',
    currency: 'CAD',
    region: 'Marrow Quay',
    budget: '300.00',
    stretch: '320.00',
    wantedBy: null,
    houseRules: rules([], 'sell'),
    needs: [],
    targets: [target('pixel-orchard', 1920, 1080, 'low', 60, 40)],
  },
  bought: [
    {
      partId: 'meridon-desk-20-tower',
      paid: '118.00',
      day: '2026-09-12',
      arrives: '2026-09-12',
      state: 'works',
    },
    {
      partId: 'palisado-16-gb-ddr4-2-8',
      paid: '31.00',
      day: '2026-09-14',
      arrives: '2026-09-17',
      state: 'dead',
    },
    {
      partId: 'palisado-16-gb-ddr4-2-8',
      paid: '34.00',
      day: '2026-09-21',
      arrives: '2026-09-24',
      state: 'works',
    },
    {
      partId: 'murrowdun-tarn-440-4-gb',
      // sold as the better one, and found otherwise
      foundPartId: 'murrowdun-tarn-420-2-gb',
      paid: '41.00',
      day: '2026-09-15',
      arrives: '2026-09-18',
      state: 'works',
    },
  ],
  /** What came dead goes back. */
  sentBack: { day: '2026-09-18', expected: '31.00', refundedOn: '2026-09-29', refunded: '20.00' },
  sale: { day: '2026-10-17', price: '268.00', fee: '0', postage: '0', hours: 5 },
} as const

/** What was done since the builds were begun; a build by its name, a choice by words of its label. */
export const demoStory = {
  variants: [
    {
      of: 'Couch corner',
      name: 'Couch corner, across the water',
      brief: { currency: 'SEK', region: 'Norrby', budget: '4700.00', stretch: '5150.00', needs: [] },
      without: ['Tarn 640', 'Lull'],
      hunts: [
        { partId: 'sundrel-stook-51-8-gb', limit: '1050.00' },
        { partId: 'lullwater-lull-120', limit: '150.00' },
      ],
    },
    {
      of: 'Couch corner',
      name: 'Couch corner, other platform',
      brief: null,
      without: ['Lot: board'],
      hunts: [
        { partId: 'ostrane-threddle-33', limit: '60.00' },
        { partId: 'wainscot-corbel-micro', limit: '74.00' },
        { partId: 'palisado-16-gb-ddr4-2-8', limit: '32.00' },
        { partId: 'barrowcase-barrow-plain', limit: '26.00' },
      ],
    },
  ],
  editions: [
    { of: 'Reading room', name: 'After the summer', asOf: '2026-09-30' },
    { of: 'Reading room', name: 'Before the tournaments', asOf: null },
    { of: 'Couch corner', name: 'For the café', asOf: null },
    { of: 'Small white one', name: 'For the listing', asOf: null },
    { of: 'Club edit box', name: 'For the club', asOf: null },
  ],
  advice: [
    {
      of: 'Couch corner',
      by: 'Orla of the bench next door',
      remarks: [
        {
          line: 'Murrowdun Tarn 640 8 GB',
          remark: 'the S is quieter, and a café hears it',
          instead: 'Tarn 640 S 8 GB',
        },
        { line: '', remark: 'ask for the memory to be shown before you drive out', instead: '' },
      ],
    },
    {
      of: 'Small white one',
      by: 'Orla of the bench next door',
      remarks: [{ line: '', remark: 'a second stick sells it: people count them', instead: '' }],
    },
  ],
  plan: { of: 'Couch corner', name: 'Couch corner, as planned' },
} as const

export const demoShelf = [
  ...readingRoom.map((partId) => ({
    id: `shelf-${partId}`,
    partId,
    condition: 'used',
    cost: '0',
    currency: 'CAD',
    note: 'the reading room’s own, five years old',
  })),
  {
    id: 'shelf-cable',
    partId: 'tackle-screen-cable-2-m',
    condition: 'used',
    cost: '0',
    currency: 'CAD',
    note: 'left over',
  },
  {
    id: 'shelf-case',
    partId: 'barrowcase-barrow-six',
    condition: 'used',
    cost: '0',
    currency: 'CAD',
    note: 'the club’s own',
  },
  {
    id: 'shelf-drive',
    partId: 'fathomline-eddy-1-tb-sata',
    condition: 'used',
    cost: '0',
    currency: 'CAD',
    note: 'the club’s own',
  },
  {
    id: 'shelf-card',
    partId: 'sundrel-stook-31-6-gb',
    condition: 'used',
    cost: '0',
    currency: 'CAD',
    note: 'the club’s own',
  },
  {
    id: 'shelf-supply',
    partId: 'steadwell-400-w',
    condition: 'used',
    cost: '0',
    currency: 'CAD',
    note: 'the club’s own, seven years old',
  },
  {
    id: 'shelf-cpu',
    partId: 'kaldric-sallowfen-4360',
    condition: 'used',
    cost: '34.00',
    currency: 'CAD',
    note: 'out of an office tower',
  },
]

/** What the made-up guides say of a few cards. */
export const demoOpinions = [
  {
    partId: 'murrowdun-tarn-640-8-gb',
    guide: 'The Quay Gazette',
    saidOn: '2026-09-28',
    verdict: 'buy',
    note: 'the sensible card for 1440p',
  },
  {
    partId: 'murrowdun-tarn-640-8-gb',
    guide: 'Bench & Bellows',
    saidOn: '2026-10-12',
    verdict: 'buy',
    note: '',
  },
  {
    partId: 'sundrel-stook-51-8-gb',
    guide: 'The Quay Gazette',
    saidOn: '2026-09-28',
    verdict: 'fine',
    note: '',
  },
  {
    partId: 'sundrel-stook-51-8-gb',
    guide: 'Bench & Bellows',
    saidOn: '2026-10-12',
    verdict: 'avoid',
    note: 'loud coolers on the cheap ones',
  },
  {
    partId: 'murrowdun-tarn-680-12-gb',
    guide: 'Bench & Bellows',
    saidOn: '2026-10-12',
    verdict: 'avoid',
    note: 'wasted behind six cores',
  },
]

/** Things that may move prices before the builds are due. */
export const demoWaitNotes = [
  {
    role: 'graphics',
    partId: null,
    what: 'a new line of cards is expected',
    expectedOn: '2026-11-18',
    dropPercent: 5,
    chance: 0.5,
  },
]
