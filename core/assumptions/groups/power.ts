import { celsius, defaultsOf, factor, plain, share, watts, type ValuesOf } from '../assumption'

const draw = 'higher: larger supplies, more energy'
const inUse = 'higher: more energy per year'

/** Draw and heat where a part does not state them. */
export const powerGroup = {
  cpuW: watts('CPU without a stated limit', 65, draw),
  cardW: watts('graphics card without stated board power', 150, draw),
  boardW: watts('motherboard', 30, draw),
  moduleW: watts('a memory module', 3, draw),
  ssdW: watts('an SSD', 5, draw),
  hddW: watts('a hard drive', 8, draw),
  fanW: watts('a fan', 3, draw),
  usbW: watts('USB', 10, draw),
  'peak.to75': factor('short peaks of a card up to 75 W', 1.2, 'higher: larger supplies'),
  'peak.to150': factor('short peaks of a card up to 150 W', 1.4, 'higher: larger supplies'),
  'peak.to250': factor('short peaks of a card up to 250 W', 1.6, 'higher: larger supplies'),
  'peak.above': factor('short peaks of a card above 250 W', 1.8, 'higher: larger supplies'),
  supplyFactor: factor('supply rating over sustained draw', 1.5, 'higher: larger supplies'),
  ageingFromYear: plain(
    'a supply loses rating after this many years',
    5,
    [0, 30],
    'higher: old supplies count for more',
  ),
  ageingPerYear: share('rating lost a year after that', 0.02, 'higher: old supplies count for less'),
  'idle.cpu': share('CPU limit in use, idle', 0.12, inUse),
  'idle.card': share('card’s board power in use, idle', 0.08, inUse),
  'idle.rest': share('the rest in use, idle', 0.6, inUse),
  'work.cpu': share('CPU limit in use, office work', 0.4, inUse),
  'work.card': share('card’s board power in use, office work', 0.12, inUse),
  'work.rest': share('the rest in use, office work', 0.8, inUse),
  roomC: celsius('room temperature', 28, 'higher: larger coolers, more fans'),
} as const

export type PowerAssumptions = ValuesOf<typeof powerGroup>
export const powerDefaults = defaultsOf(powerGroup)
