import type { Role } from '../../parts/part'
import { plainText, wordsOf } from '../../text/plainText'
import {
  coming,
  comingAfter,
  lacking,
  lackingAfter,
  pieceNames,
  pieceWords,
  type PieceName,
} from './listingWords'
import type { Found } from './offer'

/** What comes along and what is missing. */
export function piecesOf(
  text: string,
  found: readonly Found[],
): { includes: PieceName[]; lacks: PieceName[] } {
  const plain = plainText(text)
  const includes: PieceName[] = []
  const lacks: PieceName[] = []
  const roles = new Set(found.map(({ role }) => role))
  for (const name of pieceNames) {
    if (isOwnKind(name, roles)) continue
    for (const match of plain.matchAll(new RegExp(pieceWords[name].source, 'g'))) {
      const from =
        Math.max(
          plain.lastIndexOf('. ', match.index),
          plain.lastIndexOf('\n', match.index),
          plain.lastIndexOf(',', match.index),
          plain.lastIndexOf(';', match.index),
        ) + 1
      const before = plain.slice(from, match.index)
      const after = plain.slice(match.index + match[0].length, match.index + match[0].length + 30)
      if (lackingAfter.test(after) || isLast(lacking, before)) {
        if (!lacks.includes(name)) lacks.push(name)
      } else if (
        comingAfter.test(after) ||
        isLast(coming, before) ||
        isListed(plain.slice(0, match.index)) ||
        /\bare there\b/.test(plain.slice(match.index, match.index + 50))
      ) {
        if (!includes.includes(name)) includes.push(name)
      } else continue
      break
    }
  }
  return { includes, lacks }
}

/** A thing's own kind is what is sold, not what comes along: the drive of a drive, the cables of a cable. */
function isOwnKind(name: PieceName, roles: ReadonlySet<Role | null>): boolean {
  if (name === 'drive') return roles.has('storage') || !roles.has('donor')
  if (name === 'cooler') return roles.has('cooler') && roles.size === 1
  if (name === 'panel') return !roles.has('case')
  return false
}

/** `comes with box, shield, two cables`: one of a list of few words each. */
function isListed(before: string): boolean {
  const sentence = before.slice(Math.max(...['. ', '\n', ';'].map((mark) => before.lastIndexOf(mark))) + 1)
  const [, list] = listOpens.exec(sentence) ?? []
  return (
    list !== undefined &&
    list.split(/,| and | und | et | y | och |&|\+/).every((item) => wordsOf(item).length <= 3) &&
    !lacking.test(list) &&
    !lackingAfter.test(list)
  )
}
const listOpens = /\b(?:comes? with|includes?|including|incl\.?|inkl\.?|comprend|incluye|ingar):? (.*)$/

/** Whether a pattern is the last thing said before, or a word or two earlier. */
function isLast(pattern: RegExp, before: string): boolean {
  const all = [...before.matchAll(new RegExp(pattern.source, 'g'))]
  const last = all.at(-1)
  return last !== undefined && wordsOf(before.slice(last.index + last[0].length)).length <= 4
}
