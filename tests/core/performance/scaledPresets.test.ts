import { expect, test } from 'vitest'
import { scaledPresets } from '#core/performance/model/scaledPresets'

const presets = {
  low: { graphics: 0.6, cpu: 0.8, videoMemoryGb: 2 },
  high: { graphics: 1, cpu: 1, videoMemoryGb: 4 },
} as never

test('every preset moves with the reference one, to a tenth', () => {
  const scaled = scaledPresets(presets, 'high', 6)
  expect(Object.values(scaled).map(({ videoMemoryGb }) => videoMemoryGb)).toEqual([3, 6])
  expect(scaledPresets(presets, 'low', 3.33).high!.videoMemoryGb).toBe(6.7)
})

test('what the reference needs already changes nothing, and the other figures stay', () =>
  expect(scaledPresets(presets, 'high', 4)).toEqual(presets))

test('a shape that states no video memory, or no such preset, counts as 1 GB', () =>
  expect(scaledPresets(presets, 'ultra', 2).high!.videoMemoryGb).toBe(8))
