import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { alignLogs } from '#core/performance/frametimes/alignLogs'
import { envelope, frameAt, frameLog, stretchOf } from '#core/performance/frametimes/frameLog'
import { frameLogHead, readFrameLog } from '#core/reading/frames/frameLogFile'
import { readRuns } from '#core/files/import/runsFile'

describe('frameLog', () => {
  test('pauses leave the log and are marked where they were', () => {
    const log = frameLog([10, 10, 1500, 10])
    expect([...log.times]).toEqual([10, 10, 10])
    expect([...log.ends]).toEqual([10, 20, 30])
    expect(log.pauses).toEqual([20])
  })
  test('a stretch by its moments; stretches that follow one another lose no frame', () => {
    const log = frameLog([10, 20, 30, 40])
    expect([...stretchOf(log, 0, 30)]).toEqual([10, 20])
    expect([frameAt(log, 0), frameAt(log, 10), frameAt(log, 99), frameAt(log, 100)]).toEqual([0, 1, 3, 4])
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 60 }),
        fc.nat(3000),
        (times, cut) => {
          const whole = frameLog(times)
          const end = whole.ends.at(-1)! + 1
          const at = Math.min(cut, end)
          expect([...stretchOf(whole, 0, at), ...stretchOf(whole, at, end)]).toEqual(times)
        },
      ),
    )
  })
  test('the envelope holds every extreme', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 200 }), { minLength: 1, maxLength: 80 }),
        fc.integer({ min: 1, max: 30 }),
        (times, columns) => {
          const log = frameLog(times)
          const slices = envelope(log, 0, log.ends.at(-1)!, columns).flatMap((slice) => slice ?? [])
          expect(Math.max(...slices.map((slice) => slice.max))).toBe(Math.max(...times))
          expect(Math.min(...slices.map((slice) => slice.min))).toBe(Math.min(...times))
        },
      ),
    )
  })
  test('two logs of one scene are laid on each other', () => {
    const scene = Array.from(
      { length: 4000 },
      (_, index) => 10 + 5 * Math.sin(index / 90) + (index % 700 < 40 ? 8 : 0),
    )
    const late = [...Array.from({ length: 200 }, () => 10), ...scene]
    // the second began 2 s earlier, so it must be moved back by them
    expect(alignLogs(frameLog(scene), frameLog(late), 5000)).toBe(-2000)
    expect(alignLogs(frameLog([10]), frameLog([10]))).toBe(0)
  })
})

describe('frameLogHead and readFrameLog', () => {
  const read = (text: string) => readFrameLog(text, frameLogHead(text).proposal!)
  test.each([
    ['frame times in ms beside a clock', 'elapsed s,frame ms\n0.016,16\n0.036,20\n', [16, 20]],
    ['time stamps in seconds', 'time\n1.000\n1.016\n1.050\n', [16, 34]],
    ['no header', '16.6\n17\n15\n', [16.6, 17, 15]],
    ['a comma for the point', 'nr;frame\n1;16,5\n2;17,5\n3;18\n', [16.5, 17.5, 18]],
    ['a running number is no time stamp', 'frame number,ms\n1,16\n2,17\n3,18.5\n', [16, 17, 18.5]],
    ['microseconds', 'frame time\n16600\n17000\n16000\n', [16.6, 17, 16]],
    ['quoted cells', '"note","frame ms"\n"a, b","16"\n"c","17"\n', [16, 17]],
  ])('%s', (_, text, expected) => {
    const { timesMs, rejected } = read(text)
    expect(rejected).toBe(0)
    expect(timesMs.length).toBe(expected.length)
    for (const [index, time] of expected.entries()) expect(timesMs[index]).toBeCloseTo(time, 6)
  })
  test('every line that holds no frame is told by number; the rest is read', () => {
    const { timesMs, problems, rejected } = readFrameLog('frame ms\n16\n-3\nstutter\n\n0\n17\n', {
      column: 0,
      unit: 'ms',
    })
    expect([...timesMs]).toEqual([16, 17])
    expect(rejected).toBe(3)
    expect(problems.map((problem) => [problem.line, problem.reason])).toEqual([
      [3, '-3 is not a frame time; it must be above 0'],
      [4, '"stutter" is not a number'],
      [6, '0 is not a frame time; it must be above 0'],
    ])
  })
  test('a time stamp that does not rise is told, and the next is held against the last good one', () => {
    const { timesMs, problems } = readFrameLog('t\n0\n10\n5\n25\n', { column: 0, unit: 'stamps-ms' })
    expect([...timesMs]).toEqual([10, 15])
    expect(problems[0]).toMatchObject({ line: 4 })
  })
  test('a wrong column, an empty file and a file without one frame are refused by name', () => {
    expect(() => readFrameLog('a,b\n1,2\n', { column: 5, unit: 'ms' })).toThrow('there is no column 6')
    expect(() => frameLogHead('  ')).toThrow('empty')
    expect(() => readFrameLog('a\nx\n', { column: 0, unit: 'ms' })).toThrow(/line 2: "x" is not a number/)
  })
  test('what is read in slices is what is read whole', () => {
    const times = Array.from({ length: 700_000 }, (_, index) => 10 + (index % 13))
    let calls = 0
    const { timesMs } = readFrameLog(`frame ms\n${times.join('\n')}`, { column: 0, unit: 'ms' }, () => {
      calls += 1
      return true
    })
    expect(timesMs.length).toBe(times.length)
    expect(timesMs.every((time, index) => time === times[index])).toBe(true)
    expect(() => readFrameLog('frame ms\n1\n2\n', { column: 0, unit: 'ms' }, () => false)).toThrow('stopped')
    expect(calls).toBeGreaterThan(0)
  })
})

describe('readRuns', () => {
  test('a file without what every run needs is refused by what is missing', () => {
    expect(() => readRuns('workload,cpu\nDrift,C', '2026-10-31')).toThrow(
      'missing column "graphics"; the first line must name workload, cpu, graphics, width, height, preset and average',
    )
  })
  test('reads what it knows, and reports the rest by line', () => {
    const { read, problems } = readRuns(
      'workload,cpu,card,width,height,preset,average,low,kind,date,background\nDrift,C,G,1920,1080,high,60.5,41,own ' +
        'log,2026-10-01,\nDrift,C,G,1920,1080,high,fast,,own ' +
        'log,2026-10-01,\n,C,G,1920,1080,high,60,,,2026-10-01,\nDrift,C,G,1920,1080,high,60,,,2027-10-01,',
      '2026-10-31',
    )
    expect(read[0]!.value).toMatchObject({
      workload: 'Drift',
      averageFps: 60.5,
      lowFps: 41,
      kind: 'own-log',
      memoryChannels: 2,
    })
    expect(problems.map((problem) => [problem.line, problem.reason])).toEqual([
      [3, '"fast" is not a frame rate'],
      [4, 'no workload given'],
      [5, '2027-10-01 is in the future'],
    ])
  })
})
