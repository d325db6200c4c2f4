import { CoreError } from '../../errors/coreError'

const signatures: readonly (readonly [string, readonly number[]])[] = [
  ['a picture (PNG)', [0x89, 0x50, 0x4e, 0x47]],
  ['a picture (JPEG)', [0xff, 0xd8, 0xff]],
  ['a picture (GIF)', [0x47, 0x49, 0x46, 0x38]],
  ['a zip file or spreadsheet', [0x50, 0x4b, 0x03, 0x04]],
  ['a PDF', [0x25, 0x50, 0x44, 0x46]],
]

/**
 * Decodes the bytes of a text file: UTF-16 by its byte-order mark, UTF-8, else Western single-byte (Windows-1252).
 * Throws `not-text` with what the file seems to be where it is a picture, a spreadsheet or another binary.
 */
export function decodeText(bytes: Uint8Array): { readonly text: string; readonly encoding: string } {
  const signature = signatures.find(([, start]) => start.every((byte, index) => bytes[index] === byte))
  if (signature) throw new CoreError('not-text', { kind: signature[0] })
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' }
  if (bytes[0] === 0xfe && bytes[1] === 0xff)
    return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' }
  if (bytes.subarray(0, 4096).includes(0)) throw new CoreError('binary-file', {})
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' }
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' }
  }
}
