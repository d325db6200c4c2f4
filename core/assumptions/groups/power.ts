import { celsius, defaultsOf, factor, plain, share, watts, type ValuesOf } from '../assumption'

const draw = 'higher: larger PSUs, more energy'
const inUse = 'higher: more energy per year'

/** Draw and heat where a part does not state them. */
export const powerGroup = {
  cpuW: watts('CPU without a stated power limit', 65, draw),
  cardW: watts('graphics card without stated board power', 150, draw),
  boardW: watts('motherboard', 30, draw),
  moduleW: watts('one memory module', 3, draw),
  ssdW: watts('an SSD', 5, draw),
  hddW: watts('an HDD', 8, draw),
  fanW: watts('a fan', 3, draw),
  usbW: watts('USB', 10, draw),
  'peak.to75': factor('power spikes of a card up to 75 W', 1.2, 'higher: larger PSUs'),
  'peak.to150': factor('power spikes of a card up to 150 W', 1.4, 'higher: larger PSUs'),
  'peak.to250': factor('power spikes of a card up to 250 W', 1.6, 'higher: larger PSUs'),
  'peak.above': factor('power spikes of a card above 250 W', 1.8, 'higher: larger PSUs'),
  supplyFactor: factor('PSU rating / sustained draw', 1.5, 'higher: larger PSUs'),
  ageingFromYear: plain('age from which a PSU loses rating', 5, [0, 30], 'higher: old PSUs count for more'),
  ageingPerYear: share('rating lost per year after that', 0.02, 'higher: old PSUs count for less'),
  'idle.cpu': share('share of the CPU power limit, idle', 0.12, inUse),
  'idle.card': share('share of the card’s board power, idle', 0.08, inUse),
  'idle.rest': share('share of other parts’ power, idle', 0.6, inUse),
  'work.cpu': share('share of the CPU power limit, office work', 0.4, inUse),
  'work.card': share('share of the card’s board power, office work', 0.12, inUse),
  'work.rest': share('share of other parts’ power, office work', 0.8, inUse),
  roomC: celsius('room temperature', 28, 'higher: larger coolers, more fans'),
} as const

export type PowerAssumptions = ValuesOf<typeof powerGroup>
export const powerDefaults = defaultsOf(powerGroup)
