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

/** `no red light`, `never dropped`, `no issues or odd beeps`: what stands before a fault denies it. */
const deniedBefore =
  /\b(?:no|never|not|without|zero|kein|keine|keinerlei|nie|ohne|sans|aucun|aucune|pas de|jamais|inga|ingen|aldrig|utan|sin|ningun|nunca)(?: \w+(?: or| oder| ou| eller| o)?)? $/

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
    if (said && !(reason === 'condition' && deniedBefore.test(plain.slice(0, said.index))))
      return { reason, detail: `${says}: "${said[0].trim().slice(0, 40)}"` }
  }
  return null
}
