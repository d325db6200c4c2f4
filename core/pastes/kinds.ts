import { file } from './kinds/file'
import { frames } from './kinds/frames'
import { listing } from './kinds/listing'
import { listings } from './kinds/listings'
import { nothing } from './kinds/nothing'
import { offers } from './kinds/offers'
import { sales } from './kinds/sales'
import { scores } from './kinds/scores'
import { spec } from './kinds/spec'

/** The kinds of paste, as the list of the sheet shows them: the one place that knows them all. */
export const pasteKinds = { sales, listing, listings, offers, spec, scores, frames, file, nothing }
export type PasteKind = keyof typeof pasteKinds
export const pasteKindNames = Object.keys(pasteKinds) as PasteKind[]
