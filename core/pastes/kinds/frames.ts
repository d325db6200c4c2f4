import { frameLogHead } from '../../reading/frames/frameLogFile'
import type { PasteKindRecord } from '../pasteKind'

/** A frame-time log: read by Bench, where runs are. */
export const frames: PasteKindRecord<null> = {
  label: 'a frame-time log',
  claim: ({ plain }) => (looksLikeFrames(plain) ? 90 : 0),
  read: () => null,
}

const fewestNamed = 10
const fewestBare = 100

/** Lines of figures of which one column is named after frames, or a long column of nothing else. */
function looksLikeFrames(text: string): boolean {
  if (!/^[^\n]*\n\s*[\d"]/.test(text)) return false
  const { header, hasHeader, proposal } = frameLogHead(text)
  if (proposal === null) return false
  const rows = text.split('\n').length - (hasHeader ? 1 : 0)
  const isNamed = hasHeader && /frame|\bms\b/i.test(header.join(' '))
  return isNamed ? rows >= fewestNamed : !hasHeader && rows >= fewestBare
}
