import { readSpecTable } from '../../reading/specs/readSpecTable'
import type { SpecRead } from '../../reading/specs/readSpec'
import type { PasteKindRecord } from '../pasteKind'

/** A specification, or several: a table of parts, many facts in one, or a short text that names a role. */
export const spec: PasteKindRecord<readonly SpecRead[]> = {
  label: 'a spec sheet',
  claim: (seen) => {
    const { specs, sales, plain } = seen
    if (sales.kind !== 'table' && specs.length > 1 && readSpecTable(plain)) return 80
    if (seen.stated >= 3) return 40
    return specs.some(({ role }) => role !== null) && plain.length < 4000 ? 20 : 0
  },
  read: ({ specs }) => specs,
}
