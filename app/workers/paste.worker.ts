import { expose } from 'comlink'
import { readPaste } from '#core/pastes/readPaste'
import type { PasteWorker } from './pasteProtocol'

/** Reads a paste away from the page, so that a novel or a large table never holds it up. */
const worker: PasteWorker = { read: ({ text, as, ...context }) => readPaste(text, context, as) }

expose(worker)
