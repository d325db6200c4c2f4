import { days, defaultsOf, months, share, type ValuesOf } from '../assumption'

/** What comes back when things are sold, and how prices are agreed. */
export const resaleGroup = {
  sells: share('chance that a part sells', 0.9, 'higher: lots and parting out look cheaper'),
  wholeFactor: share(
    'price of a whole PC, as a share of its parts’ street prices',
    0.9,
    'higher: PCs keep more value',
  ),
  haggleShare: share('usual haggling discount', 0.1, 'higher: higher asking prices'),
  replacedShare: share(
    'resale price of a replaced part, as a share of its street price',
    0.8,
    'higher: upgrades cost less',
  ),
  rivalShare: share(
    'resale price of a PC of unknown parts, as a share of its price',
    0.7,
    'higher: rivals keep more value',
  ),
  buyerShare: share(
    'share of buyers of such a PC who see yours',
    0.5,
    'higher: it sells sooner at a higher asking price',
  ),
  sellingDays: days(
    'time to offer a PC whole before parting it out',
    42,
    'higher: higher first asking prices',
  ),
  lowestOpening: share(
    'lowest first offer, as a share of the asking price',
    0.6,
    'higher: first offers closer to the asking price',
  ),
  machineWindowDays: days('age of PC sales that count', 180, 'higher: more PCs to compare with, but older'),
  machineHalfLifeDays: days('half-life of a PC sale', 60, 'higher: older sales weigh more'),
  'warranty.new': months('warranty of a new part', 24, 'higher: fewer faults paid by you'),
  'warranty.opened': months('warranty of an opened part', 12, 'higher: fewer faults paid by you'),
  'warranty.refurbished': months('warranty of a refurbished part', 3, 'higher: fewer faults paid by you'),
  'returns.market': days('return window with marketplace protection', 14, 'higher: later return-by dates'),
  'returns.returns': days('return window where returns are accepted', 30, 'higher: later return-by dates'),
  'returns.warranty': days('return window under warranty', 14, 'higher: later return-by dates'),
} as const

export type ResaleAssumptions = ValuesOf<typeof resaleGroup>
export const resaleDefaults = defaultsOf(resaleGroup)
