import { createGlobalState, StorageSerializers, useSessionStorage } from '@vueuse/core'
import { wrap, type Remote } from 'comlink'
import PasteWorkerFile from '~/workers/paste.worker?worker'
import type { PasteReading } from '#core/pastes/readPaste'
import type { PasteQuestion, PasteWorker } from '~/workers/pasteProtocol'

let worker: Remote<PasteWorker> | null = null
function pasteWorker(): Remote<PasteWorker> {
  worker ??= wrap<PasteWorker>(new PasteWorkerFile())
  return worker
}

/** Reads a paste in the worker. */
export function readPaste(question: PasteQuestion): Promise<PasteReading> {
  // what is reactive cannot be handed to a worker
  return pasteWorker().read(JSON.parse(JSON.stringify(question)) as PasteQuestion)
}

/** The text that lies on the counter to be looked at; null: none. A reload loses nothing of it. */
export const usePastedText = createGlobalState(() =>
  useSessionStorage<string | null>('tarvin-pasted', null, { serializer: StorageSerializers.string }),
)

/** Whether a paste into this is meant for the field itself. */
export function isTypingInto(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}

/** Largest file that is dropped to be read, in bytes. */
const mostBytes = 5_000_000

/** The text of a dropped or chosen file; a sentence where it is none. */
export async function textOfFile(file: File): Promise<string> {
  if (file.size > mostBytes) throw new Error(`${file.name} is larger than 5 MB: copy only the part you need`)
  const text = await file.text()
  if (text.slice(0, 2000).includes('\u0000') || /^\u0089PNG|^\ufffd/.test(text))
    throw new Error(`${file.name} is an image or another binary file: copy the text instead`)
  return text
}
