/** Resolutions people have, with what they are called. */
const usual = [
  ['1280x720', '720p'],
  ['1600x900', '900p'],
  ['1920x1080', '1080p'],
  ['2560x1440', '1440p'],
  ['3440x1440', '1440p ultrawide'],
  ['3840x2160', '2160p'],
] as const

interface ScreenSize {
  width: number
  height: number
}

/** `{ width: 1920, height: 1080 }` as `1920x1080`. */
export function sizeText({ width, height }: ScreenSize): string {
  return `${width}x${height}`
}

/** `1920x1080` as `{ width: 1920, height: 1080 }`. */
export function sizeFrom(size: string): ScreenSize {
  const [width = 0, height = 0] = size.split('x').map(Number)
  return { width, height }
}

/** The choices of a resolution, the present one among them whatever it is. */
export function sizeOptions(present: ScreenSize): readonly (readonly [size: string, called: string])[] {
  const size = sizeText(present)
  return usual.some(([each]) => each === size) ? usual : [[size, size], ...usual]
}
