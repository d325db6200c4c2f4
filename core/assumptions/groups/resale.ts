import { days, defaultsOf, months, share, type ValuesOf } from '../assumption'

/** What comes back when things are sold, and how prices are agreed. */
export const resaleGroup = {
  sells: share('chance that a thing sells', 0.9, 'higher: lots and parting out look cheaper'),
  wholeFactor: share('a whole machine, of its parts’ street prices', 0.9, 'higher: machines keep more value'),
  haggleShare: share('the usual haggle takes off an ask', 0.1, 'higher: higher asks'),
  replacedShare: share('a replaced part brings, of its street price', 0.8, 'higher: steps up cost less'),
  rivalShare: share('a machine of unknown parts brings, of its price', 0.7, 'higher: rivals keep more value'),
  buyerShare: share(
    'buyers of such a machine who see yours',
    0.5,
    'higher: it sells sooner, asks are higher',
  ),
  sellingDays: days('a machine is offered whole before it is parted out', 42, 'higher: higher first asks'),
  lowestOpening: share('lowest opening, of the ask', 0.6, 'higher: openings nearer the ask'),
  machineWindowDays: days(
    'sold machines count back for',
    180,
    'higher: more machines to compare with, older ones',
  ),
  machineHalfLifeDays: days('a sold machine weighs half after', 60, 'higher: older sales weigh more'),
  'warranty.new': months('warranty of a new thing', 24, 'higher: fewer faults paid by you'),
  'warranty.opened': months('warranty of an opened thing', 12, 'higher: fewer faults paid by you'),
  'warranty.refurbished': months('warranty of a refurbished thing', 3, 'higher: fewer faults paid by you'),
  'returns.market': days('return window with the market’s protection', 14, 'higher: later return-by dates'),
  'returns.returns': days('return window where returns are accepted', 30, 'higher: later return-by dates'),
  'returns.warranty': days('return window under warranty', 14, 'higher: later return-by dates'),
} as const

export type ResaleAssumptions = ValuesOf<typeof resaleGroup>
export const resaleDefaults = defaultsOf(resaleGroup)
