import type { Manner } from '#core/reading/sales/soldRecord'
import type { sources } from '../../../db/schema/sources'

/** How a kind of source sells, where a listing does not say. */
export function mannerOfSource(kind: (typeof sources.$inferSelect)['kind']): Manner {
  return kind === 'classifieds' ? 'local' : kind === 'auction' ? 'auction' : 'fixed'
}
