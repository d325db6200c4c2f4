import { hashText, type TitleScanner } from './titleScanner'

const [atx, itx, matx, uatx, mitx, eatx, micro, mini, m, e, extended] = (
  ['atx', 'itx', 'matx', 'uatx', 'mitx', 'eatx', 'micro', 'mini', 'm', 'e', 'extended'] as const
).map(hashText)

/** The size of board that a title states, such as `micro-ATX`; '' where it states none. */
export function statedBoardSize({ hash, count }: TitleScanner): string {
  for (let at = 0; at < count; at += 1) {
    const before = at > 0 ? hash[at - 1] : -1
    if (hash[at] === itx || hash[at] === mitx) return 'mini-ITX'
    if (hash[at] === matx || hash[at] === uatx) return 'micro-ATX'
    if (hash[at] === eatx) return 'E-ATX'
    if (hash[at] !== atx) continue
    if (before === micro || before === m) return 'micro-ATX'
    if (before === e || before === extended) return 'E-ATX'
    return before === mini ? 'mini-ITX' : 'ATX'
  }
  return ''
}
