import type { Part } from '#core/parts/part'
import type { Workload } from '#core/performance/model/workload'
import type { RivalView } from '../rivals/views'
import type { ShelfView } from '../shelf/views'
import type { SourceView } from '../sources/views'

export interface LibraryView {
  readonly parts: readonly Part[]
  readonly sources: readonly SourceView[]
  readonly workloads: readonly Workload[]
  readonly rivals: readonly RivalView[]
  readonly shelf: readonly ShelfView[]
}
