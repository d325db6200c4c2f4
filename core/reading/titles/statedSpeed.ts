import { phrases } from '../../text/phrases'
import { TokenKind, Unit, type TitleScanner } from './titleScanner'

/** Speeds that modules are sold by, in MT/s; a bare number in a title of memory that is none of them says nothing. */
const usualSpeeds = new Set(
  phrases(`
    1066, 1333, 1600, 1866, 2133, 2400, 2666, 2800, 2933, 3000, 3200, 3466, 3600, 4000, 4133, 4266, 4400, 4800, 5200,
    5600, 6000, 6200, 6400, 6600, 6800, 7200, 7600, 8000
  `).map(Number),
)

/** Whether a title of memory states a speed, and never the one wanted, in MT/s. */
export function statesOtherSpeed({ kind, first, unit, count }: TitleScanner, wanted: number): boolean {
  let states = false
  for (let at = 0; at < count; at += 1) {
    const isSpeed = kind[at] === TokenKind.number || (kind[at] === TokenKind.measure && unit[at] === Unit.mhz)
    if (!isSpeed || !usualSpeeds.has(first[at]!)) continue
    if (first[at] === wanted) return false
    states = true
  }
  return states
}
