// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { frameTimes } from '#core/performance/frametimes/frameTimes'
import type { BenchView, RunView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import type { ConnectorView, PollView } from '#shared/sources/views'
import BeforeAfter from '~/places/bench/components/BeforeAfter.vue'
import FrameFigures from '~/places/bench/components/FrameFigures.vue'
import RunTable from '~/places/bench/components/RunTable.vue'
import RateTable from '~/places/settings/components/RateTable.vue'
import ConnectorTable from '~/places/sources/components/ConnectorTable.vue'
import { press } from './counter'
import { registerComponents } from './mounted'

/** Tables of runs, rates and scheduled checks: what they show of each state, and what their buttons send. */
let router: Router
const sent: { method: string; path: string; body: unknown }[] = []
const answers = new Map<string, unknown>()
beforeAll(() =>
  registerComponents(['RateForm', 'ConnectorForm', 'TextField', 'NumberField', 'DayField', 'DateField']),
)
beforeEach(() => {
  setActivePinia(createPinia())
  sent.length = 0
  answers.clear()
  router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:all(.*)*', component: { template: '<p />' } }],
  })
  vi.stubGlobal('fetch', async (path: string, { method = 'GET', body }: RequestInit = {}) => {
    sent.push({ method, path, body: typeof body === 'string' ? JSON.parse(body) : undefined })
    const answer = [...answers].find(([end]) => path.endsWith(end))?.[1]
    return Response.json(answer ?? {}, method === 'GET' ? {} : { headers: { 'x-changed': '1' } })
  })
})
afterEach(() => vi.unstubAllGlobals())
async function shownFor(component: Component, props: object) {
  const shown = mount(component, { props: props as never, global: { plugins: [router] } })
  await flushPromises()
  return shown
}
const written = () => sent.filter(({ method }) => method !== 'GET')

const run = (change: object = {}): RunView =>
  ({
    id: 'r1',
    workloadId: 'cinder',
    workload: 'Cinder',
    pair: 'a',
    machine: 'Dovecote 5300, Quill 70',
    isThisMachine: true,
    kind: 'own-log',
    settings: { width: 1920, height: 1080, preset: 'high', upscaling: null, frameGeneration: false },
    scene: '',
    averageFps: 60,
    lowFps: 48,
    minFps: null,
    maxFps: null,
    repeats: [],
    spread: null,
    conditions: {
      ambientC: null,
      sidePanel: null,
      memoryMts: null,
      drive: null,
      driverVersion: '',
      background: '',
      gameVersion: '',
    },
    readings: { cpuUse: null, cardUse: null, cpuC: null, cardC: null, wallW: null, videoMemoryGb: null },
    lowsCause: null,
    noise: null,
    feeling: null,
    origin: '',
    ranOn: '2026-10-12',
    note: '',
    excluded: null,
    overruled: false,
    residual: null,
    logs: [],
    ...change,
  }) as unknown as RunView
const benchOf = (...runs: RunView[]) =>
  ({
    runs,
    machines: [...new Set(runs.map(({ pair }) => pair))].map((pair) => ({ pair, name: pair, runs: 1 })),
  }) as unknown as BenchView

describe('runs', () => {
  const view = { workloads: [{ id: 'cinder', name: 'Cinder' }] } as unknown as BuildView
  test('those of other machines and those left out can be seen apart', async () => {
    const bench = benchOf(
      run(),
      run({ id: 'r2', isThisMachine: false, kind: 'published' }),
      run({ id: 'r3', excluded: 'the room was 9 °C warmer' }),
    )
    const shown = await shownFor(RunTable, { view, bench })
    const ids = () => shown.findAll('[data-run]').map((row) => row.attributes('data-run'))
    expect(ids()).toEqual(['r1', 'r2', 'r3'])
    for (const [which, expected] of [
      ['this', ['r1', 'r3']],
      ['own', ['r1', 'r3']],
      ['excluded', ['r3']],
    ] as const) {
      await shown.find('select[aria-label="which runs"]').setValue(which)
      await flushPromises()
      expect(ids(), which).toEqual(expected)
    }
    expect(shown.text()).toContain('left out: the room was 9 °C warmer')
    expect(shown.text()).toContain('1 of 3')
  })
  test('one left out can be let count, and be left out again; a console mode cannot', async () => {
    const shown = await shownFor(RunTable, {
      view,
      bench: benchOf(
        run({ excluded: 'unlike' }),
        run({ id: 'r2', excluded: 'a console mode', kind: 'console-mode' }),
      ),
    })
    expect(shown.findAll('button').filter((button) => button.text() === 'count it')).toHaveLength(1)
    await press(shown, 'count it')
    expect(written()).toEqual([{ method: 'PATCH', path: '/api/bench/runs/r1', body: { overruled: true } }])
    const counted = await shownFor(RunTable, { view, bench: benchOf(run({ overruled: true })) })
    expect(counted.text()).toContain('counted by you')
    await press(counted, 'leave out')
    expect(written().at(-1)!.body).toEqual({ overruled: false })
  })
  test('what was noted beside it is told on demand, and that nothing was', async () => {
    const shown = await shownFor(RunTable, {
      view,
      bench: benchOf(
        run({
          spread: 0.021,
          repeats: [
            { averageFps: 60, discarded: '' },
            { averageFps: 31, discarded: 'a download ran' },
          ],
          readings: { cpuUse: 91, cardUse: null, cpuC: null, cardC: 71, wallW: 244, videoMemoryGb: null },
          logs: [{ id: 'l1', name: 'evening', frames: 12_345 }],
        }),
      ),
    })
    await press(shown, 'more')
    expect(shown.text()).toContain('1 repeats, 2.1 % spread')
    expect(shown.text()).toContain('repeat of 31 discarded: a download ran')
    expect(shown.text()).toContain('CPU usage 91 % · GPU 71 °C · wall power 244 W')
    await press(shown, /open its log/)
    expect(shown.emitted('openLog')).toEqual([['l1', 'evening']])
    const bare = await shownFor(RunTable, { view, bench: benchOf(run()) })
    await press(bare, 'more')
    expect(bare.text()).toContain('No more details.')
  })
  test('measured against the fit, and against a fit without these parts', async () => {
    const shown = await shownFor(RunTable, {
      view,
      bench: benchOf(run({ residual: { fitted: -0.04, leftOut: 0.1 } }), run({ id: 'r2', lowFps: null })),
    })
    const cells = shown.findAll('[data-run]').map((row) => row.findAll('td').map((cell) => cell.text()))
    expect(cells[0]!.slice(5, 8)).toEqual(['60.0', '48.0', '+4.0 % / −10.0 %'])
    expect(cells[1]!.slice(5, 8)).toEqual(['60.0', '—', '—'])
  })
})

describe('before and after', () => {
  const other = (change: object = {}) => run({ id: 'b', pair: 'b', averageFps: 90, lowFps: 60, ...change })
  test('like pairs make the mean: 60 to 90 is half as much again', async () => {
    const shown = await shownFor(BeforeAfter, { bench: benchOf(other(), run()) })
    expect(shown.text()).toContain(
      '+50.0 % average fps, geometric mean over 1 matching pairs, +25.0 % in the 1 % lows',
    )
    await press(shown, 'Swap')
    expect(shown.text()).toContain('−33.3 % average fps')
  })
  test('unlike conditions are shown and stay out; a run with no partner stands alone', async () => {
    const shown = await shownFor(BeforeAfter, {
      bench: benchOf(
        other({ conditions: { ...other().conditions, ambientC: 31 } }),
        run({ conditions: { ...run().conditions, ambientC: 20 } }),
        run({ id: 'r4', scene: 'harbour' }),
      ),
    })
    expect(shown.text()).toContain('No pair under the same conditions, so there is no mean.')
    expect(shown.text()).toContain('different conditions, left out:')
    expect(shown.text()).toContain('1 runs have no counterpart at the same settings')
  })
  test('nothing at the same settings says so', async () => {
    const shown = await shownFor(BeforeAfter, { bench: benchOf(other({ scene: 'harbour' }), run()) })
    expect(shown.text()).toContain('No two runs of these share the same settings')
  })
})

test('figures of two logs side by side; a stretch without frames has dashes', async () => {
  const statistics = frameTimes(
    Array.from({ length: 200 }, () => 16),
    60,
  )
  const shown = await shownFor(FrameFigures, {
    names: ['evening', 'morning'],
    stretches: [{ statistics }, { statistics: null }],
    target: 60,
    lowMethod: 'percentile',
    isPart: true,
  })
  expect(shown.text()).toContain('In the selected range')
  const row = (label: string) =>
    shown
      .findAll('tbody tr')
      .find((each) => each.text().startsWith(label))!
      .findAll('td')
      .map((cell) => cell.text())
  expect(row('frames')).toEqual(['frames', '200', '—'])
  // 1000 / 16
  expect(row('average fps')).toEqual(['average fps', '62.5', '—'])
  expect(shown.findAll('tr.font-semibold').map((each) => each.find('td').text())).toEqual([
    '1 % low, percentile',
  ])
  await press(shown, 'close morning')
  expect(shown.emitted('close')).toEqual([['morning']])
})

describe('exchange rates', () => {
  const rates = [{ date: '2026-10-01', from: 'EUR', to: 'CAD', rate: '1.51' }]
  const table = () => shownFor(RateTable, { home: 'CAD', today: '2026-10-31' })
  test('none yet says when they are needed', async () => {
    answers.set('/api/settings/rates', [])
    expect((await table()).text()).toContain('only needed when something is priced in another currency')
  })
  test('one is removed by its day and currencies', async () => {
    answers.set('/api/settings/rates', rates)
    const shown = await table()
    expect(shown.find('tbody tr').text()).toContain('EUR1.51CAD')
    answers.set('/api/settings/rates', [])
    await press(shown, 'remove')
    expect(written()).toEqual([
      { method: 'DELETE', path: '/api/settings/rates', body: { date: '2026-10-01', from: 'EUR', to: 'CAD' } },
    ])
    expect(shown.text()).toContain('None yet')
  })
})

describe('scheduled checks', () => {
  const poll = (change: Partial<PollView> = {}): PollView =>
    ({
      id: 'p1',
      startedAt: '2026-10-31T08:00:00Z',
      outcome: 'done',
      message: '',
      added: 0,
      changed: 0,
      vanished: 0,
      alreadyThere: 0,
      rejected: 0,
      problems: [],
      ...change,
    }) as unknown as PollView
  const connector = (change: object = {}): ConnectorView =>
    ({
      id: 'c1',
      sourceName: 'Gavelry',
      kind: 'feed',
      url: 'https://gavelry.example/feed',
      paused: false,
      dueAt: '2000-01-01T00:00:00Z',
      everyMinutes: 60,
      failures: 0,
      polls: [],
      ...change,
    }) as unknown as ConnectorView
  async function table(...connectors: ConnectorView[]) {
    answers.set('/api/sources/connectors', connectors)
    return shownFor(ConnectorTable, { sources: [] })
  }
  test('none yet says what can be asked', async () =>
    expect((await table()).text()).toContain('None yet. Tarvin can check a URL'))
  test.each([
    [poll(), 'nothing new'],
    [
      poll({ added: 3, changed: 1, vanished: 2, alreadyThere: 9, rejected: 1 }),
      '3 new, 1 price changes, 2 gone, 9 already known, 1 rejected',
    ],
    [poll({ outcome: 'failed', message: 'the page answered 503' }), 'the page answered 503'],
    [poll({ outcome: 'running' }), 'checking…'],
  ])('what the last asking brought: %#', async (last, words) =>
    expect((await table(connector({ polls: [last] }))).text()).toContain(words),
  )
  test('never asked, due, paused, and failing often', async () => {
    const shown = await table(connector({ failures: 3 }), connector({ id: 'c2', paused: true }))
    expect(shown.text()).toContain('not yet')
    expect(shown.text()).toContain('due')
    expect(shown.text()).toContain('paused')
    expect(shown.text()).toContain('failed 3 times in a row: checked less often')
  })
  test('lines that were not taken are told with their reason', async () => {
    const shown = await table(
      connector({
        polls: [poll({ rejected: 1, problems: [{ where: 'entry 2', reason: 'has no link' }] as never })],
      }),
    )
    expect(shown.text()).not.toContain('has no link')
    await press(shown, 'more')
    expect(shown.text()).toContain('entry 2 has no link')
    await press(shown, 'less')
    expect(shown.text()).not.toContain('has no link')
  })
  test('asked now, all of them but the paused, put off, paused, removed', async () => {
    const shown = await table(connector(), connector({ id: 'c2', paused: true }))
    answers.set('/poll', [connector(), connector({ id: 'c2', paused: true })])
    await press(shown, 'Check all now')
    expect(written().map(({ path }) => path)).toEqual(['/api/sources/connectors/c1/poll'])
    answers.set('/connectors/c1', [connector()])
    await shown.find('input[type="number"]').setValue(30)
    await flushPromises()
    await press(shown, 'pause')
    await press(shown, '×')
    expect(written().slice(1)).toEqual([
      { method: 'PATCH', path: '/api/sources/connectors/c1', body: { everyMinutes: 30 } },
      { method: 'PATCH', path: '/api/sources/connectors/c1', body: { paused: true } },
      { method: 'DELETE', path: '/api/sources/connectors/c1', body: undefined },
    ])
  })
})
