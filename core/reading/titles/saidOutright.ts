import type { Role } from '../../parts/part'
import { plainText } from '../../text/plainText'
import type { Verdict } from './dropReasons'
import { brokenPatterns } from './outright/brokenPatterns'
import { lotPatterns } from './outright/lotPatterns'
import { otherPatterns } from './outright/otherPatterns'
import { piecePatterns } from './outright/piecePatterns'

/**
 * What some titles say in so many words that nothing around them changes it; the other questions of the sieve look at
 * single words and what stands beside them. The patterns stand by what they say, one file each.
 */
const outright = [...otherPatterns, ...lotPatterns, ...piecePatterns, ...brokenPatterns]

/** The verdict of the first such pattern; null where the title says none of them. */
export function saidOutright(
  title: string,
  role: Role | undefined,
  isDamagedWanted: boolean,
): Verdict | null {
  const plain = plainText(title)
  for (const { pattern, roles, reason, says } of outright) {
    if (reason === 'condition' && isDamagedWanted) continue
    if (roles !== 'all' && (role === undefined || !roles.includes(role))) continue
    const said = pattern.exec(plain)
    if (said) return { reason, detail: `${says}: "${said[0].trim().slice(0, 40)}"` }
  }
  return null
}
