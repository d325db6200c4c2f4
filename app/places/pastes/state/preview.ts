import type { Component } from 'vue'
import { pasteKindNames, type PasteKind } from '#core/pastes/kinds'
import type { PasteReading } from '#core/pastes/readPaste'
import type { LibraryView } from '#shared/parts/views'

/** What a preview shows: the paste as one kind, and what it is kept into. */
export type Pasted<K extends PasteKind = PasteKind> = PasteReading<K> & {
  readonly text: string
  readonly library: LibraryView
  readonly today: string
  /** What signs and bare figures of it mean. */
  readonly currency: string
  readonly dayFirst: boolean | null
  /** The build it is pasted into; null: there is none yet. */
  readonly buildId: string | null
  readonly busy: boolean
}

/** What a preview says about the paste that changes its reading. */
export type PasteSaid = Partial<Pick<Pasted, 'currency' | 'dayFirst'>>

const previews = import.meta.glob<Component>('../components/Pasted*.vue', { eager: true, import: 'default' })

/** The preview of each kind: the component that bears its name. */
export const previewOf = Object.fromEntries(
  pasteKindNames.map((kind) => [
    kind,
    previews[`../components/Pasted${kind[0]!.toUpperCase()}${kind.slice(1)}.vue`],
  ]),
) as Readonly<Record<PasteKind, Component>>
