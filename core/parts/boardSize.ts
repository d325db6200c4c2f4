import { compared } from './vocabularies'

/** Standard sizes of boards, each taking less room than the next. */
const standard = ['mini-ITX', 'micro-ATX', 'ATX', 'E-ATX'] as const

/**
 * Whether a case takes a board: one of its named sizes, or a smaller standard one, as the holes for it are there; a
 * board of own size only where it is named.
 *
 * @example takesBoard(['ATX'], 'mini-ITX') // true
 */
export function takesBoard(boardSizes: readonly string[], size: string): boolean {
  if (boardSizes.some((each) => compared(each) === compared(size))) return true
  const at = standard.findIndex((each) => each === size)
  return at >= 0 && boardSizes.some((each) => standard.findIndex((known) => known === each) > at)
}
