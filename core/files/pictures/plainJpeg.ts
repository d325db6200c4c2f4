import { CoreError } from '../../errors/coreError'

/** A picture and nothing else, with its size in pixels. */
export interface PlainJpeg {
  readonly jpeg: Uint8Array
  readonly width: number
  readonly height: number
}

/** Bounds of what is taken. */
export interface JpegLimits {
  readonly megapixels: number
  /** A progressive picture comes in a dozen; thousands are there to keep whoever shows it busy. */
  readonly scans: number
}

const usualLimits: JpegLimits = { megapixels: 4, scans: 100 }

/** Segments by their second byte, after the standard's table of markers (ISO 10918-1, B.1). */
const [startOfPicture, endOfPicture, startOfScan, restart0, restart7] = [0xd8, 0xd9, 0xda, 0xd0, 0xd7]
const isFrame = (marker: number) => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
/** Tables, frames, intervals of restarts, scans; and the note on colours, without which they are wrong. */
const isOfPicture = (marker: number, body: Uint8Array) =>
  (marker >= 0xc0 && marker <= 0xcf) ||
  [0xda, 0xdb, 0xdd].includes(marker) ||
  (marker === 0xee && body.length === 12 && String.fromCharCode(...body.subarray(0, 5)) === 'Adobe')

/**
 * Takes out of a JPEG all that is no picture: where and when and with what it was taken, remarks, small copies, and
 * whatever follows its end. Nothing is decoded, so that it costs the same for every picture and loses nothing.
 *
 * @throws CoreError `not-a-jpeg`; `not-readable` where it is cut, or larger than the limits
 * @example plainJpeg(new Uint8Array([1, 2, 3])) // throws not-a-jpeg
 */
export function plainJpeg(bytes: Uint8Array, limits: JpegLimits = usualLimits): PlainJpeg {
  if (bytes[0] !== 0xff || bytes[1] !== startOfPicture) throw new CoreError('not-a-jpeg', {}, 'body')
  const unreadable = () => new CoreError('not-readable', { mostMegapixels: limits.megapixels }, 'body')
  const kept: Uint8Array[] = [bytes.subarray(0, 2)]
  let size: { readonly width: number; readonly height: number } | null = null
  let scans = 0
  let at = 2
  for (;;) {
    // any number of fill bytes may stand before a marker
    while (bytes[at] === 0xff && bytes[at + 1] === 0xff) at += 1
    const marker = bytes[at + 1]
    if (bytes[at] !== 0xff || marker === undefined) throw unreadable()
    if (marker === endOfPicture) break
    const length = (bytes[at + 2]! << 8) | bytes[at + 3]!
    const end = at + 2 + length
    if (!(length >= 2) || end > bytes.length) throw unreadable()
    const body = bytes.subarray(at + 4, end)
    if (isFrame(marker)) {
      if (size || body.length < 6) throw unreadable()
      size = { height: (body[1]! << 8) | body[2]!, width: (body[3]! << 8) | body[4]! }
      const pixels = size.width * size.height
      if (pixels === 0 || pixels > limits.megapixels * 1e6) throw unreadable()
    }
    const next = marker === startOfScan ? endOfScan(bytes, end) : end
    if (marker === startOfScan && (!size || (scans += 1) > limits.scans)) throw unreadable()
    if (isOfPicture(marker, body)) kept.push(bytes.subarray(at, next))
    at = next
  }
  if (!size || scans === 0) throw unreadable()
  kept.push(bytes.subarray(at, at + 2))
  return { jpeg: joined(kept), ...size }
}

/** Where what follows a scan begins: the next marker that is neither a stuffed zero nor a restart. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let at = bytes.indexOf(0xff, from); at !== -1; at = bytes.indexOf(0xff, at + 1)) {
    const next = bytes[at + 1]
    if (next !== undefined && next !== 0 && next !== 0xff && (next < restart0 || next > restart7)) return at
  }
  return bytes.length
}

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const piece of pieces) {
    all.set(piece, at)
    at += piece.length
  }
  return all
}
