import { findAmounts, marksOf } from '../../reading/amounts/findAmounts'
import type { ScoresRead } from '../../reading/scores/readScores'
import { wordsFor } from '../../reading/words/allWords'
import { plainText, wordsOf } from '../../text/plainText'
import type { Part } from '../../parts/part'
import type { PasteKindRecord } from '../pasteKind'
import type { PasteSeen } from '../pasteSeen'

/** A table of scores, and the parts that the name of each row means; several where the name fits more than one. */
export interface ScoresOfPaste extends ScoresRead {
  readonly partIds: readonly (readonly string[])[]
}

/** A name and a figure in nearly every line, without a price anywhere. */
export const scores: PasteKindRecord<ScoresOfPaste> = {
  label: 'a table of scores',
  claim: (seen) => (areScores(seen) ? 45 : 0),
  read: ({ scores, reader, context: { library } }) => {
    const indexed = new Set(library.filter(hasIndex).map(({ id }) => id))
    const idsOf = (name: string) => reader.read(name).partIds.filter((id) => indexed.has(id))
    return { ...scores, partIds: scores.rows.map(({ name }) => idsOf(name)) }
  },
}

/** Only what frames come from has an index. */
const hasIndex = ({ role }: Part) => role === 'cpu' || role === 'graphics'

function areScores({ plain, scores: { rows, notRead }, context }: PasteSeen): boolean {
  if (rows.length === 0 || rows.some(({ name }) => name.endsWith(':'))) return false
  // a heading that says so makes a table of one row
  const isNamed = wordsFor('scoreColumn').has(wordsOf(plainText(plain.split('\n')[0]!)))
  const isTable = isNamed
    ? rows.length >= notRead.length
    : rows.length >= 3 && notRead.length <= rows.length / 2
  return (
    isTable &&
    findAmounts(plain.slice(0, 20_000), context.currency, marksOf(plain)).every(({ isBare }) => isBare)
  )
}
