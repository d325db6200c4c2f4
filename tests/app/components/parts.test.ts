// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import type { Part } from '#core/parts/part'
import { typicalGames } from '#core/performance/model/typicalGames'
import type { LibraryView } from '#shared/parts/views'

const { default: IndexFromRate } = await import('~/places/parts/components/IndexFromRate.vue')
const part: Part = { id: 'card', role: 'graphics', make: 'Harrow', name: 'Quill 70', facts: { vramGb: 8 } }
const cpu = (cpuIndex?: number) => ({
  id: 'cpu',
  role: 'cpu',
  make: 'Linnet',
  name: 'Dovecote 5300',
  facts: { threads: 12, cores: 6, ...(cpuIndex ? { cpuIndex } : {}) },
})
const game = {
  ...typicalGames[0],
  id: 'kite',
  name: 'Kite',
  graphicsMs: 5,
  cpuMs: 4,
  frameGenerationFactor: 1.5,
}
const shownFor = (parts: unknown[]) =>
  mount(IndexFromRate, { props: { part, library: { parts, workloads: [game] } as unknown as LibraryView } })

describe('the index from a frame rate', () => {
  test('is solved as the rate is typed, with where it lies, and taken into the facts', async () => {
    const shown = shownFor([cpu(100)])
    await shown.find('select[aria-label="game of the rate"]').setValue('kite')
    await shown.find('select[aria-label="paired part"]').setValue('cpu')
    await shown.find('input[aria-label="average fps of the rate"]').setValue(60)
    expect(shown.text()).toContain('if the rate is off by 5 %')
    await shown.find('button').trigger('click')
    const [facts] = shown.emitted('solved')![0] as [{ graphicsIndex: number; vramGb: number }]
    expect(facts.vramGb).toBe(8)
    expect(facts.graphicsIndex).toBeGreaterThan(10)
    await shown.find('input[aria-label="average fps of the rate"]').setValue(5000)
    expect(shown.text()).toContain('No index gives that rate')
    expect(shown.find('button').attributes('disabled')).toBeDefined()
  })
  test('without a part whose index is known it says what it takes', () => {
    expect(shownFor([cpu()]).text()).toContain('a CPU with a known index')
  })
})
